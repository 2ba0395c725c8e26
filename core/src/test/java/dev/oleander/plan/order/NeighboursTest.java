package dev.oleander.plan.order;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Point;
import dev.oleander.plan.order.OrderProblem.Visit;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class NeighboursTest {

    private static List<Visit> visits(long seed, int count, double width, double height) {
        SplittableRandom random = new SplittableRandom(seed);
        List<Visit> visits = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            // some fall together
            boolean again = i > 0 && random.nextInt(10) == 0;
            Point p =
                    again
                            ? visits.get(random.nextInt(i)).begin()
                            : new Point(width * random.nextDouble(), height * random.nextDouble());
            visits.add(new Visit(p, p, 1, 0, List.of()));
        }
        return visits;
    }

    private static double distance(List<Visit> visits, int a, int b) {
        return visits.get(a).begin().distance(visits.get(b).begin());
    }

    @Property(tries = 200)
    void theyAreThoseThatLookingAtAllFinds(
            @ForAll long seed,
            @ForAll @IntRange(min = 1, max = 300) int count,
            @ForAll @IntRange(min = 0, max = 2) int form) {
        double height = form == 0 ? 1000 : form == 1 ? 1 : 0;
        List<Visit> visits = visits(seed, count, 1000, height);
        Neighbours neighbours = new Neighbours(visits, 8);
        assertThat(neighbours.each()).isEqualTo(Math.min(8, count - 1));
        for (int i = 0; i < count; i++) {
            int here = i;
            List<Integer> all = new ArrayList<>();
            for (int k = 0; k < count; k++) {
                if (k != i) {
                    all.add(k);
                }
            }
            all.sort(
                    (a, b) -> Double.compare(distance(visits, here, a), distance(visits, here, b)));
            for (int k = 0; k < neighbours.each(); k++) {
                int found = neighbours.of(i, k);
                assertThat(found).isNotEqualTo(i).isNotNegative();
                assertThat(distance(visits, i, found))
                        .isCloseTo(distance(visits, i, all.get(k)), within(1e-9));
            }
        }
    }

    @Test
    void oneAloneHasNone() {
        assertThat(new Neighbours(visits(1, 1, 10, 10), 8).each()).isZero();
    }
}
