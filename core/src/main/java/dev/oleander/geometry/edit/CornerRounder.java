package dev.oleander.geometry.edit;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Intersections;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Rounds and bevels corners between lines and arcs.
 *
 * <p>Corner i is the start of segment i; that of a path must not be its first.
 */
public final class CornerRounder {

    /** Sine of the turn below which two segments make no corner. */
    private static final double SMOOTH = 1e-9;

    /** Halvings when the largest radius is sought: to below a millionth of the first guess. */
    private static final int HALVINGS = 40;

    private CornerRounder() {}

    /**
     * The contour with a corner rounded by an arc that is tangent to both neighbours.
     *
     * @param radius mm
     * @throws EditException when the arc does not fit, with the largest radius that does
     */
    public static Contour fillet(Contour contour, int corner, double radius) {
        return new Contour(replaced(contour, corner, radius(radius)));
    }

    /** The same for a path. */
    public static Path fillet(Path path, int corner, double radius) {
        return new Path(replaced(path, corner, radius(radius)));
    }

    /**
     * The contour with a corner cut off by a line.
     *
     * @param before length taken off the segment that leads to the corner, mm
     * @param after length taken off the one that leaves it, mm
     * @throws EditException when a segment is shorter than that
     */
    public static Contour chamfer(Contour contour, int corner, double before, double after) {
        return new Contour(replaced(contour, corner, bevel(before, after)));
    }

    /** The same for a path. */
    public static Path chamfer(Path path, int corner, double before, double after) {
        return new Path(replaced(path, corner, bevel(before, after)));
    }

    /** What comes in place of two segments that meet at a corner. */
    private interface Change {
        List<Segment> of(Segment before, Segment after);
    }

    private static Change radius(double radius) {
        if (!(radius > 0)) {
            throw new IllegalArgumentException("radius must be > 0 mm: " + radius);
        }
        return (a, b) -> rounded(a, b, radius);
    }

    private static Change bevel(double before, double after) {
        if (!(before > 0 && after > 0)) {
            throw new IllegalArgumentException(
                    "lengths of a bevel must be > 0 mm: " + before + ", " + after);
        }
        return (a, b) -> bevelled(a, b, before, after);
    }

    private static List<Segment> replaced(Chain chain, int corner, Change change) {
        List<Segment> segments = chain.segments();
        int n = segments.size();
        boolean closed = chain instanceof Contour;
        if (corner < (closed ? 0 : 1) || corner >= n) {
            throw new IllegalArgumentException("there is no corner " + corner + " of " + n);
        }
        int before = corner == 0 ? n - 1 : corner - 1;
        List<Segment> parts = change.of(segments.get(before), segments.get(corner));
        List<Segment> changed = new ArrayList<>(n + 1);
        for (int i = 0; i < n; i++) {
            if (i == before) {
                changed.add(parts.get(0));
            }
            if (i == corner) {
                changed.addAll(parts.subList(1, 3));
            }
            if (i != before && i != corner) {
                changed.add(segments.get(i));
            }
        }
        return changed;
    }

    private static List<Segment> rounded(Segment a, Segment b, double radius) {
        Optional<List<Segment>> found = tryRadius(a, b, radius);
        if (found.isPresent()) {
            return found.get();
        }
        Point corner = a.end();
        double turn = turn(a.direction(1), b.direction(0));
        if (Math.abs(Math.sin(turn)) < SMOOTH) {
            throw new EditException(
                    corner,
                    "There is no corner to round at (%.3f, %.3f): the line goes straight on or back.",
                    corner.x(),
                    corner.y());
        }
        throw new EditException(
                corner,
                "A radius of %.3f mm does not fit at (%.3f, %.3f); the largest is %.3f mm.",
                radius,
                corner.x(),
                corner.y(),
                largest(a, b, radius));
    }

    private static double largest(Segment a, Segment b, double tooLarge) {
        double fits = 0;
        double fails = tooLarge;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (fits + fails) / 2;
            if (tryRadius(a, b, middle).isPresent()) {
                fits = middle;
            } else {
                fails = middle;
            }
        }
        // rounded down, so that what is offered does fit
        return Math.floor(fits * 1000) / 1000;
    }

    /** The arc's centre is where both segments, shifted by the radius to the inside, meet. */
    private static Optional<List<Segment>> tryRadius(Segment a, Segment b, double radius) {
        double side = Math.signum(turn(a.direction(1), b.direction(0)));
        Optional<Segment> left = a.parallel(side * radius);
        Optional<Segment> right = b.parallel(side * radius);
        if (side == 0 || left.isEmpty() || right.isEmpty()) {
            return Optional.empty();
        }
        double tolerance = 1e-9 * Math.max(1, Math.max(a.length(), b.length()));
        Point centre = null;
        double nearest = -1;
        for (Intersections.Crossing c : Intersections.of(left.get(), right.get(), tolerance)) {
            if (c.onFirst() > nearest) {
                nearest = c.onFirst();
                centre = c.point();
            }
        }
        return centre == null ? Optional.empty() : joined(a, b, centre);
    }

    private static Optional<List<Segment>> joined(Segment a, Segment b, Point centre) {
        double end = a.nearest(centre);
        double start = b.nearest(centre);
        if (!(end > 0 && end < 1 && start > 0 && start < 1)) {
            return Optional.empty();
        }
        Segment first = a.between(0, end);
        Segment last = b.between(start, 1);
        double turn = turn(first.direction(1), last.direction(0));
        Segment arc = new Arc(first.end(), last.start(), Math.tan(turn / 4));
        return Optional.of(List.of(first, arc, last));
    }

    private static double turn(Point in, Point out) {
        return Math.atan2(in.cross(out), in.dot(out));
    }

    private static List<Segment> bevelled(Segment a, Segment b, double before, double after) {
        requireLonger(a, a.end(), before);
        requireLonger(b, a.end(), after);
        Segment first = a.between(0, 1 - before / a.length());
        Segment last = b.between(after / b.length(), 1);
        return List.of(first, new Line(first.end(), last.start()), last);
    }

    private static void requireLonger(Segment segment, Point corner, double length) {
        if (!(length < segment.length())) {
            throw new EditException(
                    corner,
                    "%.3f mm cannot be cut off at (%.3f, %.3f): the segment there is %.3f mm long.",
                    length,
                    corner.x(),
                    corner.y(),
                    segment.length());
        }
    }
}
