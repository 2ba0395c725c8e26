package dev.oleander.drawing.dxf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Samples;
import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.DrawingException;
import dev.oleander.drawing.Fault;
import dev.oleander.drawing.ImportOptions;
import dev.oleander.drawing.SideBySide;
import dev.oleander.drawing.file.DrawingFiles;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Segment;
import dev.oleander.quantity.LengthUnit;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;

class DxfReaderTest {

    private static final String INCHES = "0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n1\n0\nENDSEC\n";

    @Test
    void readsBulgesAsArcs() {
        Drawing drawing =
                read(
                        entities(
                                "0\nLWPOLYLINE\n8\nCUT\n90\n2\n70\n1\n10\n0\n20\n0\n42\n1\n10\n10\n20\n0\n42\n1\n"));
        List<Segment> segments = drawing.entities().get(0).segments();
        assertThat(segments).hasSize(2).allMatch(Arc.class::isInstance);
        assertThat(((Arc) segments.get(0)).radius()).isCloseTo(5, within(1e-12));
        assertThat(drawing.entities().get(0).closed()).isTrue();
    }

    @Test
    void takesTheUnitFromTheHeaderOrAsAsked() {
        String file = INCHES + entities("0\nLINE\n8\n0\n10\n0\n20\n0\n11\n2\n21\n0\n");
        Drawing drawing = read(file);
        assertThat(drawing.declaredUnit()).contains(LengthUnit.INCH);
        assertThat(length(drawing)).isCloseTo(50.8, within(1e-9));
        Drawing asked =
                new DrawingFiles(ImportOptions.defaults().withUnit(LengthUnit.MILLIMETRE))
                        .read("a.dxf", bytes(file));
        assertThat(length(asked)).isCloseTo(2, within(1e-12));
    }

    @Test
    void mirrorsWhatIsSeenFromBehind() {
        Drawing drawing =
                read(
                        entities(
                                "0\nARC\n8\n0\n10\n5\n20\n0\n40\n2\n50\n0\n51\n90\n210\n0\n220\n0\n230\n-1\n"));
        Arc arc = (Arc) drawing.entities().get(0).segments().get(0);
        assertThat(arc.centre().x()).isCloseTo(-5, within(1e-12));
        assertThat(arc.start().x()).isCloseTo(-7, within(1e-12));
        assertThat(arc.isLeft()).isFalse();
    }

    @Test
    void listsWhatItLeavesOut() {
        Drawing drawing =
                read(
                        entities(
                                "0\nLINE\n8\nCUT\n10\n0\n20\n0\n11\n2\n21\n0\n"
                                        + "0\nTEXT\n8\nNOTES\n10\n0\n20\n0\n1\nHello\n"
                                        + "0\nSPLINE\n8\nCUT\n70\n8\n"
                                        + "0\nLINE\n8\nCUT\n10\nnan\n20\n0\n11\n2\n21\n0\n"));
        assertThat(drawing.skipped())
                .extracting(s -> s.entity() + (s.lineWork() ? " wanted" : " note"))
                .containsExactly("TEXT note", "SPLINE wanted", "LINE wanted");
        assertThat(drawing.faults()).allMatch(f -> f.kind() == Fault.Kind.UNREADABLE);
        assertThat(drawing.faults()).hasSize(2);
        assertThat(drawing.faults().get(0).sentence())
                .isEqualTo(
                        "SPLINE on layer CUT (line 27 of the file) is left out: it has no control"
                                + " points and 0 points to go through; 3 are needed.");
        assertThat(drawing.faults().get(1).sentence()).contains("line 33", "\"nan\"");
    }

    @Test
    void hiddenLayersAndPaperAreLeftOut() {
        String layers =
                "0\nSECTION\n2\nTABLES\n0\nTABLE\n2\nLAYER\n0\nLAYER\n2\nOFF\n70\n0\n62\n-3\n0\nENDTAB\n0\nENDSEC\n";
        Drawing drawing =
                read(
                        layers
                                + entities(
                                        "0\nLINE\n8\nOFF\n10\n0\n20\n0\n11\n2\n21\n0\n"
                                                + "0\nLINE\n8\nCUT\n67\n1\n10\n0\n20\n0\n11\n2\n21\n0\n"
                                                + "0\nLINE\n8\nCUT\n10\n0\n20\n0\n11\n2\n21\n0\n"));
        assertThat(drawing.entities()).hasSize(1);
        assertThat(drawing.skipped()).hasSize(2);
    }

    @Test
    void refusesBrokenFilesWithTheirLine() {
        assertRefused("", "a.dxf is empty.");
        assertRefused("hello\nworld\n", "is no DXF drawing", "line 1", "\"hello\"");
        assertRefused("0\nSECTION\nx\ny\n", "a.dxf, line 3", "group code");
        assertRefused(entities("0\nTEXT\n8\nNOTES\n"), "holds no line work");
        assertThatThrownBy(
                        () ->
                                new DrawingFiles(ImportOptions.defaults())
                                        .read("cut.dxf", Samples.bytes("cut_off_midway.dxf")))
                .isInstanceOfSatisfying(
                        DrawingException.class, e -> assertThat(e.line()).isPresent())
                .hasMessageContaining("cut off");
        assertThatThrownBy(
                        () ->
                                new DrawingFiles(ImportOptions.defaults())
                                        .read("a.dxf", new byte[] {65, 0, 66, 0}))
                .hasMessageContaining("binary");
    }

    @Test
    void badNumbersCostOnlyTheirEntity() {
        Drawing drawing =
                new DrawingFiles(ImportOptions.defaults())
                        .read("bad.dxf", Samples.bytes("bad_numbers.dxf"));
        assertThat(drawing.entities()).isNotEmpty();
        assertThat(drawing.faults()).isNotEmpty();
        assertThat(drawing.entities())
                .flatMap(e -> e.segments())
                .allMatch(s -> s.start().isFinite() && s.end().isFinite());
    }

    @Test
    void aBlockInItselfIsLeftOutAndSaid() {
        String name = "block_in_itself.dxf";
        Drawing drawing =
                new DrawingFiles(ImportOptions.defaults()).read(name, Samples.bytes(name));
        assertThat(drawing.skipped()).anyMatch(s -> s.entity().equals("INSERT") && s.lineWork());
    }

    @Test
    void drawingsGoSideBySide() {
        Drawing one = read(entities("0\nCIRCLE\n8\nCUT\n10\n0\n20\n0\n40\n5\n"));
        Drawing two = read(entities("0\nCIRCLE\n8\nINNER\n10\n100\n20\n50\n40\n2\n"));
        Drawing both = new SideBySide(20).join(List.of(one, two));
        assertThat(both.entities()).extracting(e -> e.ordinal()).containsExactly(0, 1);
        Box second = both.entities().get(1).segments().get(0).box();
        assertThat(second.max().x()).isCloseTo(5 + 20 + 4, within(1e-9));
        assertThat(both.layers()).extracting(l -> l.name()).containsExactly("CUT", "INNER");
    }

    private static double length(Drawing drawing) {
        return drawing.entities().get(0).segments().get(0).length();
    }

    private static void assertRefused(String file, String... parts) {
        assertThatThrownBy(() -> read(file))
                .isInstanceOf(DrawingException.class)
                .message()
                .contains(parts);
    }

    private static String entities(String records) {
        return "0\nSECTION\n2\nENTITIES\n" + records + "0\nENDSEC\n0\nEOF\n";
    }

    private static Drawing read(String file) {
        return new DrawingFiles(ImportOptions.defaults()).read("a.dxf", bytes(file));
    }

    private static byte[] bytes(String file) {
        return file.getBytes(StandardCharsets.UTF_8);
    }
}
