package dev.oleander.work.wire.choice;

import dev.oleander.quantity.Worded;

/** What becomes of a rounded corner where the flanks lean. */
public enum CornerTaper implements Worded {
    /** the radius changes with the height */
    CONICAL("conical"),
    /** the radius is the same above and below, where the corner lies between straight elements */
    CYLINDRICAL("cylindrical");

    private final String label;

    CornerTaper(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
