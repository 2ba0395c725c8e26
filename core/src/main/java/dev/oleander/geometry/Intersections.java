package dev.oleander.geometry;

import java.util.ArrayList;
import java.util.List;

/**
 * Common points of two segments.
 *
 * <p>Crossings within the tolerance of an end count as meeting that end. A tangency is reported
 * once. Segments that lie on each other over a stretch give the two ends of the stretch.
 */
public final class Intersections {

    private Intersections() {}

    /** A common point with its parameter on either segment, both in [0, 1]. */
    public record Crossing(Point point, double onFirst, double onSecond) {}

    /**
     * All common points, in the order of the first segment.
     *
     * @param tolerance mm; how far apart segments may pass and still meet
     */
    public static List<Crossing> of(Segment first, Segment second, double tolerance) {
        List<Point> candidates =
                first.fold(
                        a ->
                                second.fold(
                                        b -> lineLine(a, b, tolerance),
                                        b -> lineCircle(a, b, tolerance)),
                        a ->
                                second.fold(
                                        b -> lineCircle(b, a, tolerance),
                                        b -> circleCircle(a, b, tolerance)));
        List<Crossing> found = new ArrayList<>(2);
        for (Point p : candidates) {
            double t = first.nearest(p);
            double u = second.nearest(p);
            if (first.at(t).distance(p) <= tolerance && second.at(u).distance(p) <= tolerance) {
                addOnce(found, new Crossing(p, t, u), tolerance);
            }
        }
        found.sort((p, q) -> Double.compare(p.onFirst(), q.onFirst()));
        return found;
    }

    private static void addOnce(List<Crossing> found, Crossing crossing, double tolerance) {
        for (Crossing other : found) {
            if (other.point().distance(crossing.point()) <= tolerance) {
                return;
            }
        }
        found.add(crossing);
    }

    private static List<Point> lineLine(Line a, Line b, double tolerance) {
        Point da = a.end().minus(a.start());
        Point db = b.end().minus(b.start());
        double cross = da.cross(db);
        // parallel within the tolerance over the longer of the two: then only ends can meet
        double widest = Math.max(da.norm(), db.norm());
        if (Math.abs(cross) * widest <= tolerance * da.norm() * db.norm()) {
            return ends(a, b);
        }
        double t = b.start().minus(a.start()).cross(db) / cross;
        List<Point> points = new ArrayList<>(1);
        points.add(a.start().plus(da.times(t)));
        return points;
    }

    private static List<Point> lineCircle(Line line, Arc arc, double tolerance) {
        Point centre = arc.centre();
        double radius = arc.radius();
        Point foot = line.start().plus(line.end().minus(line.start()).times(line.foot(centre)));
        double rise = foot.distance(centre);
        if (rise > radius + tolerance) {
            return List.of();
        }
        List<Point> points = new ArrayList<>(4);
        if (Math.abs(rise - radius) <= tolerance) {
            points.addAll(ends(line, arc));
            points.add(foot);
            return points;
        }
        Point along = line.direction(0).times(Math.sqrt(radius * radius - rise * rise));
        points.add(foot.minus(along));
        points.add(foot.plus(along));
        return points;
    }

    private static List<Point> circleCircle(Arc a, Arc b, double tolerance) {
        Point ca = a.centre();
        Point cb = b.centre();
        double ra = a.radius();
        double rb = b.radius();
        double between = ca.distance(cb);
        if (between <= tolerance && Math.abs(ra - rb) <= tolerance) {
            return ends(a, b);
        }
        if (between > ra + rb + tolerance || between < Math.abs(ra - rb) - tolerance) {
            return List.of();
        }
        Point axis = cb.minus(ca).unit();
        double foot = (between * between + ra * ra - rb * rb) / (2 * between);
        Point base = ca.plus(axis.times(foot));
        boolean tangent =
                Math.abs(between - ra - rb) <= tolerance
                        || Math.abs(between - Math.abs(ra - rb)) <= tolerance;
        double square = ra * ra - foot * foot;
        List<Point> points = new ArrayList<>(5);
        if (tangent) {
            points.addAll(ends(a, b));
        }
        if (tangent || square <= 0) {
            points.add(ca.plus(axis.times(foot < 0 ? -ra : ra)));
        } else {
            Point rise = axis.left().times(Math.sqrt(square));
            points.add(base.minus(rise));
            points.add(base.plus(rise));
        }
        return points;
    }

    private static List<Point> ends(Segment a, Segment b) {
        return List.of(a.start(), a.end(), b.start(), b.end());
    }
}
