package dev.oleander.winding.layer;

import dev.oleander.winding.path.BandPath;
import dev.oleander.winding.path.PathPoint;
import dev.oleander.winding.surface.Meridian;
import java.util.ArrayList;
import java.util.List;

/**
 * A stretch of a path over which a band that is pulled does not touch the mandrel.
 *
 * @param from l where it leaves the mandrel, mm
 * @param to l where it comes back
 * @param gap greatest distance between, mm
 */
public record Bridge(double from, double to, double gap) {

    private static final double NEAR = 1e-7;

    /** Places of a path that are looked at. */
    private static final double MOST = 20_000;

    /** Those of one repetition, none twice. */
    static List<Bridge> of(Meridian meridian, BandPath path, double step) {
        int n = (int) Math.min(MOST, Math.ceil(path.length() / step));
        List<Bridge> all = new ArrayList<>();
        double known = Double.NEGATIVE_INFINITY;
        for (int i = 0; i <= n; i++) {
            double l = path.length() * i / n;
            if (l > known && path.at(l).normalCurvature() < -NEAR) {
                Bridge bridge = grown(meridian, path, l, path.length() / n);
                all.add(bridge);
                known = bridge.to();
            }
        }
        return all;
    }

    /** The chord grows to both sides as long as it stays outside. */
    private static Bridge grown(Meridian meridian, BandPath path, double l, double step) {
        double from = Math.max(0, l - step);
        double to = l + step;
        boolean growing = true;
        while (growing && to - from < path.length()) {
            growing = false;
            if (from - step >= 0 && least(meridian, path, from - step, to) >= -NEAR) {
                from -= step;
                growing = true;
            }
            if (least(meridian, path, from, to + step) >= -NEAR) {
                to += step;
                growing = true;
            }
        }
        return new Bridge(from, to, Math.max(0, most(meridian, path, from, to)));
    }

    private static double least(Meridian meridian, BandPath path, double from, double to) {
        double least = Double.POSITIVE_INFINITY;
        for (double height : heights(meridian, path, from, to)) {
            least = Math.min(least, height);
        }
        return least;
    }

    private static double most(Meridian meridian, BandPath path, double from, double to) {
        double most = 0;
        for (double height : heights(meridian, path, from, to)) {
            most = Math.max(most, height);
        }
        return most;
    }

    /** Of the chord between two places over the mandrel, along its normal, mm. */
    private static double[] heights(Meridian meridian, BandPath path, double from, double to) {
        double[] a = place(path.at(from));
        double[] b = place(path.at(to));
        double[] heights = new double[24];
        for (int i = 0; i < heights.length; i++) {
            double share = (i + 1.0) / (heights.length + 1);
            double x = a[0] + share * (b[0] - a[0]);
            double y = a[1] + share * (b[1] - a[1]);
            double z = a[2] + share * (b[2] - a[2]);
            double m = path.at(from + share * (to - from)).m();
            // on the circle with the same x, beginning where the band would lie
            for (int k = 0; k < 4; k++) {
                var p = meridian.beyond(m);
                double cos = Math.cos(p.omega());
                m += Math.abs(cos) < 1e-3 ? 0 : (x - p.x()) / cos;
            }
            var p = meridian.beyond(m);
            heights[i] = (Math.hypot(y, z) - p.r()) * Math.cos(p.omega());
        }
        return heights;
    }

    private static double[] place(PathPoint p) {
        double r = p.surface().r();
        return new double[] {p.surface().x(), r * Math.cos(p.phi()), r * Math.sin(p.phi())};
    }
}
