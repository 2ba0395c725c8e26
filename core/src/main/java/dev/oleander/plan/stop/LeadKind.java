package dev.oleander.plan.stop;

import java.util.Arrays;
import java.util.Optional;

/** Form of a lead-in or lead-out. */
public enum LeadKind {
    NONE("none"),
    LINE("line"),
    ARC("arc"),
    LINE_ARC("lineArc");

    private final String word;

    LeadKind(String word) {
        this.word = word;
    }

    public String word() {
        return word;
    }

    public static Optional<LeadKind> ofWord(String word) {
        return Arrays.stream(values()).filter(k -> k.word.equals(word)).findFirst();
    }

    public boolean hasLine() {
        return this == LINE || this == LINE_ARC;
    }

    public boolean hasArc() {
        return this == ARC || this == LINE_ARC;
    }
}
