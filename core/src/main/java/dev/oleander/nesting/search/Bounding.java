package dev.oleander.nesting.search;

import java.util.Arrays;
import java.util.Comparator;

/** The corners of polygons that lie on their convex hull (monotone chain, Andrew 1979). */
final class Bounding {

    private Bounding() {}

    /** Places of the corners in the list; all others lie between these. */
    static int[] corners(double[] xs, double[] ys) {
        Integer[] sorted = new Integer[xs.length];
        Arrays.setAll(sorted, i -> i);
        Arrays.sort(
                sorted,
                Comparator.comparingDouble((Integer i) -> xs[i]).thenComparingDouble(i -> ys[i]));
        int[] hull = new int[2 * xs.length + 2];
        int size = chain(sorted, xs, ys, hull, 0);
        Integer[] backwards = sorted.clone();
        for (int i = 0; i < sorted.length; i++) {
            backwards[i] = sorted[sorted.length - 1 - i];
        }
        size = chain(backwards, xs, ys, hull, size);
        return Arrays.stream(hull, 0, size).distinct().toArray();
    }

    private static int chain(Integer[] sorted, double[] xs, double[] ys, int[] hull, int from) {
        int size = from;
        for (int next : sorted) {
            while (size - from >= 2 && !turnsLeft(xs, ys, hull[size - 2], hull[size - 1], next)) {
                size--;
            }
            hull[size++] = next;
        }
        return size;
    }

    private static boolean turnsLeft(double[] xs, double[] ys, int a, int b, int c) {
        double dx = xs[b] - xs[a];
        double dy = ys[b] - ys[a];
        return dx * (ys[c] - ys[a]) - dy * (xs[c] - xs[a]) > 0;
    }
}
