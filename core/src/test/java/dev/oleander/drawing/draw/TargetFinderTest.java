package dev.oleander.drawing.draw;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.Drawn;
import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.draw.Command.Targets;
import dev.oleander.geometry.Point;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What a person means by pointing at a place. */
class TargetFinderTest {

    private static final Drawing DRAWING =
            new Drawn()
                    .line(0, 0, 50, 0)
                    .line(50.5, 1, 50, 40)
                    .rectangle(100, 0, 40, 30)
                    .circle(200, 0, 10)
                    .drawing();

    private static List<String> at(double x, double y, Targets targets, String... among) {
        return new TargetFinder(DRAWING, Set.of(among)).at(new Point(x, y), targets);
    }

    @Test
    void theNearestLineIsMeant() {
        assertThat(at(30, 4, Targets.ONE)).containsExactly("1");
        assertThat(at(189, 1, Targets.ONE)).containsExactly("4");
        assertThat(at(30, 4, Targets.ONE, "2", "3")).containsExactly("2");
    }

    @Test
    void aCornerIsOneOutlineOrTwoEnds() {
        assertThat(at(139, 29, Targets.ONE_OR_TWO)).containsExactly("3");
        assertThat(at(50, 0.2, Targets.ONE_OR_TWO)).containsExactlyInAnyOrder("1", "2");
    }

    @Test
    void aLineAloneHasNoPartner() {
        assertThat(at(0, 0, Targets.ONE_OR_TWO, "1")).containsExactly("1");
    }

    @Test
    void whereNothingIsDrawnThereIsNothingToWorkOn() {
        assertThatThrownBy(
                        () ->
                                new TargetFinder(Drawing.empty("x"), Set.of())
                                        .at(Point.ORIGIN, Targets.ONE))
                .isInstanceOf(DrawException.class)
                .hasMessageContaining("nothing drawn");
    }
}
