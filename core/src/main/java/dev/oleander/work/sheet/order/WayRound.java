package dev.oleander.work.sheet.order;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Ways round pieces: along the convex polygon that holds them all, on either side, with all its
 * corners or with the one in which its first and its last leg meet.
 */
final class WayRound {

    /** Angle of an arc that two sides of the polygon stand for, radians. */
    private static final double STEP = Math.PI / 4;

    /** Times the clearance that a corner may lie off a sharp one. */
    private static final double SHARPEST = 2;

    /** mm that a place within the polygon is put outside it. */
    private static final double OFF = 1e-4;

    /** mm; shorter legs are not worth stopping for. */
    private static final double CRUMB = 0.05;

    private final Point from;
    private final Point to;

    /** Anticlockwise. */
    private final List<Point> polygon;

    /**
     * @param pieces at least one
     * @param clearance mm between the pieces and the way, but where it begins and ends
     */
    WayRound(Point from, Point to, List<Contour> pieces, double clearance) {
        this.from = from;
        this.to = to;
        List<Point> points = new ArrayList<>();
        for (Contour piece : pieces) {
            piece.segments().forEach(s -> addRound(s, points));
        }
        this.polygon = grown(hull(points), clearance);
    }

    /** Points whose polygon holds a segment: those of an arc lie outside it. */
    private static void addRound(Segment segment, List<Point> points) {
        points.add(segment.start());
        if (segment instanceof Arc arc) {
            int steps = (int) Math.max(1, Math.ceil(Math.abs(arc.sweep()) / STEP));
            double out = 1 / Math.cos(Math.abs(arc.sweep()) / steps / 2);
            for (int i = 0; i < steps; i++) {
                Point on = arc.at((i + 0.5) / steps);
                points.add(arc.centre().plus(on.minus(arc.centre()).times(out)));
            }
        }
    }

    /** Corners of the ways, without the places where they begin and end. */
    List<List<Point>> all() {
        Point out = outside(from);
        Point in = outside(to);
        List<Point> points = new ArrayList<>(polygon);
        points.add(out);
        points.add(in);
        List<Point> ring = hull(points);
        int first = ring.indexOf(out);
        int last = ring.indexOf(in);
        List<List<Point>> ways = new ArrayList<>();
        if (first >= 0 && last >= 0) {
            addWays(between(ring, first, last), ways);
            List<Point> clockwise = between(ring, last, first);
            Collections.reverse(clockwise);
            addWays(clockwise, ways);
        }
        return ways;
    }

    /**
     * @param chain begins at the first and ends at the last place outside the polygon
     */
    private void addWays(List<Point> chain, List<List<Point>> ways) {
        List<Point> corners = new ArrayList<>(chain);
        corners.removeIf(this::isEnd);
        ways.add(corners);
        if (chain.size() > 3) {
            Point before = chain.get(chain.size() - 2);
            meeting(chain.get(0), chain.get(1), before, chain.get(chain.size() - 1))
                    .map(apex -> withApex(chain, apex))
                    .ifPresent(ways::add);
        }
    }

    /** A corner right beside an end is none. */
    private boolean isEnd(Point corner) {
        return corner.distance(from) < CRUMB || corner.distance(to) < CRUMB;
    }

    private List<Point> withApex(List<Point> chain, Point apex) {
        List<Point> corners = new ArrayList<>();
        corners.add(chain.get(0));
        corners.add(apex);
        corners.add(chain.get(chain.size() - 1));
        corners.removeIf(this::isEnd);
        return corners;
    }

    /** Where a ray from a through b meets one from d through c; empty when they part. */
    private static Optional<Point> meeting(Point a, Point b, Point c, Point d) {
        Point u = b.minus(a);
        Point v = c.minus(d);
        double cross = u.cross(v);
        if (Math.abs(cross) < 1e-9 * u.norm() * v.norm()) {
            return Optional.empty();
        }
        double alongFirst = d.minus(a).cross(v) / cross;
        double alongLast = d.minus(a).cross(u) / cross;
        return alongFirst > 0 && alongLast > 0
                ? Optional.of(a.plus(u.times(alongFirst)))
                : Optional.empty();
    }

    private static List<Point> between(List<Point> ring, int first, int last) {
        List<Point> chain = new ArrayList<>();
        for (int i = first; i != last; i = (i + 1) % ring.size()) {
            chain.add(ring.get(i));
        }
        chain.add(ring.get(last));
        return chain;
    }

    /** The place itself, or the nearest one outside the polygon. */
    private Point outside(Point place) {
        double least = Double.POSITIVE_INFINITY;
        Point nearest = place;
        for (int i = 0; i < polygon.size(); i++) {
            Point corner = polygon.get(i);
            Point outwards = normal(corner, polygon.get((i + 1) % polygon.size()));
            double depth = corner.minus(place).dot(outwards);
            if (depth < 0) {
                return place;
            }
            if (depth < least) {
                least = depth;
                nearest = place.plus(outwards.times(depth + OFF));
            }
        }
        return nearest;
    }

    /** A convex polygon whose sides lie farther out. */
    private static List<Point> grown(List<Point> hull, double by) {
        List<Point> grown = new ArrayList<>(hull.size());
        int n = hull.size();
        for (int i = 0; i < n; i++) {
            Point corner = hull.get(i);
            Point side = normal(hull.get((i + n - 1) % n), corner);
            Point bisector = side.plus(normal(corner, hull.get((i + 1) % n))).unit();
            double half = Math.max(1 / SHARPEST, bisector.dot(side));
            grown.add(corner.plus(bisector.times(by / half)));
        }
        return grown;
    }

    /** Outwards from a side. */
    private static Point normal(Point from, Point to) {
        Point side = to.minus(from).unit();
        return new Point(side.y(), -side.x());
    }

    /** Convex hull of points, anticlockwise, without points on its sides: Andrew (1979). */
    private static List<Point> hull(List<Point> points) {
        List<Point> sorted =
                points.stream()
                        .distinct()
                        .sorted(Comparator.comparingDouble(Point::x).thenComparing(Point::y))
                        .toList();
        List<Point> hull = new ArrayList<>(half(sorted));
        List<Point> back = new ArrayList<>(sorted);
        Collections.reverse(back);
        hull.addAll(half(back));
        return hull;
    }

    private static List<Point> half(List<Point> sorted) {
        List<Point> half = new ArrayList<>();
        for (Point next : sorted) {
            while (half.size() > 1 && turnsRight(half, next)) {
                half.remove(half.size() - 1);
            }
            half.add(next);
        }
        return half.subList(0, half.size() - 1);
    }

    private static boolean turnsRight(List<Point> half, Point next) {
        Point last = half.get(half.size() - 1);
        return last.minus(half.get(half.size() - 2)).cross(next.minus(last)) <= 0;
    }
}
