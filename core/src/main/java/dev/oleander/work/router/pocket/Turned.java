package dev.oleander.work.router.pocket;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** Stretches of a whole turn: where they begin and how far they go, radians, anticlockwise. */
final class Turned {

    private static final double WHOLE = 2 * Math.PI;

    private Turned() {}

    /**
     * What some stretches leave of a whole turn.
     *
     * @param least radians; shorter ones are nothing
     */
    static List<double[]> without(List<double[]> covered, double least) {
        if (covered.isEmpty()) {
            return List.of(new double[] {0, WHOLE});
        }
        List<double[]> sorted = new ArrayList<>();
        covered.forEach(c -> sorted.add(new double[] {within(c[0]), c[1]}));
        sorted.sort(Comparator.comparingDouble(c -> c[0]));
        double first = sorted.get(0)[0];
        double reached = sorted.stream().mapToDouble(c -> c[0] + c[1]).max().orElse(0) - WHOLE;
        reached = Math.max(reached, first);
        List<double[]> left = new ArrayList<>();
        for (double[] stretch : sorted) {
            if (stretch[0] - reached > least) {
                left.add(new double[] {reached, stretch[0] - reached});
            }
            reached = Math.max(reached, stretch[0] + stretch[1]);
        }
        if (first + WHOLE - reached > least) {
            left.add(new double[] {reached, first + WHOLE - reached});
        }
        return left;
    }

    private static double within(double angle) {
        double turned = angle % WHOLE;
        return turned < 0 ? turned + WHOLE : turned;
    }
}
