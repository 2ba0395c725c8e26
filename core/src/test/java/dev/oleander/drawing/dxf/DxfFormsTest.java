package dev.oleander.drawing.dxf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.DrawingException;
import dev.oleander.drawing.ImportOptions;
import dev.oleander.drawing.file.DrawingFiles;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.quantity.LengthUnit;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Forms in which the same line work comes. */
class DxfFormsTest {

    private static final String SQUARE =
            "0\nPOLYLINE\n8\nCUT\n66\n1\n70\n1\n"
                    + vertex(0, 0, 0)
                    + vertex(10, 0, 0)
                    + vertex(10, 10, 0.5)
                    + vertex(0, 10, 0)
                    + "0\nSEQEND\n";

    private static String vertex(double x, double y, double bulge) {
        return "0\nVERTEX\n8\nCUT\n10\n%s\n20\n%s\n42\n%s\n".formatted(x, y, bulge);
    }

    private static String file(String entities) {
        return "0\nSECTION\n2\nENTITIES\n" + entities + "0\nENDSEC\n0\nEOF\n";
    }

    private static Drawing read(byte[] bytes) {
        return new DrawingFiles(ImportOptions.defaults()).read("form.dxf", bytes);
    }

    private static Drawing read(String text) {
        return read(text.getBytes(StandardCharsets.UTF_8));
    }

    @Test
    void heavyPolylinesCarryTheirVerticesAsRecords() {
        Drawing drawing = read(file(SQUARE));
        List<Segment> segments = drawing.entities().get(0).segments();
        assertThat(segments).hasSize(4);
        assertThat(segments.get(2)).isInstanceOf(Arc.class);
        assertThat(drawing.entities().get(0).closed()).isTrue();
    }

    @ParameterizedTest
    @ValueSource(strings = {"\n", "\r\n", "\r"})
    void linesMayEndInAnyWay(String end) {
        assertThat(read(file(SQUARE).replace("\n", end)).entities()).hasSize(1);
    }

    @Test
    void valuesMayBeIndented() {
        String indented = file(SQUARE).replaceAll("(?m)^(\\d+)$", "  $1");
        assertThat(read(indented).entities()).hasSize(1);
    }

    @Test
    void oldFilesComeInACodePage() {
        String text = file(SQUARE).replace("8\nCUT", "8\nMaßlinie");
        Drawing drawing = read(text.getBytes(Charset.forName("windows-1252")));
        assertThat(drawing.entities().get(0).layer()).isEqualTo("Maßlinie");
    }

    @Test
    void newFilesMayHoldAnyLetterAlsoTheOneForAnUnknownOne() {
        String text = "\uFEFF" + file(SQUARE).replace("8\nCUT", "8\nMaßlinie \uFFFD");
        Drawing drawing = read(text.getBytes(StandardCharsets.UTF_8));
        assertThat(drawing.entities().get(0).layer()).isEqualTo("Maßlinie \uFFFD");
    }

    @ParameterizedTest
    @CsvSource({
        "1, INCH",
        "2, FOOT",
        "4, MILLIMETRE",
        "5, CENTIMETRE",
        "6, METRE",
        "13, MICROMETRE"
    })
    void theHeadersUnitIsTaken(int code, LengthUnit unit) {
        String header = "0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n%d\n0\nENDSEC\n".formatted(code);
        Drawing drawing = read(header + file(SQUARE));
        assertThat(drawing.unit()).isEqualTo(unit);
        assertThat(drawing.entities().get(0).segments().get(0).length())
                .isCloseTo(10 * unit.millimetres(), within(1e-9));
    }

    @Test
    void withoutAUnitMillimetresAreTakenAndNotDeclared() {
        Drawing drawing = read(file(SQUARE));
        assertThat(drawing.declaredUnit()).isEmpty();
        assertThat(drawing.unit()).isEqualTo(LengthUnit.MILLIMETRE);
    }

    @Test
    void anArcOverZeroDegreesGoesTheShortWayRound() {
        Drawing drawing = read(file("0\nARC\n8\n0\n10\n0\n20\n0\n40\n10\n50\n350\n51\n20\n"));
        Arc arc = (Arc) drawing.entities().get(0).segments().get(0);
        assertThat(Math.toDegrees(arc.sweep())).isCloseTo(30, within(1e-9));
        assertThat(arc.isLeft()).isTrue();
    }

    @Test
    void aFullArcIsACircle() {
        Drawing drawing = read(file("0\nARC\n8\n0\n10\n3\n20\n4\n40\n10\n50\n0\n51\n360\n"));
        assertThat(drawing.entities().get(0).closed()).isTrue();
        assertThat(drawing.entities().get(0).segments()).hasSize(2);
    }

    @Test
    void repeatedVerticesAndOpenPolylinesAreKeptAsTheyAre() {
        Drawing drawing =
                read(
                        file(
                                "0\nLWPOLYLINE\n8\nCUT\n90\n4\n70\n0\n10\n0\n20\n0\n10\n0\n20\n0\n10\n5\n20\n0\n10\n5\n20\n7\n"));
        assertThat(drawing.entities().get(0).segments()).hasSize(2);
        assertThat(drawing.entities().get(0).closed()).isFalse();
        assertThat(drawing.entities().get(0).segments().get(1).end()).isEqualTo(new Point(5, 7));
    }

    @Test
    void whatLiesFarAwayOrTiltedIsNotBelieved() {
        Drawing drawing =
                read(
                        file(
                                SQUARE
                                        + "0\nLINE\n8\nFAR\n10\n0\n20\n0\n11\n1e12\n21\n0\n"
                                        + "0\nCIRCLE\n8\nTILTED\n10\n0\n20\n0\n40\n5\n210\n1\n220\n0\n230\n0\n"
                                        + "0\nCIRCLE\n8\nNEGATIVE\n10\n0\n20\n0\n40\n-5\n"));
        assertThat(drawing.entities()).hasSize(1);
        assertThat(drawing.skipped()).hasSize(3).allMatch(s -> s.lineWork());
        assertThat(drawing.faults()).hasSize(3);
    }

    @Test
    void limitsAreKept() {
        ImportOptions small = ImportOptions.defaults().withLimits(100, 2_000_000, 1000);
        assertThatThrownBy(
                        () ->
                                new DrawingFiles(small)
                                        .read(
                                                "big.dxf",
                                                file(SQUARE).getBytes(StandardCharsets.UTF_8)))
                .isInstanceOf(DrawingException.class)
                .hasMessageContaining("limit");
        ImportOptions few = ImportOptions.defaults().withLimits(1 << 20, 3, 1000);
        assertThatThrownBy(
                        () ->
                                new DrawingFiles(few)
                                        .read(
                                                "many.dxf",
                                                file(SQUARE).getBytes(StandardCharsets.UTF_8)))
                .hasMessageContaining("more than 3 lines and arcs");
    }

    @Test
    void aValueThatIsMissingAtTheEndIsACutOffFile() {
        assertThatThrownBy(() -> read("0\nSECTION\n2\nENTITIES\n0\nLINE\n8"))
                .hasMessageContaining("cut off");
        assertThatThrownBy(() -> read("0\nSECTION\n2\nENTITIES\n" + SQUARE))
                .hasMessageContaining("before its end mark");
    }
}
