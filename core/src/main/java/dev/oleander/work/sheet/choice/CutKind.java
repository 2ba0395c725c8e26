package dev.oleander.work.sheet.choice;

import dev.oleander.drawing.read.Feature;
import dev.oleander.quantity.Named;

/** Kinds of features, as a person sorts them. */
public enum CutKind implements Named {
    /** a round opening */
    HOLE("holes"),
    /** a slot, keyhole or other opening that is not round */
    OPENING("other openings"),
    OUTLINE("outlines"),
    /** an open line */
    LINE("open lines");

    private final String plural;

    CutKind(String plural) {
        this.plural = plural;
    }

    /** Several of them. */
    @Override
    public String label() {
        return plural;
    }

    /** What a feature counts as. */
    public static CutKind of(Feature feature) {
        return switch (feature.kind()) {
            case OUTLINE -> OUTLINE;
            case OPENING -> feature.circleDiameter().isPresent() ? HOLE : OPENING;
            case OPEN -> LINE;
        };
    }
}
