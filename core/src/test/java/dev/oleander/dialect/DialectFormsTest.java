package dev.oleander.dialect;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.Samples;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.Run;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Other habits than those of the shipped descriptions, written and read back. */
class DialectFormsTest {

    private static final String COORDINATE =
            "coordinate: {decimals: 4, trailingZeros: false, modal: true}";
    private static final String CENTRE =
            "centre: {decimals: 4, trailingZeros: false, modal: false}";
    private static final String ARCS = "arcs: {centre: relative}";

    private static final Run RUN =
            Samples.plan(Samples.reading("cleat_backing_plate"), "mild steel", 6, 2);
    private static final Timeline TIMELINE = Samples.time(RUN);

    private static CheckedWriter.Checked write(Dialect dialect) {
        CheckedWriter.Checked checked =
                new CheckedWriter(dialect).write(TIMELINE.program(), Samples.FRAME, Map.of());
        assertThat(checked.faults()).isEmpty();
        return checked;
    }

    @Test
    void absoluteCentresAndNothingLeftOut() {
        Dialect dialect =
                Descriptions.teasel(
                        COORDINATE,
                        "coordinate: {decimals: 3, trailingZeros: true}",
                        CENTRE,
                        "centre: {decimals: 3, trailingZeros: true}",
                        ARCS,
                        "arcs: {centre: absolute}",
                        "anticlockwise: G3, modal: true",
                        "anticlockwise: G3, modal: false");
        CheckedWriter.Checked checked = write(dialect);
        assertThat(checked.deviation()).isBetween(1e-5, 1e-3);
        assertThat(checked.written().lines())
                .filteredOn(l -> l.contains(" X"))
                .allMatch(l -> l.matches("N\\d+ G[0-3] X-?\\d+\\.\\d{3} Y-?\\d+\\.\\d{3}( .*)?"));
    }

    @Test
    void coarseWordsAreAllowedTheirOwnStep() {
        CheckedWriter.Checked checked =
                write(Descriptions.teasel(COORDINATE, "coordinate: {decimals: 2, modal: true}"));
        assertThat(checked.limit()).isBetween(0.0141, 0.0142);
        assertThat(checked.deviation()).isBetween(1e-3, 1e-2);
    }

    @Test
    void radiusInTheseBlocksIsShortEnoughToSayWhereItsCentreIs() {
        CheckedWriter.Checked checked =
                write(Descriptions.teasel(ARCS, "arcs: {by: radius, overHalf: split}"));
        assertThat(checked.written().lines()).noneMatch(l -> l.contains(" I"));
        assertThat(checked.written().lines())
                .anyMatch(l -> l.matches(".* R\\d.*"))
                .noneMatch(l -> l.matches(".* R-.*"));
    }

    @Test
    void placesAfterEachOtherAndDigitsWithoutAPoint() {
        CheckedWriter.Checked checked =
                write(
                        Descriptions.teasel(
                                COORDINATE,
                                "coordinate: {decimals: 3, implied: true, digits: 6, plus: true}",
                                CENTRE,
                                "centre: {decimals: 3, implied: true, digits: 6, plus: true}",
                                "arcs: {centre: relative}",
                                "positions: incremental\narcs: {centre: relative}"));
        assertThat(checked.written().lines())
                .anyMatch(l -> l.matches("N\\d+ G0 X[+-]\\d{6} Y[+-]\\d{6}"));
    }

    @Test
    void inchesAndMetresAMinute() {
        CheckedWriter.Checked checked =
                write(
                        Descriptions.teasel(
                                COORDINATE,
                                "coordinate: {decimals: 5, leadingZero: false, perUnit: 0.03937007874015748}",
                                CENTRE,
                                "centre: {decimals: 5, perUnit: 0.03937007874015748}",
                                "feed: {decimals: 0, trailingZeros: false, modal: true}",
                                "feed: {decimals: 3, perUnit: 0.001}"));
        assertThat(checked.written().lines())
                .anyMatch(l -> l.endsWith(" F2.7"))
                .anyMatch(l -> l.contains("X.") || l.contains("Y."));
    }

    @Test
    void blocksWithoutSpacesWithAnEndAndTheFeedFirst() {
        CheckedWriter.Checked checked =
                write(
                        Descriptions.teasel(
                                "longestLine: 80}".replace("}", ""),
                                "longestLine: 80\n  spaces: false\n  blockEnd: \"*\"",
                                ARCS,
                                "order: [feed, motion, x, y, centre]\n" + ARCS));
        assertThat(checked.written().lines()).anyMatch(l -> l.matches("N\\d+F\\d+G[13].*\\*"));
    }

    @Test
    void blocksMayHaveNoNumbersAndNumbersMayBeginAgain() {
        String numbering = "numbering: {address: N, start: 10, step: 10, most: 999990}";
        CheckedWriter.Checked none =
                write(Descriptions.teasel(numbering, "numbering: {address: \"\"}"));
        assertThat(none.written().lines()).noneMatch(l -> l.startsWith("N"));
        CheckedWriter.Checked few =
                write(
                        Descriptions.teasel(
                                numbering,
                                "numbering: {address: N, start: 5, step: 5, most: 50, digits: 4}"));
        assertThat(few.written().lines()).anyMatch(l -> l.startsWith("N0050 "));
        assertThat(few.written().lines()).noneMatch(l -> l.startsWith("N0055 "));
    }

    @Test
    void largeArcsBecomeChordsWithinTheirStep() {
        CheckedWriter.Checked checked =
                write(Descriptions.teasel(ARCS, "arcs: {centre: relative, largestRadius: 6}"));
        assertThat(checked.deviation()).isBetween(2e-5, 2e-4);
        assertThat(checked.written().lines().size()).isGreaterThan(2000);
        assertThat(checked.written().lines()).anyMatch(l -> l.contains("G2 ") || l.contains("G3 "));
    }

    @Test
    void aLineThatIsTooLongIsRefused() {
        assertThatThrownBy(() -> write(Descriptions.teasel("longestLine: 80", "longestLine: 16")))
                .isInstanceOf(DialectException.class)
                .hasMessageContaining("the limit is 16");
    }

    @Test
    void anEventWithoutWordsIsNotWrittenUnlessTheFormatSaysSo() {
        CheckedWriter.Checked quiet = write(Descriptions.teasel("headUp: \"M22\"", "headUp: \"\""));
        assertThat(quiet.written().lines()).noneMatch(l -> l.endsWith("M22"));
    }

    @Test
    void commentsAreMadePlainAndCutToLength() {
        Map<String, String> names = new HashMap<>();
        RUN.stops().forEach(s -> names.put(s.id(), "Größe (Ø 9) × " + "lang ".repeat(30)));
        Written written =
                new DialectWriter(Samples.DIALECT).write(TIMELINE.program(), Samples.FRAME, names);
        assertThat(written.lines())
                .filteredOn(l -> l.startsWith("(Gro"))
                .isNotEmpty()
                .allMatch(l -> l.length() <= 80 && l.endsWith(")"))
                .allMatch(l -> l.startsWith("(Groe D 9 x") || l.matches("[ -~]+"));
    }

    @Test
    void numbersAreWrittenAsTheFormSays() {
        NumberForm plain = NumberForm.plain(4, false, false);
        NumberForm full = NumberForm.plain(3, true, false);
        assertThat(plain.write(12.5)).isEqualTo("12.5");
        assertThat(plain.write(-0.00001)).isEqualTo("0");
        assertThat(plain.write(100)).isEqualTo("100");
        assertThat(plain.write(-0.05)).isEqualTo("-0.05");
        assertThat(full.write(12.5)).isEqualTo("12.500");
        assertThat(full.write(-1e-9)).isEqualTo("0.000");
        assertThat(plain.write(1e6)).isEqualTo("1000000");
        NumberForm implied = new NumberForm(3, true, 6, true, false, true, false, 1);
        assertThat(implied.write(12.5)).isEqualTo("+012500");
        assertThat(implied.write(-0.25)).isEqualTo("-000250");
        assertThat(implied.value(12500, -1)).isEqualTo(12.5);
        assertThat(implied.value(125, 1)).isEqualTo(12.5);
        NumberForm bare = new NumberForm(4, false, 0, false, false, false, false, 1);
        assertThat(bare.write(-0.5)).isEqualTo("-.5");
        assertThat(bare.write(0)).isEqualTo("0");
        assertThatThrownBy(() -> plain.write(1e13)).hasMessageContaining("too large");
        assertThatThrownBy(() -> plain.write(Double.NaN)).hasMessageContaining("too large");
    }
}
