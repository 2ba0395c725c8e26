package dev.oleander.work.router.way;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Segment;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Rounds of a closed way that go down as they go, no steeper than the tool may, and level ones. So
 * no entry needs room of its own, and nothing is left of the ramp.
 */
public final class Rounds {

    /** Rounds of one level; more mean that the way is far too short for the tool's ramp. */
    private static final int MOST = 400;

    private Rounds() {}

    /**
     * How many rounds a step takes.
     *
     * @param length of one round, mm
     * @param step mm down
     * @param ramp steepest angle, radians, above 0
     * @return empty when they would be too many
     */
    public static Optional<Integer> needed(double length, double step, double ramp) {
        double rounds = Math.ceil(step / (length * Math.tan(ramp)) - 1e-9);
        return rounds <= MOST ? Optional.of((int) Math.max(1, rounds)) : Optional.empty();
    }

    /**
     * Adds a whole round at every level, each begun by going down along the way as far as the ramp
     * asks for; the way ends where the last of them does.
     *
     * @param contour of the tool's axis; the way is at its start
     * @param levels depths below the top of the stock, mm, the shallowest first
     * @param top height from which the first goes down, mm
     * @param down how it goes down: to and fro or straight before the round, or along it
     * @param tabs heights that are not gone below, along one round; empty: none
     * @return whether the way is long enough to go down along it; nothing is added otherwise
     */
    public static boolean atEachLevel(
            ToolWay way,
            Contour contour,
            List<Double> levels,
            double top,
            Descent down,
            Optional<TabLine> tabs) {
        if (down.is(Entry.Kind.PLUNGE) || down.is(Entry.Kind.ZIGZAG)) {
            return beforeEachLevel(way, contour, levels, top, down, tabs);
        }
        double ramp = down.ramp();
        double length = contour.length();
        List<double[]> knots = new ArrayList<>();
        knots.add(new double[] {0, top});
        double z = top;
        double s = 0;
        for (double depth : levels) {
            if (needed(length, z + depth, ramp).isEmpty()) {
                return false;
            }
            s += (z + depth) / Math.tan(ramp);
            z = -depth;
            knots.add(new double[] {s, z});
            s += length;
            knots.add(new double[] {s, z});
        }
        double reached = s;
        double end = tabs.map(t -> t.clearOf(reached)).orElse(s);
        int whole = (int) (end / length);
        List<Segment> segments = repeated(contour, whole);
        segments.addAll(contour.beginning(end - whole * length));
        along(way, segments, HeightLine.of(knots), whole + 1, tabs, Leg.Pace.CUT);
        return true;
    }

    /** Down before each round, which then is level. */
    private static boolean beforeEachLevel(
            ToolWay way,
            Contour contour,
            List<Double> levels,
            double top,
            Descent down,
            Optional<TabLine> tabs) {
        double length = contour.length();
        double room = tabs.map(TabLine::clear).orElse(length);
        double from = top;
        for (double depth : levels) {
            if (down.is(Entry.Kind.ZIGZAG)
                    && !(room > 0 && down.toAndFro(way, contour, room, from, -depth))) {
                return false;
            }
            HeightLine level = HeightLine.level(-depth, length);
            along(way, contour.segments(), level, 1, tabs, Leg.Pace.CUT);
            from = -depth;
        }
        return true;
    }

    private static void along(
            ToolWay way,
            List<Segment> segments,
            HeightLine line,
            int rounds,
            Optional<TabLine> tabs,
            Leg.Pace level) {
        HeightLine kept = tabs.map(t -> line.higherOf(t.over(rounds))).orElse(line);
        way.upright(kept.at(0), Leg.Pace.PLUNGE);
        way.along(segments, kept, level);
    }

    /**
     * Adds rounds that go down to a way, as many to each level as the ramp asks for, and a level
     * one at the end, as wide as the tool; it ends where it begins.
     *
     * @param contour of the tool's axis; the way is at its start
     * @param levels depths below the top of the stock, mm, the shallowest first
     * @param top height from which the first goes down, mm
     * @param ramp steepest angle, radians
     * @return whether they are not too many; nothing is added otherwise
     */
    public static boolean spiral(
            ToolWay way, Contour contour, List<Double> levels, double top, double ramp) {
        double length = contour.length();
        List<double[]> knots = new ArrayList<>();
        knots.add(new double[] {0, top});
        double z = top;
        double s = 0;
        for (double depth : levels) {
            Optional<Integer> rounds = needed(length, z + depth, ramp);
            if (rounds.isEmpty()) {
                return false;
            }
            s += rounds.get() * length;
            z = -depth;
            knots.add(new double[] {s, z});
        }
        s += length;
        knots.add(new double[] {s, z});
        int count = (int) Math.round(s / length);
        List<Segment> all = repeated(contour, count);
        along(way, all, HeightLine.of(knots), count, Optional.empty(), Leg.Pace.FULL);
        return true;
    }

    private static List<Segment> repeated(Contour contour, int times) {
        List<Segment> all = new ArrayList<>();
        for (int i = 0; i < times; i++) {
            all.addAll(contour.segments());
        }
        return all;
    }
}
