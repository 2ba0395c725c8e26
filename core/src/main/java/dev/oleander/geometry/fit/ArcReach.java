package dev.oleander.geometry.fit;

import dev.oleander.geometry.flat.Edges;

/**
 * How far one arc or line through two points of a polyline can follow it.
 *
 * <p>All arcs from a to b are told apart by their bulge. By the inscribed angle, the one through a
 * point p has the bulge cross / (|ap| |pb| + dot) of ap and pb; moving p by e along the normal
 * changes it by (1 + b^2) / 2 times (1 / |ap| + 1 / |pb|) e, less a cosine. So every point allows
 * an interval of bulges, and the arc exists while the intervals have something in common.
 */
final class ArcReach {

    /** Widest arc: half a turn. */
    private static final double WIDEST = 1;

    private final Polyline line;
    private final double tolerance;

    private final Edges arc = new Edges(1);
    private double low;
    private double high;

    ArcReach(Polyline line, double tolerance) {
        this.line = line;
        this.tolerance = tolerance;
    }

    /**
     * The farthest point, at most {@code last}, that one arc from {@code from} reaches: by doubling
     * steps, then halving the last one.
     */
    int farthest(int from, int last) {
        int good = from + 1;
        int step = 1;
        while (good < last && fits(from, Math.min(last, good + step))) {
            good = Math.min(last, good + step);
            step *= 2;
        }
        int bad = Math.min(last + 1, good + step);
        while (bad - good > 1) {
            int middle = (good + bad) >>> 1;
            if (fits(from, middle)) {
                good = middle;
            } else {
                bad = middle;
            }
        }
        return good;
    }

    /** Whether one arc from point i to point j stays within the tolerance. */
    boolean fits(int i, int j) {
        low = -WIDEST;
        high = WIDEST;
        double[] x = line.x;
        double[] y = line.y;
        double ax = x[i];
        double ay = y[i];
        double bx = x[j];
        double by = y[j];
        double longest = 0;
        double beforeX = ax;
        double beforeY = ay;
        for (int k = i + 1; k < j; k++) {
            double px = x[k] - ax;
            double py = y[k] - ay;
            double qx = bx - x[k];
            double qy = by - y[k];
            double p = Math.sqrt(px * px + py * py);
            double q = Math.sqrt(qx * qx + qy * qy);
            double along = p * q + px * qx + py * qy;
            if (!(along > 1e-6 * p * q)) {
                return false;
            }
            double bulge = (px * qy - py * qx) / along;
            double room = tolerance * slope(bulge, p, q);
            low = Math.max(low, bulge - room);
            high = Math.min(high, bulge + room);
            if (low > high) {
                return false;
            }
            double sx = x[k] - beforeX;
            double sy = y[k] - beforeY;
            longest = Math.max(longest, sx * sx + sy * sy);
            beforeX = x[k];
            beforeY = y[k];
        }
        longest =
                Math.max(
                        longest, (bx - beforeX) * (bx - beforeX) + (by - beforeY) * (by - beforeY));
        return j == i + 1 || keepsToEdges(i, j, longest) && keepsToPoints(i, j);
    }

    /** The intervals hold to first order only, so the arc itself is asked too. */
    private boolean keepsToPoints(int i, int j) {
        arc.clear();
        arc.add(line.x[i], line.y[i], line.x[j], line.y[j], bulge(), 0);
        for (int k = i + 1; k < j; k++) {
            if (!(arc.distance(0, line.x[k], line.y[k]) <= tolerance)) {
                return false;
            }
        }
        return true;
    }

    /** Change of the bulge for a move along the normal, 1/mm: that of a point on the arc. */
    private static double slope(double bulge, double p, double q) {
        // the chords to both ends meet the tangent at half of either sweep; together half of all of
        // it, of which the cosine is (1 - b^2) / (1 + b^2)
        double s = bulge * bulge;
        double share = p / (p + q);
        double half = 2 * bulge / (1 + s);
        double cosP = 1 - half * half * share * share / 2;
        double cosQ = 1 - half * half * (1 - share) * (1 - share) / 2;
        return (1 + s) / 2 * (cosP / p + cosQ / q);
    }

    /** The arc may rise over the polyline's edges by no more than what the points leave. */
    private boolean keepsToEdges(int i, int j, double longestSquared) {
        double chord = Math.hypot(line.x[j] - line.x[i], line.y[j] - line.y[i]);
        double b = bulge();
        double curvature = 4 * Math.abs(b) / (chord * (1 + b * b));
        return longestSquared * curvature / 8 <= tolerance / 2;
    }

    /** The middle of the bulges the last fitting arc may have; 0 when a line will do. */
    double bulge() {
        return low <= 0 && high >= 0 ? 0 : (low + high) / 2;
    }
}
