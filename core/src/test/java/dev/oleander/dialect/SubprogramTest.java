package dev.oleander.dialect;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.Drawn;
import dev.oleander.Samples;
import dev.oleander.drawing.read.Reading;
import dev.oleander.motion.Item;
import dev.oleander.motion.Program;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.motion.ProgramCompiler;
import dev.oleander.work.sheet.plan.SheetPlanner;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** What repeats is said once, and read as often as it is called. */
class SubprogramTest {

    private static final String SUBS =
            "subprograms: {call: \"M98 P{{number}}\", begin: \"O{{number}}\", end: M99}\n";

    private static final Dialect PLAIN = Samples.DIALECT;
    private static final Dialect CALLING =
            DialectLibrary.parse("x", Descriptions.shipped("teasel") + SUBS);

    private static Program program(Reading reading, int copies) {
        return new ProgramCompiler()
                .compile(
                        Samples.plan(
                                reading,
                                new SheetPlanner.Order("mild steel", 6, copies),
                                PlanChoices.defaults(),
                                SheetChoices.defaults()));
    }

    private static CheckedWriter.Checked write(Dialect dialect, Program program) {
        return new CheckedWriter(dialect).write(program, Samples.FRAME, Map.of());
    }

    @Property(tries = 30)
    void whatIsCalledIsWhatWasPlanned(
            @ForAll @IntRange(min = 1, max = 9) int copies,
            @ForAll @DoubleRange(min = 30, max = 120) double width,
            @ForAll @DoubleRange(min = 4, max = 11) double radius) {
        Reading reading =
                new Drawn()
                        .rectangle(0, 0, width, 50)
                        .circle(13, 13, radius)
                        .circle(13 + width / 3, 37, radius / 2)
                        .reading();
        Program program = program(reading, copies);
        String yaml = Descriptions.shipped("teasel") + SUBS;
        for (String habit :
                List.of(
                        yaml,
                        yaml.replace("G21 G90 G40", "G21 G91 G40") + "positions: incremental\n",
                        yaml.replace("centre: relative", "by: radius"))) {
            Dialect dialect = DialectLibrary.parse("x", habit);
            assertThat(write(dialect, program).faults()).as(habit).isEmpty();
        }
    }

    @Test
    void equalCopiesAreSaidOnce() {
        Program program = program(Samples.reading("cleat_backing_plate"), 8);
        CheckedWriter.Checked plain = write(PLAIN, program);
        CheckedWriter.Checked calling = write(CALLING, program);
        assertThat(calling.faults()).isEmpty();
        List<String> lines = calling.written().lines();
        assertThat(lines).hasSizeLessThan(plain.written().lines().size());
        assertThat(called(lines, 1001)).isGreaterThan(1);
        int end = lines.indexOf(lines.stream().filter(l -> l.endsWith("M30")).findFirst().get());
        assertThat(lines.get(end + 1)).isEqualTo("O1001");
        assertThat(lines.get(lines.size() - 1)).isEqualTo("%");
        ReadBack back = new DialectReader(CALLING).read(calling.written().text());
        assertThat(cuts(back.program())).isEqualTo(cuts(program));
    }

    private static long called(List<String> lines, int number) {
        return lines.stream().filter(l -> l.endsWith("M98 P" + number)).count();
    }

    private static long cuts(Program program) {
        return program.items().stream()
                .filter(i -> i instanceof Item.Feed f && f.segment().length() > 1)
                .count();
    }

    @Test
    void whatComesOfACallBelongsToItsLine() {
        Program program = program(Samples.reading("cleat_backing_plate"), 3);
        Written written = write(CALLING, program).written();
        ReadBack back = new DialectReader(CALLING).read(written.text());
        for (int i = 0; i < back.program().size(); i++) {
            if (back.program().items().get(i) instanceof Item.AtFeed) {
                int line = back.lineOfItem().get(i);
                int item = written.itemOfLine().get(line - 1);
                assertThat(item).as("line %d", line).isNotNegative();
            }
        }
    }

    @Test
    void wrongCallsAreToldWithTheirLine() {
        List<String> lines = new ArrayList<>(List.of("N1 G0 X5 Y5", "N2 M98 P1003", "N3 M30"));
        assertThat(problems(lines)).containsExactly("2: there is no subprogram 1003.");
        lines.addAll(List.of("O1003", "N4 G91", "N5 G1 X? F100", "N6 M98 P1003", "N7 M99"));
        assertThat(problems(lines))
                .containsExactly(
                        "6: \"?\" is not a word.".replace("\"?\"", "\"X? F100\""),
                        "7: a subprogram calls another one; that is not possible here.");
    }

    private static List<String> problems(List<String> lines) {
        return new DialectReader(CALLING)
                .read(String.join("\n", lines)).problems().stream()
                        .map(p -> p.line() + ": " + p.sentence())
                        .toList();
    }

    @Test
    void aDescriptionOfThemIsChecked() {
        String yaml = Descriptions.shipped("teasel");
        assertThat(FormatCheck.of("x", yaml + SUBS).faults()).isEmpty();
        assertThat(FormatCheck.of("x", yaml + SUBS.replace("P{{number}}", "P1")).problem())
                .contains("subprograms.call needs {{number}}");
        assertThat(
                        FormatCheck.of(
                                        "x",
                                        yaml.replace("centre: relative", "centre: absolute") + SUBS)
                                .problem())
                .contains("subprograms need words, and arcs by a relative centre");
    }

    /** 90 kB that would stand for some 30 million lines. */
    @Test
    void aShortTextDoesNotBecomeAProgramWithoutEnd() {
        StringBuilder text = new StringBuilder("G21 G90\n");
        text.append("M98 P1001\n".repeat(5_000));
        text.append("M30\nO1001\n").append("G0 X1\nG0 X2\n".repeat(3_000)).append("M99\n");
        ReadBack read = new DialectReader(CALLING).read(text.toString());
        assertThat(read.isGivenUp()).isTrue();
        assertThat(read.program().size()).isLessThanOrEqualTo(CalledText.MOST_CALLED + 10);
        assertThat(read.problems().get(read.problems().size() - 1).sentence())
                .contains("stand for more than 500000 lines");
    }
}
