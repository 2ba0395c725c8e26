package dev.oleander.bench;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import java.util.Arrays;
import java.util.List;

/**
 * The fewest arcs through a polyline by dynamic programming over its points; the yardstick of the
 * fit. Whether one arc will do between two points is tried with the arcs through each point
 * between, moved by the tolerance to either side: if any arc will do, one of those that touch the
 * limits will.
 */
final class FewestArcs {

    private static final int HALVINGS = 40;

    private final List<Point> points;
    private final double tolerance;

    FewestArcs(List<Point> points, double tolerance) {
        this.points = points;
        this.tolerance = tolerance;
    }

    int count() {
        int n = points.size();
        int[] best = new int[n];
        Arrays.fill(best, Integer.MAX_VALUE / 2);
        best[0] = 0;
        for (int i = 0; i < n - 1; i++) {
            int misses = 0;
            // a few misses in a row mean that no longer stretch will do either
            for (int j = i + 1; j < n && misses < 5; j++) {
                if (fits(i, j)) {
                    misses = 0;
                    best[j] = Math.min(best[j], best[i] + 1);
                } else {
                    misses++;
                }
            }
        }
        return best[n - 1];
    }

    /** Halves the interval of bulges by the side on which the worst point lies. */
    private boolean fits(int i, int j) {
        if (j == i + 1) {
            return true;
        }
        double low = -1;
        double high = 1;
        for (int h = 0; h < HALVINGS; h++) {
            double bulge = (low + high) / 2;
            Segment arc = Segment.of(points.get(i), points.get(j), bulge);
            double highest = 0;
            double lowest = 0;
            for (int k = i + 1; k < j; k++) {
                double left = leftOf(arc, points.get(k));
                highest = Math.max(highest, left);
                lowest = Math.min(lowest, left);
            }
            if (highest <= tolerance && lowest >= -tolerance) {
                return true;
            }
            if (highest > tolerance && lowest < -tolerance) {
                return false;
            }
            // a larger bulge moves the arc to the right, which leaves points farther to its left
            if (highest > tolerance) {
                high = bulge;
            } else {
                low = bulge;
            }
        }
        return false;
    }

    private static double leftOf(Segment arc, Point p) {
        double t = arc.nearest(p);
        Point away = p.minus(arc.at(t));
        double side = arc.direction(t).cross(away);
        return Math.copySign(away.norm(), side);
    }
}
