package dev.oleander.drawing.draw;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.Entity;
import dev.oleander.drawing.letter.Faces;
import dev.oleander.drawing.picture.DotSpec;
import dev.oleander.drawing.picture.Dots;
import dev.oleander.drawing.picture.Picture;
import dev.oleander.drawing.picture.PictureException;
import dev.oleander.drawing.picture.TraceSpec;
import dev.oleander.drawing.picture.Tracer;
import dev.oleander.drawing.picture.Traces;
import dev.oleander.geometry.Box;
import dev.oleander.progress.Progress;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

/** A picture as a step: a dark square of 40 by 40 pixels with a hole of 2 by 2. */
class PictureCommandsTest {

    private static final Picture SQUARE = square();

    private static final Traces TRACES =
            new Traces() {
                @Override
                public Traced trace(String sha256, TraceSpec spec) {
                    if (!sha256.equals("square")) {
                        throw new PictureException("The shop has no picture %s.", sha256);
                    }
                    return new Traced(100, 80, Tracer.trace(SQUARE, spec, Progress.NONE));
                }

                @Override
                public Dots.Made dots(String sha256, DotSpec spec) {
                    return Dots.of(SQUARE, spec, Progress.NONE);
                }
            };

    private static Picture square() {
        byte[] levels = new byte[100 * 80];
        for (int i = 0; i < levels.length; i++) {
            int x = i % 100;
            int y = i / 100;
            boolean hole = x >= 50 && x < 52 && y >= 40 && y < 42;
            boolean ink = x >= 30 && x < 70 && y >= 20 && y < 60 && !hole;
            levels[i] = (byte) (ink ? 40 : 230);
        }
        return new Picture(100, 80, levels);
    }

    private static Drawn drawn(String... values) {
        Map<String, String> all = new TreeMap<>(Map.of("x", "10", "y", "20", "picture", "square"));
        for (int i = 0; i < values.length; i += 2) {
            all.put(values[i], values[i + 1]);
        }
        return drawn(new DrawStep("d1", "picture", List.of(), all));
    }

    private static Drawn drawn(DrawStep step) {
        return new DrawSteps(Map.of(), new Supplies(Faces.SHIPPED, TRACES))
                .apply(Drawing.empty("test"), List.of(step));
    }

    private static Box box(String... values) {
        Drawn drawn = drawn(values);
        assertThat(drawn.troubles()).isEmpty();
        List<Entity> entities = drawn.drawing().entities();
        return Box.around(entities.stream().map(e -> e.chain().box()).toList());
    }

    @Test
    void itLiesWhereItIsPutAsLargeAsIsSaid() {
        Box tenths = box("pixel", "0.1");
        assertThat(tenths.min().x()).isCloseTo(13, within(0.01));
        assertThat(tenths.min().y()).isCloseTo(22, within(0.01));
        assertThat(tenths.width()).isCloseTo(4, within(0.01));
        assertThat(box("width", "200").width()).isCloseTo(80, within(0.1));
        assertThat(box("known", "60").width()).isCloseTo(60, within(1e-9));
    }

    @Test
    void specksAndHolesActAtOnce() {
        assertThat(drawn().drawing().entities()).hasSize(1);
        assertThat(drawn("hole", "0").drawing().entities()).hasSize(2);
        assertThat(drawn("level", "135").drawing().entities()).hasSize(1);
        assertThat(drawn("invert", "yes", "speck", "0").drawing().entities()).hasSize(3);
    }

    @Test
    void aPictureMayBeHoles() {
        Map<String, String> values =
                Map.of(
                        "x", "10", "y", "20", "picture", "square", "width", "200", "pitch", "5",
                        "least", "3");
        List<Entity> holes =
                drawn(new DrawStep("d1", "dots", List.of(), values)).drawing().entities();
        // holes of the paper, which is not quite white, would be 2.6 mm
        assertThat(holes).hasSizeBetween(200, 300);
        Box box = Box.around(holes.stream().map(e -> e.chain().box()).toList());
        assertThat(box.min().x()).isCloseTo(70, within(4.0));
        Map<String, String> few = new TreeMap<>(values);
        few.put("diameters", "2.5 3,5");
        assertThat(drawn(new DrawStep("d1", "dots", List.of(), few)).drawing().entities())
                .allMatch(
                        e -> {
                            double d = e.chain().box().width();
                            return Math.abs(d - 2.5) < 1e-6 || Math.abs(d - 3.5) < 1e-6;
                        });
        few.put("diameters", "2.5 wide");
        assertThat(drawn(new DrawStep("d1", "dots", List.of(), few)).troubles().get(0).sentence())
                .contains("\"wide\" is no diameter");
    }

    @Test
    void whatCannotBeTracedIsSaid() {
        assertThat(drawn("picture", "none").troubles().get(0).sentence())
                .isEqualTo("The shop has no picture none.");
        assertThat(drawn("level", "20").troubles().get(0).sentence())
                .contains("Nothing is darker than 20");
        assertThat(drawn("level", "dark").troubles().get(0).sentence())
                .contains("found, local, or a number from 0 to 255");
        assertThat(drawn("corner", "400").troubles().get(0).sentence()).contains("from 5 to 175");
    }
}
