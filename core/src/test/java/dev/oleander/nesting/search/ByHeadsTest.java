package dev.oleander.nesting.search;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Point;
import dev.oleander.nesting.AllowedTurns;
import dev.oleander.nesting.Heads;
import dev.oleander.nesting.Nest;
import dev.oleander.nesting.NestBudget;
import dev.oleander.nesting.NestCheck;
import dev.oleander.nesting.NestFigures;
import dev.oleander.nesting.NestPlacement;
import dev.oleander.nesting.NestProgress;
import dev.oleander.nesting.NestRules;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestTasks;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.nesting.OrderLine;
import dev.oleander.nesting.SheetStock;
import dev.oleander.nesting.Sheets;
import dev.oleander.nesting.Stretch;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

/** Nests for heads that cut at once, judged as what they cut: every copy of every head. */
class ByHeadsTest {

    private static final NestBudget SHORT = NestBudget.ofRounds(2, 1, 3).withThreads(1);

    private static NestTask task(int heads, List<OrderLine> lines, SheetStock... stock) {
        NestRules rules =
                NestTasks.rules(6, 10)
                        .withHeads(Optional.of(new Heads(heads, Optional.empty(), 50, 1000)));
        return new NestTask(lines, List.of(stock), rules, List.of());
    }

    private static OrderLine plates(int number) {
        return NestTasks.line("p", NestTasks.rectangle(80, 40), number, AllowedTurns.HALF);
    }

    private static Nest nest(NestTask task) {
        return Nester.nest(task, SHORT, NestProgress.NONE);
    }

    /** Every sheet once, with the copies of all heads and what lies beside them. */
    private static List<NestedSheet> cut(List<NestedSheet> sheets) {
        List<NestedSheet> whole = new ArrayList<>();
        List<NestedSheet> besides =
                new ArrayList<>(sheets.stream().filter(s -> s.part().from() > 0).toList());
        for (NestedSheet sheet : sheets) {
            if (sheet.part().from() > 0) {
                continue;
            }
            List<NestPlacement> all = new ArrayList<>();
            for (int k = 0; k < sheet.heads(); k++) {
                Point up = new Point(0, k * sheet.part().pitch());
                sheet.placements()
                        .forEach(
                                p ->
                                        all.add(
                                                new NestPlacement(
                                                        p.line(),
                                                        p.at().plus(up),
                                                        p.angle(),
                                                        p.mirrored(),
                                                        p.locked())));
            }
            Optional<NestedSheet> beside =
                    besides.stream()
                            .filter(s -> s.stock().equals(sheet.stock()))
                            .filter(s -> Double.valueOf(s.part().from()).equals(sheet.part().to()))
                            .findFirst();
            beside.ifPresent(besides::remove);
            beside.ifPresent(s -> all.addAll(s.placements()));
            whole.add(new NestedSheet(sheet.stock(), all));
        }
        assertThat(besides).as("each lies beside something").isEmpty();
        return whole;
    }

    private static void requireLegal(NestTask task, Nest nest) {
        NestTask single =
                new NestTask(
                        task.lines(),
                        task.stock(),
                        task.rules().withHeads(Optional.empty()),
                        List.of());
        assertThat(NestCheck.faults(task, nest.sheets())).isEmpty();
        assertThat(NestCheck.faults(single, cut(nest.sheets()))).isEmpty();
        NestFigures told = NestFigures.of(task, nest.sheets());
        NestFigures cut = NestFigures.of(single, cut(nest.sheets()));
        assertThat(told.parts()).isEqualTo(cut.parts());
        assertThat(told.left()).isEqualTo(cut.left());
        assertThat(told.sheets()).isEqualTo(cut.sheets());
    }

    @Test
    void whatComesOutEvenIsCutByAllAndTheRestBesideIt() {
        NestTask task = task(3, List.of(plates(10)), NestTasks.sheet(1000, 300));
        Nest nest = nest(task);
        requireLegal(task, nest);
        assertThat(nest.score().isComplete()).isTrue();
        assertThat(nest.sheets()).hasSize(2);
        NestedSheet zone = nest.sheets().get(0);
        // (300 - 2 x 10 + 6) / 3
        assertThat(zone.part().pitch()).isCloseTo(286 / 3.0, within(1e-9));
        assertThat(zone.placements()).hasSize(3);
        assertThat(nest.sheets().get(1).placements()).hasSize(1);
        assertThat(nest.sheets().get(1).part().from()).isEqualTo(zone.part().to());
        assertThat(NestFigures.of(task, nest.sheets()).cost())
                .isLessThanOrEqualTo(task.stock().get(0).price() + 1e-9);
    }

    @Test
    void whatComesOutEvenNeedsOneProgram() {
        NestTask task = task(2, List.of(plates(8)), NestTasks.sheet(1000, 300));
        Nest nest = nest(task);
        requireLegal(task, nest);
        assertThat(nest.sheets()).hasSize(1);
        assertThat(nest.sheets().get(0).part()).isEqualTo(new Stretch(2, 143, 0, null));
    }

    @Test
    void randomNestsAreLegalAsTheyAreCut() {
        SplittableRandom random = new SplittableRandom(5);
        for (int i = 0; i < 10; i++) {
            NestTask plain = NestTasks.random(random);
            Heads heads = new Heads(2 + random.nextInt(2), Optional.empty(), 60, 1000);
            NestTask task =
                    new NestTask(
                            plain.lines(),
                            plain.stock(),
                            plain.rules().withHeads(Optional.of(heads)),
                            List.of());
            Nest nest = nest(task);
            requireLegal(task, nest);
            if (i < 2) {
                assertThat(nest(task).sheets()).as("found again").isEqualTo(nest.sheets());
            }
        }
    }

    @Test
    void aSheetThatIsTooLowIsCutByOne() {
        NestTask task = task(3, List.of(plates(6)), NestTasks.sheet(1000, 150));
        Nest nest = nest(task);
        requireLegal(task, nest);
        assertThat(nest.score().isComplete()).isTrue();
        assertThat(nest.sheets()).allMatch(s -> s.heads() == 1);
    }

    @Test
    void whatIsFixedStays() {
        NestTask task = task(2, List.of(plates(9)), NestTasks.sheet(1000, 300));
        Nest first = nest(task);
        NestTask fixed =
                new NestTask(
                        task.lines(),
                        task.stock(),
                        task.rules(),
                        Sheets.locked(first.sheets(), true));
        Nest again = nest(fixed);
        requireLegal(fixed, again);
        assertThat(again.sheets()).isEqualTo(fixed.locked());
        NestedSheet zone = first.sheets().get(0);
        NestPlacement one = zone.placements().get(0).locked(true);
        NestTask some =
                new NestTask(
                        task.lines(),
                        task.stock(),
                        task.rules(),
                        List.of(new NestedSheet(zone.stock(), List.of(one), zone.stretch())));
        Nest around = nest(some);
        requireLegal(some, around);
        assertThat(around.score().isComplete()).isTrue();
    }

    @Test
    void aSearchGoesOnFromWhatLies() {
        NestTask task = task(2, List.of(plates(9)), NestTasks.sheet(1000, 300));
        Nest first = nest(task);
        Nest again = nest(task.from(first.sheets()));
        requireLegal(task, again);
        assertThat(again.score().isComplete()).isTrue();
    }

    @Test
    void headsThatAreSetOtherwiseAreAFault() {
        NestTask task = task(3, List.of(plates(6)), NestTasks.sheet(1000, 300));
        Nest nest = nest(task);
        NestTask other = task(2, List.of(plates(6)), NestTasks.sheet(1000, 300));
        assertThat(NestCheck.faults(other, nest.sheets()))
                .extracting(f -> f.sentence())
                .anyMatch(
                        s ->
                                s.equals(
                                        "Sheet 1 is laid for 3 heads at 95.333 mm; it can be cut by 2 at 143.000 mm."));
    }

    @Test
    void aSheetIsUsedToItsEdgeWhenNothingLiesBeside() {
        NestTask task = task(3, List.of(plates(10)), NestTasks.sheet(1000, 300));
        List<NestedSheet> sheets = nest(task).sheets();
        List<NestedSheet> left = Sheets.joined(sheets.subList(0, 1));
        assertThat(left.get(0).part().reachesEnd()).isTrue();
        assertThat(Sheets.joined(sheets.subList(1, 2)).get(0)).matches(s -> s.stretch() == null);
    }
}
