package dev.oleander.bench;

import dev.oleander.dialect.CheckedWriter;
import dev.oleander.dialect.Dialect;
import dev.oleander.dialect.DialectLibrary;
import dev.oleander.dialect.DialectReader;
import dev.oleander.dialect.DialectWriter;
import dev.oleander.dialect.ReadBack;
import dev.oleander.dialect.Written;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.material.MaterialState;
import dev.oleander.material.Remains;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.Item;
import dev.oleander.motion.Origin;
import dev.oleander.motion.Program;
import dev.oleander.motion.TimeModel;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.Run;
import dev.oleander.proof.ProgramComparison;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;

/** Programs of a million blocks: timed, written, read back and compared. */
final class MotionArea implements Area {

    private static final int BLOCKS = 1_000_000;

    /** Moves of one stop. */
    private static final int MOVES = 96;

    private static final int RUNS = 7;

    /** Seconds. */
    private static final double TIMED = 0.5;

    private static final double WRITTEN = 1;
    private static final double READ = 2;
    private static final double MATERIAL = 3;

    /** Eleven contours each. */
    private static final int PLATES = 1819;

    private static final Map<String, String> FRAME =
            Map.of(
                    "number", "0001",
                    "job", "Bench",
                    "revision", "A",
                    "date", "2026-01-02",
                    "quantity", "1",
                    "material", "mild steel",
                    "thickness", "6",
                    "stockWidth", "3000",
                    "stockHeight", "1500");

    @Override
    public String name() {
        return "motion";
    }

    @Override
    public List<Row> measure() throws Exception {
        Program program = program();
        Dialect dialect = DialectLibrary.shipped().find("teasel").orElseThrow();
        TimeModel model = new TimeModel(MachineLibrary.shipped().find("teasel").orElseThrow());
        List<Row> rows = new ArrayList<>();
        rows.add(
                Row.below(
                        "time model of a million motions",
                        Timing.median(RUNS, () -> model.time(program)),
                        "s",
                        TIMED,
                        null));
        DialectWriter writer = new DialectWriter(dialect);
        rows.add(
                Row.below(
                        "a million blocks written",
                        Timing.median(RUNS, () -> writer.write(program, FRAME, Map.of())),
                        "s",
                        WRITTEN,
                        null));
        Written written = writer.write(program, FRAME, Map.of());
        String text = written.text();
        rows.add(
                Row.below(
                        "read back and compared",
                        Timing.median(RUNS, () -> compared(program, dialect, text)),
                        "s",
                        READ,
                        null));
        CheckedWriter.Checked checked = new CheckedWriter(dialect).write(program, FRAME, Map.of());
        rows.add(
                Row.below(
                        "its greatest deviation",
                        1000 * checked.deviation(),
                        "um",
                        1000 * checked.limit(),
                        null));
        rows.add(Row.below("faults found in it", checked.faults().size(), "", 0.0, null));
        material(rows);
        rows.addAll(FirstPicture.measure());
        return rows;
    }

    /** Which pieces come free and what becomes of them, and what is left of the drawing. */
    private static void material(List<Row> rows) {
        PlannedPlates planned = PlannedPlates.of(PLATES);
        Run run = planned.plan().run();
        Timeline timeline = planned.motion().timeline();
        String what = "material of %d contours: ".formatted(planned.contours());
        rows.add(
                Row.below(
                        what + "free pieces on their slats",
                        Timing.median(
                                RUNS, () -> MaterialState.of(planned.reading(), run, timeline)),
                        "s",
                        MATERIAL,
                        null));
        rows.add(
                Row.below(
                        what + "what is left",
                        Timing.median(RUNS, () -> Remains.of(planned.reading(), run)),
                        "s",
                        null,
                        null));
    }

    private static ProgramComparison.Result compared(
            Program program, Dialect dialect, String text) {
        ReadBack back = new DialectReader(dialect).read(text);
        return new ProgramComparison(dialect.resolution()).compare(program, back.program());
    }

    /** Lines and arcs of some mm in stops, with what belongs to each of them. */
    private static Program program() {
        SplittableRandom random = new SplittableRandom(11);
        List<Item> items = new ArrayList<>(BLOCKS);
        Point at = Point.ORIGIN;
        int stop = 0;
        items.add(
                new Item.Event(
                        EventKind.DATA,
                        Map.of("row", 1.0, "power", 4200.0, "pressure", 3.0),
                        Origin.FRAME));
        while (items.size() < BLOCKS - MOVES) {
            Origin origin = new Origin("c" + ++stop, 1, 0);
            Point to = new Point(3000 * random.nextDouble(), 1500 * random.nextDouble());
            items.add(new Item.Rapid(at, to, origin));
            at = to;
            items.add(new Item.Event(EventKind.HEAD_DOWN, Map.of(), origin));
            items.add(
                    new Item.Event(EventKind.PIERCE, Map.of("kind", 1.0, "seconds", 0.6), origin));
            for (int k = 0; k < MOVES; k++) {
                double size = 0.5 + 20 * random.nextDouble();
                Point end = at.plus(Point.polar(size, 2 * Math.PI * random.nextDouble()));
                Segment segment =
                        k % 3 == 0
                                ? new Arc(at, end, random.nextDouble() * 0.8 - 0.9)
                                : new Line(at, end);
                items.add(new Item.Feed(segment, 2700, true, origin));
                at = end;
            }
            items.add(new Item.Event(EventKind.PROCESS_OFF, Map.of(), origin));
            items.add(new Item.Event(EventKind.HEAD_UP, Map.of(), origin));
        }
        items.add(new Item.Event(EventKind.END, Map.of(), Origin.FRAME));
        return new Program(items);
    }
}
