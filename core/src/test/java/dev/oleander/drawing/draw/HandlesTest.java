package dev.oleander.drawing.draw;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.Entity;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

/** What steps are taken hold of by on the table: a handle that is moved is where it was put. */
class HandlesTest {

    private static final Map<String, Double> NAMES = Map.of("t", 3.0);

    private final List<DrawStep> steps = new ArrayList<>();

    private HandlesTest add(String command, List<String> on, String... values) {
        Map<String, String> given = new TreeMap<>();
        for (int i = 0; i < values.length; i += 2) {
            given.put(values[i], values[i + 1]);
        }
        steps.add(new DrawStep("d" + (steps.size() + 1), command, on, given));
        return this;
    }

    private Handles of(String id) {
        return new Handles(Drawing.empty("test"), steps, id, NAMES, Supplies.SHIPPED);
    }

    private Handle handle(String id, String name) {
        return of(id).all().stream().filter(h -> h.name().equals(name)).findFirst().orElseThrow();
    }

    private void change(String id, Map<String, String> values) {
        int at = Integer.parseInt(id.substring(1)) - 1;
        Map<String, String> all = new TreeMap<>(steps.get(at).values());
        all.putAll(values);
        steps.set(at, steps.get(at).withValues(all));
    }

    private void move(String id, String name, double x, double y) {
        change(id, of(id).moved(name, new Point(x, y)));
    }

    private List<Entity> entities() {
        Drawn drawn = new DrawSteps(NAMES).apply(Drawing.empty("test"), steps);
        assertThat(drawn.troubles()).isEmpty();
        return drawn.drawing().entities();
    }

    private static void requireAt(Handle handle, double x, double y) {
        assertThat(handle.at().distance(new Point(x, y))).isLessThan(1e-3);
    }

    @Test
    void everyPlaceOfACommandIsAHandle() {
        add("line", List.of(), "x1", "0", "y1", "0", "x2", "50", "y2", "10");
        assertThat(of("d1").all()).extracting(Handle::name).containsExactly("x1", "x2");
        move("d1", "x2", 80, 25.5);
        requireAt(handle("d1", "x2"), 80, 25.5);
        assertThat(entities().get(0).chain().end().distance(new Point(80, 25.5))).isZero();
        assertThatThrownBy(() -> of("d1").moved("x9", Point.ORIGIN))
                .hasMessage("There is no handle x9.");
        assertThatThrownBy(() -> of("d7")).hasMessage("There is no step d7 in this drawing.");
    }

    @Test
    void aStraightTextIsMovedTurnedAndMadeHigher() {
        add("text", List.of(), "x", "10", "y", "20", "text", "OH", "height", "8");
        move("d1", "x", 30, 40);
        requireAt(handle("d1", "x"), 30, 40);
        move("d1", "turn", 30, 90);
        assertThat(steps.get(0).values()).containsEntry("turn", "90");
        // upright: up is to the left
        requireAt(handle("d1", "height"), 22, 40);
        move("d1", "height", 15, 61);
        assertThat(steps.get(0).values()).containsEntry("height", "15");
        move("d1", "height", 99, 40);
        assertThat(steps.get(0).values()).containsEntry("height", "0.1");
    }

    /** The place on the lower side of a text: it is pulled the other way. */
    @Test
    void aTextThatHangsFromItsCapitalsIsPulledDown() {
        add("text", List.of(), "x", "0", "y", "0", "text", "OH", "height", "8", "across", "cap");
        requireAt(handle("d1", "height"), 0, -8);
        move("d1", "height", 3, -12);
        assertThat(steps.get(0).values()).containsEntry("height", "12");
    }

    @Test
    void aTextAlongAChainSlidesOnItAndAwayFromIt() {
        add("circle", List.of(), "x", "0", "y", "0", "diameter", "200");
        add("text", List.of("d1"), "x", "0", "y", "100", "text", "OH", "height", "10");
        requireAt(handle("d2", "x"), 0, 100);
        move("d2", "x", -300, 0);
        requireAt(handle("d2", "x"), -100, 0);
        // anticlockwise: its left is inside
        move("d2", "distance", -75, 4);
        assertThat(steps.get(1).values()).containsEntry("distance", "20");
        requireAt(handle("d2", "height"), -70, 0);
        move("d2", "height", -60, 0);
        assertThat(steps.get(1).values()).containsEntry("height", "20");
    }

    // ---- bridges

    private HandlesTest window() {
        return add("rectangle", List.of(), "x", "0", "y", "0", "width", "100", "height", "60")
                .add("rectangle", List.of(), "x", "30", "y", "20", "width", "40", "height", "20")
                .add("bridges", List.of("d1", "d2"), "width", "4");
    }

    @Test
    void aBridgeThatIsMovedStaysWhereItIsPut() {
        window();
        assertThat(of("d3").all()).hasSize(1);
        Handle found = of("d3").all().get(0);
        assertThat(found.kind()).isEqualTo(Handle.Kind.STRIP);
        // the shortest are the upright ones; to the other side
        boolean below = found.at().y() < 30;
        double y = below ? 50 : 10;
        move("d3", found.name(), 60, y);
        assertThat(of("d3").all()).hasSize(1);
        Handle put = of("d3").all().get(0);
        assertThat(put.name()).isEqualTo("put-0");
        assertThat(put.at().plus(put.about()).times(0.5).distance(new Point(60, y))).isLessThan(1);
        assertThat(steps.get(2).values().get("without")).isNotBlank();
        assertThat(entities()).hasSize(1);
        // 100 x 60 without 40 x 20 and a strip of 4 x 20
        assertThat(Math.abs(((Contour) entities().get(0).chain()).area()))
                .isCloseTo(6000 - 800 - 80, within(0.1));
        move("d3", "put-0", 35, y);
        assertThat(of("d3").all()).hasSize(1);
    }

    @Test
    void aBridgeThatIsTakenAwayIsFoundElsewhere() {
        window();
        Handle first = of("d3").all().get(0);
        change("d3", of("d3").removed(first.name()));
        Handle second = of("d3").all().get(0);
        assertThat(second.at().distance(first.at())).isGreaterThan(4);
        assertThat(entities()).hasSize(1);
    }

    @Test
    void oneMoreIsPutTheShortestWay() {
        window();
        change("d3", of("d3").added(new Point(15, 30)));
        assertThat(steps.get(2).values()).containsEntry("placed", "15 30 0 4");
        change("d3", of("d3").added(new Point(85, 30)));
        assertThat(of("d3").all()).hasSize(2);
        // the island holds by both: what is cut away falls in two
        assertThat(entities()).hasSize(2);
        assertThatThrownBy(() -> of("d3").added(new Point(50, 30)))
                .hasMessage("No bridge runs from material to material there.");
        change("d3", of("d3").removed("put-1"));
        assertThat(of("d3").all()).hasSize(1);
        assertThatThrownBy(() -> of("d3").removed("put-7")).hasMessage("There is no bridge put-7.");
    }

    @Test
    void whatIsTypedByHandIsJudged() {
        window();
        Map<String, String> wrong =
                Map.of(
                        "50 30", "The bridge of 4 mm at 50, 30 does not run",
                        "15", "Line 1, \"15\", has 1 numbers; it has 2 to 4.",
                        "15 x", "Line 1: \"x\" is no number.",
                        "15 30 0 0", "Line 1: a bridge of 0 mm",
                        "15 30 0 4\n15 31 0 4", "The bridge of 4 mm at 15, 31 lies over another");
        wrong.forEach(
                (typed, sentence) -> {
                    change("d3", Map.of("placed", typed));
                    Drawn drawn = new DrawSteps(NAMES).apply(Drawing.empty("test"), steps);
                    assertThat(drawn.troubles()).hasSize(1);
                    assertThat(drawn.troubles().get(0).parameter()).isEqualTo("placed");
                    assertThat(drawn.troubles().get(0).sentence()).startsWith(sentence);
                });
    }
}
