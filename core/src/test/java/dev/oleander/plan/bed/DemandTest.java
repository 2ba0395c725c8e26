package dev.oleander.plan.bed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.Drawn;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import java.util.List;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class DemandTest {

    private static final PartRef RING = PartRef.of("p1");
    private static final PartRef HOOK = PartRef.of("p2");

    private static final Reading TWO_PARTS =
            new Drawn().rectangle(0, 0, 60, 40).rectangle(100, 0, 30, 20).reading();

    @Test
    void aJobAsksForItsDrawingAsAWholeUnlessAPartIsNamed() {
        assertThat(Demand.of(TWO_PARTS, 3, Map.of())).isEqualTo(Demand.whole(3));
        assertThat(Demand.of(TWO_PARTS, 3, Map.of("p9", 4))).isEqualTo(Demand.whole(3));
        Demand own = Demand.of(TWO_PARTS, 3, Map.of("p2", 12));
        assertThat(own.of(RING)).isEqualTo(3);
        assertThat(own.of(HOOK)).isEqualTo(12);
        assertThat(own.isWhole()).isFalse();
        assertThat(Demand.of(TWO_PARTS, 3, Map.of("p1", 0)).of().keySet()).containsExactly(HOOK);
    }

    @Test
    void nothingAtAllIsRefusedInASentence() {
        Demand none = Demand.of(TWO_PARTS, 3, Map.of("p1", 0, "p2", 0));
        LayoutPlanner planner = new LayoutPlanner(SheetChoices.defaults(), 2);
        assertThatThrownBy(() -> planner.lay(TWO_PARTS, none, 1))
                .isInstanceOf(PlanException.class)
                .hasMessage(
                        "Nothing is asked for: the quantity of every part is 0. Set one of them under Copies on Sheet.");
    }

    @Test
    void theScarcestPartSaysHowOftenASheetIsCut() {
        Demand wanted = new Demand(Map.of(RING, 7, HOOK, 12));
        Demand sheet = new Demand(Map.of(RING, 2, HOOK, 5));
        assertThat(wanted.times(sheet)).isEqualTo(2);
        assertThat(wanted.less(sheet, 2)).isEqualTo(new Demand(Map.of(RING, 3, HOOK, 2)));
        assertThat(wanted.times(new Demand(Map.of(PartRef.of("p3"), 1)))).isZero();
    }

    @Property
    void nothingIsLeftOrMadeTwice(
            @ForAll @IntRange(min = 1, max = 100_000) int wanted,
            @ForAll @IntRange(min = 1, max = 5_000) int fits) {
        Demand left = Demand.whole(wanted);
        int made = 0;
        int sheets = 0;
        while (!left.isEmpty()) {
            int on = Math.min(fits, left.all());
            Demand sheet = Demand.whole(on);
            int times = left.times(sheet);
            made += times * on;
            left = left.less(sheet, times);
            sheets++;
        }
        assertThat(made).isEqualTo(wanted);
        assertThat(sheets).isLessThanOrEqualTo(2);
    }

    @Test
    void partsAreLaidInRowsTheHighestFirst() {
        SheetChoices sheet =
                BedValues.HEIGHT.put(BedValues.WIDTH.put(SheetChoices.defaults(), "190"), "70");
        SheetLayout layout =
                new LayoutPlanner(sheet, 5)
                        .lay(TWO_PARTS, new Demand(Map.of(RING, 3, HOOK, 5)), 11);
        assertThat(layout.placements()).extracting(Placement::copy).containsExactly(11, 12, 13);
        assertThat(Demand.on(layout.placements())).isEqualTo(new Demand(Map.of(RING, 2, HOOK, 1)));
        assertThat(layout.asked()).isEqualTo(8);
        List<Box> boxes =
                layout.placements().stream()
                        .map(p -> LayoutPlanner.turnedBox(p.of().box(TWO_PARTS), p.transform()))
                        .toList();
        for (int i = 0; i < boxes.size(); i++) {
            assertThat(layout.stock().grown(-5 + 1e-9).contains(boxes.get(i).min())).isTrue();
            assertThat(layout.stock().grown(-5 + 1e-9).contains(boxes.get(i).max())).isTrue();
            for (int j = 0; j < i; j++) {
                assertThat(boxes.get(i).grown(5 - 1e-9).touches(boxes.get(j))).isFalse();
            }
        }
    }
}
