package dev.oleander.work.sheet.plan;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.Samples;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.machine.HeldEdge;
import dev.oleander.plan.Run;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.plan.stop.Stop;
import dev.oleander.work.sheet.choice.OrderRule;
import dev.oleander.work.sheet.choice.PlanChoices;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class LooseSheetTest {

    private static final Reading CLEAT = Samples.reading("cleat_backing_plate");

    private static Run plan(double thickness, OrderRule rule, HeldEdge held) {
        return Samples.plan(
                CLEAT,
                new SheetPlanner.Order("mild steel", thickness, 40),
                PlanChoices.defaults().withOrder(rule),
                SheetChoices.defaults().withHeldAt(held));
    }

    /** How loose the sheet is, on average, where parts are cut out: the first half, the second. */
    private static List<Double> halves(Run run, HeldEdge held) {
        Box stock = run.layout().stock();
        List<Stop> outlines = run.stops().stream().filter(s -> s.feature().equals("c9")).toList();
        int half = outlines.size() / 2;
        return List.of(outlines.subList(0, half), outlines.subList(half, outlines.size())).stream()
                .map(
                        stops ->
                                stops.stream()
                                        .map(s -> s.path().orElseThrow().pierce())
                                        .mapToDouble(p -> held.looseness(stock, p))
                                        .average()
                                        .orElseThrow())
                .toList();
    }

    @ParameterizedTest
    @EnumSource(names = {"LEFT", "RIGHT", "BOTTOM", "TOP"})
    void aThinSheetIsCutFromTheHeldEdgeOn(HeldEdge held) {
        List<Double> halves = halves(plan(3, OrderRule.PART_BY_PART, held), held);
        assertThat(halves.get(0)).isLessThan(halves.get(1) - 0.05);
    }

    @Test
    void aThickSheetLiesStill() {
        List<String> held = ids(plan(8, OrderRule.SHORTEST, HeldEdge.RIGHT));
        assertThat(held).isEqualTo(ids(plan(8, OrderRule.SHORTEST, HeldEdge.NONE)));
        assertThat(ids(plan(3, OrderRule.SHORTEST, HeldEdge.RIGHT)))
                .isNotEqualTo(ids(plan(3, OrderRule.SHORTEST, HeldEdge.NONE)));
    }

    @Test
    void theMachineKnowsWhereItIsHeld() {
        assertThat(ids(plan(3, OrderRule.SHORTEST, null)))
                .isEqualTo(ids(plan(3, OrderRule.SHORTEST, HeldEdge.LEFT)));
    }

    @Test
    void loosenessGoesFromTheHeldEdgeToTheOneAcross() {
        Box stock = new Box(new Point(-10, 0), new Point(90, 50));
        Point at = new Point(15, 40);
        assertThat(HeldEdge.LEFT.looseness(stock, at)).isEqualTo(0.25);
        assertThat(HeldEdge.RIGHT.looseness(stock, at)).isEqualTo(0.75);
        assertThat(HeldEdge.BOTTOM.looseness(stock, at)).isEqualTo(0.8);
        assertThat(HeldEdge.TOP.looseness(stock, at)).isEqualTo(0.2);
        assertThat(HeldEdge.NONE.looseness(stock, at)).isZero();
        assertThat(HeldEdge.TOP.nearest(stock, at)).isEqualTo(new Point(15, 50));
        assertThat(HeldEdge.RIGHT.nearest(stock, new Point(0, -5))).isEqualTo(new Point(90, 0));
        assertThat(HeldEdge.LEFT.looseness(stock, new Point(200, 0))).isEqualTo(1);
    }

    private static List<String> ids(Run run) {
        return run.stops().stream().map(Stop::id).toList();
    }
}
