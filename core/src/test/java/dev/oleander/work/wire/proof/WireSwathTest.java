package dev.oleander.work.wire.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Drawn;
import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Point;
import dev.oleander.motion.TimeModel;
import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.Finding;
import dev.oleander.proof.Prover;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Typed;
import dev.oleander.work.wire.choice.EntryChoice;
import dev.oleander.work.wire.choice.RepeatChoice;
import dev.oleander.work.wire.choice.SlugChoice;
import dev.oleander.work.wire.choice.SlugHandling;
import dev.oleander.work.wire.choice.WireChoice;
import dev.oleander.work.wire.choice.WireChoices;
import dev.oleander.work.wire.cut.WireCut;
import dev.oleander.work.wire.cut.WireVisit;
import dev.oleander.work.wire.motion.WireMotion;
import dev.oleander.work.wire.plan.WirePlan;
import dev.oleander.work.wire.plan.WireSamples;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Everything the wire takes, against everything that is kept. */
class WireSwathTest {

    private static final Prover PROVER = Prover.withAllRules();

    /** A plate of 60 x 40 with a hole of 10 in its middle. */
    private static Reading plate() {
        return new Drawn().rectangle(0, 0, 60, 40).circle(30, 20, 5).reading();
    }

    private static String hole(Reading reading) {
        return reading.cut()
                .filter(f -> f.kind() == Feature.Kind.OPENING)
                .findFirst()
                .orElseThrow()
                .id();
    }

    private static List<Finding> open(Reading reading, WirePlan plan) {
        WireMotion motion = WireMotion.of(plan);
        var timeline = new TimeModel(WireSamples.BRACKEN).time(motion.wire());
        return PROVER.prove(WireProof.input(reading, plan, timeline), Map.of()).open();
    }

    private static WireChoices at(String feature, WireChoice choice) {
        return WireChoices.NOTHING.withStop(feature, choice);
    }

    @Test
    void aWayOffThatHasNoRoomIsRefusedWithTheRoomThereIs() {
        Reading reading = plate();
        WireChoice far =
                WireChoice.NOTHING.withEntry(EntryChoice.NOTHING.withBackOff(Typed.of(20)));
        WirePlan plan = WireSamples.plan(reading, 40, at(hole(reading), far));
        assertThat(plan.run().refused())
                .singleElement()
                .satisfies(
                        s -> {
                            var refusal = s.refusal().orElseThrow();
                            assertThat(refusal.sentence())
                                    .contains("the way off the profile is set to 20 mm");
                            // across the hole, less the offset here and the swath there
                            assertThat(refusal.limit()).isCloseTo(10 - 0.205 - 0.165, within(0.02));
                        });
    }

    @Test
    void anUsualWayOffIsShortenedToTheRoomOfANarrowOpening() {
        Reading reading = new Drawn().rectangle(0, 0, 60, 40).rectangle(20, 20, 12, 0.8).reading();
        WireChoice clicked =
                WireChoice.NOTHING.withEntry(EntryChoice.NOTHING.withHole(new Point(26, 20.4)));
        WirePlan plan = WireSamples.plan(reading, 40, at(hole(reading), clicked));
        assertThat(plan.run().refused()).isEmpty();
        assertThat(open(reading, plan)).extracting(Finding::rule).doesNotContain("wire-gouge");
        WireCut last = last(plan.visit(hole(reading) + ".1").orElseThrow().cuts());
        double across = 0.8 - last.offset() - plan.rowsInUse().get(0).width(last.pass()) / 2;
        assertThat(last.end().distance(last.off().orElseThrow())).isCloseTo(across, within(2e-3));
    }

    private static WireCut last(List<WireCut> cuts) {
        return cuts.get(cuts.size() - 1);
    }

    @Test
    void aHoldNarrowerThanTheCutIsRefused() {
        Reading reading = plate();
        for (double hold : new double[] {0.1, 0.2, 0.3, 0.5}) {
            WireChoice narrow =
                    WireChoice.NOTHING.withSlug(
                            SlugChoice.NOTHING
                                    .withHandling(SlugHandling.HOLD_LATER)
                                    .withHold(Typed.of(hold)));
            WirePlan plan = WireSamples.plan(reading, 40, at(hole(reading), narrow));
            assertThat(plan.run().refused())
                    .singleElement()
                    .extracting(s -> s.refusal().orElseThrow().sentence())
                    .asString()
                    .contains("of its hold of", "since the wire cuts 0.33 mm wide");
        }
    }

    @Test
    void aPieceThatFallsBeforeItsCutOffIsFoundFromTheSwathAlone() {
        Reading reading = plate();
        WireChoice held =
                WireChoice.NOTHING.withSlug(
                        SlugChoice.NOTHING
                                .withHandling(SlugHandling.HOLD_LATER)
                                .withHold(Typed.of(0.9)));
        WirePlan plan = WireSamples.plan(reading, 40, at(hole(reading), held));
        assertThat(open(reading, plan)).isEmpty();
        WirePlan wrong = WirePlans.changed(plan, WireSwathTest::runningOn);
        assertThat(open(reading, wrong))
                .anySatisfy(
                        f -> {
                            assertThat(f.rule()).isEqualTo("wire-hold");
                            assertThat(f.severity()).isEqualTo(Severity.MUST_FIX);
                            assertThat(f.sentence()).contains("comes free before people hold it");
                        });
    }

    /** The rough pass goes 0.4 mm further along its last direction. */
    private static WireVisit runningOn(WireVisit visit) {
        return WirePlans.withCuts(
                visit,
                cut ->
                        cut.role() == WireCut.Role.ROUGH
                                ? WirePlans.withWay(cut, WirePlans.longer(cut.way(), 0.5))
                                : cut);
    }

    @Test
    void copiesOverTheOutlineAndOverEachOtherAndThinWebsAreFound() {
        Reading reading = plate();
        String hole = hole(reading);
        assertCopy(reading, hole, 28, "into the profile of");
        assertCopy(reading, hole, 9, "into the profile of");
        assertCopy(reading, hole, 10.1, "is only 0.1 mm wide");
        assertCopy(reading, hole, 10.005, "no web is between them");
        assertThat(open(reading, WireSamples.plan(reading, 40, copy(hole, 15)))).isEmpty();
    }

    @Test
    void aCopyWithinAnotherOpeningIsFound() {
        Reading reading =
                new Drawn()
                        .rectangle(0, 0, 120, 60)
                        .circle(20, 30, 5)
                        .rectangle(60, 10, 40, 40)
                        .reading();
        String small =
                reading.cut()
                        .min(Comparator.comparingDouble(f -> f.chain().length()))
                        .orElseThrow()
                        .id();
        assertCopy(reading, small, 60, "lie over each other");
        assertThat(open(reading, WireSamples.plan(reading, 40, copy(small, 20)))).isEmpty();
    }

    private static WireChoices copy(String feature, double pitch) {
        RepeatChoice two =
                RepeatChoice.NOTHING.withColumns(Typed.of(2)).withPitchX(Typed.of(pitch));
        return at(feature, WireChoice.NOTHING.withRepeat(two));
    }

    private static void assertCopy(Reading reading, String hole, double pitch, String words) {
        assertThat(open(reading, WireSamples.plan(reading, 40, copy(hole, pitch))))
                .as("copies %s mm apart", pitch)
                .anySatisfy(f -> assertThat(f.sentence()).contains(words));
    }

    @Test
    void theCutOffOfAPunchGetsItsSkimsOrIsTold() {
        Reading reading = new Drawn().rectangle(0, 0, 60, 40).reading();
        WirePlan usual = WireSamples.plan(reading, 40, WireChoices.NOTHING);
        assertThat(roles(usual)).contains(WireCut.Role.OFF_SKIM);
        assertThat(open(reading, usual)).isEmpty();
        WireChoice none = WireChoice.NOTHING.withSlug(SlugChoice.NOTHING.withOffSkims(false));
        WirePlan plain = WireSamples.plan(reading, 40, WireChoices.NOTHING.withAll(none));
        assertThat(open(reading, plain))
                .singleElement()
                .satisfies(
                        f -> {
                            assertThat(f.rule()).isEqualTo("wire-proud");
                            assertThat(f.severity()).isEqualTo(Severity.LOOK);
                            var row = plain.rowsInUse().get(0);
                            double proud = row.offset(1) - row.offset(row.passes().size());
                            assertThat(f.value()).isCloseTo(proud, within(1e-9));
                        });
    }

    private static List<WireCut.Role> roles(WirePlan plan) {
        return plan.run().stops().stream()
                .map(Stop::id)
                .flatMap(id -> plan.visit(id).orElseThrow().cuts().stream())
                .map(WireCut::role)
                .toList();
    }
}
