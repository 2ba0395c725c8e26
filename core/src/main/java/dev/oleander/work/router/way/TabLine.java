package dev.oleander.work.router.way;

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
