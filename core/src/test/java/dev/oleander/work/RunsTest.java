package dev.oleander.work;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Drawn;
import dev.oleander.Samples;
import dev.oleander.dialect.CheckedWriter;
import dev.oleander.drawing.read.FeatureKey;
import dev.oleander.drawing.read.Reading;
import dev.oleander.plan.bed.Placement;
import dev.oleander.plan.bed.SetUp;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.plan.stop.Stop;
import dev.oleander.progress.Progress;
import dev.oleander.proof.Prover;
import dev.oleander.quantity.Typed;
import dev.oleander.work.sheet.SheetCutting;
import dev.oleander.work.sheet.choice.OrderRule;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.choice.StopChoice;
import dev.oleander.work.wire.WireCutting;
import dev.oleander.work.wire.choice.WireChoices;
import dev.oleander.work.wire.plan.WireSamples;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Quantities that need more than one sheet. */
class RunsTest {

    private static final Reading RING =
            new Drawn().circle(100, 100, 90).circle(100, 100, 60).reading();

    /** Four rings lie on such a sheet. */
    private static final SheetChoices SHEET =
            SheetChoices.usual()
                    .withStock(
                            new SheetChoices.Stock(
                                    false, Typed.of(420), Typed.of(420), Typed.of(10)));

    private static Task<PlanChoices> task(int quantity, PlanChoices choices) {
        return new Task<>(
                Samples.TEASEL,
                Samples.BOOK,
                RING,
                new Task.Order("mild steel", 4, quantity, 7850),
                SHEET,
                choices);
    }

    private static List<PlannedRun> runs(Task<PlanChoices> task) {
        Plan first = SheetCutting.SHEET.plan(task, Optional.empty(), Progress.NONE);
        return Runs.of(SheetCutting.SHEET, task, first, Progress.NONE);
    }

    @Test
    void twelveRingsAreOneRunThreeTimes() {
        List<PlannedRun> runs = runs(task(12, PlanChoices.defaults()));
        assertThat(runs).extracting(PlannedRun::setUp).containsExactly(new SetUp(1, 3, 1, 4));
    }

    @Test
    void theRestIsARunOfItsOwnWithStopsOfItsOwn() {
        List<PlannedRun> runs = runs(task(14, PlanChoices.defaults()));
        assertThat(runs)
                .extracting(PlannedRun::setUp)
                .containsExactly(new SetUp(1, 3, 1, 4), new SetUp(2, 1, 5, 2));
        assertThat(runs.get(1).plan().copies()).extracting(Placement::copy).containsExactly(5, 6);
        Set<String> ids = new HashSet<>();
        for (PlannedRun run : runs) {
            assertThat(run.plan().run().stops()).hasSize(2 * run.setUp().copies());
            run.plan().run().stops().forEach(s -> assertThat(ids.add(s.id())).isTrue());
        }
    }

    @Test
    void eachRunHasAProgramThatIsReadBack() {
        for (PlannedRun run : runs(task(14, PlanChoices.defaults()))) {
            CheckedWriter.Checked checked =
                    new CheckedWriter(Samples.DIALECT)
                            .write(
                                    run.plan().posted().program(),
                                    Samples.FRAME,
                                    run.plan().stopNames());
            assertThat(checked.faults()).isEmpty();
            assertThat(checked.deviation()).isLessThan(1e-3);
        }
    }

    @Test
    void aCopyOfALaterRunIsSetAlone() {
        Stop last = lastStop(runs(task(14, PlanChoices.defaults())));
        PlanChoices slower =
                PlanChoices.defaults()
                        .withStop(last.id(), StopChoice.NOTHING.withOverRun(Typed.of(3)));
        List<PlannedRun> changed = runs(task(14, slower));
        for (PlannedRun run : changed) {
            for (Stop stop : run.plan().run().stops()) {
                boolean set = stop.id().equals(last.id());
                assertThat(stop.overRun()).isCloseTo(set ? 3 : last.overRun(), within(1e-9));
            }
        }
    }

    @Test
    void rowsAndColumnsThatWereSetHoldForFullSheetsAndTheRestIsTheRest() {
        Task<PlanChoices> task = task(11, PlanChoices.defaults());
        SheetChoices.Grid twoByTwo =
                new SheetChoices.Grid(Typed.of(0), Typed.of(2), Typed.of(2), null, null, false);
        List<PlannedRun> runs =
                runs(
                        new Task<>(
                                task.machine(),
                                task.book(),
                                task.reading(),
                                task.order(),
                                SHEET.withGrid(twoByTwo),
                                task.choices()));
        assertThat(runs)
                .extracting(PlannedRun::setUp)
                .containsExactly(new SetUp(1, 2, 1, 4), new SetUp(2, 1, 5, 3));
        assertThat(runs.get(1).plan().copies()).hasSize(3);
    }

    @Test
    void anOrderByHandOfTheFirstSheetDoesNotHinderTheOthers() {
        List<String> ids =
                runs(task(14, PlanChoices.defaults())).get(0).plan().run().stops().stream()
                        .map(Stop::id)
                        .toList();
        PlanChoices byHand = PlanChoices.defaults().withOrder(OrderRule.BY_HAND);
        byHand = byHand.withRun(byHand.run().inSequence(ids).withPins(List.of(ids.subList(0, 2))));
        List<PlannedRun> runs = runs(task(14, byHand));
        assertThat(runs.get(0).plan().run().stops()).extracting(Stop::id).isEqualTo(ids);
        assertThat(runs.get(1).plan().run().stops()).hasSize(4);
        assertThat(runs.get(1).plan().run().refused()).isEmpty();
    }

    private static Stop lastStop(List<PlannedRun> runs) {
        List<Stop> stops = new ArrayList<>(runs.get(1).plan().run().stops());
        return stops.stream()
                .filter(s -> FeatureKey.parse(s.id()).copy().orElseThrow() == 6)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void theWireGoesOnIntoAnotherPlateLikewise() {
        Reading opening = new Drawn().rectangle(0, 0, 40, 40).circle(20, 20, 20).reading();
        SheetChoices plate =
                SheetChoices.usual()
                        .withStock(
                                new SheetChoices.Stock(
                                        false, Typed.of(110), Typed.of(60), Typed.of(5)));
        Task<WireChoices> task =
                new Task<>(
                        WireSamples.BRACKEN,
                        WireSamples.BOOK,
                        opening,
                        new Task.Order("tool steel", 40, 5, 7700),
                        plate,
                        WireCutting.WIRE.usual());
        Plan first = WireCutting.WIRE.plan(task, Optional.empty(), Progress.NONE);
        List<PlannedRun> runs = Runs.of(WireCutting.WIRE, task, first, Progress.NONE);
        assertThat(runs)
                .extracting(PlannedRun::setUp)
                .containsExactly(new SetUp(1, 2, 1, 2), new SetUp(2, 1, 3, 1));
        Plan last = runs.get(1).plan();
        assertThat(last.run().refused()).isEmpty();
        assertThat(last.run().stops()).allMatch(stop -> stop.copy() == 3);
        assertThat(last.recheck(last.posted().program(), Optional.empty()).faults()).isEmpty();
        assertThat(Prover.withAllRules().prove(last.proofInput(), Map.of()).findings())
                .as("like the same alone, but for the number of the copy")
                .hasSameSizeAs(
                        Prover.withAllRules().prove(alone(task).proofInput(), Map.of()).findings());
    }

    private static Plan alone(Task<WireChoices> task) {
        Task<WireChoices> one =
                new Task<>(
                        task.machine(),
                        task.book(),
                        task.reading(),
                        new Task.Order("tool steel", 40, 1, 7700),
                        task.bed(),
                        task.choices());
        return WireCutting.WIRE.plan(one, Optional.empty(), Progress.NONE);
    }
}
