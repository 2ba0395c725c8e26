package dev.oleander.geometry;

/**
 * A similarity or other affine map: (x, y) to (a x + c y + e, b x + d y + f).
 *
 * <p>Lines may be mapped by any of them; arcs only by similarities, since an ellipse is no arc.
 */
public record Transform(double a, double b, double c, double d, double e, double f) {

    /** Relative difference of the two axes above which a map no longer counts as a similarity. */
    private static final double SIMILAR = 1e-9;

    public static final Transform IDENTITY = new Transform(1, 0, 0, 1, 0, 0);

    public static Transform translation(Point by) {
        return new Transform(1, 0, 0, 1, by.x(), by.y());
    }

    /** Turn about the origin by an angle in radians, anticlockwise. */
    public static Transform rotation(double angle) {
        // exact quarter turns keep coordinates of upright parts free of rounding
        double quarters = angle / (Math.PI / 2);
        if (Math.abs(quarters - Math.rint(quarters)) < 1e-12) {
            int q = Math.floorMod((int) Math.rint(quarters), 4);
            int cos = q == 0 ? 1 : q == 2 ? -1 : 0;
            int sin = q == 1 ? 1 : q == 3 ? -1 : 0;
            return new Transform(cos, sin, -sin, cos, 0, 0);
        }
        double cos = Math.cos(angle);
        double sin = Math.sin(angle);
        return new Transform(cos, sin, -sin, cos, 0, 0);
    }

    public static Transform scaling(double factor) {
        return new Transform(factor, 0, 0, factor, 0, 0);
    }

    /** Mirror at the y axis: x changes its sign. */
    public static Transform mirror() {
        return new Transform(-1, 0, 0, 1, 0, 0);
    }

    /** This map first, then {@code next}. */
    public Transform then(Transform next) {
        return new Transform(
                next.a * a + next.c * b,
                next.b * a + next.d * b,
                next.a * c + next.c * d,
                next.b * c + next.d * d,
                next.a * e + next.c * f + next.e,
                next.b * e + next.d * f + next.f);
    }

    public Point apply(Point p) {
        return new Point(a * p.x() + c * p.y() + e, b * p.x() + d * p.y() + f);
    }

    /** The image of a vector, which has no place. */
    public Point applyToVector(Point v) {
        return new Point(a * v.x() + c * v.y(), b * v.x() + d * v.y());
    }

    /**
     * The map back.
     *
     * @throws IllegalArgumentException when this map flattens the plane
     */
    public Transform inverse() {
        double det = a * d - b * c;
        if (!(Math.abs(det) > 0)) {
            throw new IllegalArgumentException("no way back: " + this);
        }
        return new Transform(
                d / det, -b / det, -c / det, a / det, (c * f - d * e) / det, (b * e - a * f) / det);
    }

    public boolean isMirrored() {
        return a * d - b * c < 0;
    }

    /** Degrees anticlockwise it turns by, after it has mirrored where it {@link #isMirrored()}. */
    public double degrees() {
        // the mirror leaves y alone, so its image tells the turn of either kind
        Point up = applyToVector(new Point(0, 1));
        return Math.toDegrees(Math.atan2(0.0 - up.x(), up.y()));
    }

    /** Factor by which a similarity changes lengths. */
    public double scale() {
        return Math.hypot(a, b);
    }

    /** Whether circles stay circles. */
    public boolean isSimilarity() {
        double first = Math.hypot(a, b);
        double second = Math.hypot(c, d);
        double skew = Math.abs(a * c + b * d);
        double limit = SIMILAR * first * second;
        return Math.abs(first - second) <= SIMILAR * first && skew <= limit && first > 0;
    }

    void requireSimilarity() {
        if (!isSimilarity()) {
            throw new IllegalArgumentException("not a similarity: " + this);
        }
    }
}
