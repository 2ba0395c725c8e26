package dev.oleander.web.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.drawing.draw.DrawException;
import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Purpose;
import dev.oleander.drawing.read.PurposeRules;
import dev.oleander.geometry.Point;
import dev.oleander.quantity.LengthUnit;
import dev.oleander.quantity.Typed;
import dev.oleander.web.WebTest;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.ShapeChoices;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.job.store.Stage;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Drawing, sides, steps and customers, through the services. */
class ShapeEditsTest extends WebTest {

    @Autowired private ShapeEdits edits;
    @Autowired private Customers customers;

    private long drawn(String customer) {
        JobDocument.Order order =
                new JobDocument.Order("Drawn", "teasel", "mild steel", Typed.of(6), 1, customer);
        return jobs.create(List.of(), order, d -> d, person("mira"));
    }

    private JobView draw(
            long job,
            String command,
            Point near,
            List<String> features,
            Map<String, String> values) {
        return jobs.edit(
                job,
                command,
                edits.draw(new ShapeEdits.Wish(command, near, features, values)),
                person("mira"));
    }

    @Test
    void aJobBeginsWithNothingDrawn() {
        JobView job = jobs.view(drawn(""));
        assertThat(job.result().reading().features()).isEmpty();
        assertThat(job.stage(Stage.SHAPE).sentence()).isEqualTo("nothing drawn yet");
        assertThat(job.stage(Stage.CUTS).sentence()).isEqualTo("nothing to cut");
    }

    @Test
    void whatWorksOnAWholeShapeFollowsItsGrowth() {
        long job = drawn("");
        JobView ring = draw(job, "ring", null, List.of(), Map.of("x", "0", "y", "0"));
        List<String> all = ring.result().reading().features().stream().map(Feature::id).toList();
        assertThat(all).hasSize(8);
        draw(job, "rows", null, all, Map.of("columns", "3", "dx", "200"));
        JobView more =
                jobs.edit(
                        job, "holes", edits.setSteps(List.of("d1"), "holes", "8"), person("mira"));
        assertThat(more.result().reading().parts()).hasSize(3);
        assertThat(more.result().reading().parts().get(2).copyOf()).contains("p1");
        assertThat(more.result().reading().holes().get(0).count()).isEqualTo(24);
    }

    @Test
    void cornersAreFoundByThePlace() {
        long job = drawn("");
        draw(job, "line", null, List.of(), Map.of("x1", "0", "y1", "0", "x2", "50", "y2", "0"));
        draw(job, "line", null, List.of(), Map.of("x1", "50", "y1", "0", "x2", "50", "y2", "40"));
        JobView rounded =
                draw(
                        job,
                        "fillet",
                        new Point(49, 1),
                        List.of(),
                        Map.of("x", "49", "y", "1", "radius", "8"));
        Feature line = rounded.result().reading().features().get(0);
        assertThat(line.arcs()).isEqualTo(1);
        JobView plate =
                draw(
                        job,
                        "rectangle",
                        null,
                        List.of(),
                        Map.of("x", "100", "y", "0", "width", "30", "height", "20"));
        assertThat(plate.result().reading().parts()).hasSize(1);
        assertThatThrownBy(
                        () ->
                                draw(
                                        job,
                                        "fillet",
                                        new Point(129, 19),
                                        List.of(),
                                        Map.of("x", "129", "y", "19", "radius", "800")))
                .isInstanceOf(DrawException.class)
                .hasMessageContaining("800");
    }

    @Test
    void severalStepsTakeAValueTogetherOrNoneDoes() {
        long job = drawn("");
        draw(job, "circle", null, List.of(), Map.of("x", "0", "y", "0", "diameter", "20"));
        draw(job, "circle", null, List.of(), Map.of("x", "90", "y", "0", "diameter", "30"));
        JobView both =
                jobs.edit(
                        job,
                        "both",
                        edits.setSteps(List.of("d1", "d2"), "diameter", "25"),
                        person("mira"));
        assertThat(both.result().reading().holes()).isEmpty();
        assertThat(both.document().shape().steps())
                .allMatch(s -> s.values().get("diameter").equals("25"));
        assertThatThrownBy(
                        () ->
                                jobs.edit(
                                        job,
                                        "both",
                                        edits.setSteps(List.of("d1", "d2"), "diameter", "-1"),
                                        person("mira")))
                .isInstanceOf(DrawException.class);
        assertThat(jobs.view(job).document().shape().steps())
                .allMatch(s -> s.values().get("diameter").equals("25"));
    }

    @Test
    void aRefusedStepChangesNothingAndNamesItsValue() {
        long job = drawn("");
        assertThatThrownBy(() -> draw(job, "circle", null, List.of(), Map.of("x", "0", "y", "0")))
                .isInstanceOf(DrawException.class)
                .satisfies(e -> assertThat(((DrawException) e).parameter()).isEqualTo("diameter"));
        assertThat(jobs.view(job).document().shape().steps()).isEmpty();
        assertThatThrownBy(
                        () ->
                                jobs.edit(
                                        job,
                                        "x",
                                        edits.setSteps(List.of("d9"), "x", "1"),
                                        person("mira")))
                .isInstanceOf(NotFoundException.class);
    }

    @Test
    void aStepTakenAwayLeavesASentenceWhereItIsMissed() {
        long job = drawn("");
        draw(job, "circle", null, List.of(), Map.of("x", "0", "y", "0", "diameter", "20"));
        draw(job, "circle", null, List.of(), Map.of("x", "90", "y", "0", "diameter", "20"));
        draw(job, "move", null, List.of("cd1"), Map.of("dx", "40"));
        JobView without = jobs.edit(job, "away", edits.removeSteps(List.of("d1")), person("mira"));
        assertThat(without.result().reading().features()).hasSize(1);
        assertThat(without.stage(Stage.SHAPE).needs())
                .anyMatch(n -> n.startsWith("Step d3 cannot be done"));
    }

    @Test
    void whatAWishWouldDoIsShownBefore() {
        long job = drawn("");
        JobView ring = draw(job, "ring", null, List.of(), Map.of("x", "0", "y", "0"));
        JobResult before = ring.result();
        ShapeEdits.Preview circle =
                edits.preview(
                        before,
                        new ShapeEdits.Wish(
                                "circle",
                                null,
                                List.of(),
                                Map.of("x", "0", "y", "0", "diameter", "200")));
        assertThat(circle.gone()).isEmpty();
        assertThat(circle.drawn()).singleElement().matches(c -> c.box().width() == 200);
        ShapeEdits.Preview rounded =
                edits.preview(
                        before,
                        new ShapeEdits.Wish("delete", null, List.of("cd1", "cd1-2"), Map.of()));
        assertThat(rounded.drawn()).isEmpty();
        assertThat(rounded.gone()).hasSize(2);
        for (String unfinished : List.of("circle", "trim", "no such command")) {
            ShapeEdits.Wish wish = new ShapeEdits.Wish(unfinished, null, List.of(), Map.of());
            assertThat(edits.preview(before, wish)).isEqualTo(ShapeEdits.Preview.NOTHING);
        }
        assertThat(jobs.view(job).step()).isEqualTo(ring.step());
    }

    @Test
    void theOtherSideOfAContourIsKept() {
        long job = makeJob("cleat_backing_plate", "Turned", 1);
        String hole = jobs.view(job).result().reading().holes().get(0).features().get(0);
        JobView turned = jobs.edit(job, "turn", edits.turn(hole), person("mira"));
        assertThat(turned.result().reading().byId().get(hole).kind())
                .isEqualTo(Feature.Kind.OUTLINE);
        JobView back = jobs.edit(job, "turn", edits.turn(hole), person("mira"));
        assertThat(back.result().reading().byId().get(hole).kind()).isEqualTo(Feature.Kind.OPENING);
        assertThatThrownBy(() -> jobs.edit(job, "turn", edits.turn("c99"), person("mira")))
                .hasMessageContaining("no closed contour");
    }

    @Test
    void whatACustomersDrawingsMeanIsRemembered() {
        String customer = "Harbour office " + System.nanoTime();
        long first = drawn(customer);
        jobs.edit(
                first,
                "rules",
                b ->
                        b.document()
                                .reshaped(
                                        s ->
                                                s.withUnit(LengthUnit.INCH)
                                                        .withRules(
                                                                PurposeRules.NONE.with(
                                                                        PurposeRules.By.COLOUR,
                                                                        "red",
                                                                        Purpose.MARK))),
                person("mira"));
        assertThat(customers.names()).contains(customer);
        ShapeChoices proposed = jobs.view(drawn(customer)).document().shape();
        assertThat(proposed.unit()).isEqualTo(LengthUnit.INCH);
        assertThat(proposed.rules().colours()).containsEntry("red", Purpose.MARK);
        assertThat(jobs.view(drawn("")).document().shape().unit()).isNull();
    }
}
