package dev.oleander.drawing.write;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Samples;
import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.ImportOptions;
import dev.oleander.drawing.file.DrawingFiles;
import dev.oleander.drawing.read.DrawingReading;
import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Purpose;
import dev.oleander.drawing.read.PurposeRules;
import dev.oleander.drawing.read.ReadOptions;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is written and read again is what it was. */
class WritersTest {

    private static List<WrittenChain> chains(Reading reading) {
        return reading.features().stream()
                .map(f -> new WrittenChain(f.layer(), f.chain(), f.circleDiameter().isPresent()))
                .toList();
    }

    private static Reading again(String name, String text, Reading before) {
        Map<String, Purpose> layers = new HashMap<>(before.layerPurposes());
        Drawing drawing =
                new DrawingFiles(ImportOptions.defaults())
                        .read(name, text.getBytes(StandardCharsets.UTF_8));
        return new DrawingReading(ReadOptions.defaults().withRules(PurposeRules.ofLayers(layers)))
                .read(drawing);
    }

    private static void assertSame(Reading before, Reading after, double tolerance) {
        assertThat(after.features()).hasSameSizeAs(before.features());
        assertThat(after.keptArea()).isCloseTo(before.keptArea(), within(tolerance));
        assertThat(after.cutLength()).isCloseTo(before.cutLength(), within(tolerance));
        assertThat(after.features().stream().mapToInt(Feature::arcs).sum())
                .isEqualTo(before.features().stream().mapToInt(Feature::arcs).sum());
        assertThat(after.features().stream().map(Feature::layer).distinct().sorted())
                .containsExactlyElementsOf(
                        before.features().stream()
                                .map(Feature::layer)
                                .distinct()
                                .sorted()
                                .toList());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "cleat_backing_plate",
                "deck_hatch_panel",
                "flag_socket_islands",
                "rudder_hinge_plate",
                "sheave_cheek_plate",
                "name_board_lettering"
            })
    void readingTheFilesAgainGivesTheSameContours(String sample) {
        Reading before = Samples.reading(sample);
        List<WrittenChain> chains = chains(before);
        assertSame(before, again("again.dxf", DxfWriter.write(chains), before), 1e-6);
        Box box = Box.around(chains.stream().map(c -> c.chain().box()).toList());
        assertSame(before, again("again.svg", SvgWriter.write(chains, box), before), 1e-3);
    }
}
