package dev.oleander.nesting.search;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.RandomShapes;
import dev.oleander.geometry.Region;
import dev.oleander.nesting.NestTasks;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.util.AffineTransformation;

/** Overlaps of bodies against another library, on the same polygons. */
class PairTestTest {

    private static final int PAIRS = 10_000;

    /** mm2 of overlap that a border touched on its outside may have by rounding. */
    private static final double ROUNDING = 1e-7;

    private static final GeometryFactory JTS = new GeometryFactory();

    private final PairTest pairs = new PairTest();

    private static Geometry polygon(Turned turned) {
        Body body = turned.body;
        List<LinearRing> rings = new ArrayList<>();
        int from = 0;
        for (int i = 1; i < body.xs.length; i++) {
            if (i > from + 1 && body.xs[i] == body.xs[from] && body.ys[i] == body.ys[from]) {
                Coordinate[] ring = new Coordinate[i - from + 1];
                for (int k = 0; k < ring.length; k++) {
                    ring[k] =
                            new Coordinate(
                                    turned.outline().xs[from + k], turned.outline().ys[from + k]);
                }
                rings.add(JTS.createLinearRing(ring));
                from = i + 1;
                i++;
            }
        }
        Geometry all = JTS.createPolygon(rings.get(0));
        for (LinearRing ring : rings.subList(1, rings.size())) {
            all = all.symDifference(JTS.createPolygon(ring));
        }
        return all;
    }

    private static Body body(SplittableRandom random, double gap) {
        Region shape =
                switch (random.nextInt(4)) {
                    case 0 -> NestTasks.star(random, 3 + random.nextInt(6), 40);
                    case 1 -> NestTasks.comb(2 + random.nextInt(4), 6, 30);
                    case 2 -> NestTasks.ring(30, 20);
                    default ->
                            new Region(
                                    new RandomShapes(random.nextLong())
                                            .contour(random.nextInt(3))
                                            .turning(true),
                                    List.<Contour>of());
                };
        return Body.ofPart(shape, gap / 2, o -> true);
    }

    @Test
    void noPairIsCalledClearThatIsNotAndNoneHitThatIsFree() {
        SplittableRandom random = new SplittableRandom(11);
        int hits = 0;
        for (int i = 0; i < PAIRS / 50; i++) {
            double gap = random.nextInt(3);
            Body first = body(random, gap);
            Body second = random.nextInt(4) == 0 ? first : body(random, gap);
            for (int k = 0; k < 50; k++) {
                hits += pair(random, first, second) ? 1 : 0;
            }
        }
        assertThat(hits).isBetween(PAIRS / 10, PAIRS * 9 / 10);
    }

    /** Whether they overlap; corner on corner every second time, where signs are 0. */
    private boolean pair(SplittableRandom random, Body first, Body second) {
        boolean upright = random.nextBoolean();
        Turned a = new Turned(first, turn(random, upright), random.nextBoolean());
        Turned b = new Turned(second, turn(random, upright), random.nextBoolean());
        double dx = (random.nextDouble() - 0.5) * (a.width() + b.width());
        double dy = (random.nextDouble() - 0.5) * (a.height() + b.height());
        if (random.nextBoolean()) {
            int i = random.nextInt(a.outline().xs.length);
            int j = random.nextInt(b.outline().xs.length);
            dx = b.outline().xs[j] - a.outline().xs[i];
            dy = random.nextBoolean() ? b.outline().ys[j] - a.outline().ys[i] : dy;
        }
        boolean ours = pairs.overlaps(a, b, dx, dy);
        Geometry moved = AffineTransformation.translationInstance(dx, dy).transform(polygon(a));
        Geometry other = polygon(b);
        if (ours) {
            // Where they only touch, signs that are 0 may count as an overlap.
            assertThat(moved.distance(other)).isLessThan(ROUNDING);
        } else {
            assertThat(moved.intersection(other).getArea())
                    .isLessThan(ROUNDING * Math.max(1, a.body.area));
        }
        return ours;
    }

    private static double turn(SplittableRandom random, boolean upright) {
        return upright ? 90 * random.nextInt(4) : random.nextDouble(360);
    }

    /** Edges in line meet in corners only: nothing crosses, and yet they overlap. */
    @Test
    void equalPartsInLineOverlap() {
        Turned plate =
                new Turned(Body.ofPart(NestTasks.rectangle(100, 50), 0, o -> true), 0, false);
        for (double shift : new double[] {0, 1e-3, 2.7, 50, 99.9}) {
            assertThat(pairs.overlaps(plate, plate, shift, 0)).isTrue();
            assertThat(pairs.overlaps(plate, plate, -shift, 0)).isTrue();
        }
        assertThat(pairs.overlaps(plate, plate, 100, 0)).isFalse();
        assertThat(pairs.overlaps(plate, plate, 0, -50)).isFalse();
    }

    @Test
    void depthGrowsFromNothingAndPullsApart() {
        Turned plate =
                new Turned(Body.ofPart(NestTasks.rectangle(100, 50), 0, o -> true), 0, false);
        double before = Double.POSITIVE_INFINITY;
        for (double shift = 10; shift < 100; shift += 10) {
            double depth = pairs.overlap(plate, plate, shift, 0);
            assertThat(depth).isPositive().isLessThan(before);
            before = depth;
        }
        assertThat(pairs.overlap(plate, plate, 101, 0)).isZero();
    }

    @Test
    void whatLiesInAnOpeningIsFree() {
        Turned ring = new Turned(Body.ofPart(NestTasks.ring(60, 40), 2, o -> true), 0, false);
        Turned small =
                new Turned(Body.ofPart(NestTasks.rectangle(20, 20), 2, o -> true), 30, false);
        Point middle = Kind.middle(small);
        assertThat(pairs.overlaps(small, ring, -middle.x(), -middle.y())).isFalse();
        assertThat(pairs.overlaps(ring, small, middle.x(), middle.y())).isFalse();
        assertThat(pairs.overlaps(small, ring, 50 - middle.x(), -middle.y())).isTrue();
        Turned closed = new Turned(Body.ofPart(NestTasks.ring(60, 40), 2, o -> false), 0, false);
        assertThat(pairs.overlaps(small, closed, -middle.x(), -middle.y())).isTrue();
    }
}
