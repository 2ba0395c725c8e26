package dev.oleander.geometry.fit;

import dev.oleander.geometry.NotFiniteException;
import dev.oleander.geometry.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleFunction;

/**
 * Points along a curve that is given as a function of a parameter (an ellipse, a spline), as many
 * as chords need to stay near it. What {@link ArcFitter} then makes of them is near the curve
 * itself.
 */
public final class CurveSampler {

    /** Halvings that are always done, so that no wave between the first points is missed. */
    private static final int LEAST = 4;

    private static final int MOST = 24;

    /** Places of a stretch at which its chord is compared with the curve. */
    private static final double[] PLACES = {0.5, 0.2, 0.8};

    private final double gap;
    private final int mostPoints;

    /**
     * @param gap greatest distance between the curve and the chord of a stretch, mm
     */
    public CurveSampler(double gap) {
        this(gap, Integer.MAX_VALUE);
    }

    /**
     * @param gap greatest distance between the curve and the chord of a stretch, mm
     * @param mostPoints more are refused
     */
    public CurveSampler(double gap, int mostPoints) {
        if (!(gap > 0)) {
            throw new IllegalArgumentException("gap must be > 0 mm: " + gap);
        }
        this.gap = gap;
        this.mostPoints = mostPoints;
    }

    /**
     * Points from one parameter to another, both included.
     *
     * @throws dev.oleander.geometry.NotFiniteException when the curve has a point that is not
     *     finite
     * @throws FitException when it needs more points than allowed
     */
    public List<Point> points(DoubleFunction<Point> curve, double from, double to) {
        List<Point> points = new ArrayList<>();
        Point start = finite(curve.apply(from));
        points.add(start);
        halve(curve, from, start, to, finite(curve.apply(to)), 0, points);
        return points;
    }

    private void halve(
            DoubleFunction<Point> curve,
            double from,
            Point start,
            double to,
            Point end,
            int depth,
            List<Point> points) {
        if (points.size() >= mostPoints) {
            throw new FitException(
                    start, "the curve needs more than %d points".formatted(mostPoints));
        }
        if (depth >= MOST || depth >= LEAST && isNear(curve, from, start, to, end)) {
            points.add(end);
            return;
        }
        double middle = (from + to) / 2;
        Point between = finite(curve.apply(middle));
        halve(curve, from, start, middle, between, depth + 1, points);
        halve(curve, middle, between, to, end, depth + 1, points);
    }

    private boolean isNear(
            DoubleFunction<Point> curve, double from, Point start, double to, Point end) {
        Point chord = end.minus(start);
        double length = chord.norm();
        for (double place : PLACES) {
            Point away = finite(curve.apply(from + place * (to - from))).minus(start);
            double off = length == 0 ? away.norm() : Math.abs(chord.cross(away)) / length;
            if (off > gap) {
                return false;
            }
        }
        return true;
    }

    private static Point finite(Point p) {
        if (!p.isFinite()) {
            throw new NotFiniteException("the curve has a point that is not finite: " + p);
        }
        return p;
    }
}
