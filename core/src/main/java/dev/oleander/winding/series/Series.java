package dev.oleander.winding.series;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleFunction;

/** Several smooth functions of one variable, as polynomials in panels that lie side by side. */
public final class Series {

    private final double[] begins;
    private final List<double[][]> panels;

    private Series(double[] begins, List<double[][]> panels) {
        this.begins = begins;
        this.panels = panels;
    }

    /**
     * @param breaks rising; between two of them all functions are smooth
     * @param of their values, asked at the nodes from the first panel to the last
     */
    public static Series of(double[] breaks, DoubleFunction<double[]> of) {
        Builder builder = new Builder(breaks[0]);
        for (int i = 1; i < breaks.length; i++) {
            double[][] values = new double[Nodes.COUNT][];
            for (int k = 0; k < Nodes.COUNT; k++) {
                values[k] = of.apply(Nodes.place(breaks[i - 1], breaks[i], k));
            }
            builder.add(breaks[i], values);
        }
        return builder.build();
    }

    /** Panels one after the other. */
    public static final class Builder {

        private final List<Double> begins = new ArrayList<>();
        private final List<double[][]> panels = new ArrayList<>();

        public Builder(double from) {
            begins.add(from);
        }

        /**
         * @param values by node, then by function
         */
        public Builder add(double to, double[][] values) {
            begins.add(to);
            panels.add(values);
            return this;
        }

        public Series build() {
            return new Series(
                    begins.stream().mapToDouble(Double::doubleValue).toArray(),
                    List.copyOf(panels));
        }
    }

    public double from() {
        return begins[0];
    }

    public double to() {
        return begins[begins.length - 1];
    }

    /** All breaks between panels with both ends. */
    public double[] breaks() {
        return begins.clone();
    }

    /** All functions at a place; beyond an end its panel's polynomial goes on. */
    public double[] at(double x) {
        int panel = panel(x);
        double[] shares = shares(panel, x);
        double[][] values = panels.get(panel);
        double[] sums = new double[values[0].length];
        for (int i = 0; i < shares.length; i++) {
            for (int k = 0; k < sums.length; k++) {
                sums[k] += shares[i] * values[i][k];
            }
        }
        return sums;
    }

    /** One of them. */
    public double at(double x, int function) {
        int panel = panel(x);
        return within(panel, x, function);
    }

    private double within(int panel, double x, int function) {
        double[] shares = shares(panel, x);
        double[][] values = panels.get(panel);
        double sum = 0;
        for (int i = 0; i < shares.length; i++) {
            sum += shares[i] * values[i][function];
        }
        return sum;
    }

    private double[] shares(int panel, double x) {
        double from = begins[panel];
        double to = begins[panel + 1];
        return Nodes.shares(to == from ? 0 : (2 * x - from - to) / (to - from));
    }

    private int panel(double x) {
        int low = 0;
        int high = panels.size() - 1;
        while (low < high) {
            int middle = (low + high + 1) >>> 1;
            if (begins[middle] <= x) {
                low = middle;
            } else {
                high = middle - 1;
            }
        }
        return low;
    }

    /** Where one of them, which rises or falls throughout, has a value; the nearer end beyond. */
    public double where(int function, double value) {
        return where(function, value, from(), to());
    }

    /** See {@link #where(int, double)}, between two places. */
    public double where(int function, double value, double from, double to) {
        double first = at(from, function) - value;
        double last = at(to, function) - value;
        if (first * last >= 0) {
            return Math.abs(first) < Math.abs(last) ? from : to;
        }
        return Roots.between(x -> at(x, function) - value, from, to);
    }

    /** The slope of one of them. */
    public double slope(double x, int function) {
        int panel = panel(x);
        double from = begins[panel];
        double to = begins[panel + 1];
        // differences of fourth order within the polynomial itself, which may go a little beyond
        double h = (to - from) * 2e-3;
        return (8 * (within(panel, x + h, function) - within(panel, x - h, function))
                        - within(panel, x + 2 * h, function)
                        + within(panel, x - 2 * h, function))
                / (12 * h);
    }
}
