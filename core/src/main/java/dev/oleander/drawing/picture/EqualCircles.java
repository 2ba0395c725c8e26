package dev.oleander.drawing.picture;

import dev.oleander.geometry.Contour;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;

/** Gives circles whose sizes differ by less than can be seen their mean size. */
final class EqualCircles {

    private static final double ROUND = 1e-6;

    private EqualCircles() {}

    /**
     * @param within which radii are one, pixels
     */
    static List<Contour> of(List<Contour> contours, double within) {
        List<Integer> circles = new ArrayList<>();
        double[] radii = new double[contours.size()];
        for (int i = 0; i < contours.size(); i++) {
            OptionalDouble diameter = contours.get(i).circleDiameter(ROUND);
            if (diameter.isPresent()) {
                radii[i] = diameter.getAsDouble() / 2;
                circles.add(i);
            }
        }
        circles.sort(Comparator.comparingDouble(i -> radii[i]));
        List<Contour> all = new ArrayList<>(contours);
        int from = 0;
        for (int i = 1; i <= circles.size(); i++) {
            boolean ends =
                    i == circles.size()
                            || radii[circles.get(i)] - radii[circles.get(from)] > within;
            if (ends) {
                alike(circles.subList(from, i), radii, all);
                from = i;
            }
        }
        return all;
    }

    private static void alike(List<Integer> group, double[] radii, List<Contour> all) {
        double mean = group.stream().mapToDouble(i -> radii[i]).average().orElse(0);
        for (int i : group) {
            Contour own = all.get(i);
            all.set(i, Contour.circle(own.centroid(), mean).turning(own.isAnticlockwise()));
        }
    }
}
