package dev.oleander.work.router.pocket;

import dev.oleander.geometry.Point;

/**
 * A disc of places where the axis of a tool may be.
 *
 * @param radius mm
 */
public record Disc(Point centre, double radius) {

    /** mm within which a place on the border counts as within. */
    private static final double SAME = 1e-6;

    boolean holds(Disc other) {
        return centre.distance(other.centre) + other.radius <= radius + SAME;
    }

    public boolean holds(Point p) {
        return centre.distance(p) <= radius + SAME;
    }

    /** The place on its border in a direction, radians. */
    public Point at(double angle) {
        return centre.plus(Point.polar(radius, angle));
    }
}
