package dev.oleander.geometry.offset;

import static dev.oleander.geometry.Shapes.p;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.Shapes;
import dev.oleander.geometry.Transform;
import dev.oleander.geometry.flat.Vertices;
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

    @Test
    void anOpeningThatGrowsIntoTheOutlineLeavesOneRegion() {
        Contour steps = Shapes.polygon(0, 0, 5, 0, 5, 5, 4, 5, 4, 4, 3, 4, 3, 2, 0, 2);
        Region plate = new Region(steps, List.of(Contour.circle(p(3.5, 1.5), 0.5)));
        List<Region> rest = offsetter.offset(plate, -0.25);
        assertThat(rest).hasSize(1);
        assertThat(OffsetCheck.faults(plate, rest, -0.25, 1e-9, 1)).isEmpty();
    }

    @Test
    void openingsThatTouchEachOtherGrowTogether() {
        Region plate =
                new Region(
                        Shapes.rectangle(20, 10),
                        List.of(Contour.circle(p(7, 5), 2), Contour.circle(p(11, 5), 2)));
        List<Region> rest = offsetter.offset(plate, -1);
        assertThat(rest).hasSize(1);
        assertThat(rest.get(0).openings()).hasSize(1);
        assertThat(rest.get(0).openings().get(0).segments()).hasSize(2);
    }

    @Test
    void aShapeTurnedInsideOutVanishes() {
        assertThat(offset(Shapes.rectangle(10, 10), -30)).isEmpty();
        assertThat(offset(Shapes.rounded(100, 60, 10), -31)).isEmpty();
    }

    @Test
    void aFilletOfTheDistanceBecomesASharpCorner() {
        Contour inner = offset(Shapes.rounded(100, 60, 10), -10).get(0);
        assertThat(inner.segments()).hasSize(4).allMatch(Line.class::isInstance);
        assertThat(inner.area()).isCloseTo(80 * 40, within(1e-9));
    }

    @Test
    void aSlotAsWideAsTwiceTheDistanceVanishesAndOneALittleWiderStays() {
        assertThat(offset(Shapes.rectangle(30, 4), -2)).isEmpty();
        assertThat(offset(Shapes.rectangle(30, 4 + 1e-6), -2)).hasSize(1);
    }

    /** Its fillet at the last corner turns by 4e-3 degrees and is 2e-4 mm long. */
    @Test
    void aCrumbOfAFilletFourKilometresAwayDoesNoHarm() {
        Contour blade =
                Contour.of(
                        Vertices.of(
                                new double[] {
                                    4000034.043775002, 1480003.9816104625, 0.2554299103355042,
                                    4000033.554971841, 1480006.1144541292, 0,
                                    4000013.463625816, 1480037.128328391, 0.306,
                                    4000011.2740456094, 1480038.4424491154, 0,
                                    3999970.6091371756, 1480036.5733327428, 0,
                                    3999983.369929405, 1479975.1107515476, 0,
                                    4000022.9633832816, 1479964.6865985238, 0,
                                    4000028.2423098693, 1479983.4101641811, -1.7411588797021098E-5,
                                    4000028.242352991, 1479983.4103171057, 0
                                },
                                true));
        double d = 4.019423551192119;
        Region source = new Region(blade, List.of());
        List<Region> grown = offsetter.offset(source, d);
        assertThat(OffsetCheck.faults(source, grown, d, 1e-6, 1)).isEmpty();
        double steiner = blade.area() + blade.length() * d;
        assertThat(grown.get(0).area()).isGreaterThan(steiner);
    }

    @Test
    void regionsThatOverlapAreOffsetAsOne() {
        Region left = new Region(Shapes.rectangle(10, 10), List.of());
        Region right = left.transformed(Transform.translation(p(5, 0)));
        List<Region> grown = offsetter.offset(List.of(left, right), 1);
        assertThat(grown).hasSize(1);
        assertThat(grown.get(0).area()).isCloseTo(150 + 50 + Math.PI, within(1e-9));
    }

    @Test
    void growingUnitesNeighboursAndFillsOpenings() {
        Region left = new Region(Shapes.rectangle(10, 10), List.of(Contour.circle(p(5, 5), 0.9)));
        Region right = left.transformed(Transform.translation(p(11.5, 0)));
        List<Region> grown = offsetter.offset(List.of(left, right), 1);
        assertThat(grown).hasSize(1);
        assertThat(grown.get(0).openings()).isEmpty();
    }

    @Test
    void mitresAreSharpUpToTheirLimit() {
        Offsetter mitred = new Offsetter(OffsetOptions.defaults().withMitres(1.5));
        Region square = mitred.offset(Shapes.rectangle(10, 10), 2).get(0);
        assertThat(square.outer().segments()).hasSize(4);
        assertThat(square.area()).isCloseTo(14 * 14, within(1e-12));
        // corners of 60 degrees would need a limit of 2
        Contour triangle = Shapes.polygon(0, 0, 10, 0, 5, 5 * Math.sqrt(3));
        assertThat(mitred.offset(triangle, 1).get(0).outer().segments()).hasSize(6);
        assertThatThrownBy(() -> OffsetOptions.defaults().withMitres(0.5))
                .hasMessageContaining("at least 1");
    }

    @Test
    void aHundredThousandSegmentsAreNoTrouble() {
        double[] radii = new double[100_000];
        for (int i = 0; i < radii.length; i++) {
            radii[i] = 2000 + 5 * Math.sin(i * 0.01);
        }
        Contour gear = Shapes.star(radii, 0.05);
        List<Region> grown = offsetter.offset(gear, 0.5);
        assertThat(grown).hasSize(1);
        double middle = gear.area() + gear.length() * 0.5;
        assertThat(grown.get(0).area()).isCloseTo(middle, within(middle * 1e-4));
    }

    @Test
    void pointsOutOfReachAreRefusedWithTheirPlace() {
        Contour far = Shapes.rectangle(10, 10).transformed(Transform.translation(p(3e9, 0)));
        assertThatThrownBy(() -> offsetter.offset(far, 1))
                .isInstanceOf(OffsetException.class)
                .hasMessageContaining("farther from the origin than 1000 km")
                .satisfies(e -> assertThat(((OffsetException) e).place().x()).isGreaterThan(2e9));
    }

    @Test
    void almostNoDistanceChangesNothing() {
        Contour plate = Shapes.rounded(100, 60, 10);
        assertThat(offset(plate, 1e-12)).containsExactly(plate);
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
