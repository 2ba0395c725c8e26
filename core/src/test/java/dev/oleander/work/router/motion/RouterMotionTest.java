package dev.oleander.work.router.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Samples;
import dev.oleander.dialect.CheckedWriter;
import dev.oleander.dialect.Dialect;
import dev.oleander.dialect.DialectLibrary;
import dev.oleander.geometry.Point;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.Item;
import dev.oleander.motion.Program;
import dev.oleander.motion.TimeModel;
import dev.oleander.work.router.book.RouterMachines;
import dev.oleander.work.router.plan.RouterOrder;
import dev.oleander.work.router.plan.RouterStop;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Programs of the router: joined, safe, written and read back as they are. */
class RouterMotionTest {

    private static final Dialect FORMAT = format();

    private static Dialect format() {
        try (InputStream in = RouterMachines.class.getResourceAsStream("hazel-format.yaml")) {
            return DialectLibrary.parse(
                    "hazel", new String(in.readAllBytes(), StandardCharsets.UTF_8));
        } catch (IOException unreadable) {
            throw new AssertionError(unreadable);
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
        MadeProgram made = MadeProgram.of(name);
        requireJoined(made.program());
        Map<String, String> names =
                made.stops().stream().collect(Collectors.toMap(RouterStop::id, RouterStop::id));
        CheckedWriter.Checked checked =
                new CheckedWriter(FORMAT).write(made.program(), Samples.FRAME, names);
        assertThat(checked.faults()).as(name).isEmpty();
        assertThat(checked.deviation()).isLessThan(2e-3);
        assertThat(new TimeModel(MadeProgram.HAZEL).time(made.program()).total()).isGreaterThan(10);
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
        MadeProgram made = MadeProgram.of("instrument_panel");
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
        MadeProgram made = MadeProgram.of("capstan_rim");
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
        var tool = MadeProgram.BOOK.tools().get(0);
        assertThat(MadeProgram.BOOK.find(tool, "iroko").interpolated()).isFalse();
        assertThat(MadeProgram.BOOK.row(tool, "granite")).isEmpty();
        assertThat(MadeProgram.BOOK.steps(tool, "aluminium").down()).isCloseTo(3, within(1e-9));
        assertThat(MadeProgram.BOOK.rows())
                .allSatisfy(r -> assertThat(r.chipMost()).isGreaterThan(r.chip()));
        assertThat(MadeProgram.BOOK.form().write(MadeProgram.BOOK.rows().get(0)).values())
                .hasSize(12);
    }
}
