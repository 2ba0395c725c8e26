package dev.oleander.geometry.flat;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.SplittableRandom;
import java.util.TreeSet;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class BoxTreeTest {

    private static double[] boxes(SplittableRandom random, int n) {
        double[] boxes = new double[4 * n];
        for (int i = 0; i < n; i++) {
            boxes[4 * i] = random.nextDouble() * 100;
            boxes[4 * i + 1] = random.nextDouble() * 100;
            boxes[4 * i + 2] = boxes[4 * i] + random.nextDouble() * 9;
            boxes[4 * i + 3] = boxes[4 * i + 1] + random.nextDouble() * 9;
        }
        return boxes;
    }

    private static boolean touch(double[] b, int i, double x, double y, double right, double top) {
        return b[4 * i] <= right && b[4 * i + 2] >= x && b[4 * i + 1] <= top && b[4 * i + 3] >= y;
    }

    private static BoxTree tree(double[] boxes, int n, boolean sorted) {
        return sorted ? BoxTree.of(boxes.clone(), n) : BoxTree.ofChain(boxes.clone(), n);
    }

    @Property(tries = 200)
    void findsWhatLookingAtAllFinds(
            @ForAll long seed,
            @ForAll @IntRange(min = 0, max = 700) int n,
            @ForAll boolean sorted) {
        SplittableRandom random = new SplittableRandom(seed);
        double[] boxes = boxes(random, n);
        BoxTree tree = tree(boxes, n, sorted);
        double x = random.nextDouble() * 100;
        double y = random.nextDouble() * 100;
        TreeSet<Integer> expected = new TreeSet<>();
        for (int i = 0; i < n; i++) {
            if (touch(boxes, i, x, y, x + 10, y + 10)) {
                expected.add(i);
            }
        }
        TreeSet<Integer> found = new TreeSet<>();
        tree.touching(
                x,
                y,
                x + 10,
                y + 10,
                i -> {
                    assertThat(found.add(i)).isTrue();
                    return true;
                });
        assertThat(found).isEqualTo(expected);
    }

    @Property(tries = 100)
    void findsEveryPairOnce(
            @ForAll long seed,
            @ForAll @IntRange(min = 0, max = 300) int n,
            @ForAll boolean sorted) {
        double[] boxes = boxes(new SplittableRandom(seed), n);
        TreeSet<Integer> expected = new TreeSet<>();
        for (int i = 0; i < n; i++) {
            for (int j = i + 1; j < n; j++) {
                if (touch(
                        boxes,
                        i,
                        boxes[4 * j],
                        boxes[4 * j + 1],
                        boxes[4 * j + 2],
                        boxes[4 * j + 3])) {
                    expected.add(i * 1000 + j);
                }
            }
        }
        TreeSet<Integer> found = new TreeSet<>();
        tree(boxes, n, sorted)
                .pairs(
                        (from, end) -> true,
                        (i, j) -> {
                            int pair = Math.min(i, j) * 1000 + Math.max(i, j);
                            assertThat(found.add(pair)).isTrue();
                            return true;
                        });
        assertThat(found).isEqualTo(expected);
    }

    @Property(tries = 200)
    void findsTheNearest(
            @ForAll long seed,
            @ForAll @IntRange(min = 1, max = 400) int n,
            @ForAll boolean sorted) {
        SplittableRandom random = new SplittableRandom(seed);
        double[] boxes = boxes(random, n);
        double x = random.nextDouble() * 100;
        double y = random.nextDouble() * 100;
        BoxTree.Measure toCorner = i -> Math.hypot(boxes[4 * i] - x, boxes[4 * i + 1] - y);
        int nearest = 0;
        for (int i = 1; i < n; i++) {
            nearest = toCorner.of(i) < toCorner.of(nearest) ? i : nearest;
        }
        BoxTree tree = tree(boxes, n, sorted);
        assertThat(tree.nearest(x, y, Double.POSITIVE_INFINITY, toCorner)).isEqualTo(nearest);
        assertThat(tree.nearest(x, y, toCorner.of(nearest) / 2, toCorner)).isEqualTo(-1);
    }

    @Test
    void stopsWhenTold() {
        int[] asked = {0};
        BoxTree tree = BoxTree.of(boxes(new SplittableRandom(1), 500), 500);
        tree.touching(
                0,
                0,
                200,
                200,
                i -> {
                    asked[0]++;
                    return asked[0] < 3;
                });
        assertThat(asked[0]).isEqualTo(3);
    }
}
