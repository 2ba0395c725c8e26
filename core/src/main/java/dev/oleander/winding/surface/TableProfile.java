package dev.oleander.winding.surface;

import dev.oleander.winding.surface.ByParameter.Derivatives;
import java.util.ArrayList;
import java.util.List;

/**
 * A profile through rows of x and r: both are cubic splines over the length of chords, so that flat
 * ends and steep places are no exception.
 */
public final class TableProfile {

    private static final int HALVINGS = 60;
    private static final double NEAR = 1e-9;

    /** Each is a piece of the mandrel, and all bands are looked at piece by piece. */
    private static final int MOST_ROWS = 2000;

    /** A row, mm. */
    public record Row(double x, double r) {}

    /**
     * What came of it.
     *
     * @param moves mm by which each row was moved
     */
    public record Result(Meridian meridian, List<Double> moves) {}

    private TableProfile() {}

    /**
     * @param tolerance mm by which no row moves more; 0: through all rows
     * @throws WindingException naming the row that cannot be
     */
    public static Result of(List<Row> rows, double tolerance) {
        requireRows(rows);
        return curve(rows, tolerance);
    }

    /** The same through places one behind the other, whatever their x. */
    public static Result curve(List<Row> rows, double tolerance) {
        int n = rows.size();
        double[] t = new double[n];
        double[] x = new double[n];
        double[] r = new double[n];
        for (int i = 0; i < n; i++) {
            x[i] = rows.get(i).x();
            r[i] = rows.get(i).r();
            t[i] = i == 0 ? 0 : t[i - 1] + Math.hypot(x[i] - x[i - 1], r[i] - r[i - 1]);
        }
        if (!(tolerance > 0) || n < 4) {
            return result(rows, t, CubicSpline.through(t, x), CubicSpline.through(t, r));
        }
        return smoothed(rows, t, x, r, tolerance);
    }

    private static void requireRows(List<Row> rows) {
        if (rows.size() > MOST_ROWS) {
            throw new WindingException(
                    "The table has %d rows; at most %d.", rows.size(), MOST_ROWS);
        }
        if (rows.size() < 2) {
            throw new WindingException("A table of a profile has at least two rows.");
        }
        for (int i = 0; i < rows.size(); i++) {
            Row row = rows.get(i);
            if (!Double.isFinite(row.x()) || !Double.isFinite(row.r())) {
                throw new WindingException("Row %d: x and r must be numbers.", i + 1);
            }
            if (!(row.r() > 0)) {
                throw new WindingException(
                        "Row %d: radius %.6g mm; it must be > 0.", i + 1, row.r());
            }
            if (i > 0 && !runsOn(rows.get(i - 1), row)) {
                throw new WindingException(
                        "Row %d: x = %.6g comes again; the profile must run on.", i + 1, row.x());
            }
        }
    }

    private static boolean runsOn(Row before, Row row) {
        return row.x() > before.x() + NEAR;
    }

    private static Result smoothed(
            List<Row> rows, double[] t, double[] x, double[] r, double tolerance) {
        SmoothingSpline spline = new SmoothingSpline(t);
        double low = -30;
        double high = 40;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (low + high) / 2;
            double weight = Math.exp(middle);
            if (greatest(spline.of(x, weight).values(), x, spline.of(r, weight).values(), r)
                    <= tolerance) {
                low = middle;
            } else {
                high = middle;
            }
        }
        SmoothingSpline.Smoothed along = spline.of(x, Math.exp(low));
        SmoothingSpline.Smoothed out = spline.of(r, Math.exp(low));
        return result(
                rows,
                t,
                CubicSpline.withBends(t, along.values(), along.bends()),
                CubicSpline.withBends(t, out.values(), out.bends()));
    }

    private static double greatest(double[] x, double[] x0, double[] r, double[] r0) {
        double most = 0;
        for (int i = 0; i < x.length; i++) {
            most = Math.max(most, Math.hypot(x[i] - x0[i], r[i] - r0[i]));
        }
        return most;
    }

    private static Result result(List<Row> rows, double[] t, CubicSpline along, CubicSpline out) {
        List<Piece> pieces = new ArrayList<>();
        List<Double> moves = new ArrayList<>();
        for (int i = 0; i < along.stretches(); i++) {
            int stretch = i;
            pieces.add(
                    new ByParameter(
                            at -> {
                                double[] x = along.at(stretch, at);
                                double[] r = out.at(stretch, at);
                                return new Derivatives(x[0], r[0], x[1], r[1], x[2], r[2]);
                            },
                            along.from(i),
                            along.to(i),
                            1));
        }
        for (int i = 0; i < t.length; i++) {
            int stretch = Math.min(i, along.stretches() - 1);
            moves.add(
                    Math.hypot(
                            along.at(stretch, t[i])[0] - rows.get(i).x(),
                            out.at(stretch, t[i])[0] - rows.get(i).r()));
        }
        return new Result(new Meridian(pieces), moves);
    }
}
