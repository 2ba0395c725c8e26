package dev.oleander.work;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Drawn;
import dev.oleander.Samples;
import dev.oleander.dialect.CheckedWriter;
import dev.oleander.drawing.read.FeatureKey;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import dev.oleander.plan.StopEvent;
import dev.oleander.plan.bed.Demand;
import dev.oleander.plan.bed.PartRef;
import dev.oleander.plan.bed.Placement;
import dev.oleander.plan.bed.PlanException;
import dev.oleander.plan.bed.SetUp;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.plan.bed.SheetLayout;
import dev.oleander.plan.stop.Stop;
import dev.oleander.progress.Progress;
import dev.oleander.proof.Finding;
import dev.oleander.proof.Prover;
import dev.oleander.quantity.Typed;
import dev.oleander.work.sheet.SheetCutting;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.choice.StopChoice;
import dev.oleander.work.sheet.cut.SheetCut;
import dev.oleander.work.wire.WireCutting;
import dev.oleander.work.wire.choice.WireChoices;
import dev.oleander.work.wire.plan.WireSamples;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Parts in quantities of their own, and parts of several jobs on one sheet. */
class PartsOfSourcesTest {

    /** A ring, and beside it a hook with a hole. */
    private static final Reading RING_AND_HOOK =
            new Drawn()
                    .circle(60, 60, 50)
                    .circle(60, 60, 30)
                    .rectangle(130, 0, 60, 25)
                    .circle(145, 12.5, 5)
                    .reading();

    private static final Reading BRACKET =
            new Drawn().rectangle(0, 0, 120, 80).circle(30, 40, 9).circle(90, 40, 9).reading();

    private static final Task.Order ORDER = new Task.Order("mild steel", 4, 3, 7850);

    private static SheetChoices sheet(double width, double height) {
        return SheetChoices.usual()
                .withStock(
                        new SheetChoices.Stock(
                                false, Typed.of(width), Typed.of(height), Typed.of(10)));
    }

    private static List<PlannedRun> runs(SheetChoices sheet) {
        Task<PlanChoices> task =
                new Task<>(
                        Samples.TEASEL,
                        Samples.BOOK,
                        RING_AND_HOOK,
                        ORDER,
                        sheet,
                        PlanChoices.defaults());
        Plan first = SheetCutting.SHEET.plan(task, Optional.empty(), Progress.NONE);
        return Runs.of(SheetCutting.SHEET, task, first, Progress.NONE);
    }

    private static Demand made(List<PlannedRun> runs) {
        Map<PartRef, Integer> made = new LinkedHashMap<>();
        for (PlannedRun run : runs) {
            run.plan()
                    .placed()
                    .of()
                    .forEach((p, n) -> made.merge(p, run.setUp().count() * n, Integer::sum));
        }
        return new Demand(made);
    }

    private static List<Finding> against(Plan plan) {
        return Prover.withAllRules()
                .prove(plan.proofInput(), Map.of(), Progress.NONE)
                .findings()
                .stream()
                .filter(Finding::blocks)
                .toList();
    }

    private static void assertReadBack(Plan plan) {
        CheckedWriter.Checked checked =
                new CheckedWriter(Samples.DIALECT)
                        .write(plan.posted().program(), Samples.FRAME, plan.stopNames());
        assertThat(checked.faults()).isEmpty();
        assertThat(checked.deviation()).isLessThan(1e-3);
    }

    @Test
    void threeRingsAndTwelveHooksOfOneDrawing() {
        List<PlannedRun> runs = runs(sheet(500, 300).withParts(Map.of("p2", 12)));
        assertThat(runs).extracting(PlannedRun::setUp).containsExactly(new SetUp(1, 1, 1, 15));
        Plan plan = runs.get(0).plan();
        assertThat(plan.placed())
                .isEqualTo(new Demand(Map.of(PartRef.of("p1"), 3, PartRef.of("p2"), 12)));
        List<Stop> stops = plan.run().stops();
        assertThat(stops).hasSize(3 * 2 + 12 * 2);
        for (Placement placement : plan.copies()) {
            assertThat(stops.stream().filter(s -> s.copy() == placement.copy()))
                    .hasSize(2)
                    .allSatisfy(s -> assertThat(s.part()).isEqualTo(placement.of().part()));
        }
        assertThat(against(plan)).isEmpty();
        assertReadBack(plan);
        assertThat(plan.run().layout().keptArea(RING_AND_HOOK))
                .isCloseTo(
                        3 * Math.PI * (50 * 50 - 30 * 30) + 12 * (60 * 25 - Math.PI * 25),
                        within(1e-6));
    }

    @Test
    void onePartAloneNeedsNoRoomForTheOthers() {
        List<PlannedRun> runs = runs(sheet(80, 45).withParts(Map.of("p1", 0, "p2", 2)));
        assertThat(made(runs)).isEqualTo(new Demand(Map.of(PartRef.of("p2"), 2)));
        assertThat(runs).extracting(PlannedRun::setUp).containsExactly(new SetUp(1, 2, 1, 1));
        assertThat(against(runs.get(0).plan())).isEmpty();
    }

    @Test
    void theRestOfEveryPartGoesOnOverFurtherSheets() {
        List<PlannedRun> runs = runs(sheet(260, 130).withParts(Map.of("p1", 3, "p2", 12)));
        assertThat(runs.size()).isGreaterThan(1);
        assertThat(made(runs))
                .isEqualTo(new Demand(Map.of(PartRef.of("p1"), 3, PartRef.of("p2"), 12)));
        Set<String> ids = new HashSet<>();
        for (PlannedRun run : runs) {
            run.plan().run().stops().forEach(s -> assertThat(ids.add(s.id())).isTrue());
            assertThat(against(run.plan())).isEmpty();
            assertReadBack(run.plan());
        }
    }

    @Test
    void aPartThatFitsNowhereIsMissingAndTheOthersAreMade() {
        List<PlannedRun> runs = runs(sheet(100, 90).withParts(Map.of("p1", 1, "p2", 2)));
        assertThat(made(runs)).isEqualTo(new Demand(Map.of(PartRef.of("p2"), 2)));
    }

    @Test
    void wireTakesPartsAloneToo() {
        Task<WireChoices> task =
                new Task<>(
                        WireSamples.BRACKEN,
                        WireSamples.BOOK,
                        new Drawn().rectangle(0, 0, 30, 20).rectangle(60, 0, 10, 10).reading(),
                        new Task.Order("tool steel", 40, 1, 7700),
                        SheetChoices.usual().withParts(Map.of("p1", 0, "p2", 3)),
                        WireCutting.WIRE.usual());
        Plan plan = WireCutting.WIRE.plan(task, Optional.empty(), Progress.NONE);
        assertThat(plan.placed()).isEqualTo(new Demand(Map.of(PartRef.of("p2"), 3)));
        assertThat(plan.run().stops()).extracting(Stop::part).containsOnly("p2");
    }

    // ---- several jobs on one sheet

    private static Together.Source<PlanChoices> source(
            String name, Reading reading, PlanChoices choices) {
        return new Together.Source<>(name, reading, "mild steel", 4, 2, choices);
    }

    private static Placement at(int copy, double x, double y, String source, String part) {
        return new Placement(
                copy, Transform.translation(new Point(x, y)), new PartRef(source, part));
    }

    /** Two rings and a hook of one job, turned; two brackets of another. */
    private static final SheetLayout LAYOUT = layout(400, -110);

    private static SheetLayout layout(double hookX, double hookY) {
        return new SheetLayout(
                new Box(Point.ORIGIN, new Point(500, 320)),
                List.of(
                        at(1, 10, 10, "rings", "p1"),
                        at(2, 140, 10, "rings", "p1"),
                        new Placement(
                                3,
                                Transform.rotation(Math.PI / 2)
                                        .then(Transform.translation(new Point(hookX, hookY))),
                                new PartRef("rings", "p2")),
                        at(4, 20, 160, "brackets", ""),
                        at(5, 180, 160, "brackets", "")),
                5,
                1,
                5,
                10,
                10,
                List.of());
    }

    private static Task<PlanChoices> together(PlanChoices rings, PlanChoices brackets) {
        return together(rings, brackets, LAYOUT);
    }

    private static Task<PlanChoices> together(
            PlanChoices rings, PlanChoices brackets, SheetLayout layout) {
        Together.Joined<PlanChoices> joined =
                Together.joined(
                        ORDER,
                        List.of(
                                source("rings", RING_AND_HOOK, rings),
                                source("brackets", BRACKET, brackets)));
        return Together.task(
                Samples.TEASEL, Samples.BOOK, ORDER, layout, joined, PlanChoices.defaults());
    }

    private static Plan plan(Task<PlanChoices> task) {
        return SheetCutting.SHEET.plan(task, Optional.empty(), Progress.NONE);
    }

    @Test
    void twoJobsLieOnOneSheetWithAProgramThatIsProvedAndReadBack() {
        Plan plan = plan(together(PlanChoices.defaults(), PlanChoices.defaults()));
        assertThat(plan.run().stops()).hasSize(2 * 2 + 2 + 2 * 3);
        assertThat(plan.run().refused()).isEmpty();
        assertThat(against(plan)).isEmpty();
        assertReadBack(plan);
        assertThat(plan.run().stops())
                .extracting(s -> FeatureKey.sourceOf(s.part()))
                .containsOnly("rings", "brackets");
        assertThat(PartRef.label(plan.run().stops().get(0).part())).matches("Part \\d of \\w+");
    }

    @Test
    void partsOfTwoJobsThatLieTooCloseAreFound() {
        Task<PlanChoices> close =
                together(PlanChoices.defaults(), PlanChoices.defaults(), layout(320, 10));
        assertThat(against(plan(close)))
                .anySatisfy(
                        f -> assertThat(f.sentence()).contains("into part 1 of brackets, copy 5"));
    }

    @Test
    void everyJobIsCutAsItWasDecidedThere() {
        String outline =
                BRACKET.features().stream()
                        .filter(f -> f.circleDiameter().isEmpty())
                        .findFirst()
                        .orElseThrow()
                        .id();
        PlanChoices brackets =
                PlanChoices.defaults()
                        .withQuality("fine")
                        .withStop(outline, StopChoice.NOTHING.withOverRun(Typed.of(3)))
                        .withStop(outline + ".1", StopChoice.NOTHING.withOverRun(Typed.of(7)));
        brackets =
                brackets.withRun(
                        brackets.run()
                                .withEvents(
                                        outline,
                                        List.of(
                                                new StopEvent(
                                                        StopEvent.Kind.STOP, true, 60, "check"))));
        Plan plan = plan(together(PlanChoices.defaults(), brackets));
        for (Stop stop : plan.run().stops()) {
            boolean ofBrackets = FeatureKey.sourceOf(stop.feature()).equals("brackets");
            boolean edge = FeatureKey.localOf(stop.feature()).equals(outline) && ofBrackets;
            assertThat(SheetCut.of(stop).row().orElseThrow().quality())
                    .isEqualTo(ofBrackets ? "fine" : "standard");
            assertThat(stop.overRun() == 3).as(stop.id()).isEqualTo(edge);
            assertThat(plan.run().eventsOf(stop)).as(stop.id()).hasSize(edge ? 1 : 0);
        }
        assertThat(against(plan)).isEmpty();
    }

    @Test
    void aJobOfOtherThicknessOrMaterialIsRefused() {
        List<Together.Source<PlanChoices>> mixed =
                List.of(
                        source("rings", RING_AND_HOOK, PlanChoices.defaults()),
                        new Together.Source<>(
                                "brackets", BRACKET, "mild steel", 8, 2, PlanChoices.defaults()));
        assertThatThrownBy(() -> Together.joined(ORDER, mixed))
                .isInstanceOf(PlanException.class)
                .hasMessage("brackets is made of mild steel 8 mm; the sheet is mild steel 4 mm.");
    }
}
