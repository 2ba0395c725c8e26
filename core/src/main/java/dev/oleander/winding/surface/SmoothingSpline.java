package dev.oleander.winding.surface;

import dev.oleander.winding.series.FiveDiagonals;

/**
 * The smoothest curve that comes near values (C. H. Reinsch, Numer. Math. 10 (1967) 177): of all
 * with such distances the one that bends least.
 */
final class SmoothingSpline {

    private final double[] t;

    SmoothingSpline(double[] t) {
        this.t = t;
    }

    /** Values it goes through, and its second derivatives there. */
    record Smoothed(double[] values, double[] bends) {}

    /**
     * @param weight 0: through all values; more: smoother
     */
    Smoothed of(double[] y, double weight) {
        int n = t.length - 2;
        double[][] matrix = new double[3][n];
        double[] right = new double[n];
        double[][] q = new double[n][];
        for (int i = 0; i < n; i++) {
            double before = t[i + 1] - t[i];
            double after = t[i + 2] - t[i + 1];
            q[i] = new double[] {1 / before, -1 / before - 1 / after, 1 / after};
            right[i] = (y[i + 2] - y[i + 1]) / after - (y[i + 1] - y[i]) / before;
            matrix[0][i] = (before + after) / 3;
            matrix[1][i] = after / 6;
        }
        for (int i = 0; i < n; i++) {
            matrix[0][i] += weight * (q[i][0] * q[i][0] + q[i][1] * q[i][1] + q[i][2] * q[i][2]);
            if (i + 1 < n) {
                matrix[1][i] += weight * (q[i][1] * q[i + 1][0] + q[i][2] * q[i + 1][1]);
            }
            if (i + 2 < n) {
                matrix[2][i] += weight * q[i][2] * q[i + 2][0];
            }
        }
        if (n > 0) {
            matrix[1][n - 1] = 0;
        }
        double[] inner = n == 0 ? right : FiveDiagonals.solve(matrix, right);
        double[] values = y.clone();
        double[] bends = new double[t.length];
        for (int i = 0; i < n; i++) {
            bends[i + 1] = inner[i];
            for (int k = 0; k < 3; k++) {
                values[i + k] -= weight * q[i][k] * inner[i];
            }
        }
        return new Smoothed(values, bends);
    }
}
