package dev.oleander.bench;

import dev.oleander.dialect.CheckedWriter;
import dev.oleander.dialect.Dialect;
import dev.oleander.dialect.DialectLibrary;
import dev.oleander.dialect.DialectReader;
import dev.oleander.drawing.ImportOptions;
import dev.oleander.drawing.dxf.DxfReader;
import dev.oleander.drawing.read.DrawingReading;
import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.ReadOptions;
import dev.oleander.drawing.read.Reading;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.motion.TimeModel;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.progress.Progress;
import dev.oleander.proof.Proof;
import dev.oleander.proof.Prover;
import dev.oleander.quantity.Typed;
import dev.oleander.work.wire.book.WireBook;
import dev.oleander.work.wire.choice.Matching;
import dev.oleander.work.wire.choice.SlugChoice;
import dev.oleander.work.wire.choice.SlugHandling;
import dev.oleander.work.wire.choice.UpperChoice;
import dev.oleander.work.wire.choice.WireChoice;
import dev.oleander.work.wire.choice.WireChoices;
import dev.oleander.work.wire.cut.WireTask;
import dev.oleander.work.wire.motion.WireMotion;
import dev.oleander.work.wire.plan.WirePlan;
import dev.oleander.work.wire.plan.WirePlanner;
import dev.oleander.work.wire.proof.WireProof;
import dev.oleander.work.wire.proof.WireReplay;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** Plates with many openings for the wire, and pairs of long contours. */
final class WireArea implements Area {

    private static final int OPENINGS = 400;
    private static final int SEGMENTS = 5_000;
    private static final int RUNS = 3;

    /** Seconds. */
    private static final double PLATE = 5;

    private static final double PAIR = 1;

    private static final Machine BRACKEN = MachineLibrary.shipped().find("bracken").orElseThrow();
    private static final Prover PROVER = Prover.withAllRules();
    private static final Dialect DIALECT = DialectLibrary.shipped().find("bracken").orElseThrow();

    private static final Map<String, String> FRAME =
            Map.of(
                    "job",
                    "bench",
                    "revision",
                    "A",
                    "date",
                    "2026-01-01",
                    "material",
                    "tool steel",
                    "thickness",
                    "20");

    @Override
    public String name() {
        return "wire";
    }

    /** A job from its plan to its program read back. */
    private record Done(
            WirePlan plan, Proof proof, CheckedWriter.Checked checked, WireReplay.Result replay) {}

    @Override
    public List<Row> measure() {
        List<Row> rows = new ArrayList<>();
        Reading plate = plate();
        long began = System.nanoTime();
        Done first = done(plate, WireChoices.NOTHING);
        double cold = (System.nanoTime() - began) / 1e9;
        String what = "%d openings with 4 passes".formatted(OPENINGS);
        rows.add(
                Row.below(
                        what + " planned, proved, posted: first of a process",
                        cold,
                        "s",
                        null,
                        null));
        rows.add(
                Row.below(
                        what + " planned, proved, posted",
                        Timing.median(RUNS, () -> done(plate, WireChoices.NOTHING)),
                        "s",
                        PLATE,
                        null));
        rows.add(Row.below("stops refused", first.plan().run().refused().size(), "", 0.0, null));
        rows.add(
                Row.below(
                        "findings that stand against it",
                        first.proof().open().size(),
                        "",
                        0.0,
                        null));
        rows.add(Row.below("faults of the text", first.checked().faults().size(), "", 0.0, null));
        rows.add(
                Row.below(
                        "greatest deviation of the wire, controller against plan",
                        1000 * first.replay().deviation(),
                        "um",
                        1.0,
                        null));
        Reading pair = pair();
        WireChoices both = paired(pair);
        WirePlan planned = plan(pair, both);
        rows.add(
                Row.below(
                        "pair of contours refused", planned.run().refused().size(), "", 0.0, null));
        rows.add(
                Row.below(
                        "two contours of %d segments matched and checked".formatted(SEGMENTS),
                        Timing.median(RUNS, () -> plan(pair, both)),
                        "s",
                        PAIR,
                        null));
        return rows;
    }

    private static Done done(Reading reading, WireChoices choices) {
        WirePlan plan = plan(reading, choices);
        WireMotion motion = WireMotion.of(plan);
        Timeline timeline = new TimeModel(BRACKEN).time(motion.wire());
        Proof proof = PROVER.prove(WireProof.input(reading, plan, timeline), Map.of());
        CheckedWriter.Checked checked =
                new CheckedWriter(DIALECT).write(motion.posted(), FRAME, Map.of());
        WireReplay.Result replay =
                WireReplay.compare(
                        motion.wire(),
                        new DialectReader(DIALECT).read(checked.written().text()).program(),
                        plan.registers(),
                        plan.task().height());
        return new Done(plan, proof, checked, replay);
    }

    private static WirePlan plan(Reading reading, WireChoices choices) {
        WireTask task =
                new WireTask(
                        BRACKEN,
                        (WireBook) MachineLibrary.shipped().book(BRACKEN),
                        "tool steel",
                        20,
                        1,
                        7700);
        SheetChoices sheet =
                SheetChoices.defaults()
                        .withStock(
                                new SheetChoices.Stock(
                                        true, Typed.of(1), Typed.of(1), Typed.of(10)));
        return new WirePlanner(task, choices).plan(reading, sheet, Progress.NONE);
    }

    // ---- drawings

    /** Rounded rectangles in rows of twenty in a plate. */
    private static Reading plate() {
        StringBuilder dxf = new StringBuilder();
        double b = Math.tan(Math.PI / 8);
        polyline(dxf, new double[][] {{0, 0, 0}, {470, 0, 0}, {470, 320, 0}, {0, 320, 0}});
        for (int i = 0; i < OPENINGS; i++) {
            double x = 10 + i % 20 * 23;
            double y = 8 + i / 20 * 15.5;
            double w = 15 + i % 3;
            double h = 8 + i % 2;
            polyline(
                    dxf,
                    new double[][] {
                        {x + 1, y, 0}, {x + w - 1, y, b}, {x + w, y + 1, 0}, {x + w, y + h - 1, b},
                        {x + w - 1, y + h, 0}, {x + 1, y + h, b}, {x, y + h - 1, 0}, {x, y + 1, b}
                    });
        }
        return read(dxf);
    }

    /** Two waved discs, the upper one smaller. */
    private static Reading pair() {
        StringBuilder dxf = new StringBuilder();
        polyline(dxf, waved(60, 1.5));
        polyline(dxf, waved(58, 1));
        return read(dxf);
    }

    private static double[][] waved(double radius, double wave) {
        double[][] points = new double[SEGMENTS][];
        for (int i = 0; i < SEGMENTS; i++) {
            double angle = 2 * Math.PI * i / SEGMENTS;
            double r = radius + wave * Math.cos(9 * angle);
            points[i] = new double[] {r * Math.cos(angle), r * Math.sin(angle), 0};
        }
        return points;
    }

    private static WireChoices paired(Reading reading) {
        List<Feature> discs =
                reading.features().stream()
                        .sorted((a, b) -> Double.compare(b.area(), a.area()))
                        .toList();
        UpperChoice upper = new UpperChoice(discs.get(1).id(), Matching.LENGTH, List.of(), null);
        WireChoice choice =
                WireChoice.NOTHING
                        .withUpper(upper)
                        .withSlug(SlugChoice.NOTHING.withHandling(SlugHandling.DROP));
        return WireChoices.NOTHING.withStop(discs.get(0).id(), choice);
    }

    private static Reading read(StringBuilder entities) {
        String text =
                "0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n4\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n"
                        + entities
                        + "0\nENDSEC\n0\nEOF\n";
        byte[] file = text.getBytes(StandardCharsets.UTF_8);
        return new DrawingReading(ReadOptions.defaults())
                .read(new DxfReader(ImportOptions.defaults()).read("wire", file));
    }

    private static void polyline(StringBuilder dxf, double[][] points) {
        dxf.append("0\nLWPOLYLINE\n8\nCUT\n90\n").append(points.length).append("\n70\n1\n");
        for (double[] p : points) {
            dxf.append(
                    String.format(
                            Locale.ROOT, "10\n%.9f\n20\n%.9f\n42\n%.15f\n", p[0], p[1], p[2]));
        }
    }
}
