package dev.oleander.work.router;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Samples;
import dev.oleander.dialect.CheckedWriter;
import dev.oleander.dialect.Dialect;
import dev.oleander.dialect.DialectException;
import dev.oleander.dialect.DialectLibrary;
import dev.oleander.dialect.DialectReader;
import dev.oleander.dialect.Parameter;
import dev.oleander.dialect.ReadBack;
import dev.oleander.motion.Item;
import dev.oleander.motion.Program;
import dev.oleander.work.router.plan.RouterStop;
import dev.oleander.work.router.way.Leg;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** Programs of the router as texts, with what is asked for when they are released. */
class RouterTextsTest {

    private static final Dialect HAZEL = DialectLibrary.shipped().find("hazel").orElseThrow();

    private static CheckedWriter.Checked written(Map<String, String> chosen) {
        RouterRun run = RouterJobs.requested("hatch_boards");
        Map<String, String> frame = new HashMap<>(Samples.FRAME);
        HAZEL.parameters().forEach(p -> frame.put(p.name(), p.value(chosen.get(p.name()))));
        return new CheckedWriter(HAZEL).write(run.posted().program(), frame, run.stopNames());
    }

    @Test
    void fieldOffsetsClampingLiftersAndHomeAreAskedFor() {
        List<String> names = HAZEL.parameters().stream().map(Parameter::name).toList();
        assertThat(names)
                .containsExactly(
                        "field", "offsetX", "offsetY", "offsetZ", "clamping", "lifters", "home");
        CheckedWriter.Checked checked =
                written(
                        Map.of(
                                "field", "G56",
                                "offsetX", "-12.5",
                                "clamping", "clamps",
                                "lifters", "up until the start",
                                "home", "G30"));
        assertThat(checked.faults()).isEmpty();
        List<String> lines = checked.written().text().lines().toList();
        assertThat(lines)
                .contains(
                        "G21 G90 G17 G56",
                        "G52 X-12.5 Y0 Z0",
                        "(clamps, lifters up until the start)");
        assertThat(lines.subList(lines.size() - 2, lines.size())).containsExactly("G30", "M30");
    }

    @Test
    void anOffsetBeyondTheTableIsRefused() {
        assertThatThrownBy(() -> written(Map.of("offsetX", "3000")))
                .isInstanceOf(DialectException.class)
                .hasMessageContaining("2500");
        assertThatThrownBy(() -> written(Map.of("clamping", "a friend")))
                .hasMessageContaining("suction, clamps");
    }

    /** A hole is one block, drilled in one go or with pecks, and reads as what was planned. */
    @Test
    void holesAreCycles() {
        RouterRun run = RouterJobs.requested("sole_board");
        CheckedWriter.Checked checked = checked(run);
        String text = checked.written().text();
        assertThat(blocks(text, "G81 ")).isPositive().isEqualTo(holes(run, true));
        assertThat(blocks(text, "G83 ")).isPositive().isEqualTo(holes(run, false));
        assertThat(text).contains("G80");
        ReadBack read = new DialectReader(HAZEL).read(text);
        assertThat(read.problems()).isEmpty();
        double[] meant = grounds(run.posted().program());
        assertThat(grounds(read.program()))
                .hasSize(meant.length)
                .containsExactly(meant, within(2e-3));
    }

    private static double[] grounds(Program program) {
        return program.items().stream()
                .filter(Item.Plunge.class::isInstance)
                .mapToDouble(i -> i.rise().to().z())
                .toArray();
    }

    private static long blocks(String text, String word) {
        return text.lines().filter(l -> l.startsWith(word)).count();
    }

    private static long holes(RouterRun run, boolean inOneGo) {
        return run.plan().done().stream()
                .filter(s -> s.tool().orElseThrow().kind().isDrill())
                .filter(s -> isInOneGo(s) == inOneGo)
                .mapToLong(s -> s.figures().visits().size())
                .sum();
    }

    /** Where places are given from where the tool is, the ground is given from where it begins. */
    @Test
    void aCycleIsReadFromWhereTheToolIs() {
        String text = "G0 X10 Y10 Z20\nG91\nG83 X5 Y0 Z-12 R-18 I5 Q4 F300\nG80\nG90\nM30\n";
        ReadBack read = new DialectReader(HAZEL).read(text);
        assertThat(read.problems()).isEmpty();
        assertThat(read.program().items().stream().map(i -> i.rise().to().z()))
                .endsWith(20.0, 2.0, -3.0, 2.0, -2.5, -7.0, 2.0, -6.5, -10.0, 20.0);
    }

    @ParameterizedTest
    @ValueSource(strings = {"I5 Q0", "I5 Q-1", "I0 Q3", "I5 Q0.0001"})
    void pecksThatDoNotGoDownAreToldOff(String pecks) {
        String text = "G0 X0 Y0 Z20\nG83 X5 Y0 Z-12 R2 %s F300\nG80\nM30\n".formatted(pecks);
        assertThat(new DialectReader(HAZEL).read(text).problems())
                .singleElement()
                .satisfies(p -> assertThat(p.sentence()).contains("pecks must be above 0"));
    }

    private static boolean isInOneGo(RouterStop stop) {
        long downs = stop.legs().stream().filter(l -> l.pace() == Leg.Pace.PLUNGE).count();
        return downs == stop.figures().visits().size();
    }

    /** What is done to one copy is written once. */
    @Test
    void copiesAreCalled() {
        JsonNode truth = RouterJobs.truth("hatch_boards");
        RouterRun one = copies(truth, 1);
        RouterRun run = copies(truth, 4);
        String text = checked(run).written().text();
        assertThat(text).contains("M98 P7001").contains("O7001").contains("M99");
        assertThat(text.length()).isLessThan((int) (2.2 * checked(one).written().text().length()));
    }

    private static RouterRun copies(JsonNode truth, int quantity) {
        return RouterJobs.run(
                RouterJobs.task(
                        Samples.reading("router/hatch_boards"),
                        RouterJobs.wished(truth.get("request")).withBlock(null),
                        truth.at("/job/material").asString(),
                        truth.at("/job/thickness").asDouble(),
                        quantity));
    }

    private static CheckedWriter.Checked checked(RouterRun run) {
        CheckedWriter.Checked checked =
                new CheckedWriter(HAZEL)
                        .write(run.posted().program(), Samples.FRAME, run.stopNames());
        assertThat(checked.faults()).isEmpty();
        return checked;
    }

    /** Plain words, cutter location data and the table of moves say all that Hazel's own do. */
    @ParameterizedTest
    @CsvSource({
        "iso6983, instrument_panel",
        "iso6983, capstan_rim",
        "iso6983, name_board_star",
        "iso6983, sole_board",
        "iso3592, instrument_panel",
        "iso3592, hatch_bevel",
        "iso3592, jar_rack",
        "moves, capstan_rim",
        "moves, drain_board"
    })
    void otherFormatsAreReadBackToo(String format, String sample) {
        RouterRun run = RouterJobs.requested(sample);
        Dialect dialect = DialectLibrary.shipped().find(format).orElseThrow();
        CheckedWriter.Checked checked =
                new CheckedWriter(dialect)
                        .write(run.posted().program(), Samples.FRAME, run.stopNames());
        assertThat(checked.faults()).isEmpty();
        assertThat(checked.deviation()).isLessThanOrEqualTo(checked.limit());
        assertThat(new DialectReader(dialect).read(checked.written().text()).problems()).isEmpty();
    }

    @Test
    void cutterLocationDataCannotSayATurn() {
        RouterRun run = RouterJobs.requested("capstan_rim");
        Dialect data = DialectLibrary.shipped().find("iso3592").orElseThrow();
        assertThatThrownBy(
                        () ->
                                new CheckedWriter(data)
                                        .write(
                                                run.posted().program(),
                                                Samples.FRAME,
                                                run.stopNames()))
                .hasMessageContaining("cannot say the turn of a rotary axis");
    }

    /** Only the whole line of the offsets is passed over, wherever it stands. */
    @Test
    void aLineThatIsNotQuiteThatOfTheOffsetsIsNotPassedOver() {
        String text = written(Map.of()).written().text();
        String other = text.replace("G52 X0 Y0 Z0", "G52 X0 Y0");
        assertThat(new DialectReader(HAZEL).read(text).problems()).isEmpty();
        assertThat(new DialectReader(HAZEL).read(other).problems())
                .anyMatch(p -> p.toString().contains("G52"));
    }
}
