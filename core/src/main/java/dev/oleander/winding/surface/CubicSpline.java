package dev.oleander.winding.surface;

/**
 * A curve of cubics that meet with equal slopes and bends, through values at rising places. Without
 * anything said of its ends the first two stretches are one cubic, and the last two (C. de Boor, A
 * Practical Guide to Splines, 1978, chapter IV: not-a-knot).
 */
final class CubicSpline {

    private final double[] t;
    private final double[] y;
    private final double[] bends;

    private CubicSpline(double[] t, double[] y, double[] bends) {
        this.t = t;
        this.y = y;
        this.bends = bends;
    }

    /** With second derivatives that are known. */
    static CubicSpline withBends(double[] t, double[] y, double[] bends) {
        return new CubicSpline(t, y, bends);
    }

    /** Through all values. */
    static CubicSpline through(double[] t, double[] y) {
        int n = t.length;
        double[] bends = new double[n];
        if (n == 3) {
            double bend = 2 * (step(t, y, 1) - step(t, y, 0)) / (t[2] - t[0]);
            return new CubicSpline(t, y, new double[] {bend, bend, bend});
        }
        if (n > 3) {
            solve(t, y, bends);
        }
        return new CubicSpline(t, y, bends);
    }

    private static double step(double[] t, double[] y, int i) {
        return (y[i + 1] - y[i]) / (t[i + 1] - t[i]);
    }

    private static void solve(double[] t, double[] y, double[] bends) {
        int n = t.length;
        double[] below = new double[n];
        double[] main = new double[n];
        double[] above = new double[n];
        double[] right = new double[n];
        for (int i = 1; i + 1 < n; i++) {
            double before = t[i] - t[i - 1];
            double after = t[i + 1] - t[i];
            below[i] = before;
            main[i] = 2 * (before + after);
            above[i] = after;
            right[i] = 6 * (step(t, y, i) - step(t, y, i - 1));
        }
        double left = (t[1] - t[0]) / (t[2] - t[1]);
        main[1] += (t[1] - t[0]) * (1 + left);
        above[1] -= (t[1] - t[0]) * left;
        double last = (t[n - 1] - t[n - 2]) / (t[n - 2] - t[n - 3]);
        main[n - 2] += (t[n - 1] - t[n - 2]) * (1 + last);
        below[n - 2] -= (t[n - 1] - t[n - 2]) * last;
        for (int i = 2; i + 1 < n; i++) {
            double share = below[i] / main[i - 1];
            main[i] -= share * above[i - 1];
            right[i] -= share * right[i - 1];
        }
        for (int i = n - 2; i >= 1; i--) {
            bends[i] = (right[i] - above[i] * bends[i + 1]) / main[i];
        }
        bends[0] = bends[1] + left * (bends[1] - bends[2]);
        bends[n - 1] = bends[n - 2] + last * (bends[n - 2] - bends[n - 3]);
    }

    int stretches() {
        return t.length - 1;
    }

    double from(int stretch) {
        return t[stretch];
    }

    double to(int stretch) {
        return t[stretch + 1];
    }

    /** Value and first and second derivative within a stretch. */
    double[] at(int i, double place) {
        double h = t[i + 1] - t[i];
        double b = (place - t[i]) / h;
        double a = 1 - b;
        double value =
                a * y[i]
                        + b * y[i + 1]
                        + ((a * a * a - a) * bends[i] + (b * b * b - b) * bends[i + 1]) * h * h / 6;
        double slope =
                (y[i + 1] - y[i]) / h
                        + ((3 * b * b - 1) * bends[i + 1] - (3 * a * a - 1) * bends[i]) * h / 6;
        return new double[] {value, slope, a * bends[i] + b * bends[i + 1]};
    }
}
