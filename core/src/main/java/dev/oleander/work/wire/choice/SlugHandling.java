package dev.oleander.work.wire.choice;

import dev.oleander.quantity.Worded;

/** What is done with the piece that a closed cut sets free. */
public enum SlugHandling implements Worded {
    /** no hold: it drops */
    DROP("drops"),
    /** a hold that is cut off in the same visit */
    HOLD_NOW("hold, cut off at once"),
    /** a hold that is cut off when all that runs alone is done */
    HOLD_LATER("hold, cut off later"),
    /** the machine waits for people before the last millimetres */
    STOP_BEFORE("stop before the last millimetres"),
    /** several holds; the last lies at the start */
    HOLDS("several holds"),
    /** the opening is eroded completely, nothing is left to drop */
    CORELESS("coreless");

    private final String label;

    SlugHandling(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    /** Whether something stays uncut when the rough pass is done. */
    public boolean holds() {
        return this == HOLD_NOW || this == HOLD_LATER || this == HOLDS;
    }
}
