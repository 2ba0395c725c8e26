package dev.oleander.plan;

import dev.oleander.geometry.Point;

/**
 * Why a stop cannot be cut as it is set.
 *
 * @param sentence without the name of the stop, beginning in lower case
 * @param value and {@code limit}: mm
 */
public record Refusal(Kind kind, String sentence, Point place, double value, double limit) {

    Refusal at(Point newPlace) {
        return new Refusal(kind, sentence, newPlace, value, limit);
    }

    /** What stands against it. */
    public enum Kind {
        NO_DATA,
        TOO_NARROW,
        LEAD_BITES
    }
}
