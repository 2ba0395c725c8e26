package dev.oleander.winding.path;

import dev.oleander.winding.surface.Meridian;
import dev.oleander.winding.surface.SurfacePoint;
import dev.oleander.winding.surface.WindingException;
import java.util.ArrayList;
import java.util.List;

/**
 * Angles over x. Between rows cubics that rise and fall only where the rows do (F. N. Fritsch, R.
 * E. Carlson, SIAM J. Numer. Anal. 17 (1980) 238, with the harmonic mean of slopes), of the square
 * of the cosine: that is what a band loses evenly as it comes to its turn. Before the first row and
 * behind the last their angles go on.
 */
final class TableLaw {

    private static final double RIGHT_ANGLE = Math.PI / 2;
    private static final double NEAR = 1e-9;

    private final Meridian meridian;
    private final LayerLaw.Table law;
    private final double[] slopes;

    TableLaw(Meridian meridian, LayerLaw.Table law) {
        this.meridian = meridian;
        this.law = law;
        requireRows();
        this.slopes = slopes(law.rows());
    }

    private void requireRows() {
        List<LayerLaw.Table.Row> rows = law.rows();
        if (rows.size() < 2) {
            throw new WindingException("A table of angles has at least two rows.");
        }
        for (int i = 0; i < rows.size(); i++) {
            double angle = rows.get(i).angle();
            if (!(angle > 0 && angle <= RIGHT_ANGLE + NEAR)) {
                throw new WindingException(
                        "Row %d: angle %.4g; it is more than 0 and at most 90 degrees.",
                        i + 1, Math.toDegrees(angle));
            }
            if (isTurn(rows.get(i)) && i > 0 && i + 1 < rows.size()) {
                throw new WindingException(
                        "Row %d: 90 degrees between others; the band turns there, so it must be"
                                + " the first row or the last.",
                        i + 1);
            }
            if (i > 0 && !(rows.get(i).x() > rows.get(i - 1).x())) {
                throw new WindingException(
                        "Row %d: x = %.4g comes again; x must rise from row to row.",
                        i + 1, rows.get(i).x());
            }
        }
    }

    private static boolean isTurn(LayerLaw.Table.Row row) {
        return Math.abs(row.angle() - RIGHT_ANGLE) <= NEAR;
    }

    private static double square(LayerLaw.Table.Row row) {
        double cos = Math.cos(row.angle());
        return isTurn(row) ? 0 : cos * cos;
    }

    private static double[] slopes(List<LayerLaw.Table.Row> rows) {
        int n = rows.size();
        double[] step = new double[n - 1];
        for (int i = 0; i + 1 < n; i++) {
            step[i] =
                    (square(rows.get(i + 1)) - square(rows.get(i)))
                            / (rows.get(i + 1).x() - rows.get(i).x());
        }
        double[] slopes = new double[n];
        slopes[0] = step[0];
        slopes[n - 1] = step[n - 2];
        for (int i = 1; i + 1 < n; i++) {
            slopes[i] =
                    step[i - 1] * step[i] <= 0
                            ? 0
                            : 2 * step[i - 1] * step[i] / (step[i - 1] + step[i]);
        }
        return slopes;
    }

    /** cos alpha, squared. */
    private double square(double x) {
        List<LayerLaw.Table.Row> rows = law.rows();
        if (x <= rows.get(0).x()) {
            return square(rows.get(0));
        }
        for (int i = 1; i < rows.size(); i++) {
            if (x <= rows.get(i).x()) {
                double h = rows.get(i).x() - rows.get(i - 1).x();
                double t = (x - rows.get(i - 1).x()) / h;
                double back = 1 - t;
                return (1 + 2 * t) * back * back * square(rows.get(i - 1))
                        + t * back * back * h * slopes[i - 1]
                        + t * t * (3 - 2 * t) * square(rows.get(i))
                        - t * t * back * h * slopes[i];
            }
        }
        return square(rows.get(rows.size() - 1));
    }

    /** From the middle between the rows that do not turn. */
    Circuit circuit() {
        double reference = reference();
        return new Circuit(
                leg(new Toward(meridian, reference, Side.RIGHT)),
                leg(new Toward(meridian, reference, Side.LEFT)),
                law.ends().right().dwell(),
                law.ends().left().dwell());
    }

    private double reference() {
        List<LayerLaw.Table.Row> rows = law.rows();
        double from = Math.max(meridian.leastX(), rows.get(0).x());
        double to = Math.min(meridian.greatestX(), rows.get(rows.size() - 1).x());
        if (!(from < to)) {
            throw new WindingException("The table of angles lies beside the mandrel.");
        }
        return meridian.mAt((from + to) / 2);
    }

    private Leg leg(Toward toward) {
        List<Double> breaks = new ArrayList<>();
        for (LayerLaw.Table.Row row : law.rows()) {
            if (row.x() > meridian.leastX() && row.x() < meridian.greatestX()) {
                breaks.add(toward.y(meridian.mAt(row.x())));
            }
        }
        double end = end(toward);
        ByCurve angles = new ByCurve(toward, y -> c(toward.at(y)), breaks, end);
        return law.ends().at(toward.side()).pins()
                ? Leg.pinned(toward, angles)
                : Leg.turning(toward, angles, end);
    }

    private double c(SurfacePoint at) {
        return at.r() * Math.sqrt(Math.max(0, 1 - square(at.x())));
    }

    /** A row of 90 degrees, or the pins. */
    private double end(Toward toward) {
        if (law.ends().at(toward.side()).pins()) {
            return toward.length();
        }
        List<LayerLaw.Table.Row> rows = law.rows();
        LayerLaw.Table.Row last = rows.get(toward.side() == Side.RIGHT ? rows.size() - 1 : 0);
        if (!isTurn(last)) {
            throw new WindingException(
                    "It does not turn on the %s: no row has 90 degrees there. Give one, or pins.",
                    toward.side().word());
        }
        return toward.y(meridian.mAt(last.x()));
    }
}
