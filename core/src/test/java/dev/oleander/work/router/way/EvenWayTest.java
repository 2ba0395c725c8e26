package dev.oleander.work.router.way;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Samples;
import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.geometry.overlay.Overlay;
import dev.oleander.work.router.material.Cutting;
import dev.oleander.work.router.material.Engaged;
import dev.oleander.work.router.material.Removed;
import dev.oleander.work.router.pocket.Disc;
import dev.oleander.work.router.pocket.Engagement;
import dev.oleander.work.router.pocket.Reach;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.tool.ToolKind;
import dev.oleander.work.router.way.ToolWay.Heights;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Pockets cleared at even engagement, judged by what their ways take away and how. */
class EvenWayTest {

    private static final double RAMP = Math.toRadians(5);
    private static final double R = 3;

    /** mm; narrower pieces are rounding where very many arcs meet in a corner. */
    private static final double SLIVER = 5e-3;

    private static ToolWay cleared(Region pocket, double step) {
        Reach reach = Reach.of(List.of(pocket), R);
        EvenWay even = new EvenWay(reach, 0, step, true, Descent.at(RAMP, R));
        ToolWay way = new ToolWay(Heights.USUAL);
        assertThat(even.add(way, List.of(4.0), 0)).isTrue();
        Cutting cutting = new Cutting("s", Tool.Form.of(ToolKind.STRAIGHT, 2 * R), way.legs());
        Removed removed = new Removed(List.of(cutting));
        List<Region> left = Overlay.difference(reach.clean(), removed.at(-4));
        assertThat(real(left)).as("what it could reach is gone").isEmpty();
        List<Region> beyond = Overlay.difference(removed.atMost(-3.999), List.of(pocket));
        assertThat(real(beyond)).as("nothing else is gone").isEmpty();
        return way;
    }

    private static List<Region> real(List<Region> regions) {
        return regions.stream()
                .filter(r -> !Offsetter.round().offset(r, -SLIVER).isEmpty())
                .toList();
    }

    private static Region rectangle(double width, double height) {
        Box box = new Box(Point.ORIGIN, new Point(width, height));
        return new Region(Contour.rectangle(box), List.of());
    }

    private static void requireEven(ToolWay way, double step) {
        double target = Math.toDegrees(Math.acos(1 - step / R));
        Engaged engaged = Engaged.of(way.legs(), R, -4);
        assertThat(engaged.peak()).isLessThanOrEqualTo(1.05 * target + 0.5);
        assertThat(engaged.peak()).isGreaterThan(0.6 * target);
    }

    @Test
    void aRectangle() {
        for (double step : new double[] {0.6, 1.5, 2.7}) {
            requireEven(cleared(rectangle(80, 40), step), step);
        }
    }

    @Test
    void aCircleAndALongSlot() {
        Region circle = new Region(Contour.circle(new Point(5, 5), 30), List.of());
        requireEven(cleared(circle, 1.5), 1.5);
        requireEven(cleared(rectangle(90, 8), 1.5), 1.5);
    }

    @Test
    void withIslandsAndSharpCorners() {
        Contour island = Contour.circle(new Point(30, 20), 6).turning(false);
        Contour other =
                Contour.rectangle(new Box(new Point(55, 12), new Point(66, 30))).turning(false);
        Contour outer = Contour.rectangle(new Box(Point.ORIGIN, new Point(90, 45)));
        requireEven(cleared(new Region(outer, List.of(island, other)), 1.5), 1.5);
        Point a = new Point(0, 0);
        Point b = new Point(90, 10);
        Point c = new Point(20, 60);
        Contour sharp = new Contour(List.of(new Line(a, b), new Line(b, c), new Line(c, a)));
        requireEven(cleared(new Region(sharp, List.of()), 1.2), 1.2);
    }

    @Test
    void thePocketOfThePanel() {
        Reading panel = Samples.reading("router/instrument_panel");
        List<Region> pockets =
                panel.features().stream()
                        .filter(f -> f.layer().equals("RECESS"))
                        .map(Feature::contour)
                        .map(c -> new Region(c.turning(true), List.of()))
                        .toList();
        assertThat(pockets).isNotEmpty();
        pockets.forEach(p -> requireEven(cleared(p, 1.5), 1.5));
    }

    @Test
    void randomPockets() {
        Random random = new Random(7);
        for (int i = 0; i < 12; i++) {
            List<Point> corners = new ArrayList<>();
            int count = 5 + random.nextInt(6);
            for (int k = 0; k < count; k++) {
                double far = 15 + 30 * random.nextDouble();
                corners.add(Point.polar(far, 2 * Math.PI * k / count));
            }
            List<dev.oleander.geometry.Segment> sides = new ArrayList<>();
            for (int k = 0; k < count; k++) {
                Point from = corners.get(k);
                Point to = corners.get((k + 1) % count);
                double bulge = random.nextBoolean() ? 0 : 0.3 * random.nextDouble();
                sides.add(bulge == 0 ? new Line(from, to) : new Arc(from, to, bulge));
            }
            double step = 0.5 + 2 * random.nextDouble();
            Region pocket = new Region(new Contour(sides), List.of());
            requireEven(cleared(pocket, step), step);
        }
    }

    /** The formulas of a straight way and of rounds about one middle. */
    @Test
    void engagementByItsFormulas() {
        Engagement tool = new Engagement(R);
        assertThat(tool.straight(R)).isCloseTo(Math.PI / 2, within(1e-12));
        assertThat(tool.straight(2 * R)).isCloseTo(Math.PI, within(1e-12));
        double rho = 10;
        double gone = 8.5;
        double cos = ((gone + R) * (gone + R) - rho * rho - R * R) / (2 * rho * R);
        assertThat(tool.round(gone, rho)).isCloseTo(Math.acos(cos), within(1e-12));
        assertThat(tool.round(gone, gone + tool.step(gone, 1.2))).isCloseTo(1.2, within(1e-9));
        // a wide round is nearly straight
        assertThat(tool.round(1e6, 1e6 + 1.5)).isCloseTo(tool.straight(1.5), within(1e-3));
    }

    /** Against the tool's edge, looked at point by point. */
    @Test
    void theGreatestOnACrescent() {
        Engagement tool = new Engagement(R);
        Disc gone = new Disc(Point.ORIGIN, 7);
        for (double away : new double[] {0.3, 1, 2}) {
            for (double radius : new double[] {6.5, 7, 7.4}) {
                Disc round = new Disc(new Point(away, 0), radius);
                assertThat(Math.toDegrees(tool.peak(gone, round)))
                        .isCloseTo(looked(gone, round), within(1.0));
            }
        }
        assertThat(tool.peak(gone, new Disc(new Point(0.2, 0), 6))).isZero();
    }

    private static double looked(Disc gone, Disc round) {
        double most = 0;
        for (int i = 0; i < 720; i++) {
            double angle = Math.toRadians(i / 2.0);
            Point place = round.at(angle);
            if (gone.holds(place)) {
                continue;
            }
            int in = 0;
            for (int k = 0; k < 1800; k++) {
                Point edge = place.plus(Point.polar(R, angle + Math.toRadians((k + 0.5) / 10)));
                in += edge.distance(gone.centre()) > gone.radius() + R ? 1 : 0;
            }
            most = Math.max(most, in / 10.0);
        }
        return most;
    }
}
