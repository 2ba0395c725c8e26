package dev.oleander.drawing.draw;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.DecodeHintType;
import com.google.zxing.LuminanceSource;
import com.google.zxing.MultiFormatReader;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.Entity;
import dev.oleander.drawing.read.DrawingReading;
import dev.oleander.drawing.read.ReadOptions;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

/** Codes are read by a scanner from a picture of what is drawn. */
class CodeCommandsTest {

    private static Drawn drawn(String... values) {
        Map<String, String> all = new TreeMap<>(Map.of("x", "10", "y", "20"));
        for (int i = 0; i < values.length; i += 2) {
            all.put(values[i], values[i + 1]);
        }
        return new DrawSteps(Map.of("t", 3.0))
                .apply(Drawing.empty("test"), List.of(new DrawStep("d1", "code", List.of(), all)));
    }

    private static List<Contour> contours(Drawn drawn) {
        assertThat(drawn.troubles()).isEmpty();
        return drawn.drawing().entities().stream().map(e -> (Contour) e.chain()).toList();
    }

    /** A photograph of it: three pixels for a millimetre, each as grey as it is covered. */
    private static String scanned(List<Contour> contours, double wide) throws Exception {
        int pixels = (int) Math.round(3 * (wide + 10));
        int[] picture = new int[pixels * pixels];
        for (int row = 0; row < pixels; row++) {
            for (int column = 0; column < pixels; column++) {
                int light = 0;
                for (int i = 0; i < 25; i++) {
                    double x = column + (i % 5 + 0.5) / 5;
                    double y = pixels - row - (i / 5 + 0.5) / 5;
                    Point at = new Point(5 + x / 3, 15 + y / 3);
                    long round =
                            contours.stream()
                                    .filter(c -> c.box().contains(at) && c.contains(at))
                                    .count();
                    light += round % 2 == 1 ? 0 : 10;
                }
                picture[row * pixels + column] = 0x010101 * light;
            }
        }
        LuminanceSource source = new RGBLuminanceSource(pixels, pixels, picture);
        return new MultiFormatReader()
                .decode(
                        new BinaryBitmap(new HybridBinarizer(source)),
                        Map.of(DecodeHintType.TRY_HARDER, true))
                .getText();
    }

    @Test
    void aScannerReadsSquaresAndDots() throws Exception {
        // version 1 has 21 modules on a side
        assertThat(scanned(contours(drawn("text", "SKIFF-0017")), 21)).isEqualTo("SKIFF-0017");
        assertThat(scanned(contours(drawn("text", "SKIFF-0017", "look", "dots", "dot", "0.9")), 21))
                .isEqualTo("SKIFF-0017");
        assertThat(scanned(contours(drawn("text", "BERTH 4", "kind", "matrix")), 12))
                .isEqualTo("BERTH 4");
    }

    @Test
    void squaresNeitherTouchNorCross() {
        Drawn drawn = drawn("text", "SKIFF-0017", "module", "0.5", "turn", "30");
        List<Contour> contours = contours(drawn);
        assertThat(contours).allMatch(c -> c.segments().size() % 2 == 0);
        Reading reading = new DrawingReading(ReadOptions.defaults()).read(drawn.drawing());
        assertThat(reading.openFaults()).isEmpty();
    }

    @Test
    void dotsAreAsLargeAsIsSaid() {
        List<Contour> dots = contours(drawn("text", "A", "look", "dots", "module", "2"));
        assertThat(dots)
                .allSatisfy(
                        d -> {
                            assertThat(d.segments()).allMatch(Arc.class::isInstance);
                            assertThat(d.box().width()).isCloseTo(1.6, within(1e-9));
                        });
    }

    @Test
    void eachOfARowSaysItsNumber() throws Exception {
        Drawn drawn =
                drawn("text", "Q-{n:000}", "count", "3", "dx", "40", "first", "7", "step", "2");
        List<Contour> second =
                contours(drawn).stream()
                        .filter(c -> c.box().min().x() > 45 && c.box().max().x() < 85)
                        .map(
                                c ->
                                        c.transformed(
                                                dev.oleander.geometry.Transform.translation(
                                                        new Point(-40, 0))))
                        .toList();
        assertThat(scanned(second, 21)).isEqualTo("Q-009");
        assertThat(drawn.drawing().entities()).extracting(Entity::type).containsOnly("CODE");
    }

    @Test
    void whatNoCodeHoldsIsSaid() {
        assertThat(drawn("text", "Ж", "kind", "matrix").troubles())
                .extracting(Drawn.Trouble::sentence)
                .containsExactly(
                        "No data matrix says \"Ж\": it is too long, or has letters that such a code does not know.");
        assertThat(drawn("text", "A", "module", "0").troubles())
                .extracting(Drawn.Trouble::parameter)
                .containsExactly("module");
        assertThat(drawn("text", "A", "count", "200").troubles())
                .extracting(Drawn.Trouble::parameter)
                .containsExactly("count");
    }
}
