package dev.oleander.price;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Drawn;
import dev.oleander.Samples;
import dev.oleander.drawing.read.Reading;
import dev.oleander.machine.Machine;
import dev.oleander.motion.TimeModel;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.Run;
import dev.oleander.plan.bed.SetUp;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.price.Estimate.Costs;
import dev.oleander.price.Estimator.Lot;
import dev.oleander.price.Estimator.Sheets;
import dev.oleander.work.sheet.book.CutBook;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.cut.SheetCut;
import dev.oleander.work.sheet.motion.ProgramCompiler;
import dev.oleander.work.sheet.motion.RunningCost;
import dev.oleander.work.sheet.plan.SheetPlanner;
import java.util.List;
import org.junit.jupiter.api.Test;

class EstimatorTest {

    private static final Estimator ESTIMATOR = new Estimator(PriceList.shipped());
    private static final Reading PLATE =
            new Drawn()
                    .rectangle(0, 0, 200, 100)
                    .circle(30, 50, 5)
                    .circle(60, 50, 5)
                    .rectangle(100, 40, 20, 20)
                    .reading();

    private static Run run(String machine, Reading reading, double thickness, int quantity) {
        Machine known = Samples.MACHINES.find(machine).orElseThrow();
        return new SheetPlanner(known, (CutBook) Samples.MACHINES.book(known))
                .plan(
                        reading,
                        new SheetPlanner.Order("mild steel", thickness, quantity),
                        PlanChoices.defaults(),
                        SheetChoices.defaults());
    }

    private static final SetUp ONCE = new SetUp(1, 1, 1, 1);

    private static Timeline time(Run run) {
        return new TimeModel(run.machine()).time(new ProgramCompiler().compile(run));
    }

    private static Estimate cut(String machine, double thickness, int quantity) {
        Run run = run(machine, PLATE, thickness, quantity);
        return ESTIMATOR.cut(
                new Lot(PLATE, "mild steel", thickness, quantity),
                List.of(new Sheets(run, time(run), RunningCost.of(run, time(run)), ONCE)));
    }

    @Test
    void everyPartOfTheCostFollowsFromTheRun() {
        Run run = run("teasel", PLATE, 6, 10);
        Timeline timeline = time(run);
        Estimate estimate =
                ESTIMATOR.cut(
                        new Lot(PLATE, "mild steel", 6, 10),
                        List.of(new Sheets(run, timeline, RunningCost.of(run, timeline), ONCE)));
        Costs costs = estimate.costs();
        assertThat(estimate.placed()).isEqualTo(10);
        assertThat(estimate.sheets()).isEqualTo(1);
        assertThat(estimate.pierces()).isEqualTo(4);
        assertThat(estimate.seconds()).isCloseTo(timeline.total() / 10, within(1e-9));
        assertThat(costs.machine()).isCloseTo(timeline.total() / 3600 * 96, within(1e-9));
        assertThat(costs.setUp()).isCloseTo(15.0 / 60 * 96, within(1e-9));
        double on = timeline.seconds().cutting() + timeline.seconds().piercing();
        var cost = SheetCut.of(run.stops().get(0)).row().orElseThrow().cost();
        assertThat(costs.running())
                .isCloseTo(on / 3600 * cost.hour() + 40 * cost.pierce(), within(1e-9));
        // 1500 x 1000 x 6 mm of steel weigh 70.65 kg
        assertThat(costs.materialBySheet()).isCloseTo(70.65 * 1.35, within(1e-6));
        double gap = run.layout().gap();
        assertThat(costs.materialByArea())
                .isCloseTo(10 * (200 + gap) * (100 + gap) * 6 * 1e-9 * 7850 * 1.35, within(1e-6));
        assertThat(estimate.share())
                .isCloseTo(10 * (20000 - 400 - 50 * Math.PI) / 1.5e6, within(1e-6));
        assertThat(costs.part(true)).isCloseTo(costs.lot(true) / 10, within(1e-9));
    }

    @Test
    void aLotOfSeveralSheetsIsTheSumOfThem() {
        Run full = run("teasel", PLATE, 6, 10);
        Run rest = run("teasel", PLATE, 6, 4);
        double fullCost = RunningCost.of(full, time(full));
        double restCost = RunningCost.of(rest, time(rest));
        Estimate estimate =
                ESTIMATOR.cut(
                        new Lot(PLATE, "mild steel", 6, 24),
                        List.of(
                                new Sheets(full, time(full), fullCost, new SetUp(1, 2, 1, 10)),
                                new Sheets(rest, time(rest), restCost, ONCE)));
        double seconds = 2 * time(full).total() + time(rest).total();
        assertThat(estimate.sheets()).isEqualTo(3);
        assertThat(estimate.placed()).isEqualTo(10);
        assertThat(estimate.pierces()).isEqualTo(4);
        assertThat(estimate.seconds()).isCloseTo(seconds / 24, within(1e-9));
        assertThat(estimate.costs().machine()).isCloseTo(seconds / 3600 * 96, within(1e-9));
        assertThat(estimate.costs().running()).isCloseTo(2 * fullCost + restCost, within(1e-9));
        assertThat(estimate.share())
                .isCloseTo(24 * (20000 - 400 - 50 * Math.PI) / 4.5e6, within(1e-6));
    }

    /** Two heads take the time of one, and gas, wear and sheet of both. */
    @Test
    void headsThatCutAtOnceShareTheTime() {
        Run run = run("teasel", PLATE, 6, 4);
        double running = RunningCost.of(run, time(run));
        SetUp two = new SetUp(1, 1, 1, 4, new SetUp.Heads(2, 300), false);
        Lot lot = new Lot(PLATE, "mild steel", 6, 8);
        Estimate estimate = ESTIMATOR.cut(lot, List.of(new Sheets(run, time(run), running, two)));
        assertThat(estimate.seconds()).isCloseTo(time(run).total() / 8, within(1e-9));
        assertThat(estimate.pierces()).isEqualTo(4);
        assertThat(estimate.costs().running()).isCloseTo(2 * running, within(1e-9));
        // 1500 x 1300 x 6 mm
        assertThat(estimate.costs().materialBySheet()).isCloseTo(70.65 * 1.35 * 1.3, within(1e-6));
    }

    @Test
    void aMachineWithoutDataSaysSo() {
        Estimate thick = cut("teasel", 60, 1);
        assertThat(thick.isPossible()).isFalse();
        assertThat(thick.cannot()).contains("60 mm thick");
        assertThat(cut("yarrow", 60, 1).isPossible()).isTrue();
    }

    @Test
    void aPartLargerThanTheStockFitsNowhere() {
        Reading large = new Drawn().rectangle(0, 0, 1600, 1100).reading();
        Run run = run("sorrel", large, 6, 1);
        Estimate estimate =
                ESTIMATOR.cut(
                        new Lot(large, "mild steel", 6, 1),
                        List.of(new Sheets(run, time(run), RunningCost.of(run, time(run)), ONCE)));
        assertThat(estimate.cannot()).contains("does not fit", "1500 x 1000");
    }

    @Test
    void punchingCountsHitsByTool() {
        Run run = run("teasel", PLATE, 3, 10);
        Estimate punched = ESTIMATOR.punch(new Lot(PLATE, "mild steel", 3, 10), run.layout());
        // two round holes, a square one; edges of 200 and 100 with a shear of 56 that overlaps by 1
        assertThat(punched.hits())
                .containsEntry("round 10", 2)
                .containsEntry("square 20", 1)
                .containsEntry("shear", 2 * 4 + 2 * 2);
        assertThat(punched.pierces()).isEqualTo(15);
        assertThat(punched.seconds()).isGreaterThan(15 * 0.12);
        assertThat(punched.costs().running()).isGreaterThan(3 * 1.2);
    }

    @Test
    void curvesAreNibbledFinelyEnough() {
        Reading disc = new Drawn().circle(0, 0, 100).reading();
        Run run = run("teasel", disc, 3, 1);
        Estimate punched = ESTIMATOR.punch(new Lot(disc, "mild steel", 3, 1), run.layout());
        int hits = punched.hits().get("round 12, nibbling");
        // hits of radius 6 on the circle of radius 106 round a part of radius 100
        double half = Math.PI / hits;
        double chord = 106 * Math.sin(half);
        double left = 106 * Math.cos(half) - Math.sqrt(36 - chord * chord) - 100;
        assertThat(left).as("what stays between two hits").isLessThan(0.105);
        assertThat(left).as("not finer than needed").isGreaterThan(0.08);
    }

    @Test
    void whatIsTooThickOrNoSheetMetalIsNotPunched() {
        Run run = run("teasel", PLATE, 8, 1);
        assertThat(ESTIMATOR.punch(new Lot(PLATE, "mild steel", 8, 1), run.layout()).cannot())
                .contains("up to 6 mm", "8 mm thick");
        assertThat(ESTIMATOR.punch(new Lot(PLATE, "glass", 3, 1), run.layout()).cannot())
                .contains("cannot be punched");
    }
}
