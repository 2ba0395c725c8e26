package dev.oleander.geometry.flat;

/** A point beyond {@link Frame#FARTHEST}, or not finite; the caller says so with the place. */
public final class TooFarException extends RuntimeException {

    private final double x;
    private final double y;

    TooFarException(double x, double y) {
        super("a point at (" + x + ", " + y + ") is beyond " + Frame.FARTHEST + " mm");
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
