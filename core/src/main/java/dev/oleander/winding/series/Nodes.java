package dev.oleander.winding.series;

/**
 * Chebyshev's nodes of the first kind, with what follows from values at them: the polynomial
 * through them and its integral (J. C. Mason, D. C. Handscomb, Chebyshev Polynomials, 2003,
 * sections 6.3 and 2.4.4). Ends of a panel are no nodes, so that what has no number there can be
 * summed up all the same.
 */
public final class Nodes {

    /** In each panel: a smooth function is met to rounding when its panels are of its own size. */
    public static final int COUNT = 16;

    /** From -1 to 1, rising. */
    private static final double[] PLACES = new double[COUNT];

    private static final double[] WEIGHTS = new double[COUNT];

    /** By node, then by node: integral from -1 to it of the polynomial that is 1 at the other. */
    private static final double[][] INTEGRALS = new double[COUNT + 1][COUNT];

    static {
        for (int i = 0; i < COUNT; i++) {
            double angle = Math.PI * (2 * (COUNT - 1 - i) + 1) / (2.0 * COUNT);
            PLACES[i] = Math.cos(angle);
            WEIGHTS[i] = (i % 2 == 0 ? 1 : -1) * Math.sin(angle);
        }
        for (int j = 0; j < COUNT; j++) {
            double[] coefficients = coefficients(j);
            for (int i = 0; i <= COUNT; i++) {
                INTEGRALS[i][j] = integral(coefficients, i < COUNT ? PLACES[i] : 1);
            }
        }
    }

    private Nodes() {}

    private static double[] coefficients(int j) {
        double[] c = new double[COUNT];
        for (int k = 0; k < COUNT; k++) {
            c[k] = (k == 0 ? 1.0 : 2.0) / COUNT * Math.cos(k * Math.acos(PLACES[j]));
        }
        return c;
    }

    /** From -1. */
    private static double integral(double[] c, double to) {
        double sum = 0;
        for (int k = 0; k < COUNT; k++) {
            sum += c[k] * (whole(k, to) - whole(k, -1));
        }
        return sum;
    }

    /** A function whose derivative is Chebyshev's polynomial of a degree. */
    private static double whole(int k, double x) {
        double angle = Math.acos(Math.max(-1, Math.min(1, x)));
        return switch (k) {
            case 0 -> x;
            case 1 -> x * x / 2;
            default ->
                    Math.cos((k + 1) * angle) / (2.0 * (k + 1))
                            - Math.cos((k - 1) * angle) / (2.0 * (k - 1));
        };
    }

    /** Where a function has to be known. */
    public static double place(double from, double to, int node) {
        return (from + to) / 2 + (to - from) / 2 * PLACES[node];
    }

    /**
     * Integrals from the beginning of a panel to each node, and last to its end.
     *
     * @param values at the nodes
     */
    public static double[] integrals(double from, double to, double[] values) {
        double half = (to - from) / 2;
        double[] sums = new double[COUNT + 1];
        for (int i = 0; i <= COUNT; i++) {
            double sum = 0;
            for (int j = 0; j < COUNT; j++) {
                sum += INTEGRALS[i][j] * values[j];
            }
            sums[i] = half * sum;
        }
        return sums;
    }

    /**
     * Shares of the values at the nodes in the value at a place.
     *
     * @param at -1 to 1 within the panel
     */
    static double[] shares(double at) {
        double[] shares = new double[COUNT];
        double whole = 0;
        for (int i = 0; i < COUNT; i++) {
            double off = at - PLACES[i];
            if (off == 0) {
                double[] only = new double[COUNT];
                only[i] = 1;
                return only;
            }
            shares[i] = WEIGHTS[i] / off;
            whole += shares[i];
        }
        for (int i = 0; i < COUNT; i++) {
            shares[i] /= whole;
        }
        return shares;
    }
}
