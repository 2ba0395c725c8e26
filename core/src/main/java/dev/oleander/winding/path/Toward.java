package dev.oleander.winding.path;

import dev.oleander.winding.surface.Meridian;
import dev.oleander.winding.surface.SurfacePoint;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;

/**
 * The mandrel from a station to one of its ends, by the distance y from the station.
 *
 * @param from mm of meridian from the left end
 */
record Toward(Meridian meridian, double from, Side side) {

    /** No panel is longer than this share of the mandrel. */
    private static final double PANEL_SHARE = 1 / 20.0;

    private static final double NOTHING = 1e-9;

    double length() {
        return side == Side.RIGHT ? meridian.length() - from : from;
    }

    double m(double y) {
        return from + side.sign() * y;
    }

    double y(double m) {
        return side.sign() * (m - from);
    }

    SurfacePoint at(double y) {
        return meridian.at(Math.max(0, Math.min(meridian.length(), m(y))));
    }

    /** Slope in its own direction, radians. */
    double slope(double y) {
        return side.sign() * at(y).omega();
    }

    /** Joints and whatever else, with both ends, rising, and no two farther apart than a panel. */
    double[] breaks(double from, double to, List<Double> more) {
        TreeSet<Double> all = new TreeSet<>(more);
        meridian.joints().forEach(m -> all.add(y(m)));
        List<Double> breaks = new ArrayList<>(List.of(from));
        double longest = meridian.length() * PANEL_SHARE;
        for (double next : all) {
            if (next > from + NOTHING && next < to - NOTHING) {
                divided(breaks, next, longest);
            }
        }
        divided(breaks, to, longest);
        return breaks.stream().mapToDouble(Double::doubleValue).toArray();
    }

    private static void divided(List<Double> breaks, double next, double longest) {
        double last = breaks.get(breaks.size() - 1);
        if (next - last <= NOTHING && breaks.size() > 1) {
            return;
        }
        int parts = Math.max(1, (int) Math.ceil((next - last) / longest));
        for (int i = 1; i <= parts; i++) {
            breaks.add(last + (next - last) * i / parts);
        }
    }
}
