package dev.oleander.geometry.flat;

/**
 * Edges pass each other so closely that at this tolerance their order round a node contradicts
 * itself. The caller tries a larger tolerance, or says where it is.
 */
public final class KnotException extends RuntimeException {

    private final double x;
    private final double y;

    KnotException(double x, double y) {
        super("edges cannot be told apart near " + x + ", " + y, null, false, false);
        this.x = x;
        this.y = y;
    }

    public double x() {
        return x;
    }

    public double y() {
        return y;
    }
}
