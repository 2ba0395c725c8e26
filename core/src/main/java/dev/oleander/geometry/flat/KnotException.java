package dev.oleander.geometry.flat;

/**
 * Edges pass each other so closely that at a tolerance their order round a node contradicts itself.
 * {@link Tries} goes on with a larger one; what cannot be told apart in any is reported by the
 * caller, with the place.
 */
public final class KnotException extends RuntimeException {

    private final double x;
    private final double y;
    private final double tolerance;

    KnotException(double x, double y, double tolerance) {
        super("edges cannot be told apart near " + x + ", " + y, null, false, false);
        this.x = x;
        this.y = y;
        this.tolerance = tolerance;
    }

    public double x() {
        return x;
    }

    public double y() {
        return y;
    }

    /** Nearer than this the edges could not be told apart, mm. */
    public double tolerance() {
        return tolerance;
    }
}
