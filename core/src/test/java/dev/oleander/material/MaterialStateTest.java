package dev.oleander.material;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Drawn;
import dev.oleander.Samples;
import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Transform;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.Item;
import dev.oleander.motion.Origin;
import dev.oleander.motion.Program;
import dev.oleander.motion.TimeModel;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.Run;
import dev.oleander.plan.bed.Placement;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.plan.stop.Side;
import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.Finding;
import dev.oleander.proof.Proof;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Typed;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.choice.StopChoice;
import dev.oleander.work.sheet.choice.TabChoice;
import dev.oleander.work.sheet.cut.SheetCut;
import dev.oleander.work.sheet.plan.SheetPlanner;
import dev.oleander.work.sheet.proof.FreePieceRule;
import dev.oleander.work.sheet.proof.SheetProof;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class MaterialStateTest {

    /** A frame of 300 x 200 with an opening of 200 x 100, in it a plate of 120 x 40. */
    private static final Reading FRAME =
            new Drawn()
                    .rectangle(0, 0, 300, 200)
                    .rectangle(50, 50, 200, 100)
                    .rectangle(90, 80, 120, 40)
                    .reading();

    private static final TabChoice TWO_TABS = new TabChoice(Typed.of(2), null, null, List.of());

    private static Run plan(Reading reading, PlanChoices choices, int quantity) {
        return Samples.plan(
                reading,
                new SheetPlanner.Order("mild steel", 6, quantity),
                choices,
                SheetChoices.defaults());
    }

    private static MaterialState state(Reading reading, Run run) {
        return MaterialState.of(reading, run, Samples.time(run));
    }

    @Test
    void piecesComeFreeFromTheInsideWithTheirAreaAndMass() {
        Run run = plan(FRAME, PlanChoices.defaults(), 1);
        List<FreePiece> pieces = state(FRAME, run).pieces();
        assertThat(pieces).extracting(FreePiece::kept).containsExactly(true, false, true);
        double kerf = SheetCut.of(run.stops().get(0)).row().orElseThrow().kerf();
        assertThat(pieces.get(0).area()).isCloseTo(120 * 40, within(1e-6));
        assertThat(pieces.get(2).area()).isCloseTo(300 * 200 - 200 * 100, within(1e-6));
        // the strip round the plate, a kerf less at each of its edges
        double round = Math.PI * kerf * kerf;
        double opening = 200 * 100 - 600 * kerf + round;
        double island = 120 * 40 + 320 * kerf + round;
        assertThat(pieces.get(1).area()).isCloseTo(opening - island, within(1e-6));
        assertThat(pieces.get(0).mass(6, 7850)).isCloseTo(0.12 * 0.04 * 0.006 * 7850, within(1e-9));
    }

    @Test
    void eachComesFreeAtTheEndOfTheMoveThatClosesItsOutline() {
        Run run = plan(FRAME, PlanChoices.defaults(), 2);
        Timeline timeline = Samples.time(run);
        MaterialState state = MaterialState.of(FRAME, run, timeline);
        assertThat(state.pieces()).hasSize(6);
        for (FreePiece piece : state.pieces()) {
            Item.Feed closing = (Item.Feed) timeline.program().items().get(piece.item());
            var path = piece.stop().path().orElseThrow();
            var last = path.main().get(path.main().size() - 1);
            assertThat(closing.segment().end().distance(last.end())).isLessThan(1e-9);
            assertThat(piece.moment()).isEqualTo(timeline.ends()[piece.item()]);
            assertThat(state.freeAt(piece.moment() - 1e-6)).doesNotContain(piece);
            assertThat(state.freeAt(piece.moment())).contains(piece);
        }
    }

    @Test
    void whatTabsHoldIsNeverFree() {
        String outline = FRAME.parts().get(0).outline();
        PlanChoices tabbed =
                PlanChoices.defaults().withStop(outline, StopChoice.NOTHING.withTabs(TWO_TABS));
        MaterialState state = state(FRAME, plan(FRAME, tabbed, 1));
        assertThat(state.pieces()).extracting(FreePiece::rest).contains(Rest.HELD);
        assertThat(state.freeAt(1e9)).hasSize(2);
    }

    @Test
    void partsThatTipAreToldAndEqualOnesOnlyOnce() {
        Reading strips = new Drawn().rectangle(0, 0, 90, 100).reading();
        Run run = plan(strips, PlanChoices.defaults(), 10);
        Map<Rest, Long> rests =
                state(strips, run).pieces().stream()
                        .collect(Collectors.groupingBy(FreePiece::rest, Collectors.counting()));
        Proof proof = Samples.prove(strips, run);
        List<Finding> told =
                proof.findings().stream().filter(f -> f.rule().equals("support")).toList();
        long tips = rests.getOrDefault(Rest.TIPS, 0L);
        assertThat(tips).isPositive();
        assertThat(told)
                .singleElement()
                .satisfies(f -> assertThat(f.severity()).isEqualTo(Severity.NOTE))
                .satisfies(f -> assertThat(f.value()).isCloseTo(90, within(1e-6)))
                .satisfies(
                        f ->
                                assertThat(f.sentence())
                                        .contains("and %d like it".formatted(tips - 1)));
    }

    @Test
    void aLowWayAcrossAFreePieceIsFoundInTheProgramItself() {
        Run run = plan(FRAME, PlanChoices.defaults(), 2);
        Timeline timeline = Samples.time(run);
        assertThat(Samples.prove(FRAME, run).findings()).noneMatch(f -> f.rule().equals("free"));
        Timeline low = neverLifting(timeline);
        var input = SheetProof.input(FRAME, run, low);
        var outcome = new FreePieceRule().check(input);
        assertThat(outcome.findings())
                .isNotEmpty()
                .allMatch(f -> f.severity() == Severity.MUST_FIX)
                .allMatch(f -> f.sentence().contains("came free at"));
    }

    /** The same program when the head comes down once and stays there. */
    private static Timeline neverLifting(Timeline timeline) {
        List<Item> items = new ArrayList<>();
        items.add(new Item.Event(EventKind.HEAD_DOWN, Map.of(), Origin.FRAME));
        timeline.program().items().stream()
                .filter(i -> !(i instanceof Item.Event e && e.kind() == EventKind.HEAD_UP))
                .forEach(items::add);
        return new TimeModel(Samples.TEASEL).time(new Program(items));
    }

    // ---- what is left

    private static List<Leftover> left(Run run, Reading reading) {
        Map<Integer, Transform> placed =
                run.layout().placements().stream()
                        .collect(Collectors.toMap(Placement::copy, Placement::transform));
        Map<String, Feature> features = reading.byId();
        return run.stops().stream()
                .flatMap(
                        s ->
                                Leftover.of(s, features.get(s.feature()), placed.get(s.copy()))
                                        .stream())
                .toList();
    }

    @Test
    void inTheCornersOfAnOpeningMaterialIsLeft() {
        Run run = plan(FRAME, PlanChoices.defaults(), 1);
        List<Leftover> left = left(run, FRAME);
        double half = SheetCut.of(run.stops().get(0)).row().orElseThrow().kerf() / 2;
        assertThat(left).hasSize(4).noneMatch(Leftover::gouge);
        // a square corner less a quarter of a circle
        assertThat(left)
                .allSatisfy(
                        l -> {
                            double corner = half * half * (1 - Math.PI / 4);
                            assertThat(l.region().area()).isCloseTo(corner, within(1e-4));
                        });
    }

    @Test
    void aCutOnTheWrongSideIsAGougeOfAWholeKerf() {
        Reading plate = new Drawn().rectangle(0, 0, 100, 60).reading();
        String outline = plate.parts().get(0).outline();
        PlanChoices wrong =
                PlanChoices.defaults().withStop(outline, StopChoice.NOTHING.withSide(Side.INSIDE));
        Run run = plan(plate, wrong, 1);
        Stop stop = run.stops().get(0);
        List<Leftover> left = left(run, plate);
        double kerf = SheetCut.of(stop).row().orElseThrow().kerf();
        assertThat(left).singleElement().satisfies(l -> assertThat(l.gouge()).isTrue());
        Region ring = left.get(0).region();
        assertThat(left.get(0).depth()).isBetween(kerf - 1e-6, kerf * Math.sqrt(2) + 1e-6);
        assertThat(ring.area()).isCloseTo(6000 - (100 - 2 * kerf) * (60 - 2 * kerf), within(0.1));
    }
}
