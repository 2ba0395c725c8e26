package dev.oleander.winding.layer;

import dev.oleander.winding.path.Band;
import dev.oleander.winding.path.Circuit;
import dev.oleander.winding.path.CircuitPlanner;
import dev.oleander.winding.path.LayerLaw;
import dev.oleander.winding.path.Leg;
import dev.oleander.winding.path.Side;
import dev.oleander.winding.pattern.Pattern;
import dev.oleander.winding.series.Roots;
import dev.oleander.winding.series.Series;
import dev.oleander.winding.surface.Meridian;
import dev.oleander.winding.surface.WindingException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** All patterns by which a layer closes with a small change. */
public final class PatternFinder {

    private static final double TURN = 2 * Math.PI;
    private static final int LOOKS = 64;
    private static final int HALVINGS = 12;
    private static final double ROUNDING = 1e-9;

    /** Turns by which the polynomial may be off before the true function is asked again. */
    private static final double CLOSED = 1e-12;

    private static final int STEPS = 6;

    private static final int MOST_CIRCUITS = 20_000;

    /** More than people can choose from, and than are found while they wait. */
    private static final int MOST_PATTERNS = 2000;

    private final Meridian meridian;
    private final Band band;
    private final CircuitPlanner planner;
    private final LayerLaw law;
    private final double cover;

    /**
     * @param cover asked, share of the surface
     * @param ease mm over which steering grows
     */
    public PatternFinder(Meridian meridian, Band band, LayerLaw law, double cover, double ease) {
        this.meridian = meridian;
        this.band = band;
        this.law = law;
        this.cover = cover;
        this.planner = new CircuitPlanner(meridian, band, ease);
    }

    /**
     * @param most radians or mm by which the law may change, either way; dwell only grows
     * @param over circuits more than the least, as a share of it
     * @return the least change first, then the least cover, then the fewest crossings
     * @throws WindingException when the law has no such value, or no circuit
     */
    public List<Reachable> find(Change change, double most, double over) {
        Circuit unchanged = planner.plan(law);
        int least = Circuits.least(unchanged, band.width(), cover);
        int greatest = (int) Math.floor(least * (1 + over) + ROUNDING);
        if (greatest > MOST_CIRCUITS) {
            throw new WindingException(
                    "%d circuits; at most %d. Take a wider band or less cover.",
                    greatest, MOST_CIRCUITS);
        }
        Turns turns = new Turns(change, unchanged, most);
        List<Reachable> all = new ArrayList<>();
        for (int n = least; n <= greatest; n++) {
            for (int w = turns.fewest(n); w <= turns.most(n); w++) {
                if (Pattern.isClosed(n, w)) {
                    Pattern pattern = Pattern.of(n, w);
                    turns.changes((double) w / n).forEach(by -> add(all, pattern, change, by));
                    requireFew(all.size());
                }
            }
        }
        all.sort(
                Comparator.<Reachable>comparingDouble(r -> Math.abs(r.by()))
                        .thenComparingDouble(Reachable::cover)
                        .thenComparingLong(Reachable::crossings));
        return all;
    }

    private static void requireFew(int patterns) {
        if (patterns > MOST_PATTERNS) {
            throw new WindingException(
                    "More than %d patterns are within reach. Allow less change, or fewer circuits"
                            + " over the least.",
                    MOST_PATTERNS);
        }
    }

    /**
     * One pattern, by the least change.
     *
     * @param most see {@link #find}
     */
    public Optional<Reachable> close(int circuits, int turns, Change change, double most) {
        if (!Pattern.isClosed(circuits, turns)) {
            throw new WindingException(
                    "%d circuits in %d turns do not close: they have a common divisor.",
                    circuits, turns);
        }
        Turns of = new Turns(change, planner.plan(law), most);
        List<Reachable> all = new ArrayList<>();
        Pattern pattern = Pattern.of(circuits, turns);
        of.changes((double) turns / circuits).forEach(by -> add(all, pattern, change, by));
        return all.stream().min(Comparator.comparingDouble(r -> Math.abs(r.by())));
    }

    private void add(List<Reachable> all, Pattern pattern, Change change, double by) {
        LayerLaw changed = change.changed(law, meridian, by);
        Circuit circuit = planner.plan(changed);
        double covers = Circuits.cover(circuit, band.width(), pattern.circuits());
        if (covers >= cover - ROUNDING && isClear(circuit)) {
            all.add(new Reachable(pattern, change, by, changed, circuit, covers));
        }
    }

    /** Whether the inner edges clear the openings. */
    private boolean isClear(Circuit circuit) {
        for (Side side : Side.values()) {
            Leg leg = circuit.leg(side);
            double end = side == Side.RIGHT ? meridian.length() - leg.endM() : leg.endM();
            if (leg.turns() && end < band.width() / 2 - ROUNDING) {
                return false;
            }
        }
        return true;
    }

    /** Turns of one circuit by the change, as a polynomial where there is a circuit. */
    private final class Turns {

        private final Change change;
        private final Series series;

        Turns(Change change, Circuit unchanged, double most) {
            this.change = change;
            double low = change == Change.DWELL ? 0 : reach(-most);
            double high = reach(most);
            if (low == high) {
                this.series =
                        Series.of(
                                new double[] {-ROUNDING, ROUNDING},
                                by -> new double[] {unchanged.angle() / TURN});
                return;
            }
            this.series =
                    Series.of(
                            new double[] {low, (low + high) / 2, high},
                            by -> new double[] {turns(by)});
        }

        private double turns(double by) {
            return planner.plan(change.changed(law, meridian, by)).angle() / TURN;
        }

        /** The farthest change up to one at which there still is a circuit. */
        private double reach(double most) {
            double good = 0;
            double bad = most;
            if (exists(most)) {
                return most;
            }
            for (int i = 0; i < HALVINGS; i++) {
                double middle = (good + bad) / 2;
                if (exists(middle)) {
                    good = middle;
                } else {
                    bad = middle;
                }
            }
            return good;
        }

        private boolean exists(double by) {
            try {
                planner.plan(change.changed(law, meridian, by));
                return true;
            } catch (WindingException e) {
                return false;
            }
        }

        int fewest(int circuits) {
            return (int) Math.ceil(extreme(-1) * circuits - ROUNDING);
        }

        int most(int circuits) {
            return (int) Math.floor(extreme(1) * circuits + ROUNDING);
        }

        private double extreme(int sign) {
            double best = Double.NEGATIVE_INFINITY;
            for (int i = 0; i <= LOOKS; i++) {
                best = Math.max(best, sign * series.at(place(i), 0));
            }
            return sign * best;
        }

        private double place(int i) {
            return series.from() + (series.to() - series.from()) * i / LOOKS;
        }

        /** All changes with so many turns. */
        List<Double> changes(double turns) {
            List<Double> all = new ArrayList<>();
            for (int i = 1; i <= LOOKS; i++) {
                double a = series.at(place(i - 1), 0) - turns;
                double b = series.at(place(i), 0) - turns;
                if (a == 0 && i == 1) {
                    all.add(place(0));
                }
                if (b == 0 || a * b < 0) {
                    double by =
                            b == 0
                                    ? place(i)
                                    : Roots.between(
                                            x -> series.at(x, 0) - turns, place(i - 1), place(i));
                    all.add(refined(by, turns));
                }
            }
            return all;
        }

        /** By the true function, along the polynomial's slope. */
        private double refined(double start, double turns) {
            double by = start;
            for (int i = 0; i < STEPS; i++) {
                double off = turns(by) - turns;
                double slope = series.slope(by, 0);
                if (Math.abs(off) <= CLOSED || slope == 0) {
                    break;
                }
                double next = Math.max(series.from(), Math.min(series.to(), by - off / slope));
                by = next;
            }
            return by;
        }
    }
}
