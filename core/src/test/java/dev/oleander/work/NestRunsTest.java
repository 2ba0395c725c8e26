package dev.oleander.work;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Drawn;
import dev.oleander.Samples;
import dev.oleander.dialect.CheckedWriter;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.overlay.Overlay;
import dev.oleander.nesting.AllowedTurns;
import dev.oleander.nesting.Nest;
import dev.oleander.nesting.NestBudget;
import dev.oleander.nesting.NestCheck;
import dev.oleander.nesting.NestPlacement;
import dev.oleander.nesting.NestProgress;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestTasks;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.nesting.OrderLine;
import dev.oleander.nesting.SheetStock;
import dev.oleander.nesting.search.Nester;
import dev.oleander.plan.bed.PartRef;
import dev.oleander.plan.bed.PlanException;
import dev.oleander.plan.bed.SheetLayout;
import dev.oleander.progress.Progress;
import dev.oleander.proof.Finding;
import dev.oleander.proof.Prover;
import dev.oleander.work.sheet.SheetCutting;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.choice.StopChoice;
import dev.oleander.work.sheet.cut.SheetCut;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.junit.jupiter.api.Test;

/** From parts of two jobs over a nest to programs that are read back. */
class NestRunsTest {

    private static final Reading RING = new Drawn().circle(60, 60, 50).circle(60, 60, 30).reading();
    private static final Reading BRACKET =
            new Drawn().rectangle(0, 0, 120, 80).circle(30, 40, 9).circle(90, 40, 9).reading();
    private static final Task.Order ORDER = new Task.Order("mild steel", 4, 1, 7850);

    private static Together.Source<PlanChoices> source(
            String name, Reading reading, String material, PlanChoices choices) {
        return new Together.Source<>(name, reading, material, 4, 2, choices);
    }

    private static final Together.Source<PlanChoices> RINGS =
            source("a", RING, "mild steel", PlanChoices.defaults());

    private static NestTask task(int rings, int brackets, SheetStock sheet) {
        OrderLine ring = NestTasks.line("r", region(RING), rings, AllowedTurns.ANY);
        OrderLine bracket = NestTasks.line("b", region(BRACKET), brackets, AllowedTurns.QUARTER);
        return new NestTask(
                List.of(ring, bracket), List.of(sheet), NestTasks.rules(10, 10), List.of());
    }

    private static Region region(Reading reading) {
        return reading.parts().get(0).region();
    }

    private static List<PlannedRun> runs(
            NestTask task, List<NestedSheet> sheets, Together.Source<PlanChoices> brackets) {
        NestRuns.Laid laid =
                new NestRuns.Laid(
                        sheets,
                        Map.of(task.stock().get(0).id(), task.stock().get(0)),
                        Map.of("r", new PartRef("a", "p1"), "b", new PartRef("b", "p1")),
                        task.rules(),
                        task.widestGap());
        Together.Joined<PlanChoices> joined = Together.joined(ORDER, List.of(RINGS, brackets));
        Function<SheetLayout, Task<PlanChoices>> tasks =
                layout ->
                        Together.task(
                                Samples.TEASEL,
                                Samples.BOOK,
                                ORDER,
                                layout,
                                joined,
                                PlanChoices.defaults());
        Task<PlanChoices> first = NestRuns.task(laid, 1, tasks);
        Plan plan = SheetCutting.SHEET.plan(first, Optional.empty(), Progress.NONE);
        return NestRuns.of(SheetCutting.SHEET, laid, plan, tasks, Progress.NONE);
    }

    private static Nest nest(NestTask task) {
        Nest nest = Nester.nest(task, NestBudget.ofRounds(2, 1, 1), NestProgress.NONE);
        assertThat(nest.score().isComplete()).isTrue();
        assertThat(NestCheck.faults(task, nest.sheets())).isEmpty();
        return nest;
    }

    /**
     * The proof finds nothing that must be put right, and the text is read back as it was meant.
     */
    private static void requireSound(Plan plan) {
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
    }

    @Test
    void everySheetOfANestIsPlannedProvedAndWritten() {
        NestTask task = task(5, 9, NestTasks.sheet(600, 300));
        Nest nest = nest(task);
        PlanChoices fine =
                PlanChoices.defaults().withStop("c1", StopChoice.NOTHING.withQuality("fine"));
        List<PlannedRun> runs = runs(task, nest.sheets(), source("b", BRACKET, "mild steel", fine));
        assertThat(runs.stream().mapToInt(r -> r.setUp().made()).sum()).isEqualTo(14);
        for (PlannedRun run : runs) {
            Plan plan = run.plan();
            requireSound(plan);
            // Each part is cut as its own job says.
            assertThat(plan.run().stops())
                    .filteredOn(s -> s.id().startsWith("b~c1"))
                    .allMatch(s -> SheetCut.of(s).row().orElseThrow().quality().equals("fine"));
        }
    }

    /** Brackets a kerf apart share cuts; everything is proved and read back as it is otherwise. */
    @Test
    void copiesThatShareACutAreCutOnce() {
        double kerf = Samples.BOOK.find("mild steel", 4, PlanChoices.defaults().quality()).kerf();
        NestTask alone = task(1, 6, NestTasks.sheet(800, 400));
        NestTask task =
                new NestTask(
                        alone.lines(),
                        alone.stock(),
                        alone.rules().withCommonLines(Optional.of(kerf)),
                        List.of());
        Together.Source<PlanChoices> brackets =
                source("b", BRACKET, "mild steel", PlanChoices.defaults());
        Plan shared = runs(task, nest(task).sheets(), brackets).get(0).plan();
        Plan single = runs(alone, nest(alone).sheets(), brackets).get(0).plan();
        assertThat(shared.run().stops())
                .filteredOn(s -> s.remarks().stream().anyMatch(r -> r.contains("a common line")))
                .hasSizeGreaterThanOrEqualTo(3);
        requireSound(shared);
        assertThat(shared.running()).isLessThan(single.running());
    }

    @Test
    void equalSheetsAreOneSetUp() {
        NestTask task = task(1, 1, NestTasks.sheet(260, 140));
        Nest once = nest(task);
        List<NestedSheet> twice = List.of(once.sheets().get(0), once.sheets().get(0));
        List<PlannedRun> runs =
                runs(task, twice, source("b", BRACKET, "mild steel", PlanChoices.defaults()));
        assertThat(runs).hasSize(1);
        assertThat(runs.get(0).setUp().count()).isEqualTo(2);
        assertThat(runs.get(0).setUp().made()).isEqualTo(4);
    }

    @Test
    void otherMaterialAndNestsWithNothingLaidAreRefused() {
        NestTask task = task(1, 1, NestTasks.sheet(600, 300));
        Nest nest = nest(task);
        assertThatThrownBy(
                        () ->
                                runs(
                                        task,
                                        nest.sheets(),
                                        source("b", BRACKET, "brass", PlanChoices.defaults())))
                .isInstanceOf(PlanException.class)
                .hasMessageContaining("brass");
        assertThatThrownBy(
                        () ->
                                runs(
                                        task,
                                        List.of(),
                                        source("b", BRACKET, "mild steel", PlanChoices.defaults())))
                .isInstanceOf(PlanException.class)
                .hasMessage(NestRuns.NOTHING_LAID);
    }

    @Test
    void aRemnantWithABayAndAHoleIsCutLikeAnySheet() {
        Region whole = NestTasks.rectangle(600, 400);
        Region bay = NestTasks.rectangle(250, 180);
        Region left = Overlay.difference(List.of(whole), List.of(bay)).get(0);
        Contour hole = Contour.circle(new Point(450, 280), 40).turning(false);
        SheetStock remnant =
                new SheetStock(
                        "r1",
                        new Region(left.outer(), List.of(hole)),
                        Optional.of(1),
                        10,
                        Optional.empty(),
                        true);
        NestTask task = task(3, 3, remnant);
        Nest nest = nest(task);
        List<PlannedRun> runs =
                runs(
                        task,
                        nest.sheets(),
                        source("b", BRACKET, "mild steel", PlanChoices.defaults()));
        assertThat(runs).hasSize(1);
        Plan plan = runs.get(0).plan();
        assertThat(plan.run().layout().stockArea())
                .isCloseTo(remnant.region().area(), within(1e-6));
        assertThat(findings(plan)).isEmpty();

        // a part that lies in the bay is cut where there is no sheet
        List<NestPlacement> moved = new ArrayList<>(nest.sheets().get(0).placements());
        NestPlacement first = moved.get(0);
        Box box = task.line(first.line()).shape().transformed(first.transform()).box();
        Point by = new Point(125, 90).minus(box.centre());
        moved.set(
                0,
                new NestPlacement(
                        first.line(), first.at().plus(by), first.angle(), first.mirrored(), false));
        List<PlannedRun> wrong =
                runs(
                        task,
                        List.of(new NestedSheet("r1", moved)),
                        source("b", BRACKET, "mild steel", PlanChoices.defaults()));
        assertThat(findings(wrong.get(0).plan()))
                .anyMatch(f -> f.sentence().contains("over the edge of the stock"));
    }

    private static List<Finding> findings(Plan plan) {
        return Prover.withAllRules()
                .prove(plan.proofInput(), Map.of(), Progress.NONE)
                .findings()
                .stream()
                .filter(Finding::blocks)
                .toList();
    }
}
