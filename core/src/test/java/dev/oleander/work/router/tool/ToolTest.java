package dev.oleander.work.router.tool;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.book.CutDataException;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The form of a tool from the side, and levels. */
class ToolTest {

    private static Tool.Form cone(double diameter, double tip, double angle) {
        return new Tool.Form(ToolKind.POINTED, diameter, tip, angle, 0, 0);
    }

    @Test
    void endsRiseFromTheirLowestPoint() {
        Tool.Form flat = Tool.Form.of(ToolKind.STRAIGHT, 6);
        assertThat(flat.rise(3)).isZero();
        Tool.Form ball = Tool.Form.of(ToolKind.BALL, 16);
        assertThat(ball.rise(0)).isZero();
        assertThat(ball.rise(8)).isCloseTo(8, within(1e-12));
        // a point of a circle is as far from its centre as all others
        double up = ball.rise(4.8);
        assertThat(Math.hypot(4.8, 8 - up)).isCloseTo(8, within(1e-12));
        assertThat(cone(20, 2, 90).rise(1)).isZero();
        assertThat(cone(20, 2, 90).rise(5)).isCloseTo(4, within(1e-12));
        assertThat(cone(20, 2, 90).tipLength()).isCloseTo(9, within(1e-12));
        Tool.Form rounded = new Tool.Form(ToolKind.STRAIGHT, 10, 0, 0, 2, 0);
        assertThat(rounded.rise(3)).isZero();
        assertThat(rounded.rise(5)).isCloseTo(2, within(1e-12));
    }

    @Test
    void theDiameterThatCutsGrowsWithTheDepth() {
        Tool.Form ball = Tool.Form.of(ToolKind.BALL, 16);
        // where the end has risen to the depth of the cut
        double half = ball.effectiveDiameter(3) / 2;
        assertThat(ball.rise(half)).isCloseTo(3, within(1e-12));
        assertThat(ball.effectiveDiameter(12)).isEqualTo(16);
        assertThat(cone(20, 0, 60).effectiveDiameter(100)).isEqualTo(20);
    }

    @Test
    void levelsAreAsFewAsTheStepAllows() {
        assertThat(Levels.equal(18.3, 6, 0)).hasSize(4).endsWith(18.3);
        assertThat(Levels.full(18.3, 6, 0)).containsExactly(6.0, 12.0, 18.0, 18.3);
        assertThat(Levels.equal(18, 6, 0)).containsExactly(6.0, 12.0, 18.0);
        List<Double> finished = Levels.equal(10.2, 5, 0.2);
        assertThat(finished).containsExactly(5.0, 10.0, 10.2);
        assertThatThrownBy(() -> Levels.equal(1e6, 1e-3, 0)).hasMessageContaining("10000");
        // rounding of the quotient is no level of its own
        assertThat(Levels.equal(0.3, 0.1, 0)).hasSize(3);
    }

    @Test
    void whatNoToolCanBeIsToldWithValueAndLimit() {
        assertThatThrownBy(() -> Tool.Form.of(ToolKind.BALL, 0))
                .isInstanceOf(CutDataException.class)
                .hasMessage("A ball tool has a diameter of 0 mm; it is above 0.");
        assertThatThrownBy(() -> cone(6, 7, 60))
                .hasMessage("A pointed tool has a tip diameter of 7 mm; it lies between 0 and 6.");
        assertThatThrownBy(() -> cone(6, 0, 180))
                .hasMessage("A pointed tool has an angle of 180°; it lies between 0 and 180.");
        assertThatThrownBy(() -> new Tool.Form(ToolKind.SAW, 100, 0, 0, 0, 0))
                .hasMessage("A saw tool has a blade width of 0 mm; it is above 0.");
        assertThatThrownBy(() -> Tool.Form.of(ToolKind.DRILL, 5)).hasMessageContaining("angle");
        assertThatThrownBy(() -> new Tool.Edges(0, 10, false, 0, 5, 0, 1))
                .hasMessage("A tool has 0 flutes; it has at least 1.");
        assertThatThrownBy(() -> new Tool.Limits(8000, 6000, 0))
                .hasMessage("A tool has a greatest speed of 6000 rev/min; it is above 8000.");
        assertThatThrownBy(() -> new Tool.Edges(2, 10, false, 0, Double.NaN, 0, 1))
                .isInstanceOf(CutDataException.class);
    }
}
