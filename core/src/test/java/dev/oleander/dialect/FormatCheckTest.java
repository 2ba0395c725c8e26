package dev.oleander.dialect;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class FormatCheckTest {

    private static final String TEASEL = Descriptions.shipped("teasel");

    static Stream<String> shipped() {
        return DialectLibrary.shippedNames().stream();
    }

    @ParameterizedTest
    @MethodSource("shipped")
    void everyFormatThatShipsWritesAndReadsItsSamples(String name) {
        FormatCheck check = FormatCheck.of(name, DialectLibrary.description(name));
        assertThat(check.faults()).isEmpty();
        assertThat(check.isUsable()).isTrue();
        assertThat(check.samples().keySet()).contains("a plate with a hole", "all events");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    pierce: "M23 P{{seconds}} K{{kind}}"|pirce: "M23 P{{seconds}} K{{kind}}"|events.pirce is no event
                    pierce: "M23 P{{seconds}} K{{kind}}"||line 28: events.pierce is missing
                    P{{seconds}}|P{{second}}|line 31: events.pierce
                    P{{seconds}}|P{{seconds|line 31: events.pierce has braces
                    decimals: 4, trailingZeros: false, modal: true|decimals: x|line 12: words.coordinate.decimals is "x"
                    rapid: G0,|rapid: GO,|line 15: motion.rapid must be a letter and a number, not "GO"
                    rapid: G0,||line 15: motion.rapid is missing
                    centre: relative|centre: middle|relative, absolute
                    {{job}}|{{jub}}|header
                    name: teasel|name: Teasel Laser|line 3: name must be
                    extension: nc|extension: ../nc|file.extension must be 1 to 8 letters and digits, not "../nc"
                    stopComment|stopCommend|stopCommend is not a field
                    arcs: {centre: relative}|arcs: {centre: relative, largestSweep: 700}|arcs.largestSweep must be 1 to 360
                    preparatory: [G21, G90, G40, G17]|preparatory: [G21, M]|not "M"
                    """)
    void aMistakeIsToldWithItsLineAndField(String from, String to, String told) {
        assertThat(TEASEL).contains(from);
        FormatCheck check = FormatCheck.of("teasel", TEASEL.replace(from, to == null ? "" : to));
        assertThat(check.isUsable()).isFalse();
        assertThat(check.problem()).startsWith("teasel, line ").contains(told);
    }

    @Test
    void aFormatThatDoesNotReadItsOwnTextIsNotUsable() {
        // the same word for two things: the reader cannot tell them apart
        FormatCheck same = FormatCheck.of("x", TEASEL.replace("\"M25\"", "\"M24\""));
        assertThat(same.problem()).isEmpty();
        assertThat(same.isUsable()).isFalse();
        assertThat(same.faults()).anyMatch(f -> f.startsWith("Sample a plate with a hole: "));
        // too coarse to say where the plate is
        FormatCheck coarse =
                FormatCheck.of("x", TEASEL.replace("longestLine: 80", "longestLine: 12"));
        assertThat(coarse.faults()).anyMatch(f -> f.contains("the limit is 12"));
    }

    @Test
    void anEntryWithNothingInItIsToldWithItsLine() {
        assertThat(FormatCheck.of("x", TEASEL.replace("footer:", "footer:\n  -")).faults())
                .singleElement()
                .asString()
                .matches("x, line \\d+: footer has an entry with nothing in it\\.");
    }

    @Test
    void linesAndNumbersHaveTheirLimits() {
        String wrong =
                TEASEL.replace("longestLine: 80", "longestLine: -1")
                        .replace("start: 10,", "start: -10, digits: 12,");
        assertThat(FormatCheck.of("x", TEASEL).isUsable()).isTrue();
        assertThat(FormatCheck.of("x", wrong).problem())
                .contains("file.longestLine must be at least 10, not -1.")
                .contains("numbering.start must be 0 to the most, not -10.")
                .contains("numbering.digits must be 0 to 9, not 12.");
    }

    /** Whatever people type into a description, it is told and never breaks. */
    @Property(tries = 400)
    void brokenDescriptionsAreToldNotThrown(@ForAll long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        List<String> names = DialectLibrary.shippedNames();
        String yaml = DialectLibrary.description(names.get(random.nextInt(names.size())));
        StringBuilder broken = new StringBuilder(yaml);
        for (int k = 0; k <= random.nextInt(3) && !broken.isEmpty(); k++) {
            int at = random.nextInt(broken.length());
            switch (random.nextInt(4)) {
                case 0 -> broken.deleteCharAt(at);
                case 1 -> broken.insert(at, "{}[]:\"-,#{{x}}%&*!0 \n".charAt(random.nextInt(20)));
                case 2 -> broken.setLength(Math.max(1, at));
                default -> broken.delete(at, Math.min(broken.length(), at + random.nextInt(60)));
            }
        }
        FormatCheck check = FormatCheck.of("broken", broken.toString());
        assertThat(check.isUsable()).isEqualTo(check.faults().isEmpty());
        check.faults().forEach(fault -> assertThat(fault).isNotBlank());
    }

    // ---- parameters

    private static final String WITH_PARAMETERS =
            TEASEL.replace("footer:", "footer:\n  - \"(field {{field}})\"")
                    + """
                    parameters:
                      - {name: field, label: Field, type: choice, choices: [G54, G55], usual: G54}
                      - {name: shift, label: Shift, type: number, least: -5, most: 5, usual: "0"}
                      - {name: turns, label: Turns, type: whole, least: 1, most: 9, usual: "1"}
                      - {name: note, label: Note, type: text, usual: none}
                    """;

    @Test
    void parametersAreCheckedBeforeTheyAreWritten() {
        Dialect dialect = DialectLibrary.parse("x", WITH_PARAMETERS);
        List<Parameter> all = dialect.parameters();
        assertThat(all.get(0).value("")).isEqualTo("G54");
        assertThat(all.get(0).value(" G55 ")).isEqualTo("G55");
        assertThatThrownBy(() -> all.get(0).value("G99"))
                .hasMessage("Field is \"G99\"; it must be one of G54, G55.");
        assertThat(all.get(1).value("-4.25")).isEqualTo("-4.25");
        assertThatThrownBy(() -> all.get(1).value("5.1")).hasMessageContaining("at most 5");
        assertThatThrownBy(() -> all.get(1).value("-6")).hasMessageContaining("at least -5");
        assertThatThrownBy(() -> all.get(1).value("1e3")).hasMessageContaining("a number");
        assertThatThrownBy(() -> all.get(2).value("1.5")).hasMessageContaining("a whole number");
        assertThatThrownBy(() -> all.get(3).value("x".repeat(41)))
                .hasMessageContaining("at most 40");
    }

    @Test
    void aParameterWithAnImpossibleUsualValueIsAMistake() {
        FormatCheck check =
                FormatCheck.of("x", WITH_PARAMETERS.replace("usual: \"0\"", "usual: \"9\""));
        assertThat(check.problem()).contains("parameters has a usual value that is not possible");
    }

    /** Names of the fields that a description can have, with those above them. */
    private static List<String> fields(String above, Class<?> type) {
        List<String> fields = new ArrayList<>();
        for (RecordComponent component : type.getRecordComponents()) {
            String field = above + component.getName();
            boolean form = component.getType() == NumberForm.class;
            if (component.getType().isRecord() && !form) {
                fields.addAll(fields(field + ".", component.getType()));
            } else {
                fields.add(field);
            }
        }
        return fields;
    }

    @Test
    void everyFieldIsToldOf() {
        assertThat(FieldHelp.all())
                .extracting(FieldHelp::field)
                .containsExactlyInAnyOrderElementsOf(fields("", Dialect.class));
        assertThat(FieldHelp.all()).noneMatch(f -> f.meaning().isBlank() || f.type().isBlank());
    }
}
