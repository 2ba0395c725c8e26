package dev.oleander.winding.feed;

import dev.oleander.winding.eye.WindingAxis;
import java.util.List;

/**
 * The same within jerk too (D. Verscheure et al., IEEE Trans. Autom. Control 54 (2009) 2318, convex
 * form): rounds of a linear programme, the greatest sum of z / sqrt(z0), with jerk of an axis
 * sqrt(z) (q''' z + 3/2 q'' z' + 1/2 q' z'') where the root is that of the round before. Each
 * programme is solved from within, by a barrier and Newton's steps; its matrices have five
 * diagonals.
 */
public final class Smooth {

    private static final int ROUNDS = 4;

    /** By how much a square may grow in one round. */
    private static final double GROWTH = 1.5;

    /**
     * Each to a quarter of the one before: the last is 0.03 % of the sum; below it rounding wins.
     */
    private static final int BARRIERS = 7;

    private static final int NEWTON = 40;

    /** Near rest a path begins with the third power of time. */
    private static final double REST = 4.0 / 3;

    private final double[] grid;
    private final Band5 rows;
    private final double[] restless;

    /**
     * @param grid rising l, mm; finer toward both ends
     */
    public Smooth(AxisWay way, AxisLimits limits, double[] grid) {
        this.grid = grid;
        this.rows = new Band5(way, limits, grid);
        this.restless = atRest(way, limits);
    }

    /** Places that lie closer toward both ends, as the cube of their distance from them. */
    public static double[] graded(double length, int parts) {
        double[] grid = new double[parts + 1];
        double ends = 0.06;
        for (int i = 0; i <= parts; i++) {
            double t = (double) i / parts;
            double u = Math.min(t, 1 - t);
            double v = u < ends ? u * u * u / (3 * ends * ends) : u - ends + ends / 3;
            double whole = 0.5 - ends + ends / 3;
            grid[i] = length * (t <= 0.5 ? v / whole / 2 : 1 - v / whole / 2);
        }
        return grid;
    }

    /** The greatest square near rest, by the distance from the nearer end. */
    private double[] atRest(AxisWay way, AxisLimits limits) {
        int n = grid.length;
        double[] most = new double[n];
        double left = jerk(way, limits, grid[0]);
        double right = jerk(way, limits, grid[n - 1]);
        for (int i = 0; i < n; i++) {
            most[i] =
                    Math.min(
                            fromRest(left, grid[i] - grid[0]),
                            fromRest(right, grid[n - 1] - grid[i]));
        }
        return most;
    }

    private static double jerk(AxisWay way, AxisLimits limits, double l) {
        double[] slopes = way.derivatives(l)[0];
        List<WindingAxis> axes = way.axes();
        double least = Double.POSITIVE_INFINITY;
        for (int k = 0; k < axes.size(); k++) {
            least = Math.min(least, limits.of(axes.get(k)).jerk() / Math.abs(slopes[k]));
        }
        return least;
    }

    private static double fromRest(double jerk, double l) {
        return Math.pow(jerk / 2, 2) * Math.pow(6 * l / jerk, REST);
    }

    /**
     * @param quickest squares without jerk, at the grid
     * @return squares within jerk
     */
    public double[] squares(double[] quickest) {
        int n = grid.length;
        double[] z = new double[n];
        for (int i = 1; i + 1 < n; i++) {
            z[i] = Math.max(1e-9, Math.min(quickest[i], restless[i]));
        }
        double[] before = z;
        for (int round = 0; round < ROUNDS; round++) {
            z = new Programme(rows.rows(before), grown(before, quickest), before).solve(z);
            before = z;
        }
        return rows.slowed(z);
    }

    private double[] grown(double[] before, double[] quickest) {
        double[] most = new double[before.length];
        for (int i = 0; i < most.length; i++) {
            most[i] =
                    Math.min(
                            Math.min(GROWTH * before[i], restless[i]),
                            Math.max(1e-9, 1.02 * quickest[i]));
        }
        return most;
    }

    /** One linear programme: rows of at most three neighbouring squares. */
    private final class Programme {

        private final List<Band5.Row> all;
        private final double[] most;
        private final double[] weights;

        Programme(List<Band5.Row> all, double[] most, double[] before) {
            this.all = all;
            this.most = most;
            this.weights = new double[grid.length];
            for (int i = 1; i + 1 < grid.length; i++) {
                weights[i] = (grid[i + 1] - grid[i - 1]) / 2 / Math.sqrt(before[i]);
            }
        }

        double[] solve(double[] start) {
            double[] z = within(start);
            double mu = value(most) / (all.size() + grid.length);
            for (int barrier = 0; barrier < BARRIERS; barrier++) {
                for (int i = 0; i < NEWTON && step(z, mu); i++) {
                    // until a step no longer changes it
                }
                mu /= 4;
            }
            return z;
        }

        /** Everything is linear through nothing: with less of it all rows are kept. */
        private double[] within(double[] start) {
            double share = 0.9;
            for (Band5.Row row : all) {
                double sum = Math.abs(row.of(start));
                share = sum > 0 ? Math.min(share, 0.9 * row.limit() / sum) : share;
            }
            double[] z = new double[start.length];
            for (int i = 1; i + 1 < z.length; i++) {
                z[i] = Math.min(share * start[i], 0.9 * most[i]);
            }
            // what was cut by its own limit may have bent a row: less of all keeps it
            double again = 1;
            for (Band5.Row row : all) {
                double sum = Math.abs(row.of(z));
                again = sum >= row.limit() ? Math.min(again, 0.9 * row.limit() / sum) : again;
            }
            for (int i = 1; i + 1 < z.length; i++) {
                z[i] *= again;
            }
            return z;
        }

        private double value(double[] z) {
            double sum = 0;
            for (int i = 0; i < z.length; i++) {
                sum += weights[i] * z[i];
            }
            return sum;
        }

        /** One step of Newton's; whether it changed anything. */
        private boolean step(double[] z, double mu) {
            int n = z.length;
            double[][] matrix = new double[3][n];
            double[] gradient = new double[n];
            for (int i = 1; i + 1 < n; i++) {
                double up = most[i] - z[i];
                gradient[i] = weights[i] - mu / up + mu / z[i];
                matrix[0][i] = mu / (up * up) + mu / (z[i] * z[i]);
            }
            for (Band5.Row row : all) {
                row.barrier(z, mu, gradient, matrix);
            }
            double[] step = Band5.solved(matrix, gradient);
            double far = furthest(z, step);
            double change = 0;
            for (int i = 1; i + 1 < n; i++) {
                double by = far * step[i];
                change = Math.max(change, Math.abs(by) / z[i]);
                z[i] += by;
            }
            return change > 1e-4;
        }

        /** How much of a step stays inside. */
        private double furthest(double[] z, double[] step) {
            double far = 1;
            for (int i = 1; i + 1 < z.length; i++) {
                if (step[i] > 0) {
                    far = Math.min(far, 0.95 * (most[i] - z[i]) / step[i]);
                } else if (step[i] < 0) {
                    far = Math.min(far, -0.95 * z[i] / step[i]);
                }
            }
            for (Band5.Row row : all) {
                far = Math.min(far, row.furthest(z, step));
            }
            return far;
        }
    }
}
