package dev.oleander.geometry.offset;

import static dev.oleander.geometry.Shapes.p;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Judge;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Shapes;
import dev.oleander.geometry.offset.OffsetOptions.Ends;
import java.util.List;
import org.junit.jupiter.api.Test;

class BandTest {

    private final Offsetter round = Offsetter.round();
    private final Offsetter flat = new Offsetter(OffsetOptions.defaults().withEnds(Ends.FLAT));

    private static final Path STRAIGHT = new Path(List.of(new Line(p(0, 0), p(10, 0))));
    private static final Path BENT =
            new Path(List.of(new Line(p(0, 0), p(10, 0)), new Line(p(10, 0), p(10, 10))));

    @Test
    void aLineBecomesASlotOrARectangle() {
        List<Region> slot = round.band(STRAIGHT, 2);
        assertThat(Judge.area(slot)).isCloseTo(40 + 4 * Math.PI, within(1e-12));
        assertThat(slot.get(0).outer().segments()).hasSize(4);
        List<Region> bar = flat.band(STRAIGHT, 2);
        assertThat(Judge.area(bar)).isCloseTo(40, within(1e-12));
        assertThat(bar.get(0).outer().segments()).hasSize(4).allMatch(Line.class::isInstance);
    }

    @Test
    void aBendIsRoundedOutsideAndSharpInside() {
        // both legs, less the overlap in the corner, plus a quarter disc outside it
        double area = 2 * 40 - 4 + Math.PI;
        assertThat(Judge.area(flat.band(BENT, 2))).isCloseTo(area, within(1e-12));
        assertThat(Judge.area(round.band(BENT, 2))).isCloseTo(area + 4 * Math.PI, within(1e-12));
    }

    @Test
    void aMitredBendIsSharp() {
        Offsetter mitred =
                new Offsetter(OffsetOptions.defaults().withMitres(2).withEnds(Ends.FLAT));
        assertThat(Judge.area(mitred.band(BENT, 2))).isCloseTo(80, within(1e-12));
    }

    @Test
    void anArcBecomesARingSector() {
        Path half = new Path(List.of(new Arc(p(5, 0), p(-5, 0), 1)));
        assertThat(Judge.area(flat.band(half, 1))).isCloseTo(10 * Math.PI, within(1e-11));
        assertThat(Judge.area(round.band(half, 1))).isCloseTo(11 * Math.PI, within(1e-11));
    }

    @Test
    void anArcTighterThanTheBandHasNoHoleInside() {
        Path half = new Path(List.of(new Arc(p(1, 0), p(-1, 0), 1)));
        List<Region> band = round.band(half, 3);
        assertThat(band).hasSize(1);
        assertThat(band.get(0).openings()).isEmpty();
    }

    @Test
    void aHookComingBackUnitesWithItself() {
        Path hook =
                new Path(
                        List.of(
                                new Line(p(0, 0), p(20, 0)),
                                new Line(p(20, 0), p(20, 3)),
                                new Line(p(20, 3), p(0, 3))));
        List<Region> band = round.band(hook, 2);
        assertThat(band).hasSize(1);
        assertThat(band.get(0).openings()).isEmpty();
        List<Region> thin = round.band(hook, 1);
        assertThat(thin.get(0).openings()).isEmpty();
        assertThat(Judge.area(thin)).isLessThan(Judge.area(band));
    }

    @Test
    void aRingThatNearlyClosesHasAnOpening() {
        Path c = new Path(List.of(Arc.about(p(0, 0), 10, 0.1, 6)));
        List<Region> band = round.band(c, 2);
        assertThat(band).hasSize(1);
        assertThat(band.get(0).openings()).hasSize(1);
    }

    @Test
    void aFlatEndDoesNotHideWhatPassesBesideIt() {
        // the second leg passes 1 mm beyond the start of the first
        Path path =
                new Path(
                        List.of(
                                new Line(p(0, 0), p(10, 0)),
                                new Line(p(10, 0), p(10, 8)),
                                new Line(p(10, 8), p(-3, 8)),
                                new Line(p(-3, 8), p(-3, -8))));
        List<Region> band = flat.band(path, 1);
        // 1 mm of room is left between the start's flat end and the last leg
        assertThat(band.get(0).contains(p(-1, 0))).isFalse();
        assertThat(band.get(0).contains(p(0.5, 0.5))).isTrue();
        assertThat(band.get(0).contains(p(-2.5, 0))).isTrue();
    }

    @Test
    void bandsNeedADistance() {
        assertThatThrownBy(() -> round.band(STRAIGHT, 0))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("> 0");
        assertThatThrownBy(() -> round.offset(Shapes.rectangle(1, 1), Double.NaN))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
