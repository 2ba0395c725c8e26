package dev.oleander.work;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.Drawn;
import dev.oleander.Samples;
import dev.oleander.dialect.CheckedWriter;
import dev.oleander.drawing.read.Reading;
import dev.oleander.nesting.AllowedTurns;
import dev.oleander.nesting.Nest;
import dev.oleander.nesting.NestBudget;
import dev.oleander.nesting.NestCheck;
import dev.oleander.nesting.NestProgress;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestTasks;
import dev.oleander.nesting.OrderLine;
import dev.oleander.nesting.SheetStock;
import dev.oleander.nesting.search.Nester;
import dev.oleander.plan.bed.PartRef;
import dev.oleander.plan.bed.PlanException;
import dev.oleander.progress.Progress;
import dev.oleander.proof.Finding;
import dev.oleander.proof.Prover;
import dev.oleander.work.sheet.SheetCutting;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.choice.StopChoice;
import dev.oleander.work.sheet.cut.SheetCut;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** From parts of two jobs over a nest to programs that are read back. */
class NestRunsTest {

    private static final Reading RING = new Drawn().circle(60, 60, 50).circle(60, 60, 30).reading();
    private static final Reading BRACKET =
            new Drawn().rectangle(0, 0, 120, 80).circle(30, 40, 9).circle(90, 40, 9).reading();
    private static final Task.Order ORDER = new Task.Order("mild steel", 4, 1, 7850);

    private static Together.Source<PlanChoices> source(
            String name, Reading reading, String material, PlanChoices choices) {
        return new Together.Source<>(name, reading, material, 4, choices);
    }

    private static final Together.Source<PlanChoices> RINGS =
            source("a", RING, "mild steel", PlanChoices.defaults());

    private static NestTask task(int rings, int brackets, SheetStock sheet) {
        OrderLine ring =
                NestTasks.line(
                        NestRuns.line("a", "p1"),
                        NestRuns.part(RINGS, "p1").region(),
                        rings,
                        AllowedTurns.ANY);
        OrderLine bracket =
                NestTasks.line(
                        NestRuns.line("b", "p1"),
                        BRACKET.parts().get(0).region(),
                        brackets,
                        AllowedTurns.QUARTER);
        return new NestTask(
                List.of(ring, bracket), List.of(sheet), NestTasks.rules(10, 10), List.of());
    }

    private static List<PlannedRun> runs(
            NestTask task, Nest nest, Together.Source<PlanChoices> brackets) {
        Map<String, PartRef> parts =
                Map.of(
                        NestRuns.line("a", "p1"), new PartRef("a", "p1"),
                        NestRuns.line("b", "p1"), new PartRef("b", "p1"));
        return NestRuns.of(
                SheetCutting.SHEET,
                Samples.TEASEL,
                Samples.BOOK,
                ORDER,
                new NestRuns.Nested(task, nest.sheets(), parts),
                List.of(RINGS, brackets),
                Progress.NONE);
    }

    private static Nest nest(NestTask task) {
        Nest nest = Nester.nest(task, NestBudget.ofRounds(2, 1, 1), NestProgress.NONE);
        assertThat(nest.score().isComplete()).isTrue();
        assertThat(NestCheck.faults(task, nest.sheets())).isEmpty();
        return nest;
    }

    @Test
    void everySheetOfANestIsPlannedProvedAndWritten() {
        NestTask task = task(5, 9, NestTasks.sheet(600, 300));
        Nest nest = nest(task);
        PlanChoices fine =
                PlanChoices.defaults().withStop("c1", StopChoice.NOTHING.withQuality("fine"));
        List<PlannedRun> runs = runs(task, nest, source("b", BRACKET, "mild steel", fine));
        assertThat(runs.stream().mapToInt(r -> r.setUp().made()).sum()).isEqualTo(14);
        for (PlannedRun run : runs) {
            Plan plan = run.plan();
            assertThat(
                            Prover.withAllRules()
                                    .prove(plan.proofInput(), Map.of(), Progress.NONE)
                                    .findings()
                                    .stream()
                                    .filter(Finding::blocks))
                    .isEmpty();
            CheckedWriter.Checked checked =
                    new CheckedWriter(Samples.DIALECT)
                            .write(plan.posted().program(), Samples.FRAME, plan.stopNames());
            assertThat(checked.faults()).isEmpty();
            assertThat(checked.deviation()).isLessThan(1e-3);
            // Each part is cut as its own job says.
            assertThat(plan.run().stops())
                    .filteredOn(s -> s.id().startsWith("b~c1"))
                    .allMatch(s -> SheetCut.of(s).row().orElseThrow().quality().equals("fine"));
        }
    }

    @Test
    void equalSheetsAreOneSetUp() {
        NestTask task = task(1, 1, NestTasks.sheet(260, 140));
        Nest once = nest(task);
        Nest twice =
                new Nest(
                        List.of(once.sheets().get(0), once.sheets().get(0)), once.score(), 1, 1, 0);
        List<PlannedRun> runs =
                runs(task, twice, source("b", BRACKET, "mild steel", PlanChoices.defaults()));
        assertThat(runs).hasSize(1);
        assertThat(runs.get(0).setUp().count()).isEqualTo(2);
        assertThat(runs.get(0).setUp().made()).isEqualTo(4);
    }

    @Test
    void otherMaterialAndUnknownPartsAreRefused() {
        NestTask task = task(1, 1, NestTasks.sheet(600, 300));
        Nest nest = nest(task);
        assertThatThrownBy(
                        () ->
                                runs(
                                        task,
                                        nest,
                                        source("b", BRACKET, "brass", PlanChoices.defaults())))
                .isInstanceOf(PlanException.class)
                .hasMessageContaining("brass");
        assertThatThrownBy(() -> NestRuns.part(RINGS, "p7"))
                .isInstanceOf(PlanException.class)
                .hasMessage("a has no part p7.");
    }
}
