package dev.oleander.work.wire.proof;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;

/**
 * A line or circle that a controller moves and joins to others, with a place by its length from
 * where the programmed element began.
 *
 * @param from a point of it at the length 0
 * @param ahead unit vector there
 * @param curvature 1/mm, above 0 turning left, 0 for a line
 * @param length of the programmed element after it was moved, mm
 */
record GuideCurve(Point from, Point ahead, double curvature, double length) {

    private static final int MOST_STEPS = 60;
    private static final double SMALL = 1e-12;

    static GuideCurve of(Segment segment) {
        double curvature = 0;
        if (segment instanceof Arc arc) {
            curvature = (arc.isLeft() ? 1 : -1) / arc.radius();
        }
        return new GuideCurve(segment.start(), segment.direction(0), curvature, segment.length());
    }

    /** Moved to its left; null when a circle has no radius left. */
    GuideCurve moved(double left) {
        Point start = from.plus(ahead.left().times(left));
        double share = 1 - left * curvature;
        if (curvature != 0 && share <= 0) {
            return null;
        }
        return new GuideCurve(start, ahead, curvature / share, length * share);
    }

    Point at(double s) {
        if (curvature == 0) {
            return from.plus(ahead.times(s));
        }
        double turn = s * curvature;
        return from.plus(ahead.times(Math.sin(turn) / curvature))
                .plus(ahead.left().times((1 - Math.cos(turn)) / curvature));
    }

    Point direction(double s) {
        return curvature == 0 ? ahead : ahead.rotated(s * curvature);
    }

    Point end() {
        return at(length);
    }

    /** Centre of a circle. */
    Point centre() {
        return from.plus(ahead.left().times(1 / curvature));
    }

    /**
     * Where two curves meet, by Newton's method in both lengths: begun at the end of the first and
     * the start of the second.
     *
     * @return lengths on both; null when they do not meet
     */
    static double[] meet(GuideCurve a, GuideCurve b) {
        double s = a.length;
        double t = 0;
        for (int step = 0; step < MOST_STEPS; step++) {
            Point gap = b.at(t).minus(a.at(s));
            if (gap.norm() < SMALL) {
                return new double[] {s, t};
            }
            Point u = a.direction(s);
            Point v = b.direction(t);
            double cross = u.cross(v);
            if (Math.abs(cross) < SMALL) {
                return null;
            }
            s += gap.cross(v) / cross;
            t += gap.cross(u) / cross;
        }
        return b.at(t).minus(a.at(s)).norm() < 1e-7 ? new double[] {s, t} : null;
    }

    /** The stretch between two places. */
    Segment between(double s, double t, Point start, Point end) {
        return curvature == 0
                ? new Line(start, end)
                : new Arc(start, end, Math.tan((t - s) * curvature / 4));
    }
}
