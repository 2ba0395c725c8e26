package dev.oleander.geometry.enclose;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.flat.ChainWriter;
import dev.oleander.geometry.flat.Vertices;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;

/**
 * The smallest convex contour round chains; arcs that bulge outwards stay arcs.
 *
 * <p>Works on the support function: how far corners and arcs reach in a direction. Between two
 * directions in which different ones reach farthest lies the normal of their common tangent; what
 * reaches farther there comes between them, and both parts are looked at again. Every corner or arc
 * of the hull is found by one question, each about all items: O(h n).
 */
public final class ConvexHull {

    /** Directions asked at first. */
    private static final int FIRST = 8;

    /** Angle of the first one, radians; off the directions that drawings prefer. */
    private static final double SKEW = 0.1234;

    /** Radius over the size from which an arc is taken as so many points. */
    private static final double FLAT = 1e4;

    private static final int POINTS = 64;

    /** Share of the size by which something must reach farther to count. */
    private static final double EXACT = 1e-13;

    /** Angle by which an arc may be left beyond its end, radians. */
    private static final double TURNED = 1e-9;

    /** Share of the size below which sides of the hull are passed over. */
    private static final double CRUMB = 1e-10;

    /** Angle between two directions that are the same, radians. */
    private static final double SAME = 1e-13;

    /**
     * A corner (radius 0) or an arc.
     *
     * @param from angle of the first normal of an arc, radians
     * @param sweep how far its normals turn left from there
     */
    private record Item(Point centre, double radius, double from, double sweep) {

        double reach(double angle) {
            return centre.x() * Math.cos(angle) + centre.y() * Math.sin(angle) + radius;
        }

        boolean faces(double angle) {
            double turned = (angle - from) % (2 * Math.PI);
            double ahead = turned < 0 ? turned + 2 * Math.PI : turned;
            return radius == 0 || ahead <= sweep + TURNED || ahead >= 2 * Math.PI - TURNED;
        }

        Point at(double angle) {
            return radius == 0 ? centre : centre.plus(Point.polar(radius, angle));
        }
    }

    /** From this direction on an item reaches farthest. */
    private record Turn(double angle, Item item) {}

    private final List<Item> items = new ArrayList<>();
    private final List<Turn> turns = new ArrayList<>();
    private double tolerance;

    private ConvexHull(Collection<? extends Chain> chains) {
        double size = 0;
        for (Chain chain : chains) {
            size = Math.max(size, chain.box().magnitude());
        }
        double largest = size;
        for (Chain chain : chains) {
            for (Segment segment : chain.segments()) {
                add(segment, FLAT * size);
            }
        }
        for (Item item : items) {
            largest = Math.max(largest, item.radius());
        }
        tolerance = EXACT * largest;
    }

    /**
     * The hull, anticlockwise.
     *
     * @throws IllegalArgumentException when there are no chains, or all lie on one straight line
     */
    public static Contour of(Collection<? extends Chain> chains) {
        return new ConvexHull(chains).contour();
    }

    /** An arc flatter than that is taken as points: its centre lies too far off to be exact. */
    private void add(Segment segment, double largestRadius) {
        items.add(corner(segment.start()));
        items.add(corner(segment.end()));
        if (!(segment instanceof Arc given)) {
            return;
        }
        if (given.radius() > largestRadius) {
            for (int i = 1; i < POINTS; i++) {
                items.add(corner(given.at((double) i / POINTS)));
            }
            return;
        }
        Arc arc = given.isLeft() ? given : given.reversed();
        items.add(new Item(arc.centre(), arc.radius(), arc.startAngle(), arc.sweep()));
    }

    private static Item corner(Point p) {
        return new Item(p, 0, 0, 2 * Math.PI);
    }

    private Contour contour() {
        if (items.isEmpty()) {
            throw new IllegalArgumentException("a hull needs something to enclose");
        }
        for (int i = 0; i < FIRST; i++) {
            double a = SKEW + 2 * Math.PI * i / FIRST;
            double b = SKEW + 2 * Math.PI * (i + 1) / FIRST;
            Item first = farthest(a);
            turns.add(new Turn(a, first));
            between(a, first, b, farthest(b));
        }
        return written();
    }

    /** Of equally far items the first; an end before the arc it belongs to. */
    private Item farthest(double angle) {
        Item best = null;
        double most = Double.NEGATIVE_INFINITY;
        for (Item item : items) {
            double reach = item.reach(angle);
            if (reach > most + tolerance && item.faces(angle)) {
                most = reach;
                best = item;
            }
        }
        return best;
    }

    /** Finds all turns strictly between two directions. */
    private void between(double a, Item first, double b, Item last) {
        if (b - a < SAME) {
            return;
        }
        double angle = first.equals(last) ? bump(first, a, b) : tangent(first, last, a, b);
        if (Double.isNaN(angle)) {
            return;
        }
        Item middle = farthest(angle);
        double most = middle.reach(angle);
        boolean together =
                !first.equals(last)
                        && first.faces(angle)
                        && last.faces(angle)
                        && first.reach(angle) >= most - 2 * tolerance
                        && last.reach(angle) >= most - 2 * tolerance;
        if (together) {
            turns.add(new Turn(angle, last));
            return;
        }
        between(a, first, angle, middle);
        turns.add(new Turn(angle, middle));
        between(angle, middle, b, last);
    }

    /** Normal of the common tangent: (d - c) . u = r - s; the middle where that lies elsewhere. */
    private static double tangent(Item first, Item last, double a, double b) {
        Point axis = last.centre().minus(first.centre());
        double apart = axis.norm();
        double cos = (first.radius() - last.radius()) / apart;
        // an arc and its own end, or two arcs of one run: they touch where the axis leaves both
        double turn = Math.abs(Math.abs(cos) - 1) < TURNED ? (cos > 0 ? 0 : Math.PI) : acos(cos);
        // two arcs of one circle: the second takes over where it begins
        boolean sameCircle = apart <= TURNED * Math.max(first.radius(), last.radius());
        double angle = sameCircle ? last.from() : axis.angle() - turn;
        double ahead = (angle - a) % (2 * Math.PI);
        double turned = a + (ahead < 0 ? ahead + 2 * Math.PI : ahead);
        turned = turned > a + 2 * Math.PI - TURNED ? a : turned;
        boolean within = turned >= a && turned <= b && first.faces(turned) && last.faces(turned);
        return within ? turned : (a + b) / 2;
    }

    private static double acos(double cosine) {
        return Math.acos(Math.max(-1, Math.min(1, cosine)));
    }

    /** Direction of what reaches farthest beyond the circle of an arc; NaN when nothing does. */
    private double bump(Item arc, double a, double b) {
        double most = arc.radius() + tolerance;
        double found = Double.NaN;
        for (Item item : items) {
            Point away = item.centre().minus(arc.centre());
            double reach = away.norm() + item.radius();
            if (arc.radius() > 0 && reach > most) {
                double ahead = (away.angle() - a) % (2 * Math.PI);
                double angle = a + (ahead < 0 ? ahead + 2 * Math.PI : ahead);
                if (angle > a + SAME && angle < b - SAME && item.faces(angle)) {
                    most = reach;
                    found = angle;
                }
            }
        }
        return found;
    }

    /** Each item from its first to its last direction, joined by straight lines. */
    private Contour written() {
        List<Turn> distinct = new ArrayList<>();
        for (Turn turn : turns) {
            if (distinct.isEmpty() || !last(distinct).item().equals(turn.item())) {
                distinct.add(turn);
            }
        }
        if (distinct.size() > 1 && last(distinct).item().equals(distinct.get(0).item())) {
            Turn begun = distinct.remove(distinct.size() - 1);
            distinct.set(0, new Turn(begun.angle() - 2 * Math.PI, begun.item()));
        }
        if (distinct.size() == 1 && distinct.get(0).item().radius() > 0) {
            return Contour.circle(distinct.get(0).item().centre(), distinct.get(0).item().radius());
        }
        ChainWriter writer = new ChainWriter(CRUMB / EXACT * tolerance);
        for (int i = 0; i < distinct.size(); i++) {
            write(distinct, i, writer);
        }
        Vertices hull = writer.close();
        if (hull == null) {
            throw new IllegalArgumentException("all of the shape lies on one straight line");
        }
        return Contour.of(hull);
    }

    private static void write(List<Turn> turns, int i, ChainWriter writer) {
        Turn turn = turns.get(i);
        boolean last = i + 1 == turns.size();
        Turn next = turns.get(last ? 0 : i + 1);
        double end = last ? next.angle() + 2 * Math.PI : next.angle();
        Item item = turn.item();
        Point arrive = item.at(turn.angle());
        Point leave = item.at(end);
        if (item.radius() > 0) {
            double bulge = Math.tan((end - turn.angle()) / 4);
            writer.add(arrive.x(), arrive.y(), leave.x(), leave.y(), bulge);
        }
        Point to = next.item().at(end);
        writer.add(leave.x(), leave.y(), to.x(), to.y(), 0);
    }

    private static Turn last(List<Turn> turns) {
        return turns.get(turns.size() - 1);
    }
}
