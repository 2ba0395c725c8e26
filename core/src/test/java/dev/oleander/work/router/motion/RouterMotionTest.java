package dev.oleander.work.router.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Samples;
import dev.oleander.dialect.CheckedWriter;
import dev.oleander.dialect.Dialect;
import dev.oleander.dialect.DialectLibrary;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Point;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.Item;
import dev.oleander.motion.Program;
import dev.oleander.motion.TimeModel;
import dev.oleander.progress.Progress;
import dev.oleander.work.router.book.RouterBook;
import dev.oleander.work.router.book.RouterMachines;
import dev.oleander.work.router.book.RouterUnit;
import dev.oleander.work.router.plan.Conditions;
import dev.oleander.work.router.plan.RouterOrder;
import dev.oleander.work.router.plan.RouterPlanner;
import dev.oleander.work.router.plan.RouterRequests;
import dev.oleander.work.router.plan.RouterStop;
import dev.oleander.work.router.plan.RouterTask;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Programs of the router: joined, safe, written and read back as they are. */
class RouterMotionTest {

    private static final MachineLibrary LIBRARY = MachineLibrary.of(List.of(new RouterMachines()));
    private static final Machine HAZEL = LIBRARY.machines().get(0);
    private static final RouterUnit UNIT = RouterUnit.of(HAZEL);
    private static final RouterBook BOOK = (RouterBook) LIBRARY.book(HAZEL);
    private static final Dialect FORMAT = format();

    private static Dialect format() {
        try (InputStream in = RouterMachines.class.getResourceAsStream("hazel-format.yaml")) {
            return DialectLibrary.parse(
                    "hazel", new String(in.readAllBytes(), StandardCharsets.UTF_8));
        } catch (IOException unreadable) {
            throw new AssertionError(unreadable);
        }
    }

    private record Made(RouterTask task, List<RouterStop> stops, Program program) {

        static Made of(String name) {
            byte[] bytes = Samples.bytes("router/" + name + ".truth.json");
            JsonNode truth =
                    JsonMapper.shared().readTree(new String(bytes, StandardCharsets.UTF_8));
            Reading reading = Samples.reading("router/" + name);
            RouterTask task = RouterRequests.task(reading, truth.get("request"));
            List<RouterStop> stops = RouterPlanner.plan(task, Progress.NONE);
            String material = truth.at("/job/material").asString();
            Conditions conditions = new Conditions(task, BOOK, material, UNIT);
            assertThat(conditions.unknown(stops)).isEmpty();
            return new Made(task, stops, RouterMotion.of(stops, UNIT, conditions::of));
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "instrument_panel",
                "hatch_boards",
                "jar_rack",
                "drain_board",
                "hatch_bevel",
                "name_board_star",
                "capstan_rim"
            })
    void whatIsWrittenIsReadBackAsItIs(String name) {
        Made made = Made.of(name);
        requireJoined(made.program());
        Map<String, String> names =
                made.stops().stream().collect(Collectors.toMap(RouterStop::id, RouterStop::id));
        CheckedWriter.Checked checked =
                new CheckedWriter(FORMAT).write(made.program(), Samples.FRAME, names);
        assertThat(checked.faults()).as(name).isEmpty();
        assertThat(checked.deviation()).isLessThan(2e-3);
        assertThat(new TimeModel(HAZEL).time(made.program()).total()).isGreaterThan(10);
    }

    private static void requireJoined(Program program) {
        Point at = Point.ORIGIN;
        double z = 0;
        double turn = 0;
        for (Item item : program.items()) {
            if (item instanceof Item.Event) {
                continue;
            }
            Point from =
                    item instanceof Item.Rapid r
                            ? r.from()
                            : item instanceof Item.Feed f
                                    ? f.segment().start()
                                    : ((Item.Plunge) item).at();
            assertThat(from.distance(at)).isLessThan(1e-9);
            assertThat(item.rise().from().z()).isCloseTo(z, within(1e-9));
            assertThat(item.rise().from().turn()).isCloseTo(turn, within(1e-9));
            at = item instanceof Item.Rapid r ? r.to() : ((Item.AtFeed) item).end();
            z = item.rise().to().z();
            turn = item.rise().to().turn();
            if (item.rise().turn() != 0) {
                assertThat(z).as("the tool is up while the work turns").isGreaterThan(0);
            }
        }
    }

    @Test
    void toolsAreChangedAsOftenAsTheOrderSays() {
        Made made = Made.of("instrument_panel");
        long taken =
                made.program().items().stream()
                        .filter(i -> i instanceof Item.Event e && e.kind() == EventKind.TOOL)
                        .count();
        assertThat(taken).isEqualTo(1 + RouterOrder.toolChanges(made.stops()));
        List<Item.Event> spindle =
                made.program().items().stream()
                        .filter(i -> i instanceof Item.Event e && e.kind() == EventKind.SPINDLE_ON)
                        .map(i -> (Item.Event) i)
                        .toList();
        assertThat(spindle)
                .allSatisfy(e -> assertThat(e.args().get("speed")).isBetween(3000.0, 24000.0));
    }

    @Test
    void aWheelIsMetAtEveryAngleOnce() {
        Made made = Made.of("capstan_rim");
        List<Double> turns =
                made.program().items().stream()
                        .filter(i -> !(i instanceof Item.Event))
                        .map(i -> i.rise().to().turn())
                        .distinct()
                        .toList();
        assertThat(turns).hasSize(34);
        assertThat(turns.get(33)).isCloseTo(360 * 33 / 34.0, within(1e-9));
    }

    @Test
    void dataLieBetweenTwoDiametersOrAreRefused() {
        var tool = BOOK.tools().get(0);
        assertThat(BOOK.find(tool, "iroko").interpolated()).isFalse();
        assertThat(BOOK.row(tool, "granite")).isEmpty();
        assertThat(BOOK.steps(tool, "aluminium").down()).isCloseTo(3, within(1e-9));
        assertThat(BOOK.rows()).allSatisfy(r -> assertThat(r.chipMost()).isGreaterThan(r.chip()));
        assertThat(BOOK.form().write(BOOK.rows().get(0)).values()).hasSize(12);
    }
}
