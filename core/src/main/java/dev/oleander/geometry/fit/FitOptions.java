package dev.oleander.geometry.fit;

/**
 * How points become lines and arcs.
 *
 * @param tolerance greatest distance between the result and the polyline through the points, mm
 * @param corner turn, radians, from which a point between straighter neighbours is a corner that
 *     stays sharp
 */
public record FitOptions(double tolerance, double corner) {

    public FitOptions {
        if (!(tolerance > 0 && Double.isFinite(tolerance))) {
            throw new IllegalArgumentException("tolerance must be > 0 mm: " + tolerance);
        }
        if (!(corner > 0 && corner <= Math.PI)) {
            throw new IllegalArgumentException("corner must be within (0, pi]: " + corner);
        }
    }

    /** Corners from 12 degrees. */
    public static FitOptions within(double tolerance) {
        return new FitOptions(tolerance, Math.toRadians(12));
    }
}
