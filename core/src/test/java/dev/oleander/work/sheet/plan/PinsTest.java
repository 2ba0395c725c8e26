package dev.oleander.work.sheet.plan;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.Samples;
import dev.oleander.drawing.read.Reading;
import dev.oleander.plan.Run;
import dev.oleander.plan.RunChoices;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.plan.stop.Stop;
import dev.oleander.work.sheet.choice.OrderRule;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.order.Precedence;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class PinsTest {

    private static final Reading CLEAT = Samples.reading("cleat_backing_plate");
    private static final Precedence PRECEDENCE = new Precedence(CLEAT.byId());

    private static Run plan(OrderRule rule, List<List<String>> pins) {
        return Samples.plan(
                CLEAT,
                new SheetPlanner.Order("mild steel", 6, 4),
                PlanChoices.defaults().withRun(RunChoices.USUAL.by(rule.word()).withPins(pins)),
                SheetChoices.defaults());
    }

    private static List<String> ids(Run run) {
        return run.stops().stream().map(Stop::id).toList();
    }

    @Property(tries = 25)
    void pinnedStretchesStayTogetherUnderEveryRule(@ForAll long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        List<String> all = ids(plan(OrderRule.SHORTEST, List.of()));
        List<List<String>> pins = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            int from = random.nextInt(all.size() - 4);
            List<String> stretch = all.subList(from, from + 2 + random.nextInt(3));
            if (pins.stream().flatMap(List::stream).noneMatch(stretch::contains)) {
                pins.add(stretch);
            }
        }
        for (OrderRule rule : OrderRule.values()) {
            if (rule != OrderRule.BY_HAND) {
                Run run = plan(rule, pins);
                assertThat(PRECEDENCE.rules(run.stops()).breach(run.stops())).isEmpty();
                assertThat(ids(run)).containsExactlyInAnyOrderElementsOf(all);
                for (List<String> pin : pins) {
                    assertThat(ids(run)).as(rule.word()).containsSequence(pin);
                }
            }
        }
    }

    @Test
    void aStretchOverTwoPartsJoinsThem() {
        List<String> pin = List.of("c9.1", "c9.3");
        assertThat(ids(plan(OrderRule.PART_BY_PART, List.of(pin)))).containsSequence(pin);
    }

    @Test
    void pinsThatCannotBothHoldAreSeen() {
        List<Stop> stops = plan(OrderRule.SHORTEST, List.of()).stops();
        List<List<String>> crossed = List.of(List.of("c9.1", "c1.2"), List.of("c9.2", "c1.1"));
        assertThat(PRECEDENCE.rules(stops).permits(stops, crossed)).isFalse();
        assertThat(PRECEDENCE.rules(stops).permits(stops, crossed.subList(0, 1))).isTrue();
        List<Stop> order = plan(OrderRule.SHORTEST, crossed).stops();
        assertThat(PRECEDENCE.rules(order).breach(order)).isEmpty();
    }

    @Test
    void stopsThatAreGoneAreForgotten() {
        List<String> ids = ids(plan(OrderRule.SHORTEST, List.of(List.of("c99.1", "c9.1"))));
        assertThat(ids).isEqualTo(ids(plan(OrderRule.SHORTEST, List.of())));
    }
}
