package dev.oleander.geometry.offset;

import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.SplittableRandom;

/**
 * Judges an offset by what it must be, slowly: every sampled point of its border lies at the
 * distance from the source, and places near and far are inside as they must be. It shares no code
 * with {@link Offsetter} beyond the values.
 */
public final class OffsetCheck {

    private static final double[] SAMPLES = {0, 0.13, 0.5, 0.77};
    private static final int PLACES = 40;

    private OffsetCheck() {}

    /**
     * What is wrong with a rounded offset.
     *
     * @param outward mm, negative inwards
     * @param tolerance mm by which a border point may miss the distance
     * @param seed for the places looked at
     * @return sentences; empty when nothing was found
     */
    public static List<String> faults(
            Region source, List<Region> result, double outward, double tolerance, long seed) {
        List<String> faults = new ArrayList<>();
        double distance = Math.abs(outward);
        for (Region region : result) {
            for (Contour contour : region.contours()) {
                checkBorder(source, contour, distance, tolerance, faults);
            }
            if (!region.outer().isAnticlockwise()) {
                faults.add("an outer contour runs clockwise");
            }
        }
        SplittableRandom random = new SplittableRandom(seed);
        double reach = Math.max(0, outward) * 1.5;
        Point low = source.box().grown(reach).min();
        Point high = source.box().grown(reach).max();
        for (int i = 0; i < PLACES; i++) {
            double x = low.x() + random.nextDouble() * (high.x() - low.x());
            double y = low.y() + random.nextDouble() * (high.y() - low.y());
            checkPlace(source, result, outward, new Point(x, y), faults);
        }
        return faults;
    }

    private static void checkBorder(
            Region source, Chain border, double distance, double tolerance, List<String> faults) {
        for (Segment segment : border.segments()) {
            for (double t : SAMPLES) {
                Point p = segment.at(t);
                double error = distanceTo(source, p) - distance;
                if (!(Math.abs(error) <= tolerance)) {
                    faults.add(
                            String.format(
                                    Locale.ROOT,
                                    "border at %s misses the distance by %g",
                                    p,
                                    error));
                }
            }
        }
    }

    private static void checkPlace(
            Region source, List<Region> result, double outward, Point p, List<String> faults) {
        double away = distanceTo(source, p);
        // positive outside the source
        double signed = source.contains(p) ? -away : away;
        if (Math.abs(signed - outward) < 1e-6 * Math.max(1, Math.abs(outward))) {
            return;
        }
        boolean expected = signed < outward;
        boolean found = result.stream().anyMatch(r -> r.contains(p));
        if (expected != found) {
            faults.add(
                    String.format(
                            Locale.ROOT,
                            "%s lies %g outside the source but is %s the result",
                            p,
                            signed,
                            found ? "in" : "not in"));
        }
    }

    private static double distanceTo(Region source, Point p) {
        double least = Double.POSITIVE_INFINITY;
        for (Contour contour : source.contours()) {
            least = Math.min(least, contour.nearest(p).point().distance(p));
        }
        return least;
    }
}
