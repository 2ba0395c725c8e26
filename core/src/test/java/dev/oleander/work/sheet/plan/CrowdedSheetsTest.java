package dev.oleander.work.sheet.plan;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.Samples;
import dev.oleander.drawing.read.Part;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Judge;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.machine.Machine;
import dev.oleander.plan.Run;
import dev.oleander.plan.bed.Placement;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.plan.stop.LeadKind;
import dev.oleander.plan.stop.Stop;
import dev.oleander.progress.Progress;
import dev.oleander.quantity.Typed;
import dev.oleander.work.sheet.book.CutBook;
import dev.oleander.work.sheet.choice.LeadChoice;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.choice.StopChoice;
import dev.oleander.work.sheet.choice.TabChoice;
import dev.oleander.work.sheet.cut.SheetCut;
import dev.oleander.work.sheet.motion.ProgramCompiler;
import dev.oleander.work.sheet.motion.RunMotion;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** Leads on random crowded sheets, judged by another library on flattened paths. */
class CrowdedSheetsTest {

    private static final GeometryFactory JTS = new GeometryFactory();
    private static final int STEPS = 64;

    /** mm; less than the swath of a lead, so that touching and flattening do not count. */
    private static final double SLACK = 0.01;

    private int placed;
    private int refused;

    @Property(tries = 8)
    void noLeadCutsIntoAnything(@ForAll long seed) {
        judge(new SplittableRandom(seed));
    }

    /** A hole and an opening that cross: one is refused by rule, and cut where a person put it. */
    @Test
    void aCutThatOnlyAPersonFindsRoomForIsKeptClearOf() {
        judge(new SplittableRandom(102081));
    }

    @Test
    void nearlyAllStopsFindRoom() {
        for (int seed = 1; seed <= 6; seed++) {
            judge(new SplittableRandom(seed));
        }
        assertThat(placed).isGreaterThan(150);
        assertThat(refused).isLessThan(placed / 10);
    }

    private void judge(SplittableRandom random) {
        Reading reading = Crowds.crowd(random);
        Machine machine = Samples.MACHINES.find(random.nextBoolean() ? "teasel" : "sorrel").get();
        Run run =
                new SheetPlanner(machine, (CutBook) Samples.MACHINES.book(machine))
                        .plan(
                                reading,
                                new SheetPlanner.Order("mild steel", 6, 1 + random.nextInt(5)),
                                Crowds.someByHand(reading, random),
                                Crowds.tight(random));
        List<Geometry> kept = kept(reading, run);
        List<Geometry> earlier = new ArrayList<>();
        Geometry stock = JTS.toGeometry(envelope(run.layout().stock()));
        Map<String, Geometry> mains = new HashMap<>();
        run.stops().forEach(s -> s.path().ifPresent(p -> mains.put(s.id(), line(p.main()))));
        for (Stop stop : run.stops()) {
            if (stop.path().isEmpty()) {
                refused++;
                continue;
            }
            placed++;
            double kerf = SheetCut.of(stop).row().orElseThrow().kerf();
            Geometry lead = line(stop.path().get().leadIn());
            String name = run.machine().name() + ", " + stop.id();
            assertApart(name + " and kept material", lead, kept, kerf / 2);
            assertApart(name + " and an earlier lead", lead, earlier, kerf);
            // a cut that begins in the kerf of another one, by a common line, has no lead
            assertThat(lead.isEmpty() || stock.covers(lead))
                    .as(name + " lies on the sheet")
                    .isTrue();
            assertApart(name + " and the edge", lead, List.of(stock.getBoundary()), kerf / 2);
            Geometry own = mains.get(stop.id());
            List<Geometry> others = mains.values().stream().filter(m -> m != own).toList();
            assertApart(name + " and another cut", lead, others, kerf);
            earlier.add(lead);
        }
    }

    private static void assertApart(
            String name, Geometry lead, Collection<Geometry> others, double least) {
        for (Geometry other : others) {
            if (!lead.isEmpty() && !other.isEmpty()) {
                assertThat(lead.distance(other)).as(name).isGreaterThan(least - SLACK);
            }
        }
    }

    @Property(tries = 6)
    void whatIsPlannedOnEqualsAWholeNewPlan(@ForAll long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        Reading reading = Crowds.crowd(random);
        SheetChoices sheet = Crowds.tight(random);
        SheetPlanner.Order order = new SheetPlanner.Order("mild steel", 6, 1 + random.nextInt(4));
        Machine machine = Samples.MACHINES.find(random.nextBoolean() ? "teasel" : "sorrel").get();
        SheetPlanner planner = new SheetPlanner(machine, (CutBook) Samples.MACHINES.book(machine));
        PlanChoices choices = Crowds.someByHand(reading, random);
        SheetPlan plan = planner.plan(reading, order, choices, sheet, Progress.NONE);
        RunMotion motion = RunMotion.of(plan.run());
        for (int edit = 0; edit < 4; edit++) {
            choices = edited(choices, plan, random);
            plan = planner.plan(reading, order, choices, sheet, plan, Progress.NONE);
            motion = motion.next(plan.run());
            Run whole = planner.plan(reading, order, choices, sheet);
            assertThat(plan.run().stops()).isEqualTo(whole.stops());
            assertThat(motion.timeline().program()).isEqualTo(new ProgramCompiler().compile(whole));
            assertThat(motion.timeline().total()).isEqualTo(RunMotion.of(whole).timeline().total());
        }
    }

    @Property(tries = 8)
    void theHeadIsNeverDownOverWhatHasComeFree(@ForAll long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        Reading reading = Crowds.crowd(random);
        Machine machine = Samples.MACHINES.find(random.nextBoolean() ? "teasel" : "yarrow").get();
        Run run =
                new SheetPlanner(machine, (CutBook) Samples.MACHINES.book(machine))
                        .plan(
                                reading,
                                new SheetPlanner.Order("mild steel", 4, 1 + random.nextInt(5)),
                                Crowds.someByHand(reading, random),
                                Crowds.tight(random));
        List<Geometry> free = new ArrayList<>();
        Point at = Point.ORIGIN;
        for (Stop stop : run.stops()) {
            if (stop.path().isEmpty()) {
                continue;
            }
            List<Point> way = SheetCut.of(stop).approach().way(at, stop.path().get().pierce());
            for (int leg = 1; SheetCut.of(stop).approach().low() && leg < way.size(); leg++) {
                Geometry line = line(List.of(new Line(way.get(leg - 1), way.get(leg))));
                for (Geometry piece : free) {
                    double over = line.intersection(piece).getLength();
                    assertThat(over).as("%s to %s".formatted(way, stop.id())).isLessThan(SLACK);
                }
            }
            if (stop.kind() == Stop.Kind.PROFILE && stop.tabs().isEmpty()) {
                free.add(piece(stop));
            }
            at = SheetCut.end(stop);
        }
    }

    private static PlanChoices edited(
            PlanChoices choices, SheetPlan plan, SplittableRandom random) {
        Stop stop = plan.run().stops().get(random.nextInt(plan.run().stops().size()));
        String key = random.nextBoolean() ? stop.id() : stop.feature();
        StopChoice now = choices.stops().getOrDefault(key, StopChoice.NOTHING);
        Typed number = Typed.of(1 + 40 * random.nextDouble());
        return choices.withStop(
                key,
                switch (random.nextInt(5)) {
                    case 0 -> now.withStart(number);
                    case 1 -> now.withLeadIn(new LeadChoice(LeadKind.LINE, number, null, null));
                    case 2 -> now.withTabs(TabChoice.NOTHING.withCount(Typed.of(2)));
                    case 3 -> now.withLeadOut(LeadChoice.NOTHING.withKind(LeadKind.LINE));
                    default -> StopChoice.NOTHING;
                });
    }

    /** What comes free with a stop, without its rim: there every way on begins. */
    private static Geometry piece(Stop stop) {
        Coordinate[] ring = line(stop.path().orElseThrow().main()).getCoordinates();
        ring[ring.length - 1] = ring[0];
        return JTS.createPolygon(ring).buffer(-2 * SLACK);
    }

    private static List<Geometry> kept(Reading reading, Run run) {
        List<Geometry> all = new ArrayList<>();
        for (Placement placement : run.layout().placements()) {
            for (Part part : reading.parts()) {
                all.add(Judge.flat(part.region().transformed(placement.transform()), 1e-4));
            }
        }
        return all;
    }

    private static Geometry line(List<Segment> segments) {
        List<Coordinate> places = new ArrayList<>();
        for (Segment segment : segments) {
            int steps = segment instanceof Line ? 1 : STEPS;
            for (int i = 0; i <= steps; i++) {
                Point p = segment.at((double) i / steps);
                places.add(new Coordinate(p.x(), p.y()));
            }
        }
        return JTS.createLineString(places.toArray(Coordinate[]::new));
    }

    private static Envelope envelope(Box box) {
        return new Envelope(box.min().x(), box.max().x(), box.min().y(), box.max().y());
    }
}
