package dev.oleander.web.program;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.dialect.DialectLibrary;
import dev.oleander.dialect.DialectReader;
import dev.oleander.machine.MachineLibrary;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** Programs from outside: what they do, and where they leave the machine. */
class ProgramReadingTest {

    private static final String SQUARE =
            """
            %
            O0007
            G21 G90 G40 G17
            N10 T1 S4000 Q3
            N20 G0 X10 Y10
            N30 M21
            N40 M23 P0.5 K1
            N50 G1 X110 F6000
            N60 Y60
            N70 X10
            N80 Y10
            N90 M25
            N100 M22
            N110 M30
            %
            """;

    private static ProgramReading read(String text) {
        return new ProgramReading(
                new DialectReader(DialectLibrary.shipped().find("teasel").orElseThrow()).read(text),
                MachineLibrary.shipped().find("teasel").orElseThrow());
    }

    @Test
    void itsFiguresAreThoseOfTheMotions() {
        ProgramReading square = read(SQUARE);
        assertThat(square.problems()).isEmpty();
        assertThat(square.beyond()).isEmpty();
        var facts =
                square.facts().stream()
                        .collect(
                                Collectors.toMap(
                                        ProgramReading.Fact::name, ProgramReading.Fact::value));
        assertThat(facts)
                .containsEntry("Starts", "1")
                .containsEntry("Cut", "0.3 m")
                .containsEntry("Piercing", "0.5 s")
                .containsEntry("X", "10 to 110 mm")
                .containsEntry("Y", "10 to 60 mm");
    }

    @Test
    void whatIsNotUnderstoodAndWhatLeavesTheMachineIsTold() {
        ProgramReading wrong =
                read(SQUARE.replace("N60 Y60", "N60 Y6000").replace("N90 M25", "N90 M99"));
        assertThat(wrong.problems())
                .singleElement()
                .satisfies(
                        p -> {
                            assertThat(p.line()).isEqualTo(12);
                            assertThat(p.column()).isEqualTo(5);
                            assertThat(p.sentence()).contains("M99");
                        });
        assertThat(wrong.beyond())
                .hasSize(3)
                .first()
                .asString()
                .contains("Line 9", "6000 mm", "Teasel reaches from 0 to 3050 and 1530");
    }

    @Test
    void aTextOfAnotherKindSaysSoAndGivesUp() {
        ProgramReading novel = read("Call me what you like.\n".repeat(5000));
        assertThat(novel.problems()).hasSize(200);
        assertThat(novel.box()).isEmpty();
        assertThat(novel.program().size()).isZero();
    }

    @Test
    void thePictureShowsBothPrograms() {
        ProgramReading square = read(SQUARE);
        ProgramReading other = read(SQUARE.replace("X110", "X100"));
        String alone = new ProgramPicture(square.box().orElseThrow()).svg(square.program(), null);
        assertThat(alone).contains("class=\"own cut\"").doesNotContain("other");
        String both =
                new ProgramPicture(square.box().orElseThrow())
                        .svg(square.program(), other.program());
        assertThat(both).contains("class=\"other cut\"", "class=\"own cut\"");
    }

    @Test
    void aTextOfAnotherKindIsNotReadToItsEnd() {
        ProgramReading reading = read("G77 X1\n".repeat(1000));
        assertThat(reading.understood())
                .isEqualTo("200 lines are not understood; the rest was not read");
        assertThat(read("M30\n").understood()).isEqualTo("Every line is understood");
    }
}
