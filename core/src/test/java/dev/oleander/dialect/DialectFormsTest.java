package dev.oleander.dialect;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.Samples;
import dev.oleander.dialect.Dialect.Arcs;
import dev.oleander.dialect.Dialect.CentreForm;
import dev.oleander.dialect.Dialect.FileForm;
import dev.oleander.dialect.Dialect.NumberForm;
import dev.oleander.dialect.Dialect.Numbering;
import dev.oleander.dialect.Dialect.Words;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.Run;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Other habits than those of the shipped description, written and read back. */
class DialectFormsTest {

    private static final Run RUN =
            Samples.plan(Samples.reading("cleat_backing_plate"), "mild steel", 6, 2);
    private static final Timeline TIMELINE = Samples.time(RUN);

    private static Dialect with(Words words, boolean modalMotion, CentreForm centre) {
        Dialect d = Samples.DIALECT;
        return new Dialect(
                d.name(),
                d.title(),
                d.version(),
                d.file(),
                d.numbering(),
                words,
                new Dialect.Motion("G00", "G01", "G02", "G03", modalMotion),
                new Arcs(centre),
                d.comment(),
                d.header(),
                d.footer(),
                d.preparatory(),
                d.stopComment(),
                d.events(),
                d.values());
    }

    private static CheckedWriter.Checked write(Dialect dialect) {
        return new CheckedWriter(dialect).write(TIMELINE.program(), Samples.FRAME, Map.of());
    }

    @Test
    void absoluteCentresAndNothingLeftOut() {
        NumberForm three = new NumberForm(3, true, false);
        Dialect dialect = with(new Words(three, three, three), false, CentreForm.ABSOLUTE);
        CheckedWriter.Checked checked = write(dialect);
        assertThat(checked.faults()).isEmpty();
        assertThat(checked.deviation()).isBetween(1e-5, 1e-3);
        assertThat(checked.written().lines())
                .filteredOn(l -> l.contains(" X"))
                .allMatch(l -> l.matches("N\\d+ G0[0-3] X-?\\d+\\.\\d{3} Y-?\\d+\\.\\d{3}( .*)?"));
    }

    @Test
    void coarseWordsAreAllowedTheirOwnStep() {
        NumberForm two = new NumberForm(2, false, true);
        NumberForm fine = new NumberForm(4, false, false);
        NumberForm whole = new NumberForm(0, false, true);
        CheckedWriter.Checked checked =
                write(with(new Words(two, fine, whole), true, CentreForm.RELATIVE));
        assertThat(checked.limit()).isEqualTo(0.01);
        assertThat(checked.faults()).isEmpty();
        assertThat(checked.deviation()).isBetween(1e-3, 1e-2);
    }

    @Test
    void blockNumbersBeginAgainAfterTheLast() {
        Dialect d = Samples.DIALECT;
        Dialect few =
                new Dialect(
                        d.name(),
                        d.title(),
                        d.version(),
                        d.file(),
                        new Numbering("N", 5, 5, 50),
                        d.words(),
                        d.motion(),
                        d.arcs(),
                        d.comment(),
                        d.header(),
                        d.footer(),
                        d.preparatory(),
                        d.stopComment(),
                        d.events(),
                        d.values());
        CheckedWriter.Checked checked = write(few);
        assertThat(checked.faults()).isEmpty();
        assertThat(checked.written().lines()).anyMatch(l -> l.startsWith("N50 "));
        assertThat(checked.written().lines()).noneMatch(l -> l.startsWith("N55 "));
    }

    @Test
    void aLineThatIsTooLongIsRefused() {
        Dialect d = Samples.DIALECT;
        Dialect narrow =
                new Dialect(
                        d.name(),
                        d.title(),
                        d.version(),
                        new FileForm("nc", "\n", 16),
                        d.numbering(),
                        d.words(),
                        d.motion(),
                        d.arcs(),
                        d.comment(),
                        d.header(),
                        d.footer(),
                        d.preparatory(),
                        d.stopComment(),
                        d.events(),
                        d.values());
        assertThatThrownBy(() -> write(narrow))
                .isInstanceOf(DialectException.class)
                .hasMessageContaining("the limit is 16");
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
        NumberForm plain = new NumberForm(4, false, false);
        NumberForm full = new NumberForm(3, true, false);
        assertThat(NumberWriter.write(12.5, plain)).isEqualTo("12.5");
        assertThat(NumberWriter.write(-0.00001, plain)).isEqualTo("0");
        assertThat(NumberWriter.write(100, plain)).isEqualTo("100");
        assertThat(NumberWriter.write(12.5, full)).isEqualTo("12.500");
        assertThat(NumberWriter.write(-1e-9, full)).isEqualTo("0.000");
        assertThat(NumberWriter.write(1e6, plain)).isEqualTo("1000000");
    }
}
