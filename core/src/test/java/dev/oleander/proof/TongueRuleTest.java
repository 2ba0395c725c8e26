package dev.oleander.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Drawn;
import dev.oleander.Samples;
import dev.oleander.drawing.read.Reading;
import java.util.List;
import org.junit.jupiter.api.Test;

class TongueRuleTest {

    private static List<Finding> tongues(Drawn drawn, double thickness) {
        Reading reading = drawn.reading();
        return Samples.prove(reading, Samples.plan(reading, "mild steel", thickness, 1))
                .findings()
                .stream()
                .filter(f -> f.rule().equals("tongue"))
                .toList();
    }

    /** A plate with a finger 4 mm wide and 40 mm long. */
    private static Drawn fingered() {
        return new Drawn().closed(0, 0, 80, 0, 80, 30, 44, 30, 44, 70, 40, 70, 40, 30, 0, 30);
    }

    @Test
    void aFingerNarrowerThanTheSheetIsThickIsNoted() {
        assertThat(tongues(fingered(), 6))
                .singleElement()
                .satisfies(
                        f -> {
                            assertThat(f.severity()).isEqualTo(Severity.NOTE);
                            assertThat(f.value()).isCloseTo(4, within(0.05));
                            assertThat(f.sentence()).contains("Part 1 is only 4", "sheet of 6 mm");
                        });
        assertThat(tongues(fingered(), 3)).isEmpty();
    }

    @Test
    void aWebBetweenAnOpeningAndTheEdgeIsNoted() {
        Drawn frame = new Drawn().rectangle(0, 0, 100, 60).rectangle(3, 10, 60, 40);
        assertThat(tongues(frame, 6))
                .singleElement()
                .satisfies(f -> assertThat(f.value()).isCloseTo(3, within(0.05)));
    }

    @Test
    void cornersAndWidePartsAreNot() {
        Drawn plain = new Drawn().rectangle(0, 0, 100, 60).circle(50, 30, 10);
        assertThat(tongues(plain, 6)).isEmpty();
        assertThat(tongues(new Drawn().circle(0, 0, 30), 10)).isEmpty();
    }

    /** A strip that becomes narrower: 5 mm at one end of its opening, 2 mm at the other. */
    @Test
    void theNarrowestPlaceIsToldNotAMean() {
        Drawn wedge = new Drawn().rectangle(0, 0, 100, 60).closed(10, 5, 70, 2, 70, 50, 10, 50);
        assertThat(tongues(wedge, 6))
                .singleElement()
                .satisfies(f -> assertThat(f.value()).isBetween(2.0, 2.35))
                .satisfies(f -> assertThat(f.place().orElseThrow().x()).isGreaterThan(66 - 1e-6));
    }

    private static List<Finding> webs(double gap) {
        Reading reading = new Drawn().rectangle(0, 0, 100, 60).circle(50, 10 + gap, 10).reading();
        return Samples.prove(reading, Samples.plan(reading, "mild steel", 6, 1)).findings().stream()
                .filter(f -> f.rule().equals("web"))
                .toList();
    }

    @Test
    void aHoleThatTouchesTheEdgeMustBeMended() {
        assertThat(webs(0))
                .singleElement()
                .satisfies(f -> assertThat(f.severity()).isEqualTo(Severity.MUST_FIX));
    }

    @Test
    void aWebOfATenthIsALookWithItsPlace() {
        assertThat(webs(0.1))
                .singleElement()
                .satisfies(f -> assertThat(f.severity()).isEqualTo(Severity.LOOK))
                .satisfies(f -> assertThat(f.value()).isCloseTo(0.1, within(1e-9)))
                .satisfies(f -> assertThat(f.sentence()).contains("a web of only 0.1 mm"));
        assertThat(webs(1.6)).isEmpty();
    }
}
