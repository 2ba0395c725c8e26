package dev.oleander.geometry.overlay;

import static dev.oleander.geometry.Shapes.p;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Judge;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.LongRun;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.RandomShapes;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Shapes;
import dev.oleander.geometry.Transform;
import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.Assume;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

class OverlayTest {

    private static Region square(double x, double y, double side) {
        return new Region(
                Shapes.rectangle(side, side).transformed(Transform.translation(p(x, y))),
                List.of());
    }

    private static Region disc(double x, double y, double radius) {
        return RandomShapes.disc(p(x, y), radius);
    }

    private static int edges(List<Region> regions) {
        return regions.stream()
                .flatMap(r -> r.contours().stream())
                .mapToInt(c -> c.vertices().edges())
                .sum();
    }

    @Test
    void aLensOfTwoDiscsHasTwoArcs() {
        List<Region> lens = Overlay.intersection(List.of(disc(0, 0, 5)), List.of(disc(6, 0, 5)));
        assertThat(lens).hasSize(1);
        assertThat(lens.get(0).outer().segments()).hasSize(2).allMatch(Arc.class::isInstance);
        // 2 r^2 acos(d / 2r) - d / 2 sqrt(4 r^2 - d^2)
        double area = 50 * Math.acos(0.6) - 3 * Math.sqrt(64);
        assertThat(Judge.area(lens)).isCloseTo(area, within(1e-12));
    }

    @Test
    void squaresThatShareAnEdgeBecomeOne() {
        List<Region> united = Overlay.union(List.of(square(0, 0, 10)), List.of(square(10, 0, 10)));
        assertThat(united).hasSize(1);
        assertThat(edges(united)).isEqualTo(4);
        assertThat(Judge.area(united)).isCloseTo(200, within(1e-12));
    }

    @Test
    void aHalfSharedEdgeStays() {
        List<Region> united = Overlay.union(List.of(square(0, 0, 10)), List.of(square(10, 5, 10)));
        assertThat(edges(united)).isEqualTo(8);
        List<Region> shared =
                Overlay.intersection(List.of(square(0, 0, 10)), List.of(square(10, 5, 10)));
        assertThat(shared).isEmpty();
    }

    @Test
    void aDiscInASquareMakesAnOpening() {
        List<Region> rest = Overlay.difference(List.of(square(0, 0, 10)), List.of(disc(5, 5, 3)));
        assertThat(rest).hasSize(1);
        assertThat(rest.get(0).openings()).hasSize(1);
        assertThat(rest.get(0).openings().get(0).isAnticlockwise()).isFalse();
        assertThat(Judge.area(rest)).isCloseTo(100 - 9 * Math.PI, within(1e-12));
    }

    @Test
    void anOpeningThatTouchesTheOutlineFromInsideStaysAnOpening() {
        List<Region> rest = Overlay.difference(List.of(square(0, 0, 10)), List.of(disc(5, 3, 3)));
        assertThat(rest).hasSize(1);
        assertThat(rest.get(0).openings()).hasSize(1);
        assertThat(Judge.area(rest)).isCloseTo(100 - 9 * Math.PI, within(1e-12));
    }

    @Test
    void islandsInOpeningsAreRegionsOfTheirOwn() {
        List<Region> rings =
                Overlay.difference(
                        List.of(disc(0, 0, 10), disc(0, 0, 3)),
                        Overlay.difference(List.of(disc(0, 0, 7)), List.of(disc(0, 0, 3))));
        assertThat(rings).hasSize(2);
        assertThat(rings.get(0).openings()).hasSize(1);
        assertThat(Judge.area(rings)).isCloseTo(Math.PI * (100 - 49 + 9), within(1e-11));
    }

    @Test
    void discsThatTouchStayTwo() {
        assertThat(Overlay.union(List.of(disc(0, 0, 1)), List.of(disc(2, 0, 1)))).hasSize(2);
        assertThat(Overlay.intersection(List.of(disc(0, 0, 1)), List.of(disc(2, 0, 1)))).isEmpty();
    }

    @Test
    void threeTouchingDiscsInARowStayThree() {
        List<Region> row =
                Overlay.union(List.of(disc(0, 0, 0.5), disc(0, 1, 0.5), disc(0, 2, 0.5)));
        assertThat(row).hasSize(3);
        assertThat(Judge.area(row)).isCloseTo(0.75 * Math.PI, within(1e-12));
    }

    @Test
    void aSquareLessItselfIsNothing() {
        assertThat(Overlay.difference(List.of(square(3, 4, 5)), List.of(square(3, 4, 5))))
                .isEmpty();
    }

    @Test
    void nothingAndSomethingIsSomething() {
        assertThat(Overlay.union(List.of(), List.of())).isEmpty();
        assertThat(Overlay.union(List.of(disc(0, 0, 1)), List.of())).hasSize(1);
        assertThat(Overlay.intersection(List.of(disc(0, 0, 1)), List.of())).isEmpty();
    }

    @Test
    void aBowTieBecomesItsAnticlockwiseHalf() {
        Contour bow =
                new Contour(
                        List.of(
                                new Line(p(0, 0), p(10, 10)),
                                new Line(p(10, 10), p(10, 0)),
                                new Line(p(10, 0), p(0, 10)),
                                new Line(p(0, 10), p(0, 0))));
        List<Region> united = Overlay.union(List.of(new Region(bow, List.of())));
        assertThat(united).hasSize(1);
        assertThat(Judge.area(united)).isCloseTo(25, within(1e-9));
    }

    /** Discs of a row, each overlapping its neighbours: two arcs each, one more at either end. */
    @Test
    void aChainOfDiscsHasTheTrueNumberOfArcs() {
        List<Region> discs = new ArrayList<>();
        for (int i = 0; i < 50; i++) {
            discs.add(disc(1.2 * i, 0, 1));
        }
        List<Region> united = Overlay.union(discs);
        assertThat(united).hasSize(1);
        assertThat(edges(united)).isEqualTo(2 * 48 + 2);
    }

    @Test
    void theSameFourKilometresAway() {
        Point far = p(4e6, -4e6);
        List<Region> near = Overlay.union(List.of(square(0, 0, 10)), List.of(disc(10, 5, 4)));
        List<Region> away =
                Overlay.union(
                        List.of(square(0, 0, 10).transformed(Transform.translation(far))),
                        List.of(disc(10, 5, 4).transformed(Transform.translation(far))));
        assertThat(edges(away)).isEqualTo(edges(near));
        assertThat(Judge.area(away)).isCloseTo(Judge.area(near), within(1e-6));
    }

    @Property(tries = 1500)
    void areasAddUp(@ForAll long seed) {
        OverlayLaws laws = new OverlayLaws(seed);
        Assume.that(laws.isSimple());
        assertThat(laws.broken()).isEmpty();
    }

    @Property(tries = 200)
    void areasAgreeWithAnotherLibrary(@ForAll long seed) {
        OverlayLaws laws = new OverlayLaws(seed);
        Assume.that(laws.isSimple());
        assertThat(laws.brokenForJudge()).isEmpty();
    }

    /** {@code -Doleander.long=1000000} looks at so many pairs, on all processors. */
    @Test
    @EnabledIfSystemProperty(named = LongRun.SWITCH, matches = "\\d+")
    void manyPairs() {
        LongRun.of(
                seed -> {
                    OverlayLaws laws = new OverlayLaws(seed);
                    return laws.isSimple() ? laws.broken() : List.of();
                });
    }
}
