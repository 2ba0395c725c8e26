package dev.oleander.geometry;

import dev.oleander.geometry.flat.Measures;
import java.util.Optional;
import java.util.function.Function;

/**
 * A circular arc between two different points, mm.
 *
 * <p>The shape is given by the bulge, tan(sweep / 4): positive turns left, 1 is half a circle. Ends
 * are stored, not computed, so that neighbours of a chain share their points exactly. A full circle
 * is two arcs ({@link Contour#circle}).
 */
public record Arc(Point start, Point end, double bulge) implements Segment {

    /**
     * Bulge below which parameters are taken along the chord: of a smaller sweep too few digits are
     * left to divide by, and a place at the distance h from the arc moves by 2 b h only.
     */
    private static final double STRAIGHT = 1e-6;

    public Arc {
        if (!start.isFinite() || !end.isFinite() || !Double.isFinite(bulge)) {
            throw new NotFiniteException(
                    "arc not finite: " + start + " to " + end + ", bulge " + bulge);
        }
        if (bulge == 0 || start.equals(end)) {
            throw new IllegalArgumentException("not an arc: " + start + " to " + end);
        }
    }

    /**
     * Arc about a centre.
     *
     * @param from angle of the start, radians anticlockwise from +x
     * @param sweep signed angle, radians; 0 &lt; |sweep| &lt; 2 pi
     */
    public static Arc about(Point centre, double radius, double from, double sweep) {
        if (!(radius > 0)) {
            throw new IllegalArgumentException("radius must be > 0: " + radius);
        }
        if (!(Math.abs(sweep) > 0 && Math.abs(sweep) < 2 * Math.PI)) {
            throw new IllegalArgumentException("sweep must be within one turn: " + sweep);
        }
        Point start = centre.plus(Point.polar(radius, from));
        Point end = centre.plus(Point.polar(radius, from + sweep));
        return new Arc(start, end, Math.tan(sweep / 4));
    }

    /** Signed angle of the arc, radians; positive turns left. */
    public double sweep() {
        return 4 * Math.atan(bulge);
    }

    public boolean isLeft() {
        return bulge > 0;
    }

    /** Radius, mm. */
    public double radius() {
        return start.distance(end) * (1 + bulge * bulge) / (4 * Math.abs(bulge));
    }

    /** Centre: on the perpendicular bisector of the chord, c (1 - b^2) / 4b to its left. */
    public Point centre() {
        Point chord = end.minus(start);
        double left = (1 - bulge * bulge) / (4 * bulge);
        return start.midpoint(end).plus(chord.left().times(left));
    }

    /** Angle of the start as seen from the centre, radians. */
    public double startAngle() {
        return start.minus(centre()).angle();
    }

    @Override
    public double length() {
        return Measures.length(start.distance(end), bulge);
    }

    /** 1 / radius with the sign of the turn, 1/mm. */
    double curvature() {
        return 4 * bulge / (start.distance(end) * (1 + bulge * bulge));
    }

    /** Unit normal to the left of the travel at the start: that of the chord, half a sweep back. */
    private Point startNormal() {
        double q = 1 + bulge * bulge;
        double cos = (1 - bulge * bulge) / q;
        double sin = 2 * bulge / q;
        Point u = end.minus(start).unit();
        return new Point(u.x() * sin - u.y() * cos, u.x() * cos + u.y() * sin);
    }

    /**
     * The point at parameter t: the end of a chord that has the length c sin(t s / 2) / sin(s / 2)
     * and is turned from the whole chord by (t - 1) s / 2. That needs no centre, which a nearly
     * straight arc has too far away; a nearly closed one has its ends too near, and is taken from
     * the centre.
     */
    @Override
    public Point at(double t) {
        if (t == 0) {
            return start;
        }
        if (t == 1) {
            return end;
        }
        if (Math.abs(bulge) > 1) {
            Point centre = centre();
            return centre.plus(start.minus(centre).rotated(t * sweep()));
        }
        double half = sweep() / 2;
        double share = Math.sin(t * half) / Math.sin(half);
        return start.plus(end.minus(start).times(share).rotated((t - 1) * half));
    }

    /** Half a bulge of the chord to its right. */
    @Override
    public Point middle() {
        return start.midpoint(end).minus(end.minus(start).left().times(bulge / 2));
    }

    @Override
    public Point direction(double t) {
        Point chord = end.minus(start).unit();
        if (t != 0 && t != 1) {
            return chord.rotated((t - 0.5) * sweep());
        }
        // half the sweep without an angle: programs ask for millions of ends
        double q = 1 + bulge * bulge;
        double cos = (1 - bulge * bulge) / q;
        double sin = (t == 0 ? -2 : 2) * bulge / q;
        return new Point(chord.x() * cos - chord.y() * sin, chord.x() * sin + chord.y() * cos);
    }

    /**
     * Parameter of the direction from the centre to {@code p}: within [0, 1] when that direction
     * meets the arc, otherwise outside, on the nearer side.
     */
    double parameterOf(Point p) {
        if (Math.abs(bulge) < STRAIGHT) {
            Point along = end.minus(start);
            return p.minus(start).dot(along) / along.dot(along);
        }
        Point normal = startNormal();
        // from the centre, start and p lie along -n / k and -(n - k (p - start)) / k
        return parameterOf(normal, normal.minus(p.minus(start).times(curvature())));
    }

    /** Parameter of the place whose radius is turned from the start's as {@code to} is. */
    private double parameterOf(Point from, Point to) {
        double turn = Math.atan2(from.cross(to), from.dot(to));
        double ahead = isLeft() ? turn : -turn;
        double whole = Math.abs(sweep());
        // seen from the start, p is between -pi and pi ahead; beyond the middle of the gap it is
        // nearer to the end when counted the other way round
        double gapMiddle = (2 * Math.PI - whole) / 2;
        double forward = ahead < 0 ? ahead + 2 * Math.PI : ahead;
        return (forward > whole + gapMiddle ? forward - 2 * Math.PI : forward) / whole;
    }

    @Override
    public double nearest(Point p) {
        return Math.max(0, Math.min(1, parameterOf(p)));
    }

    @Override
    public Arc reversed() {
        return new Arc(end, start, -bulge);
    }

    @Override
    public Arc between(double from, double to) {
        return new Arc(at(from), at(to), Math.tan(sweep() * (to - from) / 4));
    }

    @Override
    public Arc withEnds(Point newStart, Point newEnd) {
        return new Arc(newStart, newEnd, bulge);
    }

    @Override
    public Optional<Segment> parallel(double left) {
        if (!(1 - curvature() * left > 1e-12)) {
            return Optional.empty();
        }
        Point newStart = start.plus(direction(0).left().times(left));
        Point newEnd = end.plus(direction(1).left().times(left));
        return Optional.of(new Arc(newStart, newEnd, bulge));
    }

    @Override
    public Arc transformed(Transform transform) {
        transform.requireSimilarity();
        double newBulge = transform.isMirrored() ? -bulge : bulge;
        return new Arc(transform.apply(start), transform.apply(end), newBulge);
    }

    @Override
    public Box box() {
        double lowX = Math.min(start.x(), end.x());
        double lowY = Math.min(start.y(), end.y());
        double highX = Math.max(start.x(), end.x());
        double highY = Math.max(start.y(), end.y());
        Point normal = startNormal();
        Point chord = end.minus(start).unit();
        for (Point extreme : QUADRANTS) {
            double t = mayPass(normal, chord, extreme) ? parameterOf(normal, extreme) : 0;
            if (t > 0 && t < 1) {
                Point p = at(t);
                lowX = Math.min(lowX, p.x());
                lowY = Math.min(lowY, p.y());
                highX = Math.max(highX, p.x());
                highY = Math.max(highY, p.y());
            }
        }
        return new Box(new Point(lowX, lowY), new Point(highX, highY));
    }

    /** Whether the normal may turn through a direction between the ends: a quick test. */
    private boolean mayPass(Point startNormal, Point chord, Point direction) {
        // the normal at the end is that of the start, mirrored at the normal of the chord
        double along = startNormal.dot(chord);
        Point endNormal = startNormal.minus(chord.times(2 * along));
        double fromStart = bulge * startNormal.cross(direction);
        double toEnd = bulge * direction.cross(endNormal);
        boolean isMinor = Math.abs(bulge) <= 1;
        return isMinor ? fromStart >= 0 && toEnd >= 0 : fromStart >= 0 || toEnd >= 0;
    }

    /** Normals of the places where an arc can be highest, lowest, farthest left or right. */
    private static final Point[] QUADRANTS = {
        new Point(1, 0), new Point(0, 1), new Point(-1, 0), new Point(0, -1)
    };

    @Override
    public <R> R fold(Function<Line, R> line, Function<Arc, R> arc) {
        return arc.apply(this);
    }
}
