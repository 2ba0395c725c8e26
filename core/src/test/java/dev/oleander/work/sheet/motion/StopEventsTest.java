package dev.oleander.work.sheet.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Samples;
import dev.oleander.dialect.CheckedWriter;
import dev.oleander.dialect.Dialect;
import dev.oleander.dialect.DialectLibrary;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Point;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.Item;
import dev.oleander.motion.MotionJson;
import dev.oleander.motion.Origin;
import dev.oleander.motion.Program;
import dev.oleander.motion.Seconds;
import dev.oleander.plan.Run;
import dev.oleander.plan.RunChoices;
import dev.oleander.plan.StopEvent;
import dev.oleander.plan.StopEvent.Kind;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.plan.stop.Stop;
import dev.oleander.progress.Progress;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.cut.SheetCut;
import dev.oleander.work.sheet.plan.SheetPlan;
import dev.oleander.work.sheet.plan.SheetPlanner;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What happens at stops besides their cuts: in motion, time, text, and when it is edited. */
class StopEventsTest {

    private static final Reading PLATE = Samples.reading("cleat_backing_plate");
    private static final SheetPlanner.Order ORDER = new SheetPlanner.Order("mild steel", 6, 2);
    private static final SheetPlanner PLANNER = new SheetPlanner(Samples.TEASEL, Samples.BOOK);

    private static final StopEvent TURN = new StopEvent(Kind.STOP, true, 90, "Turn the plate");
    private static final StopEvent LOOK = new StopEvent(Kind.OPTIONAL_STOP, false, 30, "Look");
    private static final StopEvent COOL = new StopEvent(Kind.DWELL, false, 2.5, "");
    private static final StopEvent SAY = new StopEvent(Kind.COMMENT, true, 0, "Ø (second) side");

    private static Run run(PlanChoices choices) {
        return PLANNER.plan(PLATE, ORDER, choices, SheetChoices.defaults());
    }

    private static List<Item> of(Run run, Stop stop) {
        return new ProgramCompiler()
                .compile(run).items().stream()
                        .filter(i -> i.origin().stop().equals(stop.id()))
                        .toList();
    }

    private static List<EventKind> kinds(List<Item> items) {
        return items.stream()
                .filter(Item.Event.class::isInstance)
                .map(i -> ((Item.Event) i).kind())
                .toList();
    }

    private static PlanChoices with(String key, List<StopEvent> events) {
        return PlanChoices.defaults().withRun(RunChoices.USUAL.withEvents(key, events));
    }

    @Test
    void theyStandBeforeAndAfterTheCutAndPeopleComeToALiftedHead() {
        Run plain = run(PlanChoices.defaults());
        Stop stop = plain.stops().get(2);
        assertThat(SheetCut.of(stop).approach().low())
                .as("comes low when nothing stops it")
                .isTrue();
        Run run = run(with(stop.id(), List.of(TURN, LOOK, COOL, SAY)));
        assertThat(kinds(of(run, stop)))
                .containsExactly(
                        EventKind.STOP,
                        EventKind.COMMENT,
                        EventKind.HEAD_DOWN,
                        EventKind.PIERCE,
                        EventKind.PROCESS_OFF,
                        EventKind.HEAD_UP,
                        EventKind.OPTIONAL_STOP,
                        EventKind.DWELL);
        List<EventKind> all = kinds(new ProgramCompiler().compile(run).items());
        assertThat(all.get(all.indexOf(EventKind.STOP) - 1)).isEqualTo(EventKind.HEAD_UP);
    }

    @Test
    void whatIsSaidOfAFeatureHappensOnEveryCopy() {
        Run run = run(with("c1", List.of(TURN)));
        assertThat(run.stops().stream().filter(s -> !run.eventsOf(s).isEmpty()))
                .extracting(Stop::id)
                .containsExactlyInAnyOrder("c1.1", "c1.2");
        assertThat(RunMotion.of(run).timeline().seconds().people()).isEqualTo(180);
    }

    @Test
    void theirTimesAreThoseOfPeopleAndOfWaiting() {
        Seconds plain = RunMotion.of(run(PlanChoices.defaults())).timeline().seconds();
        Run run = run(with("c1.1", List.of(TURN, LOOK, COOL, SAY)));
        Seconds with = RunMotion.of(run).timeline().seconds();
        assertThat(with.people()).isEqualTo(120);
        assertThat(with.piercing()).isCloseTo(plain.piercing() + 2.5, within(1e-9));
        assertThat(with.cutting()).isCloseTo(plain.cutting(), within(1e-9));
    }

    @Test
    void everyFormatWritesThemAndReadsThemBack() {
        Run run = run(with("c1.1", List.of(TURN, LOOK, COOL, SAY)));
        Program program = new ProgramCompiler().compile(run);
        List<Dialect> formats =
                DialectLibrary.shipped().all().stream()
                        // the pressure of a pump has no decimals there
                        .filter(d -> !d.name().equals("yarrow"))
                        .toList();
        for (Dialect dialect : formats) {
            CheckedWriter.Checked checked =
                    new CheckedWriter(dialect).write(program, Samples.FRAME, Map.of());
            assertThat(checked.faults()).as(dialect.name()).isEmpty();
        }
        List<String> lines =
                new CheckedWriter(Samples.DIALECT)
                        .write(program, Samples.FRAME, Map.of())
                        .written()
                        .lines();
        assertThat(lines)
                .anyMatch(l -> l.endsWith(" M0 (Turn the plate)"))
                .anyMatch(l -> l.endsWith(" M1 (Look)"))
                .anyMatch(l -> l.endsWith(" G4 P2.5"))
                .anyMatch(l -> l.endsWith(" (D second side)"));
    }

    @Test
    void anEditOfThemTimesOnlyWhatItTouches() {
        PlanChoices before = PlanChoices.defaults();
        SheetPlan plan = PLANNER.plan(PLATE, ORDER, before, SheetChoices.defaults(), Progress.NONE);
        RunMotion motion = RunMotion.of(plan.run());
        for (PlanChoices after :
                List.of(
                        before.withRun(before.run().withEvents("c1.2", List.of(TURN))),
                        before.withRun(before.run().withEvents("c1", List.of(COOL))),
                        before)) {
            plan = PLANNER.plan(PLATE, ORDER, after, SheetChoices.defaults(), plan, Progress.NONE);
            motion = motion.next(plan.run());
            assertThat(motion.timeline().program())
                    .isEqualTo(new ProgramCompiler().compile(run(after)));
        }
    }

    @Test
    void anotherGasOrConditionIsChosenForTheStopAndTheNextOneTakesItsOwnAgain() {
        StopEvent gas = new StopEvent(Kind.GAS, true, 12.5, "nitrogen");
        StopEvent condition = new StopEvent(Kind.CONDITION, true, 7, "");
        Run plain = run(PlanChoices.defaults());
        Stop stop = plain.stops().get(2);
        Stop next = plain.stops().get(3);
        assertThat(kinds(of(plain, next))).doesNotContain(EventKind.DATA);
        Run run = run(with(stop.id(), List.of(gas, condition)));
        assertThat(kinds(of(run, stop)).subList(0, 2))
                .containsExactly(EventKind.GAS, EventKind.CONDITION);
        assertThat(kinds(of(run, next))).startsWith(EventKind.DATA);
        Item.Event first = (Item.Event) of(run, stop).get(0);
        assertThat(first.args()).isEqualTo(Map.of("gas", 2.0, "pressure", 12.5));
        Program program = new ProgramCompiler().compile(run);
        assertThat(new CheckedWriter(Samples.DIALECT).write(program, Samples.FRAME, Map.of()))
                .satisfies(c -> assertThat(c.faults()).isEmpty())
                .satisfies(
                        c ->
                                assertThat(c.written().lines())
                                        .anyMatch(l -> l.endsWith(" M26 K2 Q12.5"))
                                        .anyMatch(l -> l.endsWith(" T7")));
    }

    @Test
    void programsSurviveAsJson() throws IOException {
        Run run = run(with("c1.1", List.of(TURN, COOL, SAY)));
        List<Item> items = new ArrayList<>(new ProgramCompiler().compile(run).items());
        Point at = new Point(3, 4);
        items.add(new Item.Rapid(endOf(items), at, Origin.FRAME));
        Item.Way lower = new Item.Way(at, at);
        Item.Way upper = new Item.Way(at, new Point(3.5, 4));
        items.add(new Item.TwoPlane(lower, upper, 2, true, Origin.FRAME));
        Program program = new Program(items);
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        MotionJson.write(program, bytes);
        assertThat(MotionJson.read(new ByteArrayInputStream(bytes.toByteArray())))
                .isEqualTo(program);
    }

    private static Point endOf(List<Item> items) {
        Point at = Point.ORIGIN;
        for (Item item : items) {
            at = item instanceof Item.Rapid rapid ? rapid.to() : at;
            at = item instanceof Item.AtFeed feed ? feed.end() : at;
        }
        return at;
    }
}
