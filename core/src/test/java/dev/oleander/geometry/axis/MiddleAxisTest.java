package dev.oleander.geometry.axis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.RegionIndex;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.geometry.overlay.Overlay;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;

/** The middle axis against closed forms, and against the distance from the border. */
class MiddleAxisTest {

    private static Region rectangle(double width, double height) {
        Box box = new Box(new Point(0, 0), new Point(width, height));
        return new Region(Contour.rectangle(box), List.of());
    }

    private static double length(Branch branch) {
        double sum = 0;
        AxisPoint last = branch.start();
        for (int i = 1; i <= 200; i++) {
            AxisPoint next = branch.at(i / 200.0);
            sum += last.distance(next);
            last = next;
        }
        return sum;
    }

    @Test
    void aRectangleHasFourCornersAndARidge() {
        List<Branch> axis = MiddleAxis.of(List.of(rectangle(40, 20)));
        double all = axis.stream().mapToDouble(MiddleAxisTest::length).sum();
        assertThat(all).isCloseTo(4 * 10 * Math.sqrt(2) + 20, within(1e-4));
        double ridge =
                axis.stream()
                        .filter(b -> Math.min(b.start().radius(), b.end().radius()) > 9.999)
                        .mapToDouble(MiddleAxisTest::length)
                        .sum();
        assertThat(ridge).isCloseTo(20, within(1e-4));
    }

    @Test
    void ofARingItIsACircle() {
        Region ring =
                new Region(
                        Contour.circle(Point.ORIGIN, 30),
                        List.of(Contour.circle(Point.ORIGIN, 10).turning(false)));
        List<Branch> axis = MiddleAxis.of(List.of(ring));
        assertThat(axis.stream().mapToDouble(MiddleAxisTest::length).sum())
                .isCloseTo(2 * Math.PI * 20, within(0.02));
        for (Branch branch : axis) {
            for (double u = 0; u <= 1; u += 0.125) {
                assertThat(branch.at(u).radius()).isCloseTo(10, within(1e-9));
            }
        }
    }

    @Test
    void aCircleHasNoBranchAndARoundedSlotOnlyItsMiddle() {
        assertThat(MiddleAxis.of(List.of(new Region(Contour.circle(Point.ORIGIN, 5), List.of()))))
                .isEmpty();
        List<Region> slot = Offsetter.round().offset(rectangle(30, 4), -2 + 1e-3);
        List<Region> round = Offsetter.round().offset(slot, 5);
        List<Branch> axis = MiddleAxis.of(round);
        double length = axis.stream().mapToDouble(MiddleAxisTest::length).sum();
        assertThat(length).isCloseTo(26, within(0.05));
    }

    /** A line and a point: a parabola. */
    @Test
    void aCornerThatStandsInMakesAParabola() {
        Region step =
                Overlay.difference(
                                List.of(rectangle(40, 40)),
                                List.of(
                                        new Region(
                                                Contour.rectangle(
                                                        new Box(
                                                                new Point(20, 20),
                                                                new Point(40, 40))),
                                                List.of())))
                        .get(0);
        List<Branch> axis = MiddleAxis.of(List.of(step));
        Point corner = new Point(20, 20);
        boolean met = false;
        for (Branch branch : axis) {
            AxisPoint p = branch.at(0.5);
            double far = Math.hypot(p.x() - corner.x(), p.y() - corner.y());
            if (Math.abs(far - p.radius()) < 1e-9 && p.x() < 19.9 && p.y() < 19.9) {
                met = true;
                // as far from the corner as from the nearer wall
                assertThat(Math.min(p.x(), p.y())).isCloseTo(p.radius(), within(1e-9));
            }
        }
        assertThat(met).isTrue();
    }

    /** Outlines of lines and arcs with round and sharp corners, and openings. */
    private static List<Region> random(long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        List<Region> all = List.of(rectangle(100, 70));
        for (int k = 0; k < 1 + random.nextInt(7); k++) {
            Point at = new Point(100 * random.nextDouble(), 70 * random.nextDouble());
            double size = 4 + 14 * random.nextDouble();
            Region piece =
                    switch (random.nextInt(3)) {
                        case 0 -> new Region(Contour.circle(at, size), List.of());
                        case 1 ->
                                new Region(
                                        Contour.rectangle(
                                                new Box(at, at.plus(new Point(size, 2 * size)))),
                                        List.of());
                        default -> triangle(random, at, 2 * size);
                    };
            all =
                    random.nextInt(4) == 0
                            ? Overlay.union(all, List.of(piece))
                            : Overlay.difference(all, List.of(piece));
        }
        if (random.nextInt(3) == 0) {
            all = Offsetter.round().offset(Offsetter.round().offset(all, -2), 2);
        }
        return all;
    }

    private static Region triangle(SplittableRandom random, Point at, double size) {
        double turn = random.nextDouble(7);
        List<Segment> sides = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            Point from = at.plus(Point.polar(size, turn + i * 2));
            Point to = at.plus(Point.polar(size, turn + (i + 1) % 3 * 2));
            sides.add(new Line(from, to));
        }
        return new Region(new Contour(sides), List.of());
    }

    @Property(tries = 300)
    void everyPointIsAsFarFromTheBorderAsItSays(@ForAll @LongRange(max = 100_000) long seed) {
        List<Region> regions = random(seed);
        RegionIndex index = RegionIndex.of(regions);
        for (Branch branch : MiddleAxis.of(regions)) {
            for (double u = 0; u <= 1; u += 0.1) {
                AxisPoint p = branch.at(u);
                assertThat(index.distanceToBorder(p.x(), p.y()))
                        .as("seed %d, %s", seed, p)
                        .isCloseTo(p.radius(), within(2e-6));
            }
        }
    }

    /** What is seen from one side of a branch is seen from the other. */
    @Property(tries = 300)
    void nothingIsMissing(@ForAll @LongRange(max = 100_000) long seed) {
        Border border = new Border(random(seed));
        List<Envelope.Stretch> all = new ArrayList<>();
        for (int edge = 0; edge < border.size(); edge++) {
            all.addAll(new Envelope(border, 2 * edge).stretches());
            if (border.turn(edge) > 0) {
                all.addAll(new Envelope(border, 2 * edge + 1).stretches());
            }
        }
        for (Envelope.Stretch seen : all) {
            Branch branch = new Branch(border, seen);
            if (length(branch) < 1e-3) {
                continue;
            }
            for (double u = 0.1; u < 1; u += 0.2) {
                AxisPoint p = branch.at(u);
                double nearest =
                        all.stream()
                                .filter(s -> s.site() == seen.other() && s.other() == seen.site())
                                .mapToDouble(s -> distance(new Branch(border, s), p))
                                .min()
                                .orElse(Double.POSITIVE_INFINITY);
                assertThat(nearest).as("seed %d, %s, %s", seed, seen, p).isLessThan(1e-5);
            }
        }
    }

    private static double distance(Branch branch, AxisPoint p) {
        double best = 0;
        for (int i = 0; i <= 200; i++) {
            double u = i / 200.0;
            best = branch.at(u).distance(p) < branch.at(best).distance(p) ? u : best;
        }
        for (double step = 1.0 / 200; step > 1e-12; step /= 2) {
            for (double u : new double[] {best - step, best + step}) {
                boolean within = u >= 0 && u <= 1;
                best = within && branch.at(u).distance(p) < branch.at(best).distance(p) ? u : best;
            }
        }
        return branch.at(best).distance(p);
    }
}
