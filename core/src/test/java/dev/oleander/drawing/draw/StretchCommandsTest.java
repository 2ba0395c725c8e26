package dev.oleander.drawing.draw;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.Entity;
import dev.oleander.drawing.Style;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

/** A stretch laid anew. */
class StretchCommandsTest {

    private static final Map<String, String> PLATE =
            Map.of("x", "0", "y", "0", "width", "100", "height", "40");

    private static Map<String, String> stretch(String... more) {
        Map<String, String> values = new TreeMap<>();
        for (int i = 0; i < more.length; i += 2) {
            values.put(more[i], more[i + 1]);
        }
        return values;
    }

    private static Drawn drawn(Map<String, String> stretch) {
        return new DrawSteps(Map.of())
                .apply(
                        Drawing.empty("test"),
                        List.of(
                                new DrawStep("d1", "rectangle", List.of(), PLATE),
                                new DrawStep("d2", "stretch", List.of("d1"), stretch)));
    }

    private static Chain done(Map<String, String> stretch) {
        Drawn drawn = drawn(stretch);
        assertThat(drawn.troubles()).isEmpty();
        return drawn.drawing().entities().get(0).chain();
    }

    /** Round the way that goes over the third place: the corner goes, or all the others do. */
    @Test
    void thePlaceSaysWhichWayRoundIsMeant() {
        Map<String, String> corner =
                stretch(
                        "x1", "80", "y1", "0", "x2", "100", "y2", "20", "x", "100", "y", "0",
                        "becomes", "line");
        Contour bevelled = (Contour) done(corner);
        assertThat(bevelled.area()).isCloseTo(4000 - 200, within(1e-9));
        corner.putAll(Map.of("x", "0", "y", "40"));
        Contour left = (Contour) done(corner);
        assertThat(left.area()).isCloseTo(200, within(1e-9));
    }

    @Test
    void anArcGoesOverThePlace() {
        Chain made =
                done(
                        stretch(
                                "x1", "30", "y1", "40", "x2", "70", "y2", "40", "x", "50", "y",
                                "50", "becomes", "arc"));
        assertThat(made.segments()).filteredOn(Arc.class::isInstance).hasSize(1);
        assertThat(made.nearest(new Point(50, 50)).point().distance(new Point(50, 50)))
                .isLessThan(1e-9);
        assertThat(((Contour) made).area()).isGreaterThan(4000);
    }

    /** Noise of a twentieth of a mm on a quarter of a circle between two lines. */
    @Test
    void aRoughStretchBecomesFewLinesAndArcs() {
        Random random = new Random(4);
        List<Segment> rough = new ArrayList<>();
        Point at = new Point(-50, 60);
        for (int i = 0; i <= 90; i++) {
            double angle = Math.toRadians(90 - i);
            double r = 60 + (i == 0 || i == 90 ? 0 : 0.05 * (2 * random.nextDouble() - 1));
            Point next = new Point(r * Math.cos(angle), r * Math.sin(angle));
            rough.add(new Line(at, next));
            at = next;
        }
        rough.add(new Line(at, new Point(60, -50)));
        Drawn drawn =
                new DrawSteps(Map.of())
                        .apply(
                                Drawing.empty("test")
                                        .with(
                                                List.of(),
                                                List.of(
                                                        new Entity(
                                                                0,
                                                                "e1",
                                                                "LWPOLYLINE",
                                                                Style.onLayer("CUT"),
                                                                0,
                                                                "",
                                                                rough,
                                                                false)),
                                                List.of()),
                                List.of(
                                        new DrawStep(
                                                "d1",
                                                "stretch",
                                                List.of("e1"),
                                                stretch(
                                                        "x1", "0", "y1", "60", "x2", "60", "y2",
                                                        "0", "x", "42", "y", "42", "within",
                                                        "0.12"))));
        assertThat(drawn.troubles()).isEmpty();
        Path smooth = (Path) drawn.drawing().entities().get(0).chain();
        assertThat(smooth.segments().size()).isLessThan(12);
        assertThat(smooth.start()).isEqualTo(new Point(-50, 60));
        assertThat(smooth.end()).isEqualTo(new Point(60, -50));
        for (int i = 1; i < smooth.segments().size(); i++) {
            Segment before = smooth.segments().get(i - 1);
            double turn = before.direction(1).cross(smooth.segments().get(i).direction(0));
            assertThat(Math.abs(turn)).as("turn at joint %d", i).isLessThan(0.02);
        }
        for (int i = 0; i <= 90; i += 5) {
            Point ideal = Point.polar(60, Math.toRadians(i));
            assertThat(smooth.nearest(ideal).point().distance(ideal)).isLessThan(0.2);
        }
    }

    @Test
    void endsAtOnePlaceAreRefused() {
        Map<String, String> none =
                stretch("x1", "50", "y1", "-3", "x2", "50", "y2", "0", "x", "50", "y", "40");
        assertThat(drawn(none).troubles())
                .singleElement()
                .satisfies(t -> assertThat(t.sentence()).contains("at one place"));
    }
}
