package dev.oleander.work.router.way;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.offset.Offsetter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Tabs along a closed way of a tool: the tip stays at a height over a way as long as the tab is
 * wide at its narrowest and the tool besides, as its flank is round at both ends; beside that it
 * goes down as steeply as the tool may.
 *
 * @param places of their middles, mm from the start of the way
 * @param length of one round, mm
 * @param top height of the tabs' upper side, mm below the top of the stock: less than 0
 * @param floor deepest height beside them, mm
 * @param flat mm along the way over which the tip stays up
 * @param slope mm along the way on which it goes down to the floor
 */
public record TabLine(
        List<Double> places, double length, double top, double floor, double flat, double slope) {

    /** Share of half a tab, or of the radius, that is looked at. */
    private static final double CORE = 0.9;

    private static final double LEAST = 1e-3;

    /** Share of a round that one tab can take. */
    private static final double MOST = 0.999;

    public TabLine {
        places = places.stream().sorted(Comparator.naturalOrder()).toList();
    }

    /**
     * @param width of a tab at its narrowest, mm
     * @param diameter of the tool, mm
     * @param ramp steepest angle, radians
     */
    public static TabLine of(
            List<Double> places,
            double length,
            double top,
            double floor,
            double width,
            double diameter,
            double ramp) {
        return new TabLine(
                places, length, top, floor, width + diameter, (top - floor) / Math.tan(ramp));
    }

    /** A tab seen from above; see {@link dev.oleander.work.router.material.Wanted.Kept}. */
    public record Standing(Region around, Region core) {}

    /**
     * The tabs seen from above.
     *
     * @param way of the tool's axis
     * @param radius of the tool, mm
     */
    public List<Standing> standing(Contour way, double radius) {
        List<Standing> all = new ArrayList<>();
        double width = flat - 2 * radius;
        double core = CORE * Math.min(width / 2, radius);
        for (double place : places) {
            Region around = stretch(way, place, flat / 2 + slope, radius);
            Region own = stretch(way, place, Math.max(LEAST, width / 2 - core), core);
            all.add(new Standing(around, own));
        }
        return List.copyOf(all);
    }

    private Region stretch(Contour way, double middle, double half, double radius) {
        Contour begun = way.startedAt(way.stationAt(within(middle - half)));
        List<Segment> stretch = begun.beginning(Math.min(2 * half, length * MOST));
        return Offsetter.round().band(new Path(stretch), radius).get(0);
    }

    private double within(double place) {
        return ((place % length) + length) % length;
    }

    /**
     * Where a way that ends at a distance is to end, so that it goes over a tab wholly: with the
     * slopes on both sides.
     *
     * @param distance mm from the start of the way, over any number of rounds
     */
    double clearOf(double distance) {
        double half = flat / 2 + slope;
        for (double place : places) {
            double round = Math.rint((distance - place) / length) * length;
            double middle = place + round;
            if (Math.abs(distance - middle) < half) {
                return middle + half;
            }
        }
        return distance;
    }

    /** mm from the start of the way to the first tab; 0 when one lies there. */
    double clear() {
        double half = flat / 2 + slope;
        double last = places.isEmpty() ? 0 : places.get(places.size() - 1) + half - length;
        double first = places.isEmpty() ? length : places.get(0) - half;
        return last > 0 ? 0 : Math.max(0, first);
    }

    /** A place in the widest gap between tabs, at a share of it; mm from the start of the way. */
    double gap(double share) {
        double widest = 0;
        double at = 0;
        for (int i = 0; i < places.size(); i++) {
            double next = i + 1 < places.size() ? places.get(i + 1) : places.get(0) + length;
            double wide = next - places.get(i);
            if (wide > widest) {
                widest = wide;
                at = within(places.get(i) + share * wide);
            }
        }
        return at;
    }

    /** The same of a way that begins elsewhere, mm from the start. */
    TabLine from(double begin) {
        return at(places.stream().map(place -> within(place - begin)).toList(), length);
    }

    /** Tabs of the same form on another way. */
    TabLine at(List<Double> others, double ofWay) {
        return new TabLine(others, ofWay, top, floor, flat, slope);
    }

    /** Heights over some rounds one after the other. */
    HeightLine over(int rounds) {
        List<double[]> knots = new ArrayList<>();
        HeightLine last = null;
        // one before and one behind: a tab may lie across the start
        for (int round = -1; round <= rounds; round++) {
            for (double place : places) {
                HeightLine tab = tab(round * length + place);
                if (last != null && last.end() > tab.start()) {
                    last = last.higherOf(tab);
                    continue;
                }
                if (last != null) {
                    knots.addAll(last.knots());
                }
                last = tab;
            }
        }
        if (last == null) {
            return HeightLine.level(floor, rounds * length);
        }
        knots.addAll(last.knots());
        return HeightLine.of(knots);
    }

    private HeightLine tab(double middle) {
        List<double[]> knots = new ArrayList<>();
        knots.add(new double[] {middle - flat / 2 - slope, floor});
        knots.add(new double[] {middle - flat / 2, top});
        knots.add(new double[] {middle + flat / 2, top});
        knots.add(new double[] {middle + flat / 2 + slope, floor});
        return HeightLine.of(knots);
    }
}
