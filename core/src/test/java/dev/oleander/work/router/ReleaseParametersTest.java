package dev.oleander.work.router;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.Samples;
import dev.oleander.dialect.CheckedWriter;
import dev.oleander.dialect.Dialect;
import dev.oleander.dialect.DialectException;
import dev.oleander.dialect.DialectLibrary;
import dev.oleander.dialect.DialectReader;
import dev.oleander.dialect.Parameter;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What Hazel asks for when a program is released, and how it comes back from the text. */
class ReleaseParametersTest {

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
