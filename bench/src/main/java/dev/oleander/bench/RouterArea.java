package dev.oleander.bench;

import dev.oleander.drawing.ImportOptions;
import dev.oleander.drawing.file.DrawingFiles;
import dev.oleander.drawing.read.DrawingReading;
import dev.oleander.drawing.read.ReadOptions;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.Transform;
import dev.oleander.geometry.axis.MiddleAxis;
import dev.oleander.plan.order.Heat;
import dev.oleander.plan.order.OrderOptimiser;
import dev.oleander.plan.order.OrderOptions;
import dev.oleander.plan.order.OrderProblem;
import dev.oleander.plan.order.TravelTime;
import dev.oleander.progress.Progress;
import dev.oleander.quantity.LengthUnit;
import dev.oleander.work.router.operation.Depth;
import dev.oleander.work.router.operation.On;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.plan.RouterPlanner;
import dev.oleander.work.router.plan.RouterStop;
import dev.oleander.work.router.plan.RouterTask;
import dev.oleander.work.router.pocket.Reach;
import dev.oleander.work.router.tool.CutSteps;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.tool.ToolKind;
import dev.oleander.work.router.way.Descent;
import dev.oleander.work.router.way.PocketWay;
import dev.oleander.work.router.way.ToolWay;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.stream.IntStream;

/** Large pockets, many holes, carvings. */
final class RouterArea implements Area {

    private static final int RUNS = 5;
    private static final int SEGMENTS = 2_000;
    private static final int ISLANDS = 30;
    private static final int SIDES = 20;
    private static final int HOLES = 10_000;
    private static final int CARVED = 200;

    /** Seconds. */
    private static final double POCKET = 0.3;

    private static final double DRILLED = 2;
    private static final double AXIS = 2;

    /** Disturbances that take about a minute. */
    private static final int PATIENT = 200_000;

    private static final double NEARLY = 1.02;

    @Override
    public String name() {
        return "router";
    }

    @Override
    public List<Row> measure() {
        List<Row> rows = new ArrayList<>();
        Region pocket = pocket();
        rows.add(
                Row.below(
                        "pocket of %d segments with %d islands"
                                .formatted(segments(pocket), ISLANDS),
                        Timing.median(RUNS, () -> cleared(pocket)),
                        "s",
                        POCKET,
                        null));
        rows.add(Row.below("left between its rounds", cleared(pocket), "mm2", 0.02, null));
        holes(rows);
        List<Region> carved = carved();
        rows.add(
                Row.below(
                        "middle axis of %d segments"
                                .formatted(carved.stream().mapToInt(RouterArea::segments).sum()),
                        Timing.median(RUNS, () -> MiddleAxis.of(carved)),
                        "s",
                        AXIS,
                        null));
        return rows;
    }

    private static int segments(Region region) {
        return region.contours().stream().mapToInt(c -> c.segments().size()).sum();
    }

    // ---- a pocket

    private static Region pocket() {
        Contour outer = BenchShapes.ring(SEGMENTS - ISLANDS * SIDES).turning(true);
        List<Contour> islands = new ArrayList<>();
        for (int i = 0; i < ISLANDS; i++) {
            Point at = Point.polar(20 + 15.0 * (i % 6), 2 * Math.PI * i / ISLANDS);
            islands.add(disc(at, 2.5).turning(false));
        }
        return new Region(outer, islands);
    }

    private static Contour disc(Point centre, double radius) {
        List<Segment> arcs = new ArrayList<>();
        for (int i = 0; i < SIDES; i++) {
            Point from = centre.plus(Point.polar(radius, 2 * Math.PI * i / SIDES));
            Point to = centre.plus(Point.polar(radius, 2 * Math.PI * ((i + 1) % SIDES) / SIDES));
            arcs.add(new Arc(from, to, Math.tan(Math.PI / SIDES / 2)));
        }
        return new Contour(arcs);
    }

    /** What is left of it, mm2. */
    private static double cleared(Region pocket) {
        Reach reach = Reach.of(List.of(pocket), 3);
        PocketWay way = new PocketWay(reach, 0, 2.7, true, Descent.at(Math.toRadians(5), 3));
        if (!way.add(new ToolWay(ToolWay.Heights.USUAL), List.of(4.0), 0)) {
            throw new IllegalStateException("the tool finds no way down");
        }
        return way.leftArea();
    }

    // ---- holes

    private static void holes(List<Row> rows) {
        List<Point> places = places();
        RouterTask task = drilling(places);
        List<RouterStop> done = RouterPlanner.plan(task, Progress.NONE);
        rows.add(
                Row.below(
                        HOLES + " holes planned",
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

    private static List<Point> places() {
        SplittableRandom random = new SplittableRandom(3);
        List<Point> places = new ArrayList<>();
        for (int i = 0; i < HOLES; i++) {
            // one in each cell, so that none overlap
            double x = 10 + 24 * (i % 100) + 16 * random.nextDouble();
            double y = 10 + 12 * (i / 100) + 6 * random.nextDouble();
            places.add(new Point(x, y));
        }
        return places;
    }

    private static RouterTask drilling(List<Point> places) {
        StringBuilder dxf = new StringBuilder("0\nSECTION\n2\nENTITIES\n");
        places.forEach(
                p ->
                        dxf.append(
                                String.format(
                                        Locale.ROOT,
                                        "0\nCIRCLE\n8\nHOLE\n10\n%.3f\n20\n%.3f\n40\n2.5\n",
                                        p.x(),
                                        p.y())));
        dxf.append("0\nENDSEC\n0\nEOF\n");
        ImportOptions options = ImportOptions.defaults().withUnit(LengthUnit.MILLIMETRE);
        Reading reading =
                new DrawingReading(ReadOptions.defaults())
                        .read(
                                new DrawingFiles(options)
                                        .read(
                                                "holes.dxf",
                                                dxf.toString()
                                                        .getBytes(StandardCharsets.US_ASCII)));
        Tool drill =
                new Tool(
                        1,
                        "",
                        new Tool.Form(ToolKind.DRILL, 5, 0, 180, 0, 0),
                        new Tool.Edges(2, 40, false, 0, 5, 0, 1),
                        new Tool.Shank(5, 50, true),
                        new Tool.Limits(1000, 24000, 0));
        Operation holes =
                new Operation(
                        "holes",
                        On.layer("HOLE"),
                        Optional.of(1),
                        Optional.empty(),
                        new Operation.Drill(Depth.of(10), List.of(), Optional.empty(), true));
        return new RouterTask(
                reading,
                Box.of(Point.ORIGIN, new Point(2440, 1220)),
                18,
                RouterTask.USUAL_OVER_CUT,
                ToolWay.Heights.USUAL,
                Optional.empty(),
                List.of(drill),
                CutSteps::usual,
                List.of(holes));
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

    // ---- carvings

    private static List<Region> carved() {
        Region one = new Region(BenchShapes.ring(100).turning(true), List.of());
        List<Region> all = new ArrayList<>();
        for (int i = 0; i < CARVED; i++) {
            Transform place = Transform.translation(new Point(30.0 * (i % 20), 30.0 * (i / 20)));
            all.add(one.transformed(place));
        }
        return all;
    }
}
