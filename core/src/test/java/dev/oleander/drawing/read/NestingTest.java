package dev.oleander.drawing.read;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class NestingTest {

    private static final double TOUCH = 0.05;

    /** A contour with the one it was put into; null for the outermost. */
    private record Put(Contour contour, Put into) {}

    /** Squares and circles in a free square, in four quarters of it, to a depth. */
    private static void fill(Box free, Put into, int depth, Random random, List<Put> all) {
        double side = free.width();
        Point c = free.centre();
        boolean round = random.nextBoolean();
        Contour contour =
                round
                        ? Contour.circle(c, 0.45 * side)
                        : Contour.rectangle(free.grown(-0.05 * side));
        Put put = new Put(contour.turning(random.nextBoolean()), into);
        all.add(put);
        if (depth == 0) {
            return;
        }
        // what always lies within, be it round or square
        double inner = round ? 0.3 * side : 0.44 * side;
        for (int quarter = 0; quarter < 4; quarter++) {
            if (random.nextInt(3) > 0) {
                double x = c.x() + (quarter % 2 == 0 ? -inner : 0);
                double y = c.y() + (quarter < 2 ? -inner : 0);
                Box part = new Box(new Point(x, y), new Point(x + inner, y + inner));
                fill(part, put, depth - 1, random, all);
            }
        }
    }

    private static Nesting of(List<Put> all) {
        return new Nesting(all.stream().map(Put::contour).toList(), TOUCH);
    }

    @Property(tries = 60)
    void everyContourIsFoundInTheOneItWasPutInto(@ForAll long seed) {
        Random random = new Random(seed);
        List<Put> all = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            Point corner = new Point(1500 * i, 0);
            fill(new Box(corner, corner.plus(new Point(1000, 1000))), null, 4, random, all);
        }
        Collections.shuffle(all, random);
        Nesting nesting = of(all);
        for (int i = 0; i < all.size(); i++) {
            Put into = all.get(i).into();
            assertThat(nesting.parent(i)).isEqualTo(into == null ? -1 : all.indexOf(into));
            int depth = 0;
            for (Put p = into; p != null; p = p.into()) {
                depth++;
            }
            assertThat(nesting.depth(i)).isEqualTo(depth);
        }
    }

    @Test
    void manyRingsRoundOneCentreAreNestedOneInTheOther() {
        List<Contour> rings = new ArrayList<>();
        for (int i = 0; i < 3000; i++) {
            rings.add(Contour.circle(new Point(7, -3), 1 + 0.5 * i));
        }
        Nesting nesting = new Nesting(rings, TOUCH);
        for (int i = 0; i < rings.size(); i++) {
            assertThat(nesting.parent(i)).isEqualTo(i + 1 < rings.size() ? i + 1 : -1);
            assertThat(nesting.depth(i)).isEqualTo(rings.size() - 1 - i);
        }
    }

    @Test
    void whatTouchesFromWithinLiesWithin() {
        Contour plate = Contour.rectangle(new Box(new Point(0, 0), new Point(100, 60)));
        Contour notch = Contour.rectangle(new Box(new Point(0, 20), new Point(30, 40)));
        Contour beside = Contour.rectangle(new Box(new Point(100, 20), new Point(130, 40)));
        Contour round = Contour.circle(new Point(60, 50), 10);
        Nesting nesting = new Nesting(List.of(notch, plate, beside, round), TOUCH);
        assertThat(nesting.parent(0)).isEqualTo(1);
        assertThat(nesting.parent(1)).isEqualTo(-1);
        assertThat(nesting.parent(2)).isEqualTo(-1);
        assertThat(nesting.parent(3)).isEqualTo(1);
    }

    @Test
    void aPlaceBelongsToTheInnermostContourRoundIt() {
        Nesting nesting =
                new Nesting(
                        List.of(
                                Contour.circle(new Point(0, 0), 50),
                                Contour.circle(new Point(0, 0), 20)),
                        TOUCH);
        assertThat(nesting.around(new Point(5, 5))).isEqualTo(1);
        assertThat(nesting.around(new Point(30, 0))).isZero();
        assertThat(nesting.around(new Point(60, 0))).isEqualTo(-1);
    }
}
