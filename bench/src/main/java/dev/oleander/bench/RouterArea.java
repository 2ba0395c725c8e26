package dev.oleander.bench;

import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.axis.MiddleAxis;
import dev.oleander.plan.order.Heat;
import dev.oleander.plan.order.OrderOptimiser;
import dev.oleander.plan.order.OrderOptions;
import dev.oleander.plan.order.OrderProblem;
import dev.oleander.plan.order.TravelTime;
import dev.oleander.progress.Progress;
import dev.oleander.work.router.RouterRun;
import dev.oleander.work.router.operation.Depth;
import dev.oleander.work.router.operation.On;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.plan.RouterPlanner;
import dev.oleander.work.router.plan.RouterStop;
import dev.oleander.work.router.plan.RouterTask;
import dev.oleander.work.router.tool.CutSteps;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.tool.ToolKind;
import dev.oleander.work.router.way.Finish;
import dev.oleander.work.router.way.ToolWay;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.stream.IntStream;

/** Large pockets, many holes, carvings, and a whole sheet proved and played back. */
final class RouterArea implements Area {

    private static final int RUNS = 5;

    /** Seconds. */
    private static final double POCKET = 0.3;

    private static final double DRILLED = 2;
    private static final double AXIS = 2;
    private static final double PROVED = 5;
    private static final double MOMENT = 0.05;

    /** MB */
    private static final int MEMORY = 300;

    private static final int MEMORY_STEP = 25;

    private static final int MOVES = 100_000;
    private static final int MOMENTS = 60;

    /** Times that each moment is asked for, never twice in a row. */
    private static final int PASSES = 3;

    /** Cells along the sheet, as the page asks for at most. */
    private static final int CELLS = 600;

    /** Disturbances that take about a minute. */
    private static final int PATIENT = 200_000;

    private static final double NEARLY = 1.02;

    @Override
    public String name() {
        return "router";
    }

    @Override
    public List<Row> measure() throws Exception {
        List<Row> rows = new ArrayList<>();
        pocket(rows);
        holes(rows);
        List<Region> carved = RouterShapes.carved();
        rows.add(
                Row.below(
                        "middle axis of %d segments".formatted(segments(carved)),
                        Timing.median(RUNS, () -> MiddleAxis.of(carved)),
                        "s",
                        AXIS,
                        null));
        sheet(rows);
        return rows;
    }

    private static int segments(List<Region> regions) {
        return regions.stream()
                .flatMap(r -> r.contours().stream())
                .mapToInt(c -> c.segments().size())
                .sum();
    }

    // ---- a pocket

    private static void pocket(List<Row> rows) {
        RouterTask task = well();
        RouterStop stop = RouterPlanner.plan(task, Progress.NONE).get(0);
        String what = "pocket of %d segments: ".formatted(segments(stop.wanted().regions()));
        rows.add(
                Row.below(
                        what + "planned",
                        Timing.median(RUNS, () -> RouterPlanner.plan(task, Progress.NONE)),
                        "s",
                        POCKET,
                        null));
        rows.add(
                Row.below(
                        what + "left between its rounds",
                        stop.figures().between(),
                        "mm2",
                        0.02,
                        null));
    }

    private static RouterTask well() {
        Operation well =
                new Operation(
                        "well",
                        On.layer("WELL"),
                        Optional.of(1),
                        Optional.empty(),
                        new Operation.Clear(
                                Depth.of(4),
                                Operation.Steps.USUAL,
                                Optional.empty(),
                                Optional.empty(),
                                0,
                                Optional.of(On.layer("KEEP")),
                                Operation.Manner.PARALLEL,
                                Optional.empty(),
                                true,
                                Finish.NONE,
                                false));
        Box stock = Box.of(Point.ORIGIN, new Point(900, 700));
        return task(RouterShapes.pocket(), stock, mill(), well);
    }

    // ---- holes

    private static void holes(List<Row> rows) {
        List<Point> places = RouterShapes.holes();
        RouterTask task = drilling(places);
        List<RouterStop> done = RouterPlanner.plan(task, Progress.NONE);
        rows.add(
                Row.below(
                        places.size() + " holes planned",
                        Timing.median(3, () -> RouterPlanner.plan(task, Progress.NONE)),
                        "s",
                        DRILLED,
                        null));
        double ours = length(done.get(0).figures().visits());
        rows.add(
                Row.below(
                        "way between them against that of a minute",
                        ours / patient(places),
                        "",
                        NEARLY,
                        null));
    }

    private static RouterTask drilling(List<Point> places) {
        Operation holes =
                new Operation(
                        "holes",
                        On.layer("HOLE"),
                        Optional.of(1),
                        Optional.empty(),
                        new Operation.Drill(Depth.of(10), List.of(), Optional.empty(), true));
        return task(
                RouterShapes.holed(places),
                Box.of(Point.ORIGIN, new Point(2500, 1610)),
                drill(),
                holes);
    }

    private static RouterTask task(Reading reading, Box stock, Tool tool, Operation operation) {
        return new RouterTask(
                reading,
                stock,
                18,
                RouterTask.USUAL_OVER_CUT,
                ToolWay.Heights.USUAL,
                Optional.empty(),
                List.of(tool),
                CutSteps::usual,
                List.of(operation));
    }

    private static Tool mill() {
        return tool(new Tool.Form(ToolKind.STRAIGHT, 6, 0, 0, 0, 0), 6);
    }

    private static Tool drill() {
        return tool(new Tool.Form(ToolKind.DRILL, 5, 0, 180, 0, 0), 5);
    }

    private static Tool tool(Tool.Form form, double shank) {
        return new Tool(
                1,
                "",
                form,
                new Tool.Edges(2, 40, true, 0, 5, 0, 1),
                new Tool.Shank(shank, 50, true),
                new Tool.Limits(1000, 24000, 0));
    }

    private static double patient(List<Point> places) {
        List<OrderProblem.Visit> visits =
                places.stream().map(p -> new OrderProblem.Visit(p, p, 0, 0, List.of())).toList();
        OrderProblem problem =
                new OrderProblem(Point.ORIGIN, visits, TravelTime.byLength(), Heat.NONE);
        int[] first = IntStream.range(0, places.size()).toArray();
        int[] order =
                new OrderOptimiser(new OrderOptions(PATIENT, 1, 0))
                        .improve(problem, first, Progress.NONE);
        return length(IntStream.of(order).mapToObj(places::get).toList());
    }

    private static double length(List<Point> way) {
        double length = 0;
        for (int i = 1; i < way.size(); i++) {
            length += way.get(i - 1).distance(way.get(i));
        }
        return length;
    }

    // ---- a whole sheet

    private static void sheet(List<Row> rows) throws Exception {
        RouterRun run = RoutedSheet.planned();
        String what = "sheet of %d moves: ".formatted(run.program().size());
        if (run.program().size() < MOVES) {
            throw new IllegalStateException(what + "too few");
        }
        // each time anew: a run keeps what was computed for it
        double[] seconds = new double[3];
        for (int i = 0; i < seconds.length; i++) {
            RouterRun fresh = RoutedSheet.planned();
            seconds[i] = once(() -> RoutedSheet.proved(fresh));
        }
        rows.add(Row.below(what + "proved", middle(seconds), "s", PROVED, null));
        rows.add(
                Row.below(
                        what + "memory to plan and prove it",
                        RoutedSheet.leastMemory(MEMORY_STEP, 4 * MEMORY),
                        "MB",
                        (double) MEMORY,
                        null));
        moments(rows, run, what);
    }

    private static void moments(List<Row> rows, RouterRun run, String what) {
        double total = run.timeline(Progress.NONE).total();
        double first = once(() -> heights(run, total / 2));
        rows.add(Row.below(what + "its first picture", first, "s", null, null));
        heights(run, total);
        double[] moments = new SplittableRandom(5).doubles(MOMENTS, 0, total).toArray();
        double[][] seconds = new double[MOMENTS][PASSES];
        for (int pass = 0; pass < PASSES; pass++) {
            for (int i = 0; i < MOMENTS; i++) {
                double moment = moments[i];
                seconds[i][pass] = once(() -> heights(run, moment));
            }
        }
        double slowest = Arrays.stream(seconds).mapToDouble(RouterArea::middle).max().orElseThrow();
        rows.add(Row.below(what + "slowest of any moment", slowest, "s", MOMENT, null));
    }

    private static double middle(double[] seconds) {
        Arrays.sort(seconds);
        return seconds[seconds.length / 2];
    }

    private static double once(Runnable work) {
        return Timing.median(1, work);
    }

    private static float[] heights(RouterRun run, double seconds) {
        return run.heights(RoutedSheet.STOCK, CELLS, CELLS / 2, Optional.of(seconds));
    }
}
