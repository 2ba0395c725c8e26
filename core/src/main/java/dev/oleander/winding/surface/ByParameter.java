package dev.oleander.winding.surface;

import java.util.function.DoubleFunction;
import org.hipparchus.analysis.integration.gauss.GaussIntegrator;
import org.hipparchus.analysis.integration.gauss.GaussIntegratorFactory;

/**
 * A curve that is known by a parameter of its own; the arc length is summed up by Gauss's rule in
 * panels, and the parameter at a length found by Newton's method.
 */
final class ByParameter implements Piece {

    private static final int PANELS = 48;
    private static final GaussIntegratorFactory GAUSS = new GaussIntegratorFactory();
    private static final int POINTS = 12;
    private static final int MOST_STEPS = 30;
    private static final double NEAR = 1e-14;

    private final DoubleFunction<Derivatives> curve;
    private final double[] parameters = new double[PANELS + 1];
    private final double[] lengths = new double[PANELS + 1];

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
        this.curve = curve;
        for (int i = 0; i <= PANELS; i++) {
            parameters[i] = from + (to - from) * i / PANELS;
        }
        for (int i = 0; i < PANELS; i++) {
            lengths[i + 1] = lengths[i] + along(parameters[i], parameters[i + 1]);
        }
    }

    private double along(double from, double to) {
        if (from == to) {
            return 0;
        }
        GaussIntegrator gauss = GAUSS.legendre(POINTS, Math.min(from, to), Math.max(from, to));
        return gauss.integrate(u -> curve.apply(u).speed());
    }

    @Override
    public double length() {
        return lengths[PANELS];
    }

    @Override
    public SurfacePoint at(double m) {
        int panel = panel(m);
        double from = parameters[panel];
        double wanted = m - lengths[panel];
        double whole = lengths[panel + 1] - lengths[panel];
        double u = from + (parameters[panel + 1] - from) * wanted / whole;
        double direction = Math.signum(parameters[PANELS] - parameters[0]);
        for (int i = 0; i < MOST_STEPS; i++) {
            double there = Math.signum(u - from) * direction * along(from, u);
            double step = (wanted - there) / curve.apply(u).speed() * direction;
            u += step;
            if (Math.abs(step) <= NEAR * (1 + Math.abs(u))) {
                break;
            }
        }
        return curve.apply(u).point();
    }

    private int panel(double m) {
        int low = 0;
        int high = PANELS - 1;
        while (low < high) {
            int middle = (low + high + 1) >>> 1;
            if (lengths[middle] <= m) {
                low = middle;
            } else {
                high = middle - 1;
            }
        }
        return low;
    }
}
