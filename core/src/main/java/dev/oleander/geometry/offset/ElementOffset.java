package dev.oleander.geometry.offset;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Carriers;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.offset.ElementOffsetException.Cause;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * Parallels of a chain element by element, each at its own distance: as controllers offset a
 * profile, and as the section of leaning flanks moves with height. Unlike {@link Offsetter} it
 * keeps every element, or says which one cannot be kept; it does not look for places far along the
 * chain that come too near.
 */
public final class ElementOffset {

    /** Sine of the turn below which two elements meet smoothly. */
    private static final double SMOOTH = 1e-5;

    /** mm; distances that differ by less are the same. */
    private static final double SAME = 1e-9;

    private static final int NO_ELEMENT = -1;

    private final List<Segment> elements;
    private final boolean closed;
    private final double[] left;
    private final boolean rounded;
    private final boolean[] keepsRadius;
    private final Segment[] parallels;

    private ElementOffset(
            List<Segment> elements,
            boolean closed,
            double[] left,
            boolean rounded,
            boolean[] keepsRadius) {
        this.elements = elements;
        this.closed = closed;
        this.left = left;
        this.rounded = rounded;
        this.keepsRadius = keepsRadius;
        this.parallels = new Segment[elements.size()];
    }

    /**
     * A piece of the parallel.
     *
     * @param element index of the element it belongs to; -1 for the arc round a corner
     */
    public record Piece(Segment segment, int element) {

        public boolean isCorner() {
            return element == NO_ELEMENT;
        }
    }

    /**
     * At one distance, going round opening corners on an arc about the vertex.
     *
     * @param closed whether the last element ends where the first begins
     * @param left mm to the left of the travel, negative to the right
     * @throws ElementOffsetException when an element cannot be kept
     */
    public static List<Piece> round(List<Segment> elements, boolean closed, double left) {
        double[] all = new double[elements.size()];
        Arrays.fill(all, left);
        return new ElementOffset(elements, closed, all, true, new boolean[all.length]).pieces();
    }

    /**
     * Each at its own distance; neighbours of one distance go round opening corners on an arc, all
     * others run on to where they meet.
     *
     * @param left mm to the left of the travel, by element
     * @throws ElementOffsetException when an element cannot be kept
     */
    public static List<Piece> mixed(List<Segment> elements, boolean closed, double[] left) {
        return new ElementOffset(elements, closed, left, true, new boolean[left.length]).pieces();
    }

    /**
     * Each at its own distance; all run on to where they meet.
     *
     * @param keepsRadius by element, whether an arc between smooth joints keeps its radius and is
     *     moved to where it touches both neighbours
     * @throws ElementOffsetException when an element cannot be kept
     */
    public static List<Piece> sharp(
            List<Segment> elements, boolean closed, double[] left, boolean[] keepsRadius) {
        return new ElementOffset(elements, closed, left, false, keepsRadius).pieces();
    }

    /** Ends of the parallels at the joint before an element. */
    private record Joint(Point end, Point start, Optional<Segment> corner) {

        static Joint at(Point p) {
            return new Joint(p, p, Optional.empty());
        }
    }

    private List<Piece> pieces() {
        int n = elements.size();
        for (int i = 0; i < n; i++) {
            if (!isMoved(i)) {
                parallels[i] = parallel(i);
            }
        }
        for (int i = 0; i < n; i++) {
            if (isMoved(i)) {
                parallels[i] = moved(i);
            }
        }
        Joint[] joints = new Joint[n + 1];
        for (int i = 0; i <= n; i++) {
            joints[i] = joint(i);
        }
        List<Piece> pieces = new ArrayList<>(n + 4);
        for (int i = 0; i < n; i++) {
            final int next = i + 1;
            pieces.add(new Piece(between(i, joints[i].start(), joints[next].end()), i));
            boolean last = next == n && !closed;
            if (!last) {
                joints[next]
                        .corner()
                        .ifPresent(corner -> pieces.add(new Piece(corner, NO_ELEMENT)));
            }
        }
        return pieces;
    }

    private boolean isMoved(int i) {
        return keepsRadius[i] && elements.get(i) instanceof Arc;
    }

    private Segment parallel(int i) {
        Segment element = elements.get(i);
        return element.parallel(left[i])
                .orElseThrow(
                        () -> {
                            double radius = ((Arc) element).radius();
                            return new ElementOffsetException(
                                    Cause.RADIUS, i, element.middle(), radius, Math.abs(left[i]));
                        });
    }

    /** The arc of the same radius that touches the parallels of both neighbours. */
    private Segment moved(int i) {
        int n = elements.size();
        Arc arc = (Arc) elements.get(i);
        int before = (i + n - 1) % n;
        int after = (i + 1) % n;
        double inward = Math.signum(arc.bulge()) * arc.radius();
        Optional<Segment> one = elements.get(before).parallel(left[before] + inward);
        Optional<Segment> other = elements.get(after).parallel(left[after] + inward);
        Point centre =
                one.flatMap(a -> other.flatMap(b -> Carriers.meet(a, b, arc.centre())))
                        .orElseThrow(
                                () ->
                                        new ElementOffsetException(
                                                Cause.APART,
                                                i,
                                                arc.middle(),
                                                left[before],
                                                left[after]));
        Point start = Carriers.foot(parallels[before], centre);
        Point end = Carriers.foot(parallels[after], centre);
        return arc(i, arc, centre, start, end);
    }

    /** The joint before element i; for an open chain also that after the last. */
    private Joint joint(int i) {
        int n = elements.size();
        if (!closed && i == 0) {
            return Joint.at(parallels[0].start());
        }
        if (!closed && i == n) {
            return Joint.at(parallels[n - 1].end());
        }
        int before = (i + n - 1) % n;
        int after = i % n;
        if (isMoved(after)) {
            return Joint.at(parallels[after].start());
        }
        if (isMoved(before)) {
            return Joint.at(parallels[before].end());
        }
        return joint(before, after);
    }

    private Joint joint(int before, int after) {
        Point in = elements.get(before).direction(1);
        Point out = elements.get(after).direction(0);
        double turn = in.cross(out);
        boolean same = Math.abs(left[before] - left[after]) < SAME;
        boolean smooth = Math.abs(turn) < SMOOTH && in.dot(out) > 0;
        Point vertex = elements.get(after).start();
        Point end = parallels[before].end();
        Point start = parallels[after].start();
        if (same && (smooth || left[before] == 0)) {
            return Joint.at(end.distance(start) == 0 ? end : end.midpoint(start));
        }
        if (smooth) {
            // carriers may meet somewhere, but not where one goes on from the other
            throw new ElementOffsetException(Cause.APART, after, vertex, left[before], left[after]);
        }
        boolean opens = turn * left[before] < 0;
        if (same && opens && rounded) {
            double sweep = Math.atan2(turn, in.dot(out));
            return new Joint(end, start, Optional.of(new Arc(end, start, Math.tan(sweep / 4))));
        }
        Point near = vertex.plus(end.minus(vertex).times(0.5)).plus(start.minus(vertex).times(0.5));
        return Carriers.meet(parallels[before], parallels[after], near)
                .map(Joint::at)
                .orElseThrow(
                        () ->
                                new ElementOffsetException(
                                        Cause.APART, after, vertex, left[before], left[after]));
    }

    /** An element of the parallel between two points of its carrier. */
    private Segment between(int i, Point start, Point end) {
        Segment source = elements.get(i);
        if (parallels[i] instanceof Line line) {
            boolean runsOn = end.minus(start).dot(line.direction(0)) > 0;
            if (!runsOn) {
                throw tooShort(i, source);
            }
            return new Line(start, end);
        }
        Arc arc = (Arc) parallels[i];
        return arc(i, arc, arc.centre(), start, end);
    }

    private Segment arc(int i, Arc like, Point centre, Point start, Point end) {
        Point from = start.minus(centre);
        Point to = end.minus(centre);
        double sweep = Math.atan2(from.cross(to), from.dot(to));
        boolean isLeft = like.isLeft();
        if (isLeft && sweep < 0) {
            sweep += 2 * Math.PI;
        } else if (!isLeft && sweep > 0) {
            sweep -= 2 * Math.PI;
        }
        boolean vanished =
                sweep == 0
                        || start.equals(end)
                        || Math.abs(sweep) > Math.abs(like.sweep()) + Math.PI;
        if (vanished) {
            throw tooShort(i, elements.get(i));
        }
        return new Arc(start, end, Math.tan(sweep / 4));
    }

    private ElementOffsetException tooShort(int i, Segment element) {
        return new ElementOffsetException(
                Cause.SHORT, i, element.middle(), element.length(), Math.abs(left[i]));
    }
}
