package dev.oleander.work.sheet.cut;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.plan.stop.Tab;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class TabPlacerTest {

    private static List<Segment> polygon(double... xy) {
        List<Segment> sides = new ArrayList<>();
        int n = xy.length / 2;
        for (int i = 0; i < n; i++) {
            int j = (i + 1) % n;
            sides.add(
                    new Line(
                            new Point(xy[2 * i], xy[2 * i + 1]),
                            new Point(xy[2 * j], xy[2 * j + 1])));
        }
        return sides;
    }

    private static TabWish wish(int count, double off) {
        return new TabWish(count, off, false, List.of());
    }

    @Property(tries = 200)
    void tabsNeverOverlapNorComeNearACornerOrTheStart(
            @ForAll long seed, @ForAll @IntRange(min = 1, max = 12) int count) {
        SplittableRandom random = new SplittableRandom(seed);
        double w = 20 + 200 * random.nextDouble();
        double h = 20 + 200 * random.nextDouble();
        List<Segment> main = polygon(0, 0, w, 0, w, h, 0, h);
        double off = 0.3 + 3 * random.nextDouble();
        double clear = 1 + 9 * random.nextDouble();
        List<Tab> tabs = new TabPlacer(main, clear).place(wish(count, off), List.of());
        double length = 2 * (w + h);
        double[] corners = {0, w, w + h, 2 * w + h, length};
        double before = 0;
        for (Tab tab : tabs) {
            assertThat(tab.to() - tab.from()).isCloseTo(off, within(1e-9));
            assertThat(tab.from()).isGreaterThan(before - 1e-9);
            before = tab.to() + off / 2;
            for (double corner : corners) {
                assertThat(tab.to() <= corner - 3 + 1e-9 || tab.from() >= corner + 3 - 1e-9)
                        .isTrue();
            }
            assertThat(tab.from()).isGreaterThanOrEqualTo(Math.max(clear, 3) - 1e-9);
            assertThat(tab.to()).isLessThanOrEqualTo(length - Math.max(clear, 3) + 1e-9);
        }
        assertThat(tabs.size()).isLessThanOrEqualTo(count);
    }

    @Test
    void thoseByHandGoBeforeTheOthersAndOffTheStart() {
        List<Segment> main = polygon(0, 0, 100, 0, 100, 50, 0, 50);
        List<Tab> tabs = new TabPlacer(main, 5).place(wish(1, 1), List.of(1.0, 120.0));
        assertThat(tabs).hasSize(3);
        assertThat(tabs.get(0).from()).as("moved off the start").isCloseTo(5, within(1e-9));
        assertThat(tabs).anyMatch(t -> Math.abs(t.from() - 119.5) < 1e-9);
    }

    @Test
    void aContourThatIsTooShortGetsNone() {
        List<Segment> main = Contour.circle(Point.ORIGIN, 1).segments();
        assertThat(new TabPlacer(main, 3).place(wish(2, 1), List.of(2.0))).isEmpty();
    }
}
