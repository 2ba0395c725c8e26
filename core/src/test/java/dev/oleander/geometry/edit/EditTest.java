package dev.oleander.geometry.edit;

import static dev.oleander.geometry.Shapes.p;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.Shapes;
import java.util.List;
import org.junit.jupiter.api.Test;

class EditTest {

    private final ChainCutter cutter = new ChainCutter(1e-9);

    private static void assertTangent(Segment before, Segment after) {
        assertThat(before.direction(1).distance(after.direction(0))).isLessThan(1e-9);
    }

    @Test
    void everyCornerOfAPlateCanBeRounded() {
        Contour plate = Shapes.rectangle(40, 20);
        for (int corner = 3; corner >= 0; corner--) {
            plate = CornerRounder.fillet(plate, corner, 5);
        }
        assertThat(plate.segments()).hasSize(8);
        assertThat(plate.area()).isCloseTo(800 - (4 - Math.PI) * 25, within(1e-9));
        for (int i = 0; i < 8; i++) {
            assertTangent(plate.segments().get(i), plate.segments().get((i + 1) % 8));
        }
    }

    @Test
    void aCornerBetweenLineAndArcIsRoundedTangentially() {
        Path path =
                new Path(List.of(new Line(p(0, 0), p(10, 0)), new Arc(p(10, 0), p(10, 12), -1)));
        Path rounded = CornerRounder.fillet(path, 1, 2);
        assertThat(rounded.segments()).hasSize(3);
        assertThat(((Arc) rounded.segments().get(1)).radius()).isCloseTo(2, within(1e-9));
        assertTangent(rounded.segments().get(0), rounded.segments().get(1));
        assertTangent(rounded.segments().get(1), rounded.segments().get(2));
    }

    @Test
    void aRadiusThatDoesNotFitSaysWhichDoes() {
        Contour plate = Shapes.rectangle(40, 20);
        assertThatThrownBy(() -> CornerRounder.fillet(plate, 1, 25))
                .isInstanceOf(EditException.class)
                .hasMessageContaining("25.000 mm does not fit at (40.000, 0.000)")
                .hasMessageContaining("largest is 19.999");
        Contour most = CornerRounder.fillet(plate, 1, 19.999);
        assertThat(most.segments()).hasSize(5);
    }

    @Test
    void aStraightJointIsNoCorner() {
        Path straight = new Path(List.of(new Line(p(0, 0), p(1, 0)), new Line(p(1, 0), p(2, 0))));
        assertThatThrownBy(() -> CornerRounder.fillet(straight, 1, 1))
                .hasMessageContaining("no corner to round");
        assertThatThrownBy(() -> CornerRounder.fillet(straight, 0, 1))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void bevelsTakeWhatIsAsked() {
        Contour bevelled = CornerRounder.chamfer(Shapes.rectangle(40, 20), 2, 3, 4);
        assertThat(bevelled.segments()).hasSize(5);
        assertThat(bevelled.area()).isCloseTo(800 - 6, within(1e-12));
        assertThatThrownBy(() -> CornerRounder.chamfer(Shapes.rectangle(40, 20), 2, 21, 4))
                .isInstanceOf(EditException.class)
                .hasMessageContaining("21.000 mm cannot be cut off")
                .hasMessageContaining("20.000 mm long");
    }

    @Test
    void aPathIsSplitAnywhere() {
        Path path = new Path(List.of(new Line(p(0, 0), p(10, 0)), new Arc(p(10, 0), p(10, 10), 1)));
        for (double at : new double[] {3, 10, 15}) {
            List<Path> parts = ChainCutter.split(path, path.stationAt(at));
            assertThat(parts).hasSize(2);
            assertThat(parts.get(0).length()).isCloseTo(at, within(1e-9));
            assertThat(parts.get(0).length() + parts.get(1).length())
                    .isCloseTo(path.length(), within(1e-9));
            assertThat(parts.get(1).start()).isEqualTo(parts.get(0).end());
        }
        assertThat(ChainCutter.split(path, path.stationAt(0))).hasSize(1);
    }

    @Test
    void aContourIsSplitAtTwoPlacesAndOpenedAtOne() {
        Contour circle = Contour.circle(p(0, 0), 10);
        List<Path> halves =
                ChainCutter.split(circle, circle.nearest(p(0, 10)), circle.nearest(p(0, -10)));
        assertThat(halves).hasSize(2);
        assertThat(halves).allMatch(h -> Math.abs(h.length() - 10 * Math.PI) < 1e-9);
        Path open = ChainCutter.opened(circle, circle.nearest(p(0, 10)));
        assertThat(open.start().distance(p(0, 10))).isLessThan(1e-12);
    }

    @Test
    void trimmingKeepsTheStretchBetweenTheKnives() {
        Path bar = new Path(List.of(new Line(p(0, 0), p(30, 0))));
        Contour left = Contour.circle(p(5, 0), 2);
        Path right = new Path(List.of(new Line(p(20, -5), p(20, 5))));
        Path kept = cutter.trimmed(bar, bar.nearest(p(12, 0)), List.of(left, right));
        assertThat(kept.start().distance(p(7, 0))).isLessThan(1e-9);
        assertThat(kept.end().distance(p(20, 0))).isLessThan(1e-9);
        Path end = cutter.trimmed(bar, bar.nearest(p(25, 0)), List.of(left, right));
        assertThat(end.end()).isEqualTo(p(30, 0));
        Path untouched =
                cutter.trimmed(bar, bar.stationAt(1), List.of(Contour.circle(p(0, 50), 1)));
        assertThat(untouched).isEqualTo(bar);
    }

    @Test
    void endsAreExtendedAlongTheirLineOrCircle() {
        Path line = new Path(List.of(new Line(p(0, 0), p(3, 4))));
        assertThat(ChainCutter.extended(line, 5).end().distance(p(6, 8))).isLessThan(1e-12);
        Path arc = new Path(List.of(new Arc(p(5, 0), p(0, 5), Math.tan(Math.PI / 8))));
        Point on = ChainCutter.extended(arc, 5 * Math.PI / 2).end();
        assertThat(on.distance(p(-5, 0))).isLessThan(1e-12);
        assertThatThrownBy(() -> ChainCutter.extended(arc, 100))
                .isInstanceOf(EditException.class)
                .hasMessageContaining("closes to a circle");
    }

    @Test
    void endsAreExtendedToWhatTheyMeetFirst() {
        Path line = new Path(List.of(new Line(p(0, 0), p(3, 0))));
        Point met = cutter.extendedTo(line, Contour.circle(p(20, 0), 5)).end();
        assertThat(met.distance(p(15, 0))).isLessThan(1e-9);
        Path arc = new Path(List.of(new Arc(p(5, 0), p(0, 5), Math.tan(Math.PI / 8))));
        Path wall = new Path(List.of(new Line(p(-3, -9), p(-3, 9))));
        assertThat(cutter.extendedTo(arc, wall).end().distance(p(-3, 4))).isLessThan(1e-9);
        assertThatThrownBy(() -> cutter.extendedTo(line, Contour.circle(p(-20, 0), 5)))
                .isInstanceOf(EditException.class)
                .hasMessageContaining("does not meet");
    }
}
