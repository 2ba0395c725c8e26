package dev.oleander.geometry;

import dev.oleander.geometry.flat.Edges;
import dev.oleander.geometry.flat.Meeting;
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
        Edges a = edges(first);
        Edges b = edges(second);
        Meeting meeting = new Meeting(tolerance);
        List<Crossing> found = new ArrayList<>(2);
        for (int i = 0; i < a.size(); i++) {
            for (int j = 0; j < b.size(); j++) {
                meeting.find(a, i, b, j);
                for (int n = 0; n < meeting.count(); n++) {
                    addOnce(found, new Point(meeting.x(n), meeting.y(n)), tolerance, first, second);
                }
            }
        }
        found.sort((p, q) -> Double.compare(p.onFirst(), q.onFirst()));
        return found;
    }

    /** A stretch that two segments share, from one end to the other along the first. */
    public record Span(Crossing from, Crossing to) {}

    /**
     * The stretches over which two segments lie on each other; two arcs of one circle can share
     * two.
     *
     * @param tolerance mm; how far apart segments may pass and still lie on each other
     */
    public static List<Span> spans(Segment first, Segment second, double tolerance) {
        List<Crossing> ends = of(first, second, tolerance);
        List<Span> spans = new ArrayList<>(1);
        for (int i = 1; i < ends.size(); i++) {
            Crossing from = ends.get(i - 1);
            Crossing to = ends.get(i);
            Point middle = first.at((from.onFirst() + to.onFirst()) / 2);
            if (second.distance(middle) <= 4 * tolerance) {
                spans.add(new Span(from, to));
            }
        }
        return spans;
    }

    private static Edges edges(Segment segment) {
        Point a = segment.start();
        Point b = segment.end();
        Edges edges = new Edges(2);
        edges.add(a.x(), a.y(), b.x(), b.y(), segment.bulge(), 0);
        return edges;
    }

    /** Arcs of more than half a turn are two edges, the joint of which may be found twice. */
    private static void addOnce(
            List<Crossing> found, Point p, double tolerance, Segment first, Segment second) {
        for (Crossing other : found) {
            if (other.point().distance(p) <= 2 * tolerance) {
                return;
            }
        }
        found.add(new Crossing(p, first.nearest(p), second.nearest(p)));
    }
}
