package dev.oleander.work.wire.proof;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.Drawn;
import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.LongRun;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.fit.FlatShapes;
import dev.oleander.motion.Item;
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
import dev.oleander.work.wire.choice.WireLead;
import dev.oleander.work.wire.cut.WireCut;
import dev.oleander.work.wire.cut.WireVisit;
import dev.oleander.work.wire.motion.WireMotion;
import dev.oleander.work.wire.plan.WirePlan;
import dev.oleander.work.wire.plan.WireSamples;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.ShrinkingMode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.operation.union.UnaryUnionOp;

/**
 * Random plates with openings and copies of them, planned and then made wrong at random: what the
 * swath of the motion takes of the kept material, by another library on flattened shapes, is found,
 * and nothing else is.
 */
class RandomWireSwathTest {

    private static final Prover PROVER = new Prover(List.of(new WireGougeRule(), new WebRule()));

    private static final FlatShapes FLAT = new FlatShapes(5e-4);

    /** mm; between these depths either answer may come. */
    private static final double SURELY_NONE = 2e-3;

    private static final double SURELY = 6e-3;

    /** mm; webs narrower than this may count as none. */
    private static final double BARELY = 2e-2;

    @Property(tries = 160, shrinking = ShrinkingMode.OFF)
    void whatTheSwathTakesOfKeptMaterialIsFound(@ForAll long seed) {
        assertThat(broken(seed)).isEmpty();
    }

    /** {@code -Doleander.long=20000} looks at so many plans, on all processors. */
    @Test
    @EnabledIfSystemProperty(named = LongRun.SWITCH, matches = "\\d+")
    void manyPlans() {
        LongRun.of(RandomWireSwathTest::broken);
    }

    private static List<String> broken(long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        Reading reading = plate(random);
        WirePlan planned = WireSamples.plan(reading, 40, choices(random, reading));
        if (!planned.run().refused().isEmpty()) {
            return List.of();
        }
        WirePlan plan = random.nextInt(3) == 0 ? planned : wrong(planned, random);
        List<Geometry> openings = openings(reading, plan);
        Geometry all = UnaryUnionOp.union(openings);
        double sum = openings.stream().mapToDouble(Geometry::getArea).sum();
        Geometry plate = plate(reading, plan);
        if (openings.stream().anyMatch(plate::disjoint)) {
            return List.of();
        }
        Geometry kept = plate.difference(all);
        Geometry swath = swath(plan);
        List<Finding> found =
                findings(reading, plan)
                        .filter(f -> f.severity() == Severity.MUST_FIX)
                        .filter(f -> f.rule().equals("wire-gouge") || f.rule().equals("wire-web"))
                        .toList();
        boolean overlap = all.getArea() < sum - 1e-3 || !plate.covers(all);
        if (overlap) {
            return found.isEmpty() ? List.of("openings over each other are not found") : List.of();
        }
        if (nearest(openings, plate) < BARELY) {
            return List.of();
        }
        boolean surely = !swath.intersection(kept.buffer(-SURELY)).isEmpty();
        if (surely && found.isEmpty()) {
            return List.of("the swath takes kept material, nothing is found");
        }
        boolean surelyNot = swath.intersection(kept.buffer(-SURELY_NONE)).isEmpty();
        return surelyNot ? deeper(found) : List.of();
    }

    /** The rule is exact to a micrometre, flattened shapes are not. */
    private static List<String> deeper(List<Finding> found) {
        return found.stream()
                .filter(f -> f.rule().equals("wire-web") || f.value() > SURELY_NONE + 1e-3)
                .map(Finding::sentence)
                .toList();
    }

    private static Stream<Finding> findings(Reading reading, WirePlan plan) {
        WireMotion motion = WireMotion.of(plan);
        var timeline = new TimeModel(WireSamples.BRACKEN).time(motion.wire());
        return PROVER.prove(WireProof.input(reading, plan, timeline), Map.of()).findings().stream();
    }

    /** Two circles or rectangles in a plate, clear of each other. */
    private static Reading plate(SplittableRandom random) {
        Drawn drawn = new Drawn().rectangle(0, 0, 90, 50);
        for (int i = 0; i < 2; i++) {
            double x = 12 + 40 * i + 4 * random.nextDouble();
            double y = 14 + 8 * random.nextDouble();
            if (random.nextBoolean()) {
                drawn.circle(x + 8, y + 8, 4 + 4 * random.nextDouble());
            } else {
                drawn.rectangle(x, y, 6 + 10 * random.nextDouble(), 6 + 10 * random.nextDouble());
            }
        }
        return drawn.reading();
    }

    private static WireChoices choices(SplittableRandom random, Reading reading) {
        SlugHandling[] all = SlugHandling.values();
        SlugHandling handling = all[random.nextInt(all.length)];
        boolean coreless = handling == SlugHandling.CORELESS;
        SlugChoice slug =
                SlugChoice.NOTHING.withHandling(coreless ? SlugHandling.HOLD_NOW : handling);
        EntryChoice entry =
                EntryChoice.NOTHING
                        .withLead(WireLead.values()[random.nextInt(3)])
                        .withAnticlockwise(random.nextBoolean());
        WireChoice choice = WireChoice.NOTHING.withSlug(slug).withEntry(entry);
        WireChoices choices = WireChoices.NOTHING.withAll(choice);
        if (random.nextBoolean()) {
            String feature =
                    reading.cut()
                            .filter(f -> f.kind() == Feature.Kind.OPENING)
                            .findFirst()
                            .orElseThrow()
                            .id();
            RepeatChoice copies =
                    RepeatChoice.NOTHING
                            .withColumns(Typed.of(2))
                            .withPitchX(Typed.of(6 + 60 * random.nextDouble()));
            choices = choices.withStop(feature, WireChoice.NOTHING.withRepeat(copies));
        }
        return choices;
    }

    /** One way of one cut goes somewhere else. */
    private static WirePlan wrong(WirePlan plan, SplittableRandom random) {
        List<Stop> stops = plan.run().stops();
        String stop = stops.get(random.nextInt(stops.size())).id();
        int wanted = random.nextInt(plan.visit(stop).orElseThrow().cuts().size());
        int kind = random.nextInt(3);
        double far = 12 * random.nextDouble();
        double angle = 2 * Math.PI * random.nextDouble();
        Point shift = new Point(far * Math.cos(angle), far * Math.sin(angle));
        return WirePlans.changed(
                plan,
                visit -> {
                    if (!visit.stop().equals(stop)) {
                        return visit;
                    }
                    WireCut chosen = visit.cuts().get(wanted);
                    return continued(
                            WirePlans.withCuts(visit, c -> c == chosen ? bent(c, kind, shift) : c));
                });
    }

    private static WireCut bent(WireCut cut, int kind, Point shift) {
        boolean off = kind == 0 && cut.off().isPresent();
        if (off) {
            return WirePlans.withOff(cut, cut.off().get().plus(shift));
        }
        return kind == 1 && cut.from().isPresent()
                ? WirePlans.withFrom(cut, cut.from().get().plus(shift))
                : WirePlans.withWay(
                        cut, WirePlans.longer(cut.way(), shift.distance(Point.ORIGIN) / 4));
    }

    /** Every cut begins where the one before ended, and the wire is threaded where it begins. */
    private static WireVisit continued(WireVisit visit) {
        List<WireVisit.Step> steps = new ArrayList<>();
        Point at = null;
        for (WireVisit.Step step : visit.steps()) {
            if (step instanceof WireVisit.Thread) {
                at = null;
                steps.add(step);
            } else if (step instanceof WireVisit.Cut c) {
                WireCut cut = c.cut();
                if (cut.from().isPresent() && at != null) {
                    cut = WirePlans.withFrom(cut, at);
                } else if (cut.from().isPresent()) {
                    steps.set(steps.size() - 1, new WireVisit.Thread(cut.from().get()));
                }
                steps.add(new WireVisit.Cut(cut));
                at = cut.off().orElse(null);
            } else {
                steps.add(step);
            }
        }
        return new WireVisit(
                visit.stop(), visit.feature(), visit.copy(), visit.role(), steps, visit.frees());
    }

    /** The narrowest web, mm. */
    private static double nearest(List<Geometry> openings, Geometry plate) {
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < openings.size(); i++) {
            least = Math.min(least, openings.get(i).distance(plate.getBoundary()));
            for (int k = 0; k < i; k++) {
                least = Math.min(least, openings.get(i).distance(openings.get(k)));
            }
        }
        return least;
    }

    private static List<Geometry> openings(Reading reading, WirePlan plan) {
        return shapes(reading, plan, Feature.Kind.OPENING);
    }

    private static Geometry plate(Reading reading, WirePlan plan) {
        return shapes(reading, plan, Feature.Kind.OUTLINE).get(0);
    }

    /** Of all copies, flattened. */
    private static List<Geometry> shapes(Reading reading, WirePlan plan, Feature.Kind kind) {
        Map<String, Feature> features = reading.byId();
        List<Geometry> shapes = new ArrayList<>();
        for (String subject : plan.settings().keySet()) {
            int dot = subject.lastIndexOf('.');
            Feature feature = features.get(subject.substring(0, dot));
            if (feature.kind() == kind) {
                var placed = plan.copy(Integer.parseInt(subject.substring(dot + 1))).placement();
                shapes.add(FLAT.polygon(feature.contour().transformed(placed.transform())));
            }
        }
        return shapes;
    }

    /** What the motion takes, told by its moves alone. */
    private static Geometry swath(WirePlan plan) {
        List<Geometry> swaths = new ArrayList<>();
        for (Item item : WireMotion.of(plan).wire().items()) {
            if (item instanceof Item.Feed feed && feed.on()) {
                String stop = feed.origin().stop();
                WireCut cut = plan.visit(stop).orElseThrow().cuts().get(feed.origin().pass() - 1);
                var row = plan.rowsInUse().get(0);
                double half = row.wireDiameter() / 2 + row.passes().get(cut.pass() - 1).gap();
                swaths.add(FLAT.line(new Path(List.of(feed.segment()))).buffer(half, 12));
            }
        }
        return UnaryUnionOp.union(swaths);
    }
}
