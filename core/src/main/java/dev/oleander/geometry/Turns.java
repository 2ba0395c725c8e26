package dev.oleander.geometry;

/** How sharply a path turns where two elements meet. */
public final class Turns {

    private Turns() {}

    /** Degrees without sign, 0 straight on to 180 back. */
    public static double degrees(Segment before, Segment after) {
        return Math.abs(signed(before, after));
    }

    /** Degrees; positive to the left. */
    public static double signed(Segment before, Segment after) {
        Point in = before.direction(1);
        Point out = after.direction(0);
        return Math.toDegrees(Math.atan2(in.cross(out), in.dot(out)));
    }
}
