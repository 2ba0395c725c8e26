package dev.oleander.work.sheet.order;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.geometry.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

class NearestFinderTest {

    /** Points come and go at random; every answer is compared with a look at all of them. */
    @Test
    void agreesWithLookingAtAll() {
        SplittableRandom random = new SplittableRandom(42);
        for (int round = 0; round < 20; round++) {
            int n = 30 + random.nextInt(300);
            Point[] points = new Point[n];
            for (int i = 0; i < n; i++) {
                double x = round % 3 == 0 ? 5 : random.nextDouble(1000);
                points[i] = new Point(x, Math.rint(random.nextDouble(200)));
            }
            NearestFinder finder = new NearestFinder(points);
            List<Integer> present = new ArrayList<>();
            for (int i = 0; i < n; i++) {
                finder.add(i);
                present.add(i);
            }
            while (!present.isEmpty()) {
                Point place =
                        new Point(random.nextDouble(-200, 1200), random.nextDouble(-200, 400));
                int found = finder.nearest(place);
                assertThat(found).isEqualTo(nearest(points, present, place));
                finder.remove(found);
                present.remove((Integer) found);
            }
            assertThat(finder.nearest(Point.ORIGIN)).isEqualTo(-1);
            assertThat(finder.isEmpty()).isTrue();
        }
    }

    private static int nearest(Point[] points, List<Integer> present, Point place) {
        int best = -1;
        for (int i : present) {
            double distance = points[i].distance(place);
            boolean nearer = best < 0 || distance < points[best].distance(place);
            boolean lower = best >= 0 && distance == points[best].distance(place) && i < best;
            if (nearer || lower) {
                best = i;
            }
        }
        return best;
    }

    @Test
    void numbersThatNeverComeMayHaveNoPoint() {
        Point[] points = {null, new Point(3, 4), null};
        NearestFinder finder = new NearestFinder(points);
        assertThat(finder.nearest(Point.ORIGIN)).isEqualTo(-1);
        finder.add(1);
        assertThat(finder.has(1)).isTrue();
        assertThat(finder.has(0)).isFalse();
        assertThat(finder.nearest(Point.ORIGIN)).isEqualTo(1);
    }
}
