package dev.oleander.plan.stop;

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
        LEAD_BITES,
        /** a radius is smaller than the offset of a pass */
        RADIUS,
        /** leaning flanks close a contour, or meet nowhere */
        TAPER,
        /** the wire would lean more than the machine can */
        ANGLE,
        /** there is no start hole, or it lies on the wrong side */
        HOLE,
        /** a hold does not fit where it is */
        HOLD,
        /** no tool can do it so */
        TOOL,
        /** it lies beyond the edge of the stock */
        OUTSIDE
    }
}
