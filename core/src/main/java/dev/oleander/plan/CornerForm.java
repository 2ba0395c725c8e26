package dev.oleander.plan;

import java.util.Arrays;
import java.util.Optional;

/** How the head goes round a sharp outer corner. */
public enum CornerForm {
    /** round it, half a kerf away */
    ROUND("round", "rounded"),
    /** on to where both edges of the kerf meet */
    SHARP("sharp", "sharp"),
    /** past it and back through the scrap */
    LOOP("loop", "looped through the scrap");

    private final String word;
    private final String label;

    CornerForm(String word, String label) {
        this.word = word;
        this.label = label;
    }

    public String word() {
        return word;
    }

    public String label() {
        return label;
    }

    public static Optional<CornerForm> ofWord(String word) {
        return Arrays.stream(values()).filter(c -> c.word.equals(word)).findFirst();
    }
}
