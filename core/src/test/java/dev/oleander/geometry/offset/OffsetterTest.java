package dev.oleander.geometry.offset;

import static dev.oleander.geometry.Shapes.p;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.Shapes;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.operation.buffer.BufferOp;
import org.locationtech.jts.operation.buffer.BufferParameters;

class OffsetterTest {

    private final Offsetter offsetter = Offsetter.round();

    private List<Contour> offset(Contour contour, double outward) {
        return offsetter.offset(contour, outward).stream()
                .map(Region::contours)
                .flatMap(List::stream)
                .toList();
    }

    @Test
    void growsAConvexShapeBySteinersFormula() {
        Contour plate = Shapes.rectangle(100, 60);
        double d = 2.5;
        List<Contour> grown = offset(plate, d);
        assertThat(grown).hasSize(1);
        // J. Steiner, 1840: A + P d + pi d^2
        assertThat(grown.get(0).area()).isCloseTo(6000 + 320 * d + Math.PI * d * d, within(1e-9));
        assertThat(grown.get(0).segments()).hasSize(8);
    }

    @Test
    void shrinksARectangleToARectangle() {
        List<Contour> shrunk = offset(Shapes.rectangle(100, 60), -5);
        assertThat(shrunk).hasSize(1);
        assertThat(shrunk.get(0).area()).isCloseTo(90 * 50, within(1e-9));
        assertThat(shrunk.get(0).segments()).hasSize(4);
    }

    @Test
    void keepsTheArcsOfARoundedPlate() {
        Contour inner = offset(Shapes.rounded(100, 60, 10), -0.13).get(0);
        assertThat(inner.segments()).hasSize(8);
        assertThat(inner.segments().stream().filter(Arc.class::isInstance))
                .hasSize(4)
                .allMatch(s -> Math.abs(((Arc) s).radius() - 9.87) < 1e-9);
    }

    @Test
    void cornersSmallerThanTheDistanceBecomeSharp() {
        Contour inner = offset(Shapes.rounded(100, 60, 2), -5).get(0);
        assertThat(inner.area()).isCloseTo(90 * 50, within(1e-6));
        assertThat(inner.segments()).allMatch(Line.class::isInstance);
    }

    @Test
    void aNeckPartsTheShape() {
        Contour dumbbell =
                Shapes.polygon(
                        0, 0, 40, 0, 40, 18, 60, 18, 60, 0, 100, 0, 100, 40, 60, 40, 60, 22, 40, 22,
                        40, 40, 0, 40);
        List<Contour> parts = offset(dumbbell, -3);
        assertThat(parts).hasSize(2);
        // a square, and what reaches towards the neck between the arcs about its corners
        double bump = 2 * (6 - (Math.sqrt(5) + 4.5 * Math.asin(2 / 3.0)));
        assertThat(parts).allMatch(c -> Math.abs(c.area() - 34 * 34 - bump) < 1e-6);
    }

    @Test
    void aShapeSmallerThanTheDistanceVanishes() {
        assertThat(offset(Shapes.rectangle(100, 4), -2.5)).isEmpty();
        assertThat(offset(Shapes.rectangle(30, 0.2), -0.11)).isEmpty();
        assertThat(offset(Contour.circle(p(0, 0), 3), -3.1)).isEmpty();
    }

    @Test
    void growingACClosesItsMouth() {
        Contour c =
                Shapes.polygon(
                        0, 0, 40, 0, 40, 17, 34, 17, 34, 6, 6, 6, 6, 34, 34, 34, 34, 23, 40, 23, 40,
                        40, 0, 40);
        List<Contour> grown = offset(c, 4);
        assertThat(grown).hasSize(2);
        assertThat(grown.get(0).isAnticlockwise()).isTrue();
        assertThat(grown.get(1).isAnticlockwise()).isFalse();
    }

    @Property(tries = 300)
    void everyPointLiesAtTheDistanceAndAreasAgreeWithAnotherLibrary(
            @ForAll @Size(8) List<@DoubleRange(min = 30, max = 60) Double> radii,
            @ForAll @DoubleRange(min = -0.4, max = 0.4) double bulge,
            @ForAll @DoubleRange(min = 0.05, max = 4) double distance) {
        double[] r = radii.stream().mapToDouble(Double::doubleValue).toArray();
        Contour star = Shapes.star(r, Math.abs(bulge) < 1e-3 ? 0.1 : bulge);
        for (double outward : new double[] {distance, -distance}) {
            List<Contour> found = offset(star, outward);
            found.forEach(c -> assertAtDistance(star, c, distance));
            assertThat(area(found)).isCloseTo(jtsArea(star, outward), within(0.05));
        }
    }

    private static void assertAtDistance(Contour source, Contour result, double distance) {
        for (Segment segment : result.segments()) {
            for (double t : new double[] {0.1, 0.5, 0.9}) {
                Point at = segment.at(t);
                double found = source.nearest(at).point().distance(at);
                assertThat(found).isCloseTo(distance, within(1e-9));
            }
        }
    }

    private static double area(List<Contour> contours) {
        boolean first = !contours.isEmpty() && contours.get(0).isAnticlockwise();
        return contours.stream()
                .mapToDouble(c -> c.isAnticlockwise() == first ? c.area() : -c.area())
                .sum();
    }

    private static double jtsArea(Contour contour, double distance) {
        BufferParameters round = new BufferParameters(256);
        // its default moves the source by up to 1 % of the distance
        round.setSimplifyFactor(1e-7);
        return BufferOp.bufferOp(Shapes.flattened(contour, 1e-5), distance, round).getArea();
    }
}
