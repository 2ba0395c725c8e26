package dev.oleander.geometry.fit;

import dev.oleander.geometry.Point;
import java.util.List;

/** Points of an open polyline as flat numbers, without doubles; mm. */
final class Polyline {

    final double[] x;
    final double[] y;
    final int size;

    Polyline(double[] x, double[] y, int size) {
        this.x = x;
        this.y = y;
        this.size = size;
    }

    /**
     * The points with those left out that lie within {@code straight} mm of the line through their
     * neighbours.
     */
    static Polyline of(List<Point> points, double straight) {
        double[] x = new double[points.size()];
        double[] y = new double[points.size()];
        int size = 0;
        for (Point p : points) {
            if (!p.isFinite()) {
                throw new IllegalArgumentException("point not finite: " + p);
            }
            if (size > 0 && x[size - 1] == p.x() && y[size - 1] == p.y()) {
                continue;
            }
            x[size] = p.x();
            y[size++] = p.y();
        }
        return straightened(x, y, size, straight);
    }

    /** A run is closed when a point passed over would lie too far from its chord. */
    private static Polyline straightened(double[] x, double[] y, int n, double straight) {
        double[] keptX = new double[n];
        double[] keptY = new double[n];
        int size = 0;
        int anchor = 0;
        for (int i = 0; i < n; i++) {
            boolean keep = i == 0 || i == n - 1 || !isStraight(x, y, anchor, i + 1, straight);
            if (keep) {
                keptX[size] = x[i];
                keptY[size++] = y[i];
                anchor = i;
            }
        }
        return new Polyline(keptX, keptY, size);
    }

    private static boolean isStraight(double[] x, double[] y, int from, int to, double straight) {
        double dx = x[to] - x[from];
        double dy = y[to] - y[from];
        double chord = Math.sqrt(dx * dx + dy * dy);
        double reached = 0;
        for (int i = from + 1; i < to; i++) {
            double qx = x[i] - x[from];
            double qy = y[i] - y[from];
            double along = (qx * dx + qy * dy) / chord;
            if (Math.abs(dx * qy - dy * qx) > straight * chord || along < reached) {
                return false;
            }
            reached = along;
        }
        return chord > 0 && reached <= chord;
    }

    double length(int edge) {
        double dx = x[edge + 1] - x[edge];
        double dy = y[edge + 1] - y[edge];
        return Math.sqrt(dx * dx + dy * dy);
    }

    /** Signed turn at a point between its two edges, radians. */
    double turn(int i) {
        double ax = x[i] - x[i - 1];
        double ay = y[i] - y[i - 1];
        double bx = x[i + 1] - x[i];
        double by = y[i + 1] - y[i];
        return Math.atan2(ax * by - ay * bx, ax * bx + ay * by);
    }

    double angle(int edge) {
        return Math.atan2(y[edge + 1] - y[edge], x[edge + 1] - x[edge]);
    }

    /**
     * A stretch in which no edge is much longer than the mean, so that its points stand for all of
     * it: long edges get points between.
     *
     * @param share greatest length of an edge over the mean
     */
    Polyline even(int first, int last, double share) {
        double sum = 0;
        for (int i = first; i < last; i++) {
            sum += length(i);
        }
        double most = share * sum / (last - first);
        int total = 1;
        for (int i = first; i < last; i++) {
            total += (int) Math.max(1, Math.ceil(length(i) / most));
        }
        double[] evenX = new double[total];
        double[] evenY = new double[total];
        int n = 0;
        for (int i = first; i < last; i++) {
            int parts = (int) Math.max(1, Math.ceil(length(i) / most));
            for (int p = 0; p < parts; p++) {
                double t = (double) p / parts;
                evenX[n] = x[i] + t * (x[i + 1] - x[i]);
                evenY[n++] = y[i] + t * (y[i + 1] - y[i]);
            }
        }
        evenX[n] = x[last];
        evenY[n++] = y[last];
        return new Polyline(evenX, evenY, n);
    }
}
