package dev.oleander.work.wire.proof;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.Drawn;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Point;
import dev.oleander.motion.TimeModel;
import dev.oleander.plan.Run;
import dev.oleander.plan.bed.KeepOut;
import dev.oleander.plan.bed.SheetLayout;
import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.Finding;
import dev.oleander.proof.Proof;
import dev.oleander.proof.Prover;
import dev.oleander.proof.RuleHelp;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Typed;
import dev.oleander.work.wire.choice.EntryChoice;
import dev.oleander.work.wire.choice.HoldStop;
import dev.oleander.work.wire.choice.SlugChoice;
import dev.oleander.work.wire.choice.SlugHandling;
import dev.oleander.work.wire.choice.TaperChoice;
import dev.oleander.work.wire.choice.WireChoice;
import dev.oleander.work.wire.choice.WireChoices;
import dev.oleander.work.wire.cut.StartHole;
import dev.oleander.work.wire.cut.WireCut;
import dev.oleander.work.wire.cut.WireVisit;
import dev.oleander.work.wire.motion.WireMotion;
import dev.oleander.work.wire.plan.WirePlan;
import dev.oleander.work.wire.plan.WireSamples;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Rules of the wire on plans that are right, and on plans made wrong. */
class WireRulesTest {

    private static final Prover PROVER = Prover.withAllRules();

    private static Reading plate() {
        return new Drawn()
                .rectangle(0, 0, 140, 80)
                .rectangle(20, 20, 30, 24)
                .rectangle(80, 20, 40, 40)
                .reading();
    }

    private static Proof prove(Reading reading, WirePlan plan) {
        WireMotion motion = WireMotion.of(plan);
        var timeline = new TimeModel(WireSamples.BRACKEN).time(motion.wire());
        return PROVER.prove(WireProof.input(reading, plan, timeline), Map.of());
    }

    private static List<Finding> of(Proof proof, String rule) {
        return proof.findings().stream().filter(f -> f.rule().equals(rule)).toList();
    }

    private static void assertFound(Proof proof, String rule, Severity severity, String words) {
        assertThat(of(proof, rule))
                .as(rule)
                .anySatisfy(
                        f -> {
                            assertThat(f.severity()).isEqualTo(severity);
                            assertThat(f.sentence()).contains(words);
                        });
    }

    private static WireChoices slug(SlugHandling handling) {
        return WireChoices.NOTHING.withAll(
                WireChoice.NOTHING.withSlug(SlugChoice.NOTHING.withHandling(handling)));
    }

    private static WirePlan reordered(WirePlan plan, List<Stop> stops) {
        Run run = plan.run();
        Run other =
                new Run(
                        run.machine(),
                        run.order(),
                        run.layout(),
                        stops,
                        run.events(),
                        run.drilled());
        return WirePlans.with(plan, other, plan.visits(), plan.holes());
    }

    @Test
    void aUsualPlanHasNothingToFix() {
        Proof proof = prove(plate(), WireSamples.plan(plate(), 40, WireChoices.NOTHING));
        assertThat(proof.open()).isEmpty();
        assertThat(proof.rules()).extracting(Proof.RuleRun::id).contains("wire-free", "drawing");
        assertThat(proof.rules()).extracting(Proof.RuleRun::id).doesNotContain("gouge", "slats");
        assertFound(proof, "wire-thread", Severity.NOTE, "3 start holes are not in the drawing");
    }

    @Test
    void aHeavySlugThatDropsIsFound() {
        WirePlan plan = WireSamples.plan(plate(), 40, slug(SlugHandling.DROP));
        double kilograms = 30 * 24 * 40 * 7700e-9;
        assertThat(kilograms).isGreaterThan(0.2);
        assertFound(
                prove(plate(), plan),
                "wire-free",
                Severity.MUST_FIX,
                "of 0.222 kg comes free without a stop and falls onto the lower head");
    }

    @Test
    void aTaperTellsWhichWayThePieceCanLeave() {
        WireChoice wide = WireChoice.NOTHING.withTaper(TaperChoice.NOTHING.withAngle(Typed.of(3)));
        WirePlan up = WireSamples.plan(plate(), 40, WireChoices.NOTHING.withAll(wide));
        assertFound(prove(plate(), up), "wire-free", Severity.NOTE, "upwards only");
        WirePlan free =
                WireSamples.plan(
                        plate(),
                        40,
                        WireChoices.NOTHING.withAll(
                                wide.withSlug(SlugChoice.NOTHING.withHandling(SlugHandling.DROP))));
        Proof proof = prove(plate(), free);
        assertFound(proof, "wire-free", Severity.LOOK, "stays in the way");
        assertFound(proof, "wire-travel", Severity.LOOK, "lies loose in its hole");
    }

    @Test
    void aPieceThatCannotLeaveIsFound() {
        TaperChoice both =
                TaperChoice.NOTHING
                        .withAngle(Typed.of(3))
                        .withElement(0, Typed.of(-3))
                        .withElement(2, Typed.of(-3));
        WirePlan plan =
                WireSamples.plan(
                        plate(),
                        40,
                        WireChoices.NOTHING.withAll(WireChoice.NOTHING.withTaper(both)));
        assertThat(plan.run().refused()).isEmpty();
        assertFound(prove(plate(), plan), "wire-free", Severity.MUST_FIX, "it cannot leave");
    }

    @Test
    void aSkimBehindTheCutOffOfThePartIsFound() {
        Reading reading = new Drawn().rectangle(0, 0, 60, 40).reading();
        WirePlan plan = WireSamples.plan(reading, 40, WireChoices.NOTHING);
        List<Stop> stops = new ArrayList<>(plan.run().stops());
        Collections.reverse(stops);
        assertFound(
                prove(reading, reordered(plan, stops)),
                "wire-order",
                Severity.MUST_FIX,
                "The cut-off would come before its skims");
        assertFound(prove(reading, plan), "wire-order", Severity.NOTE, "It must be held");
        WireChoice asked =
                WireChoice.NOTHING.withSlug(SlugChoice.NOTHING.withStop(HoldStop.OPTIONAL));
        WirePlan held = WireSamples.plan(reading, 40, WireChoices.NOTHING.withAll(asked));
        assertFound(prove(reading, held), "wire-order", Severity.LOOK, "It must be held");
    }

    @Test
    void anOpeningInAPartThatIsGoneIsFound() {
        WirePlan plan = WireSamples.plan(plate(), 40, WireChoices.NOTHING);
        List<Stop> stops = new ArrayList<>(plan.run().stops());
        stops.add(0, stops.remove(stops.size() - 1));
        assertFound(
                prove(plate(), reordered(plan, stops)),
                "wire-order",
                Severity.MUST_FIX,
                "lies in a piece that stop");
    }

    @Test
    void threadingWithoutAHoleIsFound() {
        WirePlan plan = WireSamples.plan(plate(), 40, WireChoices.NOTHING);
        WirePlan without =
                WirePlans.with(plan, plan.run(), plan.visits(), plan.holes().subList(0, 1));
        assertFound(
                prove(plate(), without),
                "wire-thread",
                Severity.MUST_FIX,
                "threads the wire where no hole is");
        StartHole narrow = plan.holes().get(0);
        List<StartHole> holes = new ArrayList<>(plan.holes());
        holes.set(0, new StartHole(narrow.stop(), narrow.copy(), narrow.at(), 0.2, narrow.given()));
        assertFound(
                prove(plate(), WirePlans.with(plan, plan.run(), plan.visits(), holes)),
                "wire-thread",
                Severity.MUST_FIX,
                "too narrow for a wire of 0.25 mm");
    }

    @Test
    void aLeadThroughANeighbourIsFound() {
        Reading reading = plate();
        String left =
                reading.features().stream()
                        .filter(f -> Math.abs(f.area() - 30 * 24) < 1e-6)
                        .findFirst()
                        .orElseThrow()
                        .id();
        WireChoice far =
                WireChoice.NOTHING.withEntry(EntryChoice.NOTHING.withHole(new Point(48, 32)));
        WirePlan plan = WireSamples.plan(reading, 40, WireChoices.NOTHING.withStop(left, far));
        Point there = plan.visit(left + ".1").orElseThrow().begin();
        WirePlan wrong =
                WirePlans.changed(plan, v -> v.feature().equals(left) ? v : from(v, there));
        assertFound(prove(reading, wrong), "wire-gouge", Severity.MUST_FIX, "into the profile of");
    }

    /** The same visit with its first lead coming from another hole. */
    private static WireVisit from(WireVisit visit, Point hole) {
        WireCut first = visit.cuts().get(0);
        return WirePlans.withCuts(visit, c -> c == first ? WirePlans.withFrom(c, hole) : c);
    }

    @Test
    void aClampUnderTheGuideIsFound() {
        WirePlan plan = WireSamples.plan(plate(), 40, WireChoices.NOTHING);
        SheetLayout layout = plan.run().layout();
        KeepOut clamp = new KeepOut(20, 20, 20, 20, 12);
        SheetLayout clamped =
                new SheetLayout(
                        layout.stock(),
                        layout.placements(),
                        layout.asked(),
                        layout.rows(),
                        layout.columns(),
                        layout.gap(),
                        layout.margin(),
                        List.of(clamp));
        Run run = plan.run();
        Run other =
                new Run(
                        run.machine(),
                        run.order(),
                        clamped,
                        run.stops(),
                        run.events(),
                        run.drilled());
        assertFound(
                prove(plate(), WirePlans.with(plan, other, plan.visits(), plan.holes())),
                "wire-guide",
                Severity.MUST_FIX,
                "clamp 1, which is 12 mm high");
    }

    @Test
    void aCutOnTheWrongSideIsFound() {
        WirePlan plan = WireSamples.plan(plate(), 40, WireChoices.NOTHING);
        WirePlan other =
                WireSamples.plan(
                        plate(),
                        40,
                        WireChoices.NOTHING.withAll(
                                WireChoice.NOTHING.withTaper(
                                        TaperChoice.NOTHING.withAngle(Typed.of(1)))));
        // the flanks of another plan: every pass is in the wrong place for them
        WirePlan mixed =
                new WirePlan(
                        plan.task(),
                        plan.choices(),
                        plan.run(),
                        plan.copies(),
                        plan.visits(),
                        plan.settings(),
                        plan.holes(),
                        other.surfaces(),
                        plan.order());
        assertFound(
                prove(plate(), mixed), "wire-gouge", Severity.MUST_FIX, "into the finished flank");
    }

    @Test
    void everyRuleOfTheWireHasItsHelp() {
        assertThat(PROVER.rules())
                .allSatisfy(rule -> assertThat(RuleHelp.of(rule.id())).as(rule.id()).isPresent());
    }
}
