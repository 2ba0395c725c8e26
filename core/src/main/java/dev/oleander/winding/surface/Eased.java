package dev.oleander.winding.surface;

import dev.oleander.winding.series.Nodes;
import dev.oleander.winding.series.Series;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;

/**
 * The same mandrel with its slope replaced by the mean over a length: its curvature becomes
 * continuous, so that the eye need not jump; at a joint the shape moves by the jump of curvature
 * times the square of the length over 24.
 */
public final class Eased {

    private static final double NOTHING = 1e-9;

    private Eased() {}

    /**
     * @param ease mm; 0: as it is
     * @param fixed m at which it keeps its place
     */
    public static Meridian of(Meridian meridian, double ease, double fixed) {
        if (!(ease > 0) || meridian.joints().isEmpty()) {
            return meridian;
        }
        if (ease > meridian.length() / 2) {
            throw WindingException.about(
                    "Ease",
                    ease,
                    "must be at most half the profile's "
                            + WindingException.number(meridian.length() / 2, 4)
                            + " mm");
        }
        double[] breaks = breaks(meridian, ease);
        List<double[][]> panels = new ArrayList<>();
        double x = 0;
        double r = 0;
        for (int i = 1; i < breaks.length; i++) {
            double[][] panel = panel(meridian, ease, breaks[i - 1], breaks[i], x, r);
            panels.add(panel);
            double[] along = column(panel, 4);
            x += Nodes.integrals(breaks[i - 1], breaks[i], along)[Nodes.COUNT];
            r += Nodes.integrals(breaks[i - 1], breaks[i], column(panel, 5))[Nodes.COUNT];
        }
        Series.Builder builder = new Series.Builder(0);
        for (int i = 1; i < breaks.length; i++) {
            builder.add(breaks[i], panels.get(i - 1));
        }
        Series series = builder.build();
        SurfacePoint kept = meridian.at(fixed);
        double[] there = series.at(fixed);
        return new Meridian(pieces(series, breaks, kept.x() - there[0], kept.r() - there[1]));
    }

    private static double[] column(double[][] panel, int k) {
        double[] column = new double[panel.length];
        for (int i = 0; i < panel.length; i++) {
            column[i] = panel[i][k];
        }
        return column;
    }

    /** Where the mean begins and ends to see a joint; between them panels of a dome's size. */
    private static double[] breaks(Meridian meridian, double ease) {
        TreeSet<Double> all = new TreeSet<>(List.of(0.0, meridian.length()));
        for (double joint : meridian.joints()) {
            all.add(Math.max(0, joint - ease / 2));
            all.add(Math.min(meridian.length(), joint + ease / 2));
        }
        all.add(ease / 2);
        all.add(meridian.length() - ease / 2);
        List<Double> breaks = new ArrayList<>();
        double longest = meridian.length() / 24;
        for (double next : all) {
            double last = breaks.isEmpty() ? 0 : breaks.get(breaks.size() - 1);
            if (breaks.isEmpty()) {
                breaks.add(0.0);
            } else if (next > last + NOTHING) {
                int parts = (int) Math.ceil((next - last) / longest);
                for (int k = 1; k <= parts; k++) {
                    breaks.add(last + (next - last) * k / parts);
                }
            }
        }
        return breaks.stream().mapToDouble(Double::doubleValue).toArray();
    }

    /** x, r, omega, kappa, and both cosines of the slope, at the nodes. */
    private static double[][] panel(
            Meridian meridian, double ease, double from, double to, double x, double r) {
        double[] cos = new double[Nodes.COUNT];
        double[] sin = new double[Nodes.COUNT];
        double[][] panel = new double[Nodes.COUNT][6];
        for (int k = 0; k < Nodes.COUNT; k++) {
            double m = Nodes.place(from, to, k);
            double omega = mean(meridian, m - ease / 2, m + ease / 2);
            panel[k][2] = omega;
            panel[k][3] =
                    (meridian.beyond(m - ease / 2).omega() - meridian.beyond(m + ease / 2).omega())
                            / ease;
            cos[k] = Math.cos(omega);
            sin[k] = Math.sin(omega);
            panel[k][4] = cos[k];
            panel[k][5] = sin[k];
        }
        double[] along = Nodes.integrals(from, to, cos);
        double[] out = Nodes.integrals(from, to, sin);
        for (int k = 0; k < Nodes.COUNT; k++) {
            panel[k][0] = x + along[k];
            panel[k][1] = r + out[k];
        }
        return panel;
    }

    /** Mean slope between two places, joint by joint. */
    private static double mean(Meridian meridian, double from, double to) {
        TreeSet<Double> cuts = new TreeSet<>(List.of(from, to));
        for (double joint : meridian.joints()) {
            if (joint > from && joint < to) {
                cuts.add(joint);
            }
        }
        for (double end : List.of(0.0, meridian.length())) {
            if (end > from && end < to) {
                cuts.add(end);
            }
        }
        double sum = 0;
        Double last = null;
        for (double next : cuts) {
            if (last != null) {
                double[] slopes = new double[Nodes.COUNT];
                for (int k = 0; k < Nodes.COUNT; k++) {
                    slopes[k] = meridian.beyond(Nodes.place(last, next, k)).omega();
                }
                sum += Nodes.integrals(last, next, slopes)[Nodes.COUNT];
            }
            last = next;
        }
        return sum / (to - from);
    }

    private static List<Piece> pieces(Series series, double[] breaks, double dx, double dr) {
        List<Piece> pieces = new ArrayList<>();
        for (int i = 1; i < breaks.length; i++) {
            pieces.add(new Stretch(series, breaks[i - 1], breaks[i] - breaks[i - 1], dx, dr));
        }
        return pieces;
    }

    /** A part of the whole, by its own length. */
    private record Stretch(Series series, double from, double length, double dx, double dr)
            implements Piece {

        @Override
        public SurfacePoint at(double m) {
            double[] p = series.at(Math.min(from + m, from + length * (1 - 1e-15)));
            return SurfacePoint.of(p[0] + dx, p[1] + dr, p[2], p[3]);
        }
    }
}
