package dev.oleander.drawing.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Drawn;
import dev.oleander.drawing.Fault;
import dev.oleander.geometry.Contour;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DrawingReadingTest {

    private static List<Feature> of(Reading reading, Feature.Kind kind) {
        return reading.cut().filter(f -> f.kind() == kind).toList();
    }

    @Test
    void evenDepthIsAPartOddAnOpening() {
        Reading reading =
                new Drawn()
                        .rectangle(0, 0, 200, 100)
                        .rectangle(20, 20, 100, 60)
                        .circle(60, 50, 20)
                        .circle(60, 50, 8)
                        .circle(170, 50, 5)
                        .reading();
        assertThat(reading.parts()).hasSize(2);
        assertThat(of(reading, Feature.Kind.OPENING)).hasSize(3);
        Feature island = reading.byId().get("c3");
        assertThat(island.depth()).isEqualTo(2);
        assertThat(island.kind()).isEqualTo(Feature.Kind.OUTLINE);
        assertThat(island.parent()).contains("c2");
        double plate = 20_000 - 6000 - 25 * Math.PI;
        double ring = Math.PI * (400 - 64);
        assertThat(reading.keptArea()).isCloseTo(plate + ring, within(1e-6));
    }

    @Test
    void openingsBelongToTheirOwnPart() {
        Reading reading =
                new Drawn()
                        .rectangle(0, 0, 50, 50)
                        .circle(25, 25, 5)
                        .rectangle(100, 0, 50, 50)
                        .circle(125, 25, 5)
                        .reading();
        assertThat(reading.parts()).hasSize(2);
        assertThat(reading.byId().get("c2").part()).contains("p1");
        assertThat(reading.byId().get("c4").part()).contains("p2");
    }

    @Test
    void holesAreGroupedByDiameterWithinTheTolerance() {
        Reading reading =
                new Drawn()
                        .rectangle(0, 0, 200, 100)
                        .circle(20, 20, 5)
                        .circle(40, 20, 5.004)
                        .circle(60, 20, 5.02)
                        .circle(80, 20, 8)
                        .reading();
        assertThat(reading.holes()).extracting(HoleGroup::count).containsExactly(2, 1, 1);
        assertThat(reading.holes().get(0).diameter()).isCloseTo(10.004, within(1e-9));
        assertThat(reading.holes().get(0).features()).containsExactly("c2", "c3");
    }

    @Test
    void aCircleOfArcsIsAHole() {
        Reading reading =
                new Drawn()
                        .rectangle(0, 0, 100, 100)
                        .arc(60, 50, 50, 60, Math.tan(Math.PI / 8))
                        .arc(50, 60, 60, 50, Math.tan(3 * Math.PI / 8))
                        .reading();
        assertThat(reading.holes())
                .singleElement()
                .satisfies(h -> assertThat(h.diameter()).isCloseTo(20, within(1e-6)));
    }

    @Test
    void contoursRunAnticlockwiseHoweverTheyWereDrawn() {
        Reading reading = new Drawn().closed(0, 0, 0, 50, 50, 50, 50, 0).reading();
        assertThat(((Contour) reading.features().get(0).chain()).isAnticlockwise()).isTrue();
    }

    @ParameterizedTest
    @CsvSource({
        "CUT, CUT",
        "PLATE, CUT",
        "0, CUT",
        "Etch_1, MARK",
        "engraving, MARK",
        "MARKING, MARK",
        "bend-lines, FOLD",
        "DIMENSIONS, IGNORE",
        "Center, IGNORE",
        "notes, IGNORE",
        "title block, IGNORE"
    })
    void layersAreGuessedByTheirWords(String layer, Purpose purpose) {
        assertThat(Purpose.guess(layer)).isEqualTo(purpose);
    }

    @Test
    void aPersonOverrulesLayersAndSingleLines() {
        Drawn drawn =
                new Drawn()
                        .rectangle(0, 0, 100, 100)
                        .on("ETCH")
                        .line(10, 10, 90, 10)
                        .on("X")
                        .circle(50, 50, 10);
        ReadOptions chosen =
                ReadOptions.defaults()
                        .withRules(PurposeRules.ofLayers(Map.of("X", Purpose.IGNORE)))
                        .withFeatures(Map.of("c2", Purpose.CUT));
        Reading guessed = drawn.reading();
        Reading decided = new DrawingReading(chosen).read(drawn.drawing());
        assertThat(guessed.byId().get("c2").purpose()).isEqualTo(Purpose.MARK);
        assertThat(guessed.holes()).hasSize(1);
        assertThat(decided.byId().get("c2").purpose()).isEqualTo(Purpose.CUT);
        assertThat(decided.byId().get("c2").onPurpose()).isTrue();
        assertThat(decided.holes()).isEmpty();
        assertThat(decided.layerPurposes()).containsEntry("X", Purpose.IGNORE);
    }

    @Test
    void anOpenLineAsksUntilSomebodyDecides() {
        Drawn drawn = new Drawn().rectangle(0, 0, 100, 100).line(10, 10, 60, 10);
        Reading open = drawn.reading();
        assertThat(open.openFaults())
                .singleElement()
                .satisfies(
                        f -> {
                            assertThat(f.kind()).isEqualTo(Fault.Kind.OPEN);
                            assertThat(f.sentence())
                                    .contains("c2", "50 mm", "(10, 10)", "(60, 10)");
                        });
        ReadOptions asLine = ReadOptions.defaults().withFeatures(Map.of("c2", Purpose.CUT));
        assertThat(new DrawingReading(asLine).read(drawn.drawing()).openFaults()).isEmpty();
    }

    @Test
    void marksLieOnTheirPartButCutNothing() {
        Reading reading =
                new Drawn()
                        .rectangle(0, 0, 100, 100)
                        .on("MARK")
                        .rectangle(40, 40, 20, 20)
                        .reading();
        Feature mark = reading.byId().get("c2");
        assertThat(mark.part()).contains("p1");
        assertThat(mark.parent()).isEqualTo(Optional.of("c1"));
        assertThat(reading.keptArea()).isCloseTo(10_000, within(1e-9));
        assertThat(reading.cutLength()).isCloseTo(400, within(1e-9));
    }

    @Test
    void contoursThatCrossOrTouchAreSaid() {
        Reading crossing = new Drawn().rectangle(0, 0, 60, 60).rectangle(40, 40, 60, 60).reading();
        assertThat(crossing.openFaults())
                .isNotEmpty()
                .allMatch(f -> f.kind() == Fault.Kind.CROSSING);
        Reading touching = new Drawn().circle(0, 0, 10).circle(20, 0, 10).reading();
        assertThat(touching.faults()).anyMatch(f -> f.kind() == Fault.Kind.TOUCHING);
        assertThat(touching.openFaults()).isEmpty();
        assertThat(touching.parts()).hasSize(2);
    }

    @Test
    void theBoxIsThatOfWhatIsCutAndClosed() {
        Reading reading =
                new Drawn()
                        .rectangle(0, 0, 100, 50)
                        .on("MARK")
                        .line(-20, 10, 10, 10)
                        .on("NOTES")
                        .line(-500, 0, 500, 0)
                        .reading();
        assertThat(reading.box().width()).isCloseTo(100, within(1e-9));
        assertThat(reading.workBox().min().x()).isCloseTo(-20, within(1e-9));
    }

    @Test
    void idsStayWhileTheDrawingDoes() {
        Drawn drawn = new Drawn().rectangle(0, 0, 100, 50).circle(20, 20, 5).circle(60, 20, 5);
        List<String> first = drawn.reading().features().stream().map(Feature::id).toList();
        List<String> again = drawn.reading().features().stream().map(Feature::id).toList();
        assertThat(again).isEqualTo(first).containsExactly("c1", "c2", "c3");
    }
}
