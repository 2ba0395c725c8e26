package dev.oleander.winding.path;

import dev.oleander.winding.surface.Meridian;
import dev.oleander.winding.surface.SurfacePoint;
import dev.oleander.winding.surface.WindingException;
import java.util.List;
import java.util.TreeSet;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.ODEStateAndDerivative;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.events.Action;
import org.hipparchus.ode.events.AdaptableInterval;
import org.hipparchus.ode.events.ODEEventDetector;
import org.hipparchus.ode.events.ODEEventHandler;
import org.hipparchus.ode.nonstiff.DormandPrince853Integrator;

/**
 * The other way to the same path: by its length, dm/dl = cos alpha, dphi/dl = sin alpha / r,
 * dalpha/dl = lambda k_n - sin omega sin alpha / r, with Dormand's and Prince's method of eighth
 * order. Slower than {@link Leg}, and shares nothing with it: each checks the other.
 */
public final class ByLength {

    private static final double LEAST_STEP = 1e-9;
    private static final double RELATIVE = 1e-12;
    private static final double ABSOLUTE = 1e-12;

    /** mm past a joint: there the other piece holds for sure. */
    private static final double PAST = 1e-10;

    private static final double TURNED = 1e-9;

    private static final double LONGEST_ANGLE = 100 * 2 * Math.PI;

    private final Meridian meridian;
    private final Steered steered;

    /**
     * lambda by m, positive where it turns the band toward +phi earlier on the way to the right.
     */
    @FunctionalInterface
    public interface Steered {

        double lambda(double m);
    }

    /** Where it stops. */
    public record Reached(double l, double m, double phi, double alpha) {}

    /**
     * @param steered with the sign of the equation: on the left side turned over
     */
    public ByLength(Meridian meridian, Steered steered) {
        this.meridian = meridian;
        this.steered = steered;
    }

    /**
     * From a place to where the band turns.
     *
     * @param breaks m at which the steering changes at once
     */
    public Reached toTurn(double m, double alpha, List<Double> breaks) {
        boolean right = alpha < Math.PI / 2;
        Reached at = new Reached(0, m, 0, alpha);
        TreeSet<Double> all = new TreeSet<>(breaks);
        all.addAll(meridian.joints());
        while (true) {
            Double next = right ? all.higher(at.m() + PAST) : all.lower(at.m() - PAST);
            Reached then = stretch(at, right, next);
            if (Math.abs(then.alpha() - Math.PI / 2) < TURNED) {
                return then;
            }
            if (next == null || Math.abs(then.m() - next) > TURNED) {
                throw new WindingException(
                        "It does not turn within %.0f turns of the mandrel.",
                        LONGEST_ANGLE / (2 * Math.PI));
            }
            at = then;
        }
    }

    private Reached stretch(Reached from, boolean right, Double joint) {
        double longest = meridian.length() / 20;
        DormandPrince853Integrator integrator =
                new DormandPrince853Integrator(LEAST_STEP, longest, ABSOLUTE, RELATIVE);
        integrator.addEventDetector(new Stop(state -> Math.cos(state[2]), longest));
        if (joint != null) {
            integrator.addEventDetector(new Stop(state -> state[0] - joint, longest));
        }
        double middle = joint == null ? (right ? meridian.length() : 0) : joint;
        double low = Math.min(from.m(), middle) + PAST;
        double high = Math.max(from.m(), middle) - PAST;
        ODEStateAndDerivative end =
                integrator.integrate(
                        new Equation(low, high),
                        new ODEState(from.l(), new double[] {from.m(), from.phi(), from.alpha()}),
                        from.l() + LONGEST_ANGLE * meridian.greatestRadius());
        double[] state = end.getPrimaryState();
        return new Reached(end.getTime(), state[0], state[1], state[2]);
    }

    /** Within one piece, so that the integrator never sees a jump. */
    private final class Equation implements OrdinaryDifferentialEquation {

        private final double low;
        private final double high;

        Equation(double low, double high) {
            this.low = low;
            this.high = high;
        }

        @Override
        public int getDimension() {
            return 3;
        }

        @Override
        public double[] computeDerivatives(double l, double[] state) {
            double m = Math.max(low, Math.min(high, state[0]));
            SurfacePoint p = meridian.at(m);
            double c = Math.cos(state[2]);
            double s = Math.sin(state[2]);
            double normal = p.kappaM() * c * c + p.kappaP() * s * s;
            return new double[] {
                c, s / p.r(), steered.lambda(m) * normal - Math.sin(p.omega()) * s / p.r()
            };
        }
    }

    /** Ends the integration where a function of the state changes its sign. */
    private record Stop(java.util.function.ToDoubleFunction<double[]> of, double longest)
            implements ODEEventDetector {

        @Override
        public AdaptableInterval getMaxCheckInterval() {
            return (state, forward) -> longest;
        }

        @Override
        public int getMaxIterationCount() {
            return 200;
        }

        @Override
        public BracketingNthOrderBrentSolver getSolver() {
            return new BracketingNthOrderBrentSolver(0, 1e-13, 0, 5);
        }

        @Override
        public ODEEventHandler getHandler() {
            return (state, detector, increasing) -> Action.STOP;
        }

        @Override
        public double g(ODEStateAndDerivative state) {
            return of.applyAsDouble(state.getPrimaryState());
        }
    }
}
