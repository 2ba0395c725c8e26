package dev.oleander.drawing.picture;

/** Linear equations, by elimination with the greatest pivots. */
final class Equations {

    private Equations() {}

    /**
     * @param rows coefficients and the right side; changed
     * @return null when there is no single solution
     */
    static double[] solved(double[][] rows) {
        int n = rows.length;
        for (int k = 0; k < n; k++) {
            pivot(rows, k);
            if (!(Math.abs(rows[k][k]) > 1e-14)) {
                return null;
            }
            for (int i = k + 1; i < n; i++) {
                double factor = rows[i][k] / rows[k][k];
                if (factor != 0) {
                    for (int j = k; j <= n; j++) {
                        rows[i][j] -= factor * rows[k][j];
                    }
                }
            }
        }
        double[] x = new double[n];
        for (int i = n - 1; i >= 0; i--) {
            double sum = rows[i][n];
            for (int j = i + 1; j < n; j++) {
                sum -= rows[i][j] * x[j];
            }
            x[i] = sum / rows[i][i];
        }
        return x;
    }

    private static void pivot(double[][] rows, int k) {
        int best = k;
        for (int i = k + 1; i < rows.length; i++) {
            if (Math.abs(rows[i][k]) > Math.abs(rows[best][k])) {
                best = i;
            }
        }
        double[] row = rows[k];
        rows[k] = rows[best];
        rows[best] = row;
    }
}
