package dev.oleander.plan;

/** What is done with holes below the smallest that the cut data say comes out round. */
public enum SmallHoles {
    AS_OTHERS("asOthers", "cut as others"),
    /** with less feed the smaller they are */
    SLOW("slow", "cut slowly"),
    /** the centre is marked, for drilling */
    MARK("mark", "mark the centre"),
    /** nothing is done; they are listed */
    DRILL("drill", "leave for drilling");

    private final String word;
    private final String label;

    SmallHoles(String word, String label) {
        this.word = word;
        this.label = label;
    }

    public String word() {
        return word;
    }

    public String label() {
        return label;
    }
}
