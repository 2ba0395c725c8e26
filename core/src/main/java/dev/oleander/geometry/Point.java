package dev.oleander.geometry;

/** A point or a vector of the plane, mm. */
public record Point(double x, double y) {

    private static final double LEAST_SQUARE = 1e-280;
    private static final double GREATEST_SQUARE = 1e280;

    public static final Point ORIGIN = new Point(0, 0);

    /** The point at the given distance (mm) and angle (radians, anticlockwise from +x). */
    public static Point polar(double radius, double angle) {
        return new Point(radius * Math.cos(angle), radius * Math.sin(angle));
    }

    public Point plus(Point other) {
        return new Point(x + other.x, y + other.y);
    }

    public Point minus(Point other) {
        return new Point(x - other.x, y - other.y);
    }

    public Point times(double factor) {
        return new Point(x * factor, y * factor);
    }

    public double dot(Point other) {
        return x * other.x + y * other.y;
    }

    /** The z component of the cross product; positive when {@code other} lies to the left. */
    public double cross(Point other) {
        return x * other.y - y * other.x;
    }

    public double norm() {
        return length(x, y);
    }

    public double distance(Point other) {
        return length(x - other.x, y - other.y);
    }

    /** {@code hypot} is slow and only needed where squares leave the range of numbers. */
    private static double length(double dx, double dy) {
        double square = dx * dx + dy * dy;
        return square > LEAST_SQUARE && square < GREATEST_SQUARE
                ? Math.sqrt(square)
                : Math.hypot(dx, dy);
    }

    public Point midpoint(Point other) {
        return new Point((x + other.x) / 2, (y + other.y) / 2);
    }

    /** The vector of length 1 in the same direction; the zero vector stays as it is. */
    public Point unit() {
        double norm = norm();
        return norm == 0 ? this : new Point(x / norm, y / norm);
    }

    /** This vector turned by a quarter to the left. */
    public Point left() {
        return new Point(-y, x);
    }

    public Point rotated(double angle) {
        double c = Math.cos(angle);
        double s = Math.sin(angle);
        return new Point(c * x - s * y, s * x + c * y);
    }

    /** Angle of the vector, radians in (-pi, pi]. */
    public double angle() {
        return Math.atan2(y, x);
    }

    public boolean isFinite() {
        return Double.isFinite(x) && Double.isFinite(y);
    }
}
