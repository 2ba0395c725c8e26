package dev.oleander.bench;

import dev.oleander.drawing.ImportOptions;
import dev.oleander.drawing.file.DrawingFiles;
import dev.oleander.drawing.read.DrawingReading;
import dev.oleander.drawing.read.ReadOptions;
import dev.oleander.drawing.read.Reading;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.progress.Progress;
import dev.oleander.proof.Prover;
import dev.oleander.work.sheet.book.CutBook;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.motion.RunMotion;
import dev.oleander.work.sheet.plan.SheetPlan;
import dev.oleander.work.sheet.plan.SheetPlanner;
import dev.oleander.work.sheet.proof.SheetProof;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** Single parts with very many lines or holes: how long their plans and proofs take. */
final class DenseParts {

    private static final int LINES = 10_000;
    private static final int COLUMNS = 48;
    private static final int ROWS = 38;
    private static final double PITCH = 20;
    private static final int RUNS = 7;

    /** Seconds. */
    private static final double LIMIT = 1;

    private static final MachineLibrary MACHINES = MachineLibrary.shipped();
    private static final Machine TEASEL = MACHINES.find("teasel").orElseThrow();

    private DenseParts() {}

    static List<Row> measure() {
        Reading saw = read(saw());
        SheetPlan plan = plan(saw);
        var timeline = RunMotion.of(plan.run()).timeline();
        Prover prover = Prover.withAllRules();
        double proved =
                Timing.median(
                        RUNS,
                        () -> prover.prove(SheetProof.input(saw, plan.run(), timeline), Map.of()));
        Reading sieve = read(sieve());
        double planned = Timing.median(RUNS, () -> plan(sieve));
        return List.of(
                Row.below(
                        "proof of a contour of %,d short lines".formatted(LINES),
                        proved,
                        "s",
                        LIMIT,
                        null),
                Row.below(
                        "plan of a plate with %,d holes".formatted(COLUMNS * ROWS),
                        planned,
                        "s",
                        LIMIT,
                        null));
    }

    private static Reading read(String svg) {
        return new DrawingReading(ReadOptions.defaults())
                .read(
                        new DrawingFiles(ImportOptions.defaults())
                                .read("part.svg", svg.getBytes(StandardCharsets.UTF_8)));
    }

    private static SheetPlan plan(Reading reading) {
        return new SheetPlanner(TEASEL, (CutBook) MACHINES.book(TEASEL))
                .plan(
                        reading,
                        new SheetPlanner.Order("mild steel", 3, 1),
                        PlanChoices.defaults(),
                        SheetChoices.defaults(),
                        Progress.NONE);
    }

    /** A wavy disc with a fine tooth at every other point. */
    private static String saw() {
        StringBuilder path = new StringBuilder();
        for (int i = 0; i < LINES; i++) {
            double t = 2 * Math.PI * i / LINES;
            double r = 300 + 20 * Math.sin(40 * t) + 0.3 * (i % 2);
            path.append(
                    String.format(
                            Locale.ROOT,
                            "%s%.5f %.5f",
                            i == 0 ? "M" : "L",
                            400 + r * Math.cos(t),
                            400 + r * Math.sin(t)));
        }
        return svg("<path d='" + path + "Z'/>");
    }

    private static String sieve() {
        StringBuilder shapes = new StringBuilder("<rect width='980' height='780'/>");
        for (int i = 0; i < COLUMNS; i++) {
            for (int j = 0; j < ROWS; j++) {
                shapes.append(
                        String.format(
                                Locale.ROOT,
                                "<circle cx='%.1f' cy='%.1f' r='4'/>",
                                PITCH * (i + 1),
                                PITCH * (j + 1)));
            }
        }
        return svg(shapes.toString());
    }

    private static String svg(String content) {
        return "<svg xmlns='http://www.w3.org/2000/svg' width='1000mm' height='800mm' viewBox='0 0 1000 800'>"
                + content
                + "</svg>";
    }
}
