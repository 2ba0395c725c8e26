package dev.oleander.web.job.result;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.drawing.ImportOptions;
import dev.oleander.drawing.dxf.DxfReader;
import dev.oleander.drawing.read.DrawingReading;
import dev.oleander.drawing.read.ReadOptions;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;

/** The picture of a part on the board. */
class PartPictureTest {

    private final StringBuilder entities = new StringBuilder();

    private void line(double x0, double y0, double x1, double y1) {
        entities.append(
                "0\nLINE\n8\nCUT\n10\n%f\n20\n%f\n11\n%f\n21\n%f\n".formatted(x0, y0, x1, y1));
    }

    private void square(double x, double y, double side) {
        line(x, y, x + side, y);
        line(x + side, y, x + side, y + side);
        line(x + side, y + side, x, y + side);
        line(x, y + side, x, y);
    }

    private void circle(double x, double y, double radius) {
        entities.append("0\nCIRCLE\n8\nCUT\n10\n%f\n20\n%f\n40\n%f\n".formatted(x, y, radius));
    }

    private String picture() {
        String file =
                "0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n4\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n%s0\nENDSEC\n0\nEOF\n"
                        .formatted(entities);
        byte[] bytes = file.getBytes(StandardCharsets.UTF_8);
        return new PartPicture(
                        new DrawingReading(ReadOptions.defaults())
                                .read(new DxfReader(ImportOptions.defaults()).read("p", bytes)))
                .svg();
    }

    @Test
    void aFewPartsAreDrawnToTheLastHole() {
        square(0, 0, 1000);
        circle(500, 500, 1);
        assertThat(picture().split("A0\\.2 ")).as("two halves of the hole").hasSize(3);
    }

    @Test
    void aSheetFullOfSmallPartsIsDrawnAsItLooksFromFarAway() {
        for (int i = 0; i < 70; i++) {
            for (int j = 0; j < 70; j++) {
                square(12 * i, 12 * j, 10);
            }
        }
        square(900, 0, 840);
        circle(1300, 400, 300);
        String picture = picture();
        assertThat(picture.length()).isLessThan(30_000);
        assertThat(picture).as("the large one with its opening").contains("A34.4");
        int dots = picture.split("h4v4h-4z", -1).length - 1;
        assertThat(dots).as("cells where there is something").isBetween(500, 700);
    }

    @Test
    void anOutlineOfVeryManyShortLinesHasTheCornersThatOneSees() {
        int n = 20_000;
        for (int i = 0; i < n; i++) {
            double a = 2 * Math.PI * i / n;
            double b = 2 * Math.PI * ((i + 1) % n) / n;
            line(500 * Math.cos(a), 500 * Math.sin(a), 500 * Math.cos(b), 500 * Math.sin(b));
        }
        assertThat(picture().length()).isLessThan(20_000);
    }
}
