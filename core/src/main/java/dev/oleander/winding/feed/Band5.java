package dev.oleander.winding.feed;

import dev.oleander.winding.eye.WindingAxis;
import dev.oleander.winding.series.FiveDiagonals;
import java.util.ArrayList;
import java.util.List;

/** What accelerations and jerks of axes ask of squares of speeds at three neighbouring places. */
final class Band5 {

    private final double[] grid;
    private final double[][][] derivatives;
    private final double[] accelerations;
    private final double[] jerks;

    /** Shares of three neighbours in a value and its first and second slope. */
    private final double[][] slopes;

    private final double[][] bends;

    Band5(AxisWay way, AxisLimits limits, double[] grid) {
        this.grid = grid;
        int n = grid.length;
        List<WindingAxis> axes = way.axes();
        this.derivatives = new double[n][][];
        this.slopes = new double[n][];
        this.bends = new double[n][];
        this.accelerations = axes.stream().mapToDouble(a -> limits.of(a).acceleration()).toArray();
        this.jerks = axes.stream().mapToDouble(a -> limits.of(a).jerk()).toArray();
        for (int i = 1; i + 1 < n; i++) {
            derivatives[i] = way.derivatives(grid[i]);
            double a = grid[i] - grid[i - 1];
            double b = grid[i + 1] - grid[i];
            slopes[i] = new double[] {-b / (a * (a + b)), (b - a) / (a * b), a / (b * (a + b))};
            bends[i] = new double[] {2 / (a * (a + b)), -2 / (a * b), 2 / (b * (a + b))};
        }
    }

    /**
     * A sum of three neighbours that must lie between both signs of its limit.
     *
     * @param at the middle one
     */
    record Row(int at, double before, double here, double after, double limit) {

        double of(double[] z) {
            return before * z[at - 1] + here * z[at] + after * z[at + 1];
        }

        /** Adds what its barrier asks for; diagonals of a symmetric matrix from the main one on. */
        void barrier(double[] z, double mu, double[] gradient, double[][] matrix) {
            double value = of(z);
            double up = limit - value;
            double down = limit + value;
            double push = -mu / up + mu / down;
            double stiff = mu / (up * up) + mu / (down * down);
            double[] shares = {before, here, after};
            for (int i = 0; i < 3; i++) {
                gradient[at - 1 + i] += push * shares[i];
                for (int k = i; k < 3; k++) {
                    matrix[k - i][at - 1 + i] += stiff * shares[i] * shares[k];
                }
            }
        }

        double furthest(double[] z, double[] step) {
            double value = of(z);
            double change = before * step[at - 1] + here * step[at] + after * step[at + 1];
            if (change > 0) {
                return 0.95 * (limit - value) / change;
            }
            return change < 0 ? -0.95 * (limit + value) / change : 1;
        }
    }

    /**
     * @param z0 squares of the round before
     */
    List<Row> rows(double[] z0) {
        List<Row> rows = new ArrayList<>();
        for (int i = 1; i + 1 < grid.length; i++) {
            for (int k = 0; k < jerks.length; k++) {
                if (Double.isFinite(accelerations[k])) {
                    rows.add(row(i, acceleration(i, k), accelerations[k]));
                }
                if (Double.isFinite(jerks[k])) {
                    rows.add(row(i, jerk(i, k), jerks[k] / Math.sqrt(z0[i])));
                }
            }
        }
        return rows;
    }

    private static Row row(int at, double[] shares, double limit) {
        return new Row(at, shares[0], shares[1], shares[2], limit);
    }

    private double[] acceleration(int i, int k) {
        double[] shares = new double[3];
        for (int j = 0; j < 3; j++) {
            shares[j] = derivatives[i][0][k] * slopes[i][j] / 2;
        }
        shares[1] += derivatives[i][1][k];
        return shares;
    }

    private double[] jerk(int i, int k) {
        double[] shares = new double[3];
        for (int j = 0; j < 3; j++) {
            shares[j] =
                    1.5 * derivatives[i][1][k] * slopes[i][j]
                            + derivatives[i][0][k] * bends[i][j] / 2;
        }
        shares[1] += derivatives[i][2][k];
        return shares;
    }

    /** Slowed as a whole by as much as jerk is still passed anywhere: it goes with the cube. */
    double[] slowed(double[] z) {
        double most = 1;
        for (int i = 1; i + 1 < grid.length; i++) {
            for (int k = 0; k < jerks.length; k++) {
                double jerk = Math.sqrt(z[i]) * row(i, jerk(i, k), 0).of(z);
                most = Math.max(most, Math.abs(jerk) / jerks[k]);
            }
        }
        double[] slow = new double[z.length];
        double share = Math.pow(most, -2.0 / 3);
        for (int i = 0; i < z.length; i++) {
            slow[i] = share * z[i];
        }
        return slow;
    }

    /** Both ends stay nothing: they are no unknowns. */
    static double[] solved(double[][] matrix, double[] right) {
        int n = right.length;
        matrix[0][0] = 1;
        matrix[1][0] = 0;
        matrix[2][0] = 0;
        right[0] = 0;
        matrix[0][n - 1] = 1;
        right[n - 1] = 0;
        matrix[1][n - 2] = 0;
        matrix[2][n - 3] = 0;
        return FiveDiagonals.solve(matrix, right);
    }
}
