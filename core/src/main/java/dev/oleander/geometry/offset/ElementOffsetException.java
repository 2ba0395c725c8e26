package dev.oleander.geometry.offset;

import dev.oleander.geometry.Point;

/** A chain has no parallel of the same elements; says which element stands against it. */
public final class ElementOffsetException extends RuntimeException {

    private final Cause cause;
    private final int element;
    private final Point place;
    private final double value;
    private final double limit;

    /** What stands against it. */
    public enum Cause {
        /** the radius of an arc is too small: value is the radius, limit what it must be above */
        RADIUS,
        /** an element has no length left: value is its length, limit the distance asked for */
        SHORT,
        /** two neighbours do not meet at their distances: value and limit are these */
        APART
    }

    ElementOffsetException(Cause cause, int element, Point place, double value, double limit) {
        super("element %d at %s: %s, %s against %s".formatted(element, place, cause, value, limit));
        this.cause = cause;
        this.element = element;
        this.place = place;
        this.value = value;
        this.limit = limit;
    }

    public Cause kind() {
        return cause;
    }

    /** Index of the element. */
    public int element() {
        return element;
    }

    public Point place() {
        return place;
    }

    /** mm */
    public double value() {
        return value;
    }

    /** mm */
    public double limit() {
        return limit;
    }
}
