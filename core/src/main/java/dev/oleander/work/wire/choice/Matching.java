package dev.oleander.work.wire.choice;

import dev.oleander.quantity.Worded;

/** Which places of two different contours the wire joins. */
public enum Matching implements Worded {
    /** corner to corner, between them by length */
    CORNERS("by corners"),
    /** equal shares of both lengths */
    LENGTH("by share of length"),
    /** along lines that a person drew, between them by length */
    LINES("by drawn lines");

    private final String label;

    Matching(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
