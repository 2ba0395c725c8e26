package dev.oleander.drawing.csv;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.DrawingException;
import dev.oleander.drawing.ImportOptions;
import dev.oleander.drawing.file.DrawingFiles;
import dev.oleander.geometry.Point;
import dev.oleander.quantity.LengthUnit;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PointListReaderTest {

    private static Drawing read(String text) {
        return new DrawingFiles(ImportOptions.defaults())
                .read("points.csv", text.getBytes(StandardCharsets.UTF_8));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "0,0\n10,0\n10,5.5\n0,0\n",
                "0;0\r\n10;0\r\n10;5,5\r\n0;0",
                "0 0\n10\t0\n10 5.5\n0 0",
                "x (mm), y (mm)\n0,0\n10,0\n10,5.5\n0,0"
            })
    void numbersMayStandApartInManyWays(String text) {
        Drawing drawing = read(text);
        assertThat(drawing.entities()).hasSize(1);
        assertThat(drawing.entities().get(0).closed()).isTrue();
        assertThat(drawing.entities().get(0).chain().box().max()).isEqualTo(new Point(10, 5.5));
    }

    @Test
    void theHeadingNamesTheUnit() {
        Drawing drawing = read("x_in;y_in\n0;0\n1;0\n");
        assertThat(drawing.declaredUnit()).contains(LengthUnit.INCH);
        assertThat(drawing.entities().get(0).chain().length()).isCloseTo(25.4, within(1e-9));
        assertThat(read("0,0\n1,0").declaredUnit()).isEmpty();
    }

    @Test
    void emptyLinesBeginNewOutlinesAndSinglePointsArePlaces() {
        Drawing drawing = read("0,0\n1,0\n\n5,5\n\n\n7,7\n8,8\n9,7\n");
        assertThat(drawing.entities()).hasSize(2);
        assertThat(drawing.entities().get(1).line()).isEqualTo(7);
        assertThat(drawing.points()).containsExactly(new Point(5, 5));
    }

    @Test
    void whatIsNoPairIsToldWithItsLine() {
        assertThatThrownBy(() -> read("0,0\n1,0\nfive,6\n"))
                .isInstanceOf(DrawingException.class)
                .hasMessage(
                        "points.csv, line 3: two numbers should stand here, x and y, not \"five,6\".");
        assertThatThrownBy(() -> read("0,0\n1e300,0\n"))
                .isInstanceOf(DrawingException.class)
                .hasMessageContaining("line 2", "farther");
        assertThatThrownBy(() -> read("3,4\n"))
                .isInstanceOf(DrawingException.class)
                .hasMessageContaining("no line work");
    }
}
