package dev.oleander.work.wire.choice;

import dev.oleander.quantity.Worded;

/** What is cut. */
public enum WireKind implements Worded {
    /** the outside is kept, the slug falls out */
    OPENING("opening", "openings"),
    /** the inside is kept */
    PUNCH("punch", "punches"),
    /** in from one edge, out at another */
    OPEN("open cut", "open cuts");

    private final String label;
    private final String plural;

    WireKind(String label, String plural) {
        this.label = label;
        this.plural = plural;
    }

    public String label() {
        return label;
    }

    /** Several of them. */
    public String plural() {
        return plural;
    }
}
