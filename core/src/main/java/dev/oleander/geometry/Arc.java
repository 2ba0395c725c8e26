package dev.oleander.geometry;

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

    public Arc {
        if (!start.isFinite() || !end.isFinite() || !Double.isFinite(bulge)) {
            throw new IllegalArgumentException(
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
        return radius() * Math.abs(sweep());
    }

    @Override
    public Point at(double t) {
        if (t == 0) {
            return start;
        }
        if (t == 1) {
            return end;
        }
        Point centre = centre();
        return centre.plus(start.minus(centre).rotated(t * sweep()));
    }

    @Override
    public Point direction(double t) {
        Point radial = at(t).minus(centre()).unit();
        return isLeft() ? radial.left() : radial.left().times(-1);
    }

    /**
     * Parameter of the direction from the centre to {@code p}: within [0, 1] when that direction
     * meets the arc, otherwise outside, on the nearer side.
     */
    double parameterOf(Point p) {
        Point centre = centre();
        Point from = start.minus(centre);
        Point to = p.minus(centre);
        double turn = Math.atan2(from.cross(to), from.dot(to));
        double ahead = isLeft() ? turn : -turn;
        double whole = Math.abs(sweep());
        // seen from the start, p is between -pi and pi ahead; beyond the middle of the gap it is
        // nearer
        // to the end when counted the other way round
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
        double radius = radius();
        double shifted = isLeft() ? radius - left : radius + left;
        if (!(shifted > radius * 1e-12)) {
            return Optional.empty();
        }
        Point centre = centre();
        double scale = shifted / radius;
        return Optional.of(
                new Arc(
                        centre.plus(start.minus(centre).times(scale)),
                        centre.plus(end.minus(centre).times(scale)),
                        bulge));
    }

    @Override
    public Arc transformed(Transform transform) {
        transform.requireSimilarity();
        double newBulge = transform.isMirrored() ? -bulge : bulge;
        return new Arc(transform.apply(start), transform.apply(end), newBulge);
    }

    @Override
    public Box box() {
        Box box = Box.of(start, end);
        Point centre = centre();
        double radius = radius();
        for (int quarter = 0; quarter < 4; quarter++) {
            Point extreme = centre.plus(QUADRANTS[quarter].times(radius));
            double t = parameterOf(extreme);
            if (t > 0 && t < 1) {
                box = box.union(new Box(extreme, extreme));
            }
        }
        return box;
    }

    private static final Point[] QUADRANTS = {
        new Point(1, 0), new Point(0, 1), new Point(-1, 0), new Point(0, -1)
    };

    @Override
    public double doubleArea(Point from) {
        double sweep = sweep();
        double radius = radius();
        return start.minus(from).cross(end.minus(from))
                + radius * radius * (sweep - Math.sin(sweep));
    }

    @Override
    public <R> R fold(Function<Line, R> line, Function<Arc, R> arc) {
        return arc.apply(this);
    }
}
