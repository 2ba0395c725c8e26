package dev.oleander.winding.series;

/** Equations in which each unknown meets two neighbours on either side. */
public final class FiveDiagonals {

    private FiveDiagonals() {}

    /**
     * Solves for a symmetric positive matrix, as L D L'.
     *
     * @param matrix the main diagonal and two beside it; used up
     */
    public static double[] solve(double[][] matrix, double[] right) {
        int n = right.length;
        double[] d = matrix[0];
        double[] e = matrix[1];
        double[] f = matrix[2];
        double[] x = right.clone();
        for (int i = 0; i < n; i++) {
            if (i >= 1) {
                // rows above were already divided by their diagonals
                d[i] -= e[i - 1] * e[i - 1] * d[i - 1];
            }
            if (i >= 2) {
                d[i] -= f[i - 2] * f[i - 2] * d[i - 2];
            }
            if (i >= 1 && i + 1 < n) {
                e[i] -= e[i - 1] * f[i - 1] * d[i - 1];
            }
            if (i + 1 < n) {
                e[i] /= d[i];
            }
            if (i + 2 < n) {
                f[i] /= d[i];
            }
        }
        for (int i = 1; i < n; i++) {
            x[i] -= e[i - 1] * x[i - 1] + (i >= 2 ? f[i - 2] * x[i - 2] : 0);
        }
        for (int i = 0; i < n; i++) {
            x[i] /= d[i];
        }
        for (int i = n - 2; i >= 0; i--) {
            x[i] -= e[i] * x[i + 1] + (i + 2 < n ? f[i] * x[i + 2] : 0);
        }
        return x;
    }
}
