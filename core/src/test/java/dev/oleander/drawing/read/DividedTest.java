package dev.oleander.drawing.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Drawn;
import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.Entity;
import dev.oleander.drawing.Fault;
import dev.oleander.drawing.draw.DrawStep;
import dev.oleander.drawing.draw.DrawSteps;
import dev.oleander.drawing.mend.MendOptions;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Lines that run through, stubs on corners, and spurs. */
class DividedTest {

    private static Drawn sheet() {
        return new Drawn()
                .rectangle(0, 0, 300, 300)
                .line(100, 0, 100, 300)
                .line(200, 0, 200, 300)
                .line(0, 100, 300, 100)
                .line(0, 200, 300, 200);
    }

    private static List<Fault> of(Reading reading, Fault.Kind kind) {
        return reading.faults().stream().filter(f -> f.kind() == kind).toList();
    }

    @Test
    void aSheetDividedByFourLinesIsOfferedAsNineParts() {
        Drawing drawing = sheet().drawing();
        Reading reading = new DrawingReading(ReadOptions.defaults()).read(drawing);
        assertThat(reading.openFaults())
                .singleElement()
                .satisfies(f -> assertThat(f.kind()).isEqualTo(Fault.Kind.DIVISION))
                .satisfies(f -> assertThat(f.size()).isEqualTo(9))
                .satisfies(f -> assertThat(f.features()).hasSize(5))
                .satisfies(f -> assertThat(f.sentence()).contains("4 lines run", "9 parts"));
        Reading parts = read(worked(sheet(), "divide", Map.of()).drawing());
        assertThat(parts.parts()).hasSize(9);
        assertThat(parts.parts())
                .allSatisfy(p -> assertThat(p.region().area()).isCloseTo(1e4, within(1e-6)));
        assertThat(parts.openFaults())
                .singleElement()
                .satisfies(f -> assertThat(f.kind()).isEqualTo(Fault.Kind.NO_ROOM))
                .satisfies(f -> assertThat(f.features()).hasSize(9));
    }

    private static Reading read(Drawing drawing) {
        return new DrawingReading(ReadOptions.defaults()).read(drawing);
    }

    private static dev.oleander.drawing.draw.Drawn worked(
            Drawn drawn, String command, Map<String, String> values) {
        Drawing drawing = drawn.drawing();
        List<String> all = drawing.entities().stream().map(Entity::key).toList();
        return new DrawSteps(Map.of())
                .apply(drawing, List.of(new DrawStep("d1", command, all, values)));
    }

    private static Reading apart(Drawn drawn) {
        return read(worked(drawn, "apart", Map.of("gap", "10")).drawing());
    }

    private static void assertApart(Reading reading, double gap) {
        List<Box> boxes = reading.parts().stream().map(p -> p.region().box()).toList();
        for (Box box : boxes) {
            double nearest =
                    boxes.stream()
                            .filter(b -> b != box)
                            .mapToDouble(b -> b.distance(box))
                            .min()
                            .orElseThrow();
            assertThat(nearest).isCloseTo(gap, within(1e-3));
        }
    }

    @Test
    void theyAreMadeApartInOneStep() {
        Reading nine = apart(sheet());
        assertThat(nine.parts()).hasSize(9);
        assertThat(nine.openFaults()).isEmpty();
        assertThat(nine.keptArea()).isCloseTo(9e4, within(1e-6));
        assertThat(nine.box().width()).isCloseTo(320, within(1e-3));
        assertApart(nine, 10);
    }

    @Test
    void stripsKeepAsCloseAsPlates() {
        Drawn strips = new Drawn().rectangle(0, 0, 1000, 60).line(500, 0, 500, 60);
        strips.line(0, 20, 1000, 20).line(0, 40, 1000, 40);
        Reading six = apart(strips);
        assertThat(six.parts()).hasSize(6);
        assertThat(six.box().width()).isCloseTo(1010, within(1e-3));
        assertThat(six.box().height()).isCloseTo(80, within(1e-3));
    }

    @Test
    void platesDrawnWithACommonEdgeAreMovedApart() {
        Drawn plates = new Drawn().rectangle(0, 0, 80, 50).rectangle(80, 0, 40, 30);
        plates.rectangle(80, 30, 40, 20);
        assertThat(of(plates.reading(), Fault.Kind.NO_ROOM)).hasSize(1);
        Reading three = apart(plates);
        assertThat(three.parts()).hasSize(3);
        assertThat(three.openFaults()).isEmpty();
        assertThat(three.keptArea()).isCloseTo(6000, within(1e-6));
        assertApart(three, 10);
    }

    @Test
    void halvesOfADiscKeepTheirArcs() {
        Reading halves = apart(new Drawn().circle(0, 0, 30).line(-30, 0, 30, 0));
        assertThat(halves.parts()).hasSize(2);
        assertThat(halves.keptArea()).isCloseTo(Math.PI * 900, within(1e-6));
        assertApart(halves, 10);
    }

    @Test
    void whatReachesRoundAnotherIsNotMoved() {
        Drawn hook =
                new Drawn()
                        .closed(
                                0, 0, 60, 0, 60, 20, 45, 20, 45, 15, 15, 15, 15, 45, 45, 45, 45, 40,
                                60, 40, 60, 60, 0, 60)
                        .rectangle(15, 15, 30, 30);
        assertThat(worked(hook, "apart", Map.of("gap", "10")).troubles())
                .singleElement()
                .satisfies(t -> assertThat(t.sentence()).contains("reach round each other"));
    }

    @Test
    void platesThatShareAnEdgeAreToo() {
        Reading reading = new Drawn().rectangle(0, 0, 200, 80).line(90, 0, 90, 80).reading();
        assertThat(of(reading, Fault.Kind.DIVISION))
                .singleElement()
                .satisfies(f -> assertThat(f.size()).isEqualTo(2));
    }

    @Test
    void aLineThatEndsWithinIsStillAnOpenLine() {
        Reading reading = new Drawn().rectangle(0, 0, 200, 80).line(90, 0, 90, 40).reading();
        assertThat(of(reading, Fault.Kind.DIVISION)).isEmpty();
        assertThat(of(reading, Fault.Kind.OPEN)).hasSize(1);
    }

    @Test
    void aStubOnACornerWithAGapDoesNotOpenTheOutline() {
        Drawn drawn =
                new Drawn()
                        .line(100, 0, 98.5, 1.44)
                        .line(0, 0, 100, 0)
                        .line(100, 0.04, 100, 60)
                        .line(100, 60, 0, 60)
                        .line(0, 60, 0, 0);
        Reading reading = drawn.reading();
        assertThat(reading.parts()).hasSize(1);
        assertThat(reading.parts().get(0).region().area()).isCloseTo(6000, within(5.0));
        assertThat(of(reading, Fault.Kind.OPEN))
                .singleElement()
                .satisfies(f -> assertThat(f.size()).isCloseTo(2.08, within(0.01)));
    }

    @Test
    void aSpurIsToldAndTakenAwayWhenAllIsMended() {
        Drawn spur = new Drawn().closed(0, 0, 100, 0, 100, 30, 115, 30, 100, 30, 100, 60, 0, 60);
        Reading told = spur.reading();
        assertThat(of(told, Fault.Kind.SPUR))
                .singleElement()
                .satisfies(f -> assertThat(f.needsPerson()).isTrue())
                .satisfies(f -> assertThat(f.size()).isCloseTo(30, within(1e-9)))
                .satisfies(f -> assertThat(f.place()).contains(new Point(115, 30)));
        assertThat(told.features().get(0).chain().length()).isCloseTo(350, within(1e-9));
        Reading mended = all(spur);
        assertThat(of(mended, Fault.Kind.SPUR)).singleElement().matches(Fault::mended);
        assertThat(mended.features().get(0).chain().length()).isCloseTo(320, within(1e-9));
    }

    @Test
    void spursOfSeveralPiecesAndPartWaysBackAreTakenAwayToo() {
        Drawn bent =
                new Drawn()
                        .closed(
                                0, 0, 100, 0, 100, 30, 115, 30, 115, 40, 115, 30, 100, 30, 100, 60,
                                0, 60);
        assertThat(all(bent).features().get(0).chain().length()).isCloseTo(320, within(1e-9));
        Drawn partWay = new Drawn().closed(0, 0, 110, 0, 100, 0, 100, 60, 0, 60);
        assertThat(all(partWay).features().get(0).chain().length()).isCloseTo(320, within(1e-9));
        Drawn atStart = new Drawn().closed(-10, 0, 100, 0, 100, 60, 0, 60, 0, 0);
        assertThat(all(atStart).features().get(0).chain().length()).isCloseTo(320, within(1e-9));
    }

    private static Reading all(Drawn drawn) {
        ReadOptions options =
                ReadOptions.defaults().withMend(MendOptions.defaults().withSteps(MendOptions.ALL));
        return new DrawingReading(options).read(drawn.drawing());
    }

    @Test
    void namesOfLayersAreAlikeWhateverTheirCase() {
        PurposeRules rules = PurposeRules.ofLayers(Map.of("plate", Purpose.MARK));
        assertThat(rules.ofLayer("PLATE")).isEqualTo(Purpose.MARK);
        assertThat(rules.ofLayer("OTHER")).isNull();
    }
}
