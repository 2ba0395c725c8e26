package dev.oleander.geometry.fit;

import dev.oleander.geometry.Point;
import java.util.List;
import java.util.Optional;

/**
 * The circle through points that lie on one, by least squares of the squared distances (I. Kasa, A
 * circle fitting procedure and its error analysis, IEEE Transactions on Instrumentation and
 * Measurement 25, 1976), which is exact for points all round.
 */
public final class CircleFit {

    /** A circle, mm. */
    public record Circle(Point centre, double radius) {}

    private final double tolerance;

    /**
     * @param tolerance mm; how far a point may lie from the circle
     */
    public CircleFit(double tolerance) {
        if (!(tolerance > 0)) {
            throw new IllegalArgumentException("tolerance must be > 0 mm: " + tolerance);
        }
        this.tolerance = tolerance;
    }

    /** The circle, when all points lie on one within the tolerance; three are needed. */
    public Optional<Circle> through(List<Point> points) {
        int n = points.size();
        if (n < 3) {
            return Optional.empty();
        }
        double mx = points.stream().mapToDouble(Point::x).average().orElseThrow();
        double my = points.stream().mapToDouble(Point::y).average().orElseThrow();
        double uu = 0;
        double uv = 0;
        double vv = 0;
        double pu = 0;
        double pv = 0;
        double squares = 0;
        for (Point p : points) {
            double u = p.x() - mx;
            double v = p.y() - my;
            double square = u * u + v * v;
            uu += u * u;
            uv += u * v;
            vv += v * v;
            pu += u * square / 2;
            pv += v * square / 2;
            squares += square;
        }
        double det = uu * vv - uv * uv;
        if (!(det > 1e-12 * squares * squares)) {
            return Optional.empty();
        }
        double cu = (pu * vv - pv * uv) / det;
        double cv = (pv * uu - pu * uv) / det;
        double radius = Math.sqrt(cu * cu + cv * cv + squares / n);
        Point centre = new Point(mx + cu, my + cv);
        boolean all =
                points.stream().allMatch(p -> Math.abs(p.distance(centre) - radius) <= tolerance);
        return all ? Optional.of(new Circle(centre, radius)) : Optional.empty();
    }
}
