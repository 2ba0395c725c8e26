package dev.oleander.work.wire.choice;

import dev.oleander.quantity.Named;

/** How the visits of several openings follow each other. */
public enum WireOrder implements Named {
    /** everything of an opening before the next */
    ONE_AT_A_TIME("one at a time"),
    /** all rough cuts, all cut-offs, all skims */
    PASS_BY_PASS("pass by pass"),
    /** first all that sets nothing free, without people; then the cut-offs with their skims */
    UNATTENDED_FIRST("unattended first"),
    /** as a person moved them */
    BY_HAND("by hand");

    private final String label;

    WireOrder(String label) {
        this.label = label;
    }

    @Override
    public String label() {
        return label;
    }
}
