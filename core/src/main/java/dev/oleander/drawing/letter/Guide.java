package dev.oleander.drawing.letter;

import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.edit.EditException;
import dev.oleander.geometry.edit.ParallelPath;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/** The parallel of a chain along which a text runs, measured from its beginning. */
final class Guide {

    /** Sine of the turn between two segments from which their joint is a corner. */
    private static final double CORNER = 1e-6;

    private final List<Segment> segments;
    private final boolean closed;
    private final double[] ends;
    private final double[] corners;

    /**
     * @param left mm to the left of the way
     * @throws LetterException when there is no such parallel
     */
    Guide(Chain chain, double left) {
        this.closed = chain instanceof Contour;
        try {
            this.segments = parallel(chain.segments(), left);
        } catch (EditException none) {
            throw new LetterException("%s", none.getMessage());
        }
        this.ends = new double[segments.size()];
        double sum = 0;
        for (int i = 0; i < ends.length; i++) {
            sum += segments.get(i).length();
            ends[i] = sum;
        }
        this.corners = corners();
    }

    private List<Segment> parallel(List<Segment> of, double left) {
        if (!closed) {
            return ParallelPath.of(new Path(of), left).segments();
        }
        // once more round, so that the last meets the first
        List<Segment> round = new ArrayList<>(of);
        round.add(of.get(0));
        List<Segment> moved = new ArrayList<>(ParallelPath.of(new Path(round), left).segments());
        Segment again = moved.remove(moved.size() - 1);
        moved.set(0, moved.get(0).withEnds(again.start(), moved.get(0).end()));
        return moved;
    }

    double length() {
        return ends[ends.length - 1];
    }

    boolean isClosed() {
        return closed;
    }

    /** A place along it, and the way there. */
    record Place(Point at, Point way) {

        Point left() {
            return new Point(-way.y(), way.x());
        }
    }

    /** Before the beginning and beyond the end it goes on straight, or round. */
    Place at(double along) {
        double s = closed ? along - Math.floor(along / length()) * length() : along;
        int found = Arrays.binarySearch(ends, s);
        int index = Math.min(found >= 0 ? found : -found - 1, ends.length - 1);
        Segment segment = segments.get(index);
        double begin = index == 0 ? 0 : ends[index - 1];
        double t = (s - begin) / segment.length();
        if (t < 0 || t > 1) {
            double end = t < 0 ? 0 : 1;
            Point way = segment.direction(end);
            return new Place(
                    segment.at(end).plus(way.times(s - begin - end * segment.length())), way);
        }
        return new Place(segment.at(t), segment.direction(t));
    }

    /** Whether its way turns at a joint between two places. */
    boolean hasCorner(double from, double to) {
        return Arrays.stream(corners).anyMatch(joint -> lies(joint, from, to));
    }

    /** How far along joints lie at which the way turns. */
    private double[] corners() {
        return IntStream.range(0, segments.size() - (closed ? 0 : 1))
                .filter(this::isCorner)
                .mapToDouble(i -> ends[i])
                .toArray();
    }

    private boolean isCorner(int joint) {
        Point before = segments.get(joint).direction(1);
        Point after = segments.get((joint + 1) % segments.size()).direction(0);
        double turn = before.x() * after.y() - before.y() * after.x();
        return Math.abs(turn) > CORNER || before.x() * after.x() + before.y() * after.y() < 0;
    }

    private boolean lies(double joint, double from, double to) {
        if (!closed) {
            return joint > from && joint < to;
        }
        double first = joint + Math.ceil((from - joint) / length()) * length();
        return first > from && first < to;
    }

    /** How far along it is nearest to a place. */
    double nearest(Point place) {
        double best = 0;
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < segments.size(); i++) {
            Segment segment = segments.get(i);
            double t = segment.nearest(place);
            double far = segment.at(t).distance(place);
            if (far < least - 1e-12) {
                least = far;
                best = ends[i] - segment.length() * (1 - t);
            }
        }
        return best;
    }
}
