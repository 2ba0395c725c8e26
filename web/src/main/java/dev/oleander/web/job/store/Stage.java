package dev.oleander.web.job.store;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** The five stages of a job, in working order. */
public enum Stage {
    SHAPE,
    CUTS,
    SHEET,
    PROOF,
    RELEASE;

    /** As it stands in addresses: shape. */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** As people read it: Shape. */
    public String label() {
        return name().charAt(0) + word().substring(1);
    }

    public static Optional<Stage> ofWord(String word) {
        return Arrays.stream(values()).filter(s -> s.word().equals(word)).findFirst();
    }
}
