package dev.oleander.work.wire.choice;

import dev.oleander.quantity.Worded;

/** Whether the machine waits before a hold is cut off. */
public enum HoldStop implements Worded {
    ALWAYS("always"),
    /** when the operator has asked for it */
    OPTIONAL("when asked for at the machine"),
    NEVER("never");

    private final String label;

    HoldStop(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
