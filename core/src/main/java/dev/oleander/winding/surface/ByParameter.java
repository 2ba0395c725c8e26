package dev.oleander.winding.surface;

import dev.oleander.winding.series.Nodes;
import dev.oleander.winding.series.Series;
import java.util.function.DoubleFunction;

/**
 * A curve that is known by a parameter of its own. Its arc length is summed up over the parameter,
 * the parameter found for arc lengths, and place, slope and curvature kept as polynomials of the
 * arc length.
 */
final class ByParameter implements Piece {

    /** Panels of a whole dome; its places are then met within 1e-11 mm. */
    static final int PANELS = 24;

    private final Series byLength;

    /** A place of the curve with its first and second derivatives by the parameter. */
    record Derivatives(double x, double r, double dx, double dr, double ddx, double ddr) {

        double speed() {
            return Math.hypot(dx, dr);
        }

        SurfacePoint point() {
            double speed = speed();
            double kappa = -(dx * ddr - dr * ddx) / (speed * speed * speed);
            return SurfacePoint.of(x, r, Math.atan2(dr, dx), kappa);
        }
    }

    ByParameter(DoubleFunction<Derivatives> curve, double from, double to) {
        this(curve, from, to, PANELS);
    }

    /**
     * @param panels more for a curve that bends more
     */
    ByParameter(DoubleFunction<Derivatives> curve, double from, double to, int panels) {
        double direction = Math.signum(to - from);
        Series lengths = lengths(curve, from, direction, breaks(Math.abs(to - from), panels));
        this.byLength =
                Series.of(
                        breaks(lengths.at(lengths.to(), 0), panels),
                        m -> {
                            double u = from + direction * lengths.where(0, m);
                            SurfacePoint p = curve.apply(u).point();
                            return new double[] {p.x(), p.r(), p.omega(), p.kappaM()};
                        });
    }

    private static double[] breaks(double to, int panels) {
        double[] breaks = new double[panels + 1];
        for (int i = 0; i <= panels; i++) {
            breaks[i] = to * i / panels;
        }
        return breaks;
    }

    private static Series lengths(
            DoubleFunction<Derivatives> curve, double from, double direction, double[] breaks) {
        Series.Builder builder = new Series.Builder(0);
        double sum = 0;
        for (int i = 1; i < breaks.length; i++) {
            double[] speeds = new double[Nodes.COUNT];
            for (int k = 0; k < Nodes.COUNT; k++) {
                double along = Nodes.place(breaks[i - 1], breaks[i], k);
                speeds[k] = curve.apply(from + direction * along).speed();
            }
            double[] sums = Nodes.integrals(breaks[i - 1], breaks[i], speeds);
            double[][] values = new double[Nodes.COUNT][1];
            for (int k = 0; k < Nodes.COUNT; k++) {
                values[k][0] = sum + sums[k];
            }
            builder.add(breaks[i], values);
            sum += sums[Nodes.COUNT];
        }
        return builder.build();
    }

    @Override
    public double length() {
        return byLength.to();
    }

    @Override
    public SurfacePoint at(double m) {
        double[] p = byLength.at(m);
        return SurfacePoint.of(p[0], p[1], p[2], p[3]);
    }
}
