package dev.oleander.work.wire.choice;

import dev.oleander.quantity.Worded;

/** How the wire comes from the start hole to the profile. */
public enum WireLead implements Worded {
    /** straight to the start of the profile */
    DIRECT("straight from the hole"),
    /** the last stretch stands at right angles on the element */
    SQUARE("at right angles to the element"),
    /** the last stretch is an arc that touches the profile */
    ARC("on an arc");

    private final String label;

    WireLead(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
