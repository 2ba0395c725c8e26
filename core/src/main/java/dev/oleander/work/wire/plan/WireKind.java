package dev.oleander.work.wire.plan;

import dev.oleander.quantity.Worded;

/** What is cut. */
public enum WireKind implements Worded {
    /** the outside is kept, the slug falls out */
    OPENING("opening"),
    /** the inside is kept */
    PUNCH("punch"),
    /** in from one edge, out at another */
    OPEN("open cut");

    private final String label;

    WireKind(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
