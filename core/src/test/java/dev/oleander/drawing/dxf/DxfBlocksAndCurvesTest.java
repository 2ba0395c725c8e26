package dev.oleander.drawing.dxf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.DrawingException;
import dev.oleander.drawing.ImportOptions;
import dev.oleander.drawing.file.DrawingFiles;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DxfBlocksAndCurvesTest {

    /** Pairs written in one line: 0 LINE 10 5. */
    private static String pairs(String text) {
        return text.strip().replaceAll("\\s+", "\n") + "\n";
    }

    private static Drawing read(ImportOptions options, String blocks, String entities) {
        String file =
                pairs("0 SECTION 2 BLOCKS " + blocks + " 0 ENDSEC")
                        + pairs("0 SECTION 2 ENTITIES " + entities + " 0 ENDSEC 0 EOF");
        return new DrawingFiles(options).read("a.dxf", file.getBytes(StandardCharsets.UTF_8));
    }

    private static Drawing read(String blocks, String entities) {
        return read(ImportOptions.defaults(), blocks, entities);
    }

    private static final String HOLE =
            "0 BLOCK 2 HOLE 10 1 20 1 0 CIRCLE 8 0 10 1 20 1 40 2 0 ENDBLK ";

    private static Chain only(Drawing drawing) {
        assertThat(drawing.entities()).hasSize(1);
        return drawing.entities().get(0).chain();
    }

    private static void assertNear(Point found, double x, double y) {
        assertThat(found.distance(new Point(x, y))).as("%s", found).isLessThan(1e-9);
    }

    @Test
    void blocksArePutInScaledTurnedAndOnTheirInsertsLayer() {
        Drawing drawing = read(HOLE, "0 INSERT 8 CUT 2 HOLE 10 50 20 20 41 3 42 3 50 45");
        assertNear(only(drawing).box().centre(), 50, 20);
        assertThat(((Contour) only(drawing)).circleDiameter(1e-9))
                .hasValueCloseTo(12.0, within(1e-9));
        assertThat(drawing.entities().get(0).layer()).isEqualTo("CUT");
    }

    @Test
    void insertsMayBeArraysMirroredAndNested() {
        String pair =
                "0 BLOCK 2 PAIR 10 0 20 0 0 INSERT 8 0 2 HOLE 10 5 20 0 70 2 71 3 44 10 45 20 0 ENDBLK ";
        Drawing drawing = read(HOLE + pair, "0 INSERT 8 CUT 2 PAIR 10 100 20 0 41 -1 42 1");
        assertThat(drawing.entities()).hasSize(6);
        assertNear(drawing.entities().get(5).chain().box().centre(), 85, 40);
    }

    @Test
    void unequalScalesMakeEllipsesOfArcs() {
        Drawing drawing = read(HOLE, "0 INSERT 8 CUT 2 HOLE 10 0 20 0 41 4 42 2");
        Contour ellipse = (Contour) only(drawing);
        assertThat(ellipse.area()).isCloseTo(Math.PI * 8 * 4, within(0.05));
        assertThat(drawing.fits().curves()).isPositive();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0 INSERT 8 0 2 NONE 10 0 20 0 | there is no block \"NONE\"",
                "0 INSERT 8 0 2 HOLE 10 0 20 0 41 0 | its scale is 0",
                "0 INSERT 8 0 2 LOOP 10 0 20 0 | block \"LOOP\" contains itself",
                "0 INSERT 8 0 2 AWAY 10 0 20 0 | lies in another file",
                "0 INSERT 8 0 2 HOLE 10 0 20 0 70 30000 71 30000 44 1 45 1 | are too many",
                "0 ELLIPSE 8 0 10 0 20 0 11 0 21 0 40 1 | its axes are",
                "0 SPLINE 8 0 71 3 40 0 40 1 10 0 20 0 10 1 20 1 10 2 20 0 10 3 20 1 | need 8 knots, it has 2",
                "0 SPLINE 8 0 71 1 40 0 40 2 40 1 40 3 10 0 20 0 10 1 20 1 | its knots fall",
                "0 SPLINE 8 0 71 1 40 0 40 0 40 1 40 1 41 1 41 -1 10 0 20 0 10 1 20 1 | a weight of it is -1.0",
                "0 CIRCLE 8 0 10 0 20 0 40 1 210 1 220 0 230 0 | it is tilted out of the plane",
                "0 LWPOLYLINE 8 0 90 2 10 0 20 0 42 1e9 10 1 20 0 | more than a full turn"
            })
    void whatCannotBeReadIsToldAndTheRestIsKept(String entity, String why) {
        String loop = "0 BLOCK 2 LOOP 10 0 20 0 0 INSERT 8 0 2 LOOP 10 1 20 1 0 ENDBLK ";
        String away = "0 BLOCK 2 AWAY 70 4 10 0 20 0 0 ENDBLK ";
        Drawing drawing = read(HOLE + loop + away, "0 CIRCLE 8 0 10 0 20 0 40 5 " + entity);
        assertThat(drawing.entities()).hasSize(1);
        assertThat(drawing.faults()).isNotEmpty();
        assertThat(drawing.faults().get(0).sentence()).contains(why);
    }

    @Test
    void blocksThatExplodeAreStopped() {
        StringBuilder blocks = new StringBuilder("0 BLOCK 2 B0 10 0 20 0 0 ENDBLK ");
        for (int i = 1; i < 40; i++) {
            String inner = "0 INSERT 8 0 2 B%d 10 0 20 0 ".formatted(i - 1);
            blocks.append("0 BLOCK 2 B%d 10 0 20 0 %s%s0 ENDBLK ".formatted(i, inner, inner));
        }
        assertThatThrownBy(() -> read(blocks.toString(), "0 INSERT 8 0 2 B39 10 0 20 0"))
                .isInstanceOf(DrawingException.class)
                .hasMessageMatching(
                        ".*(more than 1000000 inserted blocks|took longer than 10 s).*");
    }

    @Test
    void aRationalSplineIsACircleOfItsFullSize() {
        double w = Math.sqrt(0.5);
        StringBuilder spline = new StringBuilder("0 SPLINE 8 CUT 70 1 71 2 ");
        for (int k : new int[] {0, 0, 0, 1, 1, 2, 2, 3, 3, 4, 4, 4}) {
            spline.append("40 ").append(k).append(' ');
        }
        double[][] points = {
            {10, 0},
            {10, 10},
            {0, 10},
            {-10, 10},
            {-10, 0},
            {-10, -10},
            {0, -10},
            {10, -10},
            {10, 0}
        };
        for (int i = 0; i < 9; i++) {
            spline.append("10 %s 20 %s ".formatted(points[i][0], points[i][1]));
            spline.append("41 %s ".formatted(i % 2 == 0 ? 1 : w));
        }
        Drawing drawing = read("", spline.toString());
        assertThat(drawing.entities().get(0).closed()).isTrue();
        Contour circle = (Contour) only(drawing);
        assertThat(circle.circleDiameter(0.01)).hasValueCloseTo(20.0, within(0.02));
        assertThat(circle.segments()).hasSizeLessThan(6).allMatch(Arc.class::isInstance);
    }

    @Test
    void aSplineWithACornerKeepsIt() {
        String spline =
                "0 SPLINE 8 CUT 71 2 40 0 40 0 40 0 40 1 40 1 40 2 40 2 40 2 "
                        + "10 0 20 0 10 10 20 20 10 20 20 0 10 30 20 20 10 40 20 0";
        Chain chain = only(read("", spline));
        Point corner = new Point(20, 0);
        assertThat(chain.segments()).anyMatch(s -> s.end().distance(corner) < 1e-9);
    }

    @Test
    void aSplineThroughPointsPassesThem() {
        StringBuilder spline = new StringBuilder("0 SPLINE 8 CUT 70 0 71 3 74 9 ");
        for (int i = 0; i <= 8; i++) {
            spline.append("11 %s 21 %s ".formatted(10 * i, 8 * Math.sin(i)));
        }
        Chain chain = only(read("", spline.toString()));
        for (int i = 0; i <= 8; i++) {
            Point p = new Point(10 * i, 8 * Math.sin(i));
            assertThat(chain.nearest(p).point().distance(p)).isLessThan(0.0101);
        }
    }

    @Test
    void coloursAndLineTypesComeFromTheLayerOrTheInsert() {
        String tables =
                pairs(
                        "0 SECTION 2 TABLES 0 TABLE 2 LAYER 0 LAYER 2 THIN 70 0 62 1 6 CENTER 0 ENDTAB 0 ENDSEC");
        String file =
                tables
                        + pairs(
                                "0 SECTION 2 ENTITIES 0 LINE 8 THIN 10 0 20 0 11 5 21 0"
                                        + " 0 LINE 8 THIN 62 3 6 DASHED 10 0 20 9 11 5 21 9"
                                        + " 0 LINE 8 THIN 420 255 10 0 20 5 11 5 21 5 0 ENDSEC 0 EOF");
        Drawing drawing =
                new DrawingFiles(ImportOptions.defaults())
                        .read("a.dxf", file.getBytes(StandardCharsets.UTF_8));
        assertThat(drawing.entities())
                .extracting(e -> e.style().colour() + " " + e.style().lineType())
                .containsExactly("red center", "green dashed", "#0000ff center");
    }

    @Test
    void aPairOfBytesAtTheStartTellsTheEncoding() {
        String file = pairs("0 SECTION 2 ENTITIES 0 LINE 8 CUT 10 0 20 0 11 5 21 0 0 ENDSEC 0 EOF");
        for (var charset :
                new java.nio.charset.Charset[] {StandardCharsets.UTF_8, StandardCharsets.UTF_16}) {
            byte[] bytes = ("\uFEFF" + file).getBytes(charset);
            Drawing drawing = new DrawingFiles(ImportOptions.defaults()).read("a.dxf", bytes);
            assertThat(drawing.entities()).hasSize(1);
        }
    }
}
