package dev.oleander.work.router.plan;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.geometry.Point;
import dev.oleander.work.router.plan.Strokes.Stroke;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Strokes of a bank: every hole once, and no more of them than need be. */
class StrokesTest {

    private static Map<Integer, Point> row(int count) {
        Map<Integer, Point> drills = new TreeMap<>();
        for (int i = 0; i < count; i++) {
            drills.put(i, new Point(32 * i, 0));
        }
        return drills;
    }

    private static List<Point> holes(int columns, int rows) {
        List<Point> holes = new ArrayList<>();
        for (int row = 0; row < rows; row++) {
            for (int column = 0; column < columns; column++) {
                holes.add(new Point(100 + 32 * column, 50 + 40 * row));
            }
        }
        return holes;
    }

    private static void requireEachOnce(
            List<Stroke> strokes, List<Point> holes, Map<Integer, Point> drills) {
        Set<Integer> drilled = new HashSet<>();
        for (Stroke stroke : strokes) {
            Point bank = null;
            for (Map.Entry<Integer, Integer> one : stroke.holes().entrySet()) {
                assertThat(drilled.add(one.getValue())).isTrue();
                Point at = holes.get(one.getValue()).minus(drills.get(one.getKey()));
                bank = bank == null ? at : bank;
                assertThat(at.distance(bank)).isLessThan(2 * Strokes.SAME);
            }
        }
        assertThat(drilled).hasSize(holes.size());
    }

    @ParameterizedTest
    @CsvSource({"5, 1, 5, 1", "9, 1, 5, 2", "10, 4, 5, 8", "11, 3, 4, 9", "7, 1, 2, 4"})
    void aRowTakesAsFewAsItsLengthAsksFor(int columns, int rows, int drills, int strokes) {
        List<Point> holes = holes(columns, rows);
        List<Stroke> found = Strokes.of(holes, row(drills));
        requireEachOnce(found, holes, row(drills));
        assertThat(found).hasSize(strokes);
    }

    /** Against all covers, of random places on a grid. */
    @Test
    void fewHolesTakeTheFewestStrokes() {
        Random random = new Random(5);
        for (int run = 0; run < 60; run++) {
            Map<Integer, Point> drills = new TreeMap<>();
            for (int i = 0; i < 3; i++) {
                drills.put(i, new Point(32 * random.nextInt(4), 32 * random.nextInt(2)));
            }
            Set<Point> places = new HashSet<>();
            while (places.size() < 9) {
                places.add(new Point(32 * random.nextInt(6), 32 * random.nextInt(3)));
            }
            List<Point> holes = List.copyOf(places);
            List<Stroke> found = Strokes.of(holes, drills);
            requireEachOnce(found, holes, drills);
            assertThat(found.size()).isEqualTo(fewest(holes, drills));
        }
    }

    /** Over all subsets of holes, by what one stroke drills besides the first that is left. */
    private static int fewest(List<Point> holes, Map<Integer, Point> drills) {
        int all = (1 << holes.size()) - 1;
        int[] least = new int[all + 1];
        Arrays.fill(least, Integer.MAX_VALUE - 1);
        least[0] = 0;
        for (int done = 0; done < all; done++) {
            for (int hole = 0; hole < holes.size(); hole++) {
                for (Point drill : drills.values()) {
                    int then = done | under(holes, drills, holes.get(hole).minus(drill));
                    least[then] = Math.min(least[then], least[done] + 1);
                }
            }
        }
        return least[all];
    }

    private static int under(List<Point> holes, Map<Integer, Point> drills, Point bank) {
        int under = 0;
        for (int i = 0; i < holes.size(); i++) {
            Point hole = holes.get(i);
            boolean drilled =
                    drills.values().stream().anyMatch(d -> bank.plus(d).distance(hole) < 1e-6);
            under |= drilled ? 1 << i : 0;
        }
        return under;
    }

    @Test
    void tenThousandHolesAreCoveredInASecond() {
        List<Point> holes = holes(100, 100);
        long begin = System.nanoTime();
        List<Stroke> found = Strokes.of(holes, row(9));
        requireEachOnce(found, holes, row(9));
        assertThat(found.size()).isLessThanOrEqualTo(1200);
        assertThat(System.nanoTime() - begin).isLessThan(10_000_000_000L);
    }
}
