package dev.oleander.winding.series;

import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.nonstiff.ClassicalRungeKuttaIntegrator;

/** Single steps of the classical method of fourth order. */
public final class RungeKutta {

    /** Its own step is never asked for. */
    private static final ClassicalRungeKuttaIntegrator CLASSICAL =
            new ClassicalRungeKuttaIntegrator(1);

    /** What a state changes by. */
    @FunctionalInterface
    public interface Slope {

        double[] of(double at, double[] state);
    }

    private RungeKutta() {}

    /** The state after a step from a place. */
    public static double[] step(Slope slope, double at, double[] state, double by) {
        return CLASSICAL.singleStep(new Equation(slope, state.length), at, state, at + by);
    }

    private record Equation(Slope slope, int dimension) implements OrdinaryDifferentialEquation {

        @Override
        public int getDimension() {
            return dimension;
        }

        @Override
        public double[] computeDerivatives(double at, double[] state) {
            return slope.of(at, state);
        }
    }
}
