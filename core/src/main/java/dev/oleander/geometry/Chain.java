package dev.oleander.geometry;

import java.util.ArrayList;
import java.util.List;

/** Segments joined end to start: an open {@link Path} or a closed {@link Contour}. */
public sealed interface Chain permits Path, Contour {

    /** At least one segment; each starts exactly where the one before ends. */
    List<Segment> segments();

    Chain reversed();

    Chain transformed(Transform transform);

    default Point start() {
        return segments().get(0).start();
    }

    default Point end() {
        return segments().get(segments().size() - 1).end();
    }

    /** Length along the chain, mm. */
    default double length() {
        return segments().stream().mapToDouble(Segment::length).sum();
    }

    default Box box() {
        return Box.around(segments().stream().map(Segment::box).toList());
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

    /** The place of the chain nearest to a point. */
    default Station nearest(Point p) {
        Station best = null;
        double least = Double.POSITIVE_INFINITY;
        List<Segment> segments = segments();
        for (int i = 0; i < segments.size(); i++) {
            double t = segments.get(i).nearest(p);
            double distance = segments.get(i).at(t).distance(p);
            if (distance < least) {
                least = distance;
                best = new Station(i, t, segments.get(i));
            }
        }
        return best;
    }

    /** Distance along the chain from its start to a station, mm. */
    default double distanceAt(Station station) {
        double sum = 0;
        for (int i = 0; i < station.index(); i++) {
            sum += segments().get(i).length();
        }
        return sum + station.t() * segments().get(station.index()).length();
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

    /** Copies the list and checks that every segment starts where the one before ends. */
    static List<Segment> requireJoined(List<Segment> segments) {
        if (segments.isEmpty()) {
            throw new IllegalArgumentException("a chain needs at least one segment");
        }
        for (int i = 1; i < segments.size(); i++) {
            Point end = segments.get(i - 1).end();
            Point start = segments.get(i).start();
            if (!end.equals(start)) {
                throw new IllegalArgumentException(
                        "segment " + i + " starts at " + start + ", the one before ends at " + end);
            }
        }
        return List.copyOf(segments);
    }

    static List<Segment> reversed(List<Segment> segments) {
        List<Segment> reversed = new ArrayList<>(segments.size());
        for (int i = segments.size() - 1; i >= 0; i--) {
            reversed.add(segments.get(i).reversed());
        }
        return reversed;
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
