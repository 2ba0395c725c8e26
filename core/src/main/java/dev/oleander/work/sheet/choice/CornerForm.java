package dev.oleander.work.sheet.choice;

import dev.oleander.quantity.Worded;

/** How the head goes round a sharp outer corner. */
public enum CornerForm implements Worded {
    /** round it, half a kerf away */
    ROUND("rounded"),
    /** on to where both edges of the kerf meet */
    SHARP("sharp"),
    /** past it and back through the scrap */
    LOOP("looped through the scrap");

    private final String label;

    CornerForm(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
