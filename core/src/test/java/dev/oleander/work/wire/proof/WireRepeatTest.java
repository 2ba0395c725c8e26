package dev.oleander.work.wire.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Drawn;
import dev.oleander.Samples;
import dev.oleander.dialect.CheckedWriter;
import dev.oleander.dialect.Dialect;
import dev.oleander.dialect.DialectLibrary;
import dev.oleander.dialect.DialectReader;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Point;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.Item;
import dev.oleander.motion.TimeModel;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.plan.stop.Stop;
import dev.oleander.progress.Progress;
import dev.oleander.proof.Proof;
import dev.oleander.proof.Prover;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Typed;
import dev.oleander.work.wire.choice.RepeatChoice;
import dev.oleander.work.wire.choice.SlugChoice;
import dev.oleander.work.wire.choice.SlugHandling;
import dev.oleander.work.wire.choice.WireChoice;
import dev.oleander.work.wire.choice.WireChoices;
import dev.oleander.work.wire.choice.WireOrder;
import dev.oleander.work.wire.cut.StartHole;
import dev.oleander.work.wire.cut.WireCut;
import dev.oleander.work.wire.motion.WireMotion;
import dev.oleander.work.wire.plan.WirePlan;
import dev.oleander.work.wire.plan.WirePlanner;
import dev.oleander.work.wire.plan.WireSamples;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** Single contours repeated in rows and columns, round a centre and by a rotary axis. */
class WireRepeatTest {

    private static final Dialect BRACKEN = DialectLibrary.shipped().find("bracken").orElseThrow();

    private static final double HOLE = 6;

    /** A plate with a round opening at its lower left and a square one in its middle. */
    private static Reading plate() {
        return new Drawn()
                .rectangle(0, 0, 160, 120)
                .circle(30, 30, HOLE)
                .rectangle(70, 50, 20, 20)
                .reading();
    }

    private static String round(Reading reading) {
        return reading.cut()
                .filter(f -> f.circleDiameter().isPresent())
                .findFirst()
                .orElseThrow()
                .id();
    }

    private static WireChoices repeated(Reading reading, RepeatChoice repeat) {
        WireChoice drops =
                WireChoice.NOTHING.withSlug(SlugChoice.NOTHING.withHandling(SlugHandling.DROP));
        return WireChoices.NOTHING
                .withOrder(WireOrder.ONE_AT_A_TIME)
                .withStop(round(reading), drops.withRepeat(repeat));
    }

    private static final RepeatChoice GRID =
            RepeatChoice.NOTHING
                    .withColumns(Typed.of(3))
                    .withPitchX(Typed.of(50))
                    .withRows(Typed.of(2))
                    .withPitchY(Typed.of(60));

    private static RepeatChoice circle(int count) {
        return RepeatChoice.NOTHING.withCount(Typed.of(count)).withCentre(new Point(80, 60));
    }

    /** Centres of the first passes round the repeated contour, in the order of the run. */
    private static List<Point> centres(Reading reading, WirePlan plan) {
        return plan.run().stops().stream()
                .filter(s -> s.feature().equals(round(reading)))
                .map(s -> plan.visit(s.id()).orElseThrow().cuts().get(0))
                .map(WireRepeatTest::centre)
                .toList();
    }

    private static Point centre(WireCut cut) {
        return ((Arc) cut.profile().get(0)).centre();
    }

    private static Proof prove(Reading reading, WirePlan plan) {
        var timeline = new TimeModel(WireSamples.BRACKEN).time(WireMotion.of(plan).wire());
        return Prover.withAllRules().prove(WireProof.input(reading, plan, timeline), Map.of());
    }

    private static void assertClean(Reading reading, WirePlan plan) {
        assertThat(plan.run().refused()).isEmpty();
        WireMotion motion = WireMotion.of(plan);
        assertThat(prove(reading, plan).findings())
                .filteredOn(f -> f.severity() == Severity.MUST_FIX)
                .as("found")
                .isEmpty();
        CheckedWriter.Checked checked =
                new CheckedWriter(BRACKEN).write(motion.posted(), Samples.FRAME, Map.of());
        assertThat(checked.faults()).isEmpty();
        var read = new DialectReader(BRACKEN).read(checked.written().text());
        WireReplay.Result result =
                WireReplay.compare(
                        motion.wire(), read.program(), plan.registers(), plan.task().height());
        assertThat(result.faults()).isEmpty();
        assertThat(result.deviation()).isLessThan(1e-3);
    }

    @Test
    void rowsAndColumnsOfOneContourLieAtTheirPitches() {
        Reading reading = plate();
        WirePlan plan = WireSamples.plan(reading, 40, repeated(reading, GRID));
        assertThat(plan.run().layout().placed()).as("of the whole drawing").isEqualTo(1);
        assertThat(plan.copies()).hasSize(6);
        Point first = plan.copy(1).placement().transform().apply(new Point(30, 30));
        Set<String> wanted = Set.of("0 0", "50 0", "100 0", "0 60", "50 60", "100 60");
        List<Point> found = centres(reading, plan);
        assertThat(found).hasSize(6);
        assertThat(found.stream().map(p -> key(p.minus(first))).collect(Collectors.toSet()))
                .isEqualTo(wanted);
        assertThat(plan.holes()).hasSize(8);
        assertEachHoleInItsCopy(plan, found);
        assertClean(reading, plan);
    }

    private static String key(Point p) {
        return Math.round(p.x()) + " " + Math.round(p.y());
    }

    private static void assertEachHoleInItsCopy(WirePlan plan, List<Point> centres) {
        for (Point centre : centres) {
            assertThat(plan.holes())
                    .extracting(StartHole::at)
                    .filteredOn(at -> at.distance(centre) < HOLE)
                    .hasSize(1);
        }
    }

    @Test
    void theOutlineComesFreeAfterAllCopiesInIt() {
        Reading reading = plate();
        WirePlan plan = WireSamples.plan(reading, 40, repeated(reading, GRID));
        List<Stop> stops = plan.run().stops();
        Stop last = stops.get(stops.size() - 1);
        assertThat(last.name()).isEqualTo("Punch");
        assertThat(plan.order().breach(moved(stops)).map(b -> b.must()))
                .as("the outline before a copy")
                .isPresent();
    }

    private static List<Stop> moved(List<Stop> stops) {
        List<Stop> moved = new ArrayList<>(stops);
        moved.add(0, moved.remove(moved.size() - 1));
        return moved;
    }

    @Test
    void copiesRoundACentreLieEvenly() {
        Reading reading = plate();
        WirePlan plan = WireSamples.plan(reading, 40, repeated(reading, circle(6)));
        Point centre = plan.copy(1).placement().transform().apply(new Point(80, 60));
        List<Point> found = centres(reading, plan);
        assertThat(found).hasSize(6);
        double radius = new Point(30, 30).distance(new Point(80, 60));
        double[] angles =
                found.stream()
                        .peek(p -> assertThat(p.distance(centre)).isCloseTo(radius, within(1e-9)))
                        .map(p -> p.minus(centre))
                        .mapToDouble(v -> Math.toDegrees(Math.atan2(v.y(), v.x())))
                        .sorted()
                        .toArray();
        for (int i = 1; i < angles.length; i++) {
            assertThat(angles[i] - angles[i - 1]).isCloseTo(60, within(1e-9));
        }
    }

    @Test
    void aRotaryAxisTurnsTheWorkInsteadOfThePath() {
        Reading reading = plate();
        WirePlan plan =
                WireSamples.plan(reading, 40, repeated(reading, circle(4).withIndexed(true)));
        assertThat(centres(reading, plan))
                .hasSize(4)
                .allSatisfy(
                        p ->
                                assertThat(p.distance(centres(reading, plan).get(0)))
                                        .isLessThan(1e-9));
        List<Double> turns =
                WireMotion.of(plan).wire().items().stream()
                        .filter(i -> i instanceof Item.Event e && e.kind() == EventKind.INDEX)
                        .map(i -> ((Item.Event) i).args().get("turn"))
                        .toList();
        assertThat(turns).contains(90.0, 180.0, 270.0);
        assertThat(turns.get(turns.size() - 1)).as("turned back for the outline").isZero();
        assertThat(plan.order().breach(moved(plan.run().stops())))
                .as("the outline before copies that the axis turns to")
                .isPresent();
        List<Stop> stops = new ArrayList<>(plan.run().stops());
        Stop turned =
                stops.stream()
                        .filter(s -> s.id().startsWith(round(reading) + ".3"))
                        .findFirst()
                        .orElseThrow();
        stops.remove(turned);
        stops.add(turned);
        assertThat(plan.order().breach(stops)).as("one of them after the outline").isPresent();
        assertClean(reading, plan);
    }

    @Test
    void everyCopyOfTheDrawingHasItsOwnCopies() {
        Reading reading = plate();
        WirePlan plan = WireSamples.plan(reading, WireSamples.task(40, 2), repeated(reading, GRID));
        assertThat(plan.run().layout().placed()).isEqualTo(2);
        assertThat(plan.copies()).hasSize(12);
        assertThat(plan.copies().subList(2, 12)).extracting(c -> c.base()).containsOnly(1, 2);
        assertThat(centres(reading, plan)).hasSize(12);
        assertClean(reading, plan);
    }

    @Test
    void withoutAPitchCopiesLieBesideEachOther() {
        Reading reading = plate();
        RepeatChoice row = RepeatChoice.NOTHING.withColumns(Typed.of(2));
        WirePlan plan = WireSamples.plan(reading, 40, repeated(reading, row));
        List<Point> found = centres(reading, plan);
        assertThat(Math.abs(found.get(1).x() - found.get(0).x()))
                .isCloseTo(2 * HOLE + 10, within(1e-9));
        assertClean(reading, plan);
    }

    @Test
    void copiesThatOverlapStandAgainstARelease() {
        Reading reading = plate();
        RepeatChoice close = RepeatChoice.NOTHING.withColumns(Typed.of(3)).withPitchX(Typed.of(3));
        WirePlan plan = WireSamples.plan(reading, 40, repeated(reading, close));
        assertThat(prove(reading, plan).findings())
                .anyMatch(f -> f.severity() == Severity.MUST_FIX);
    }

    @Test
    void aCopyBeyondTheEdgeIsRefusedWithHowFar() {
        Reading reading = plate();
        WirePlan plan =
                new WirePlanner(
                                WireSamples.task(40, 1),
                                repeated(reading, GRID.withPitchX(Typed.of(80))))
                        .plan(
                                reading,
                                SheetChoices.defaults()
                                        .withStock(
                                                new SheetChoices.Stock(
                                                        false,
                                                        Typed.of(190),
                                                        Typed.of(150),
                                                        Typed.of(10))),
                                Progress.NONE);
        assertThat(plan.run().refused()).hasSize(2);
        assertThat(plan.run().refused().get(0).refusal().orElseThrow().sentence())
                .matches("it reaches [\\d.]+ mm beyond the edge of the stock.*");
    }
}
