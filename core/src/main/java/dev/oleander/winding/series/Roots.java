package dev.oleander.winding.series;

import java.util.function.DoubleUnaryOperator;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/** Where functions are nothing. */
public final class Roots {

    private static final double RELATIVE = 1e-15;
    private static final double ABSOLUTE = 1e-13;
    private static final double VALUE = 1e-15;
    private static final int ORDER = 5;
    private static final int MOST_STEPS = 200;

    private Roots() {}

    /**
     * @param of with different signs at both ends
     */
    public static double between(DoubleUnaryOperator of, double from, double to) {
        return new BracketingNthOrderBrentSolver(RELATIVE, ABSOLUTE, VALUE, ORDER)
                .solve(MOST_STEPS, of::applyAsDouble, Math.min(from, to), Math.max(from, to));
    }
}
