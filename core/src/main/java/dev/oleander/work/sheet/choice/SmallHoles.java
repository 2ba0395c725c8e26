package dev.oleander.work.sheet.choice;

import dev.oleander.quantity.Worded;

/** What is done with holes below the smallest that the cut data say comes out round. */
public enum SmallHoles implements Worded {
    AS_OTHERS("cut as others"),
    /** with less feed the smaller they are */
    SLOW("cut slowly"),
    /** the centre is marked, for drilling */
    MARK("mark the centre"),
    /** nothing is done; they are listed */
    DRILL("leave for drilling");

    private final String label;

    SmallHoles(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
