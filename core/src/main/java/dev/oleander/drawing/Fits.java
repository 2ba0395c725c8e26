package dev.oleander.drawing;

/**
 * Curves that became lines and arcs.
 *
 * @param curves how many there were: ellipses, splines, curves of paths
 * @param segments lines and arcs they became
 * @param tolerance mm; how far these may lie from the curves
 */
public record Fits(int curves, int segments, double tolerance) {

    public static Fits none(double tolerance) {
        return new Fits(0, 0, tolerance);
    }

    public Fits plus(Fits other) {
        return new Fits(
                curves + other.curves,
                segments + other.segments,
                Math.max(tolerance, other.tolerance));
    }
}
