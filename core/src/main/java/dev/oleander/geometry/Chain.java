package dev.oleander.geometry;

import dev.oleander.geometry.flat.Vertices;
import java.util.ArrayList;
import java.util.List;

/** Segments joined end to start: an open {@link Path} or a closed {@link Contour}. */
public sealed interface Chain permits Path, Contour {

    /** At least one segment; each starts exactly where the one before ends. */
    List<Segment> segments();

    /** The same chain as flat numbers. */
    Vertices vertices();

    Chain reversed();

    Chain transformed(Transform transform);

    default Point start() {
        return new Point(vertices().x(0), vertices().y(0));
    }

    default Point end() {
        Vertices v = vertices();
        int last = v.isClosed() ? 0 : v.size() - 1;
        return new Point(v.x(last), v.y(last));
    }

    /** Length along the chain, mm. */
    default double length() {
        return vertices().length();
    }

    default Box box() {
        double lowX = Double.POSITIVE_INFINITY;
        double lowY = Double.POSITIVE_INFINITY;
        double highX = Double.NEGATIVE_INFINITY;
        double highY = Double.NEGATIVE_INFINITY;
        for (Segment segment : segments()) {
            Box box = segment.box();
            lowX = Math.min(lowX, box.min().x());
            lowY = Math.min(lowY, box.min().y());
            highX = Math.max(highX, box.max().x());
            highY = Math.max(highY, box.max().y());
        }
        return new Box(new Point(lowX, lowY), new Point(highX, highY));
    }

    /** The segment with the ends farthest apart. */
    default Segment longestSegment() {
        Segment longest = null;
        double most = -1;
        for (Segment segment : segments()) {
            double chord = segment.start().distance(segment.end());
            if (chord > most) {
                most = chord;
                longest = segment;
            }
        }
        return longest;
    }

    /** The place at a distance along the chain, mm, limited to the chain's length. */
    default Station stationAt(double distance) {
        double left = Math.max(0, distance);
        List<Segment> segments = segments();
        for (int i = 0; i < segments.size(); i++) {
            Segment segment = segments.get(i);
            double length = segment.length();
            if (left < length || i == segments.size() - 1) {
                return new Station(i, Math.min(1, left / length), segment);
            }
            left -= length;
        }
        throw new IllegalStateException("chain without segments");
    }

    /** The place of the chain nearest to a point; of equally near ones the first. */
    Station nearest(Point p);

    /** Distance along the chain from its start to a station, mm. */
    default double distanceAt(Station station) {
        double sum = 0;
        for (int i = 0; i < station.index(); i++) {
            sum += segments().get(i).length();
        }
        return sum + station.t() * segments().get(station.index()).length();
    }

    /** The first stretch from the start, of the given length, mm; at most all of it. */
    default List<Segment> beginning(double length) {
        List<Segment> stretch = new ArrayList<>();
        double left = length;
        for (Segment segment : segments()) {
            double here = segment.length();
            if (left <= 1e-9) {
                break;
            }
            stretch.add(left >= here ? segment : segment.between(0, left / here));
            left -= here;
        }
        return stretch;
    }

    /** A place on a chain: the index of its segment and the parameter on it. */
    record Station(int index, double t, Segment segment) {

        public Point point() {
            return segment.at(t);
        }

        public Point direction() {
            return segment.direction(t);
        }
    }

    /**
     * Flat numbers of segments.
     *
     * @throws IllegalArgumentException when a segment does not start where the one before ends, or
     *     a closed chain does not end where it starts
     */
    static Vertices flat(List<Segment> segments, boolean closed) {
        if (segments.isEmpty()) {
            throw new IllegalArgumentException("a chain needs at least one segment");
        }
        int n = segments.size();
        double[] numbers = new double[3 * (closed ? n : n + 1)];
        Point at = segments.get(0).start();
        for (int i = 0; i < n; i++) {
            Segment segment = segments.get(i);
            if (!segment.start().equals(at)) {
                throw new IllegalArgumentException(
                        "segment %d starts at %s, the one before ends at %s"
                                .formatted(i, segment.start(), at));
            }
            numbers[3 * i] = at.x();
            numbers[3 * i + 1] = at.y();
            numbers[3 * i + 2] = segment.bulge();
            at = segment.end();
        }
        if (!closed) {
            numbers[3 * n] = at.x();
            numbers[3 * n + 1] = at.y();
        } else if (!at.equals(segments.get(0).start())) {
            throw new IllegalArgumentException(
                    "contour is open: " + segments.get(0).start() + " to " + at);
        }
        return Vertices.of(numbers, closed);
    }

    /** The segments of flat numbers; neighbours share their points. */
    static List<Segment> segments(Vertices v) {
        List<Segment> segments = new ArrayList<>(v.edges());
        Point first = new Point(v.x(0), v.y(0));
        Point at = first;
        for (int i = 0; i < v.edges(); i++) {
            int end = v.endOf(i);
            Point to = end == 0 ? first : new Point(v.x(end), v.y(end));
            segments.add(Segment.of(at, to, v.bulge(i)));
            at = to;
        }
        return List.copyOf(segments);
    }

    /** Segments so short that their ends fall together at the new place are left out. */
    static List<Segment> transformed(List<Segment> segments, Transform transform) {
        List<Segment> moved = new ArrayList<>(segments.size());
        for (Segment segment : segments) {
            if (!transform.apply(segment.start()).equals(transform.apply(segment.end()))) {
                moved.add(segment.transformed(transform));
            }
        }
        return moved;
    }
}
