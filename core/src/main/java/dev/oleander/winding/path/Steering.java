package dev.oleander.winding.path;

import dev.oleander.winding.series.Nodes;
import dev.oleander.winding.series.Roots;
import dev.oleander.winding.series.Series;
import dev.oleander.winding.surface.SurfacePoint;
import java.util.List;
import java.util.OptionalDouble;

/**
 * A band that is steered evenly from a zone's start: dc/dy = lambda r k_n, which is regular where
 * the band turns (W. Li, L. Lin, ICCM 6, 1987; S. Koussios, Filament winding, Delft 2004). Without
 * steering c is Clairaut's constant.
 *
 * <p>In each panel the polynomial through the nodes that fulfils the equation is found by going
 * round (Picard): the integrals shorten each error.
 */
final class Steering implements Angles {

    private static final int MOST_ROUNDS = 60;
    private static final double STILL = 1e-14;

    private final Series c;
    private final Zone zone;
    private final double turn;

    /**
     * Where a band is steered.
     *
     * @param lambda with its sign
     * @param start mm from the station
     * @param ease mm over which it grows; 0: at once
     */
    record Zone(double lambda, double start, double ease) {

        static final Zone NONE = new Zone(0, 0, 0);

        /** Grows with a slope that is nothing at both ends. */
        double at(double y) {
            if (y < start || lambda == 0) {
                return 0;
            }
            double share = ease > 0 ? Math.min(1, (y - start) / ease) : 1;
            return lambda * share * share * (3 - 2 * share);
        }

        List<Double> breaks() {
            return lambda == 0 ? List.of() : List.of(start, start + ease);
        }
    }

    private Steering(Series c, Zone zone, double turn) {
        this.c = c;
        this.zone = zone;
        this.turn = turn;
    }

    /**
     * As far as the band goes: to its turn, or to the mandrel's end.
     *
     * @param c0 r sin alpha at the station, less than r
     */
    static Steering of(Toward toward, double c0, Zone zone) {
        return to(toward, c0, zone, toward.length(), true);
    }

    /** To a place, also beyond a turn. */
    static Steering to(Toward toward, double c0, Zone zone, double end) {
        return to(toward, c0, zone, end, false);
    }

    private static Steering to(Toward toward, double c0, Zone zone, double end, boolean stopping) {
        double[] breaks = toward.breaks(0, end, zone.breaks());
        Series.Builder builder = new Series.Builder(0);
        double before = c0;
        for (int i = 1; i < breaks.length; i++) {
            double[][] panel = new double[Nodes.COUNT][1];
            before = solve(toward, zone, breaks[i - 1], breaks[i], before, panel);
            builder.add(breaks[i], panel);
            if (stopping && turns(toward, panel, breaks[i - 1], breaks[i], before)) {
                Series c = builder.build();
                return new Steering(c, zone, turn(toward, c, breaks[i - 1], breaks[i]));
            }
        }
        return new Steering(builder.build(), zone, Double.NaN);
    }

    /** Fills a panel; the value at its end. */
    private static double solve(
            Toward toward, Zone zone, double from, double to, double c0, double[][] panel) {
        double[] values = new double[Nodes.COUNT];
        double[] slopes = new double[Nodes.COUNT];
        SurfacePoint[] surface = new SurfacePoint[Nodes.COUNT];
        double[] lambdas = new double[Nodes.COUNT];
        for (int k = 0; k < Nodes.COUNT; k++) {
            double y = Nodes.place(from, to, k);
            surface[k] = toward.at(y);
            lambdas[k] = zone.at(y);
            values[k] = c0;
        }
        double end = c0;
        for (int round = 0; round < MOST_ROUNDS; round++) {
            for (int k = 0; k < Nodes.COUNT; k++) {
                slopes[k] = slope(surface[k], values[k], lambdas[k]);
            }
            double[] sums = Nodes.integrals(from, to, slopes);
            double change = 0;
            for (int k = 0; k < Nodes.COUNT; k++) {
                change = Math.max(change, Math.abs(c0 + sums[k] - values[k]));
                values[k] = c0 + sums[k];
            }
            end = c0 + sums[Nodes.COUNT];
            if (change <= STILL * (1 + Math.abs(c0))) {
                break;
            }
        }
        for (int k = 0; k < Nodes.COUNT; k++) {
            panel[k][0] = values[k];
        }
        return end;
    }

    private static double slope(SurfacePoint p, double c, double lambda) {
        if (lambda == 0) {
            return 0;
        }
        double sin2 = c * c / (p.r() * p.r());
        return lambda * p.r() * (p.kappaM() * (1 - sin2) + p.kappaP() * sin2);
    }

    private static boolean turns(
            Toward toward, double[][] panel, double from, double to, double end) {
        for (int k = 0; k < Nodes.COUNT; k++) {
            if (panel[k][0] >= toward.at(Nodes.place(from, to, k)).r()) {
                return true;
            }
        }
        return end >= toward.at(to).r();
    }

    /** The first place of a panel where c is r. */
    private static double turn(Toward toward, Series c, double from, double to) {
        double low = from;
        for (int k = 0; k < Nodes.COUNT; k++) {
            double high = Nodes.place(from, to, k);
            if (c.at(high, 0) >= toward.at(high).r()) {
                return root(toward, c, low, high);
            }
            low = high;
        }
        return root(toward, c, low, to);
    }

    private static double root(Toward toward, Series c, double low, double high) {
        if (c.at(low, 0) >= toward.at(low).r()) {
            return low;
        }
        return Roots.between(y -> c.at(y, 0) - toward.at(y).r(), low, high);
    }

    /** mm from the station to where the band turns, when it does. */
    OptionalDouble turn() {
        return Double.isNaN(turn) ? OptionalDouble.empty() : OptionalDouble.of(turn);
    }

    @Override
    public double c(double y) {
        return c.at(y, 0);
    }

    @Override
    public double lambda(double y) {
        return zone.at(y);
    }

    @Override
    public List<Double> breaks() {
        return zone.breaks();
    }
}
