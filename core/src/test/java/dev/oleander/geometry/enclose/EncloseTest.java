package dev.oleander.geometry.enclose;

import static dev.oleander.geometry.Shapes.p;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.RandomShapes;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.Shapes;
import dev.oleander.geometry.Transform;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class EncloseTest {

    @Test
    void theHullOfTwoDiscsIsABelt() {
        Contour belt =
                ConvexHull.of(List.of(Contour.circle(p(0, 0), 5), Contour.circle(p(30, 0), 5)));
        assertThat(belt.area()).isCloseTo(300 + 25 * Math.PI, within(1e-9));
        assertThat(belt.segments().stream().filter(Line.class::isInstance)).hasSize(2);
    }

    @Test
    void aDiscIsItsOwnHull() {
        Contour hull = ConvexHull.of(List.of(Contour.circle(p(3, 4), 5)));
        assertThat(hull.circleDiameter(1e-9)).hasValueCloseTo(10.0, within(1e-9));
    }

    @Test
    void aLineHasNoHull() {
        Path line = new Path(List.of(new Line(p(0, 0), p(1, 1))));
        assertThatThrownBy(() -> ConvexHull.of(List.of(line)))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("straight line");
        assertThatThrownBy(() -> ConvexHull.of(List.of()))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Property(tries = 500)
    void hullsAreConvexAndHoldEverything(@ForAll long seed) {
        Contour contour = new RandomShapes(seed).contour((int) Math.floorMod(seed, 5L));
        Contour hull = ConvexHull.of(List.of(contour));
        List<Segment> sides = hull.segments();
        for (int i = 0; i < sides.size(); i++) {
            Point in = sides.get(i).direction(1);
            Point out = sides.get((i + 1) % sides.size()).direction(0);
            assertThat(in.cross(out)).isGreaterThan(-1e-7);
            assertThat(sides.get(i).bulge()).isGreaterThanOrEqualTo(0);
        }
        for (Segment segment : contour.segments()) {
            for (double t = 0; t < 1; t += 0.02) {
                Point on = segment.at(t);
                boolean inside = hull.contains(on);
                double off = hull.nearest(on).point().distance(on);
                assertThat(inside || off < 1e-7).isTrue();
            }
        }
        assertThat(hull.length()).isLessThanOrEqualTo(contour.length() + 1e-9);
    }

    @Test
    void theSmallestRectangleTurnsWithThePart() {
        for (double angle : new double[] {0, 0.3, 1.2, 2.9}) {
            Contour plate = Shapes.rounded(100, 60, 10).transformed(Transform.rotation(angle));
            SmallestRectangle round = SmallestRectangle.round(plate);
            assertThat(round.length()).isCloseTo(100, within(1e-6));
            assertThat(round.width()).isCloseTo(60, within(1e-6));
            assertThat(round.angle()).isCloseTo(angle, within(1e-6));
            assertThat(round.contour().area()).isCloseTo(6000, within(1e-3));
        }
    }

    @Test
    void anEllipseLikeOvalLiesAlongItsLongAxis() {
        Contour slot =
                new Contour(
                        List.of(
                                new Line(p(0, -5), p(40, -5)),
                                new Arc(p(40, -5), p(40, 5), 1),
                                new Line(p(40, 5), p(0, 5)),
                                new Arc(p(0, 5), p(0, -5), 1)));
        SmallestRectangle round =
                SmallestRectangle.round(slot.transformed(Transform.rotation(0.7)));
        assertThat(round.length()).isCloseTo(50, within(1e-6));
        assertThat(round.width()).isCloseTo(10, within(1e-6));
        assertThat(round.angle()).isCloseTo(0.7, within(1e-6));
    }

    @Test
    void theLargestCircleOfATriangleTouchesAllSides() {
        Contour triangle = Shapes.polygon(0, 0, 4, 0, 0, 3);
        LargestCircle circle = LargestCircle.within(new Region(triangle, List.of()));
        // the radius is the area over half the border
        assertThat(circle.radius()).isCloseTo(1, within(1e-6));
        assertThat(circle.centre().distance(p(1, 1))).isLessThan(1e-5);
    }

    @Test
    void anOpeningPushesTheCircleAside() {
        Region ring = new Region(Contour.circle(p(0, 0), 10), List.of(Contour.circle(p(2, 0), 4)));
        LargestCircle circle = LargestCircle.within(ring);
        // opposite the opening's shift: from -10 to -2 on the axis
        assertThat(circle.radius()).isCloseTo(4, within(1e-6));
        assertThat(circle.centre().distance(p(-6, 0))).isLessThan(1e-2);
    }

    @Property(tries = 60)
    void noPlaceHasMoreRoom(@ForAll long seed) {
        RandomShapes shapes = new RandomShapes(seed);
        Region region = new Region(shapes.contour(4), List.of());
        LargestCircle circle = LargestCircle.within(region);
        double room = region.outer().nearest(circle.centre()).point().distance(circle.centre());
        assertThat(room).isCloseTo(circle.radius(), within(1e-9));
        assertThat(region.contains(circle.centre())).isTrue();
        for (int i = 0; i < 300; i++) {
            Point p = p(shapes.between(-50, 50), shapes.between(-50, 50));
            double other = region.outer().nearest(p).point().distance(p);
            boolean inside = region.contains(p);
            assertThat(inside && other > circle.radius() * (1 + 1e-3)).isFalse();
        }
    }
}
