package dev.oleander.work.router.proof;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.geometry.Point;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.Item;
import dev.oleander.motion.Pose;
import dev.oleander.motion.Program;
import dev.oleander.motion.Rise;
import dev.oleander.work.router.motion.MadeProgram;
import dev.oleander.work.router.tool.Tool;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Sound programs have no faults; one thing that is wrong in a program is found, and by its rule.
 */
class ProgramCheckTest {

    private static List<Fault> faults(MadeProgram made, Program program) {
        return ProgramCheck.faults(
                program,
                made.task().tools(),
                made.task().stock(),
                made.task().thickness(),
                MadeProgram.UNIT,
                made.task().round());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "instrument_panel",
                "hatch_boards",
                "sole_board",
                "jar_rack",
                "drain_board",
                "hatch_bevel",
                "name_board_star",
                "capstan_rim"
            })
    void soundProgramsHaveNoFaults(String name) {
        MadeProgram made = MadeProgram.of(name);
        assertThat(faults(made, made.program())).isEmpty();
    }

    private static Program changed(Program program, UnaryOperator<Item> how) {
        List<Item> items = new ArrayList<>();
        program.items().forEach(i -> items.add(how.apply(i)));
        return new Program(items);
    }

    private static void requireOnly(List<Fault> faults, String rule) {
        assertThat(faults).isNotEmpty().allMatch(f -> f.rule().equals(rule), rule);
    }

    @Test
    void aRapidMoveIntoTheWorkIsFound() {
        MadeProgram made = MadeProgram.of("hatch_boards");
        Program rapid =
                changed(
                        made.program(),
                        i ->
                                i instanceof Item.Rapid r && r.rise().to().z() == 2
                                        ? new Item.Rapid(r.from(), r.to(), to(r, -3), r.origin())
                                        : i);
        assertThat(faults(made, rapid))
                .anyMatch(
                        f ->
                                f.rule().equals("rapid")
                                        && f.sentence()
                                                .equals(
                                                        "A rapid move comes to -3 mm; 0 mm is left there."));
    }

    private static Rise to(Item item, double z) {
        return new Rise(item.rise().from(), new Pose(z, item.rise().to().turn()));
    }

    @Test
    void aTravelThroughTheWorkIsFound() {
        MadeProgram made = MadeProgram.of("hatch_boards");
        Program low =
                changed(
                        made.program(),
                        i ->
                                i instanceof Item.Rapid r && r.from().distance(r.to()) > 50
                                        ? new Item.Rapid(
                                                r.from(),
                                                r.to(),
                                                Rise.level(Pose.at(-1)),
                                                r.origin())
                                        : i);
        requireOnly(faults(made, low), "rapid");
    }

    @Test
    void aSteepWayDownIsFound() {
        MadeProgram made = MadeProgram.of("hatch_boards");
        Program steep =
                changed(
                        made.program(),
                        i ->
                                i instanceof Item.Feed f && f.rise().z() < 0
                                        ? new Item.Feed(
                                                f.segment(),
                                                to(f, f.rise().to().z() - f.segment().length()),
                                                f.feed(),
                                                f.on(),
                                                f.origin())
                                        : i);
        assertThat(faults(made, steep)).anyMatch(f -> f.rule().equals("entry"));
    }

    private static Program without(Program program, EventKind kind) {
        return new Program(
                program.items().stream()
                        .filter(i -> !(i instanceof Item.Event e && e.kind() == kind))
                        .toList());
    }

    @Test
    void aSpindleThatDoesNotTurnIsFound() {
        MadeProgram made = MadeProgram.of("hatch_boards");
        requireOnly(faults(made, without(made.program(), EventKind.SPINDLE_ON)), "spindle");
        Program fast =
                changed(
                        made.program(),
                        i ->
                                i instanceof Item.Event e && e.kind() == EventKind.SPINDLE_ON
                                        ? new Item.Event(
                                                e.kind(), Map.of("speed", 40_000.0), e.origin())
                                        : i);
        requireOnly(faults(made, fast), "spindle");
    }

    @Test
    void aToolThatThereIsNotIsFound() {
        MadeProgram made = MadeProgram.of("hatch_boards");
        Program other =
                changed(
                        made.program(),
                        i ->
                                i instanceof Item.Event e && e.kind() == EventKind.TOOL
                                        ? of(e, 77)
                                        : i);
        assertThat(faults(made, other))
                .anyMatch(
                        f ->
                                f.rule().equals("station")
                                        && f.sentence()
                                                .equals("Tool 77 is called; there is none."));
    }

    private static Item of(Item.Event event, double tool) {
        Map<String, Double> args = new HashMap<>(event.args());
        args.put("tool", tool);
        return new Item.Event(event.kind(), args, event.origin());
    }

    @Test
    void aTipInTheTableIsFound() {
        MadeProgram made = MadeProgram.of("hatch_boards");
        Program deep =
                changed(
                        made.program(),
                        i ->
                                i instanceof Item.Feed f && f.rise().to().z() < -18
                                        ? new Item.Feed(
                                                f.segment(),
                                                Rise.level(Pose.at(-20)),
                                                f.feed(),
                                                f.on(),
                                                f.origin())
                                        : i);
        assertThat(faults(made, deep)).anyMatch(f -> f.rule().equals("table"));
    }

    @Test
    void shortFlutesAreFound() {
        MadeProgram made = MadeProgram.of("hatch_boards");
        List<Tool> shorter =
                made.task().tools().stream()
                        .map(
                                t ->
                                        new Tool(
                                                t.number(),
                                                t.name(),
                                                t.form(),
                                                new Tool.Edges(2, 15, false, 0, 5, 0, 1),
                                                t.shank(),
                                                t.limits()))
                        .toList();
        List<Fault> faults =
                ProgramCheck.faults(
                        made.program(),
                        shorter,
                        made.task().stock(),
                        18,
                        MadeProgram.UNIT,
                        Optional.empty());
        requireOnly(faults, "flutes");
        assertThat(faults.get(0).limit()).isEqualTo(15);
    }

    @Test
    void aToolThatDoesNotCutInItsMiddleMayNotPlunge() {
        MadeProgram made = MadeProgram.of("jar_rack");
        List<Tool> blunt =
                made.task().tools().stream()
                        .map(
                                t ->
                                        new Tool(
                                                t.number(),
                                                t.name(),
                                                t.form(),
                                                new Tool.Edges(2, 30, false, 2, 5, 0, 1),
                                                t.shank(),
                                                t.limits()))
                        .toList();
        requireOnly(
                ProgramCheck.faults(
                        made.program(),
                        blunt,
                        made.task().stock(),
                        20,
                        MadeProgram.UNIT,
                        Optional.empty()),
                "entry");
    }

    @Test
    void workThatTurnsUnderTheToolIsFound() {
        MadeProgram made = MadeProgram.of("capstan_rim");
        Program down =
                changed(
                        made.program(),
                        i ->
                                i instanceof Item.Rapid r && r.rise().turn() != 0
                                        ? new Item.Rapid(
                                                r.from(),
                                                r.to(),
                                                new Rise(
                                                        new Pose(-1, r.rise().from().turn()),
                                                        new Pose(-1, r.rise().to().turn())),
                                                r.origin())
                                        : i);
        List<Fault> faults = faults(made, down);
        assertThat(faults).anyMatch(f -> f.rule().equals("turn"));
        assertThat(faults.get(0).place().distance(Point.ORIGIN)).isLessThan(1000);
    }
}
