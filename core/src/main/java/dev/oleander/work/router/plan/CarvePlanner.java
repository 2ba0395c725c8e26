package dev.oleander.work.router.plan;

import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.carve.Carving;
import dev.oleander.work.router.carve.Stroke;
import dev.oleander.work.router.carve.TipPoint;
import dev.oleander.work.router.material.Wanted;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.operation.Operation.Carve;
import dev.oleander.work.router.plan.RouterStop.Figures;
import dev.oleander.work.router.pocket.Reach;
import dev.oleander.work.router.tool.Levels;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.way.Descent;
import dev.oleander.work.router.way.HeightLine;
import dev.oleander.work.router.way.Leg.Pace;
import dev.oleander.work.router.way.PocketWay;
import dev.oleander.work.router.way.ToolWay;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/** Plans a carving: a flat tool clears what reaches the floor, then the tip makes the slopes. */
final class CarvePlanner {

    /** mm by which a way of the tip may lie off the true one. */
    private static final double EXACT = 2e-3;

    /** mm that may stand between ways of the tip on the floor. */
    private static final double RIDGE = 0.25;

    private static final double NO_FLOOR = Double.POSITIVE_INFINITY;

    private final RouterTask task;
    private final Operation operation;
    private final Carve carve;
    private final List<Feature> features;

    CarvePlanner(RouterTask task, Operation operation) {
        this.task = task;
        this.operation = operation;
        this.carve = (Carve) operation.what();
        this.features =
                operation.on().of(task.reading()).stream().filter(Feature::isClosed).toList();
        if (features.isEmpty()) {
            throw new CannotException(
                    "There are no closed contours on %s to carve.", operation.on().sentence());
        }
        carve.floor()
                .filter(floor -> !(floor > 0 && Double.isFinite(floor)))
                .ifPresent(
                        floor -> {
                            throw new CannotException(
                                    "A floor at %s mm: it must be above 0.",
                                    Numbers.plain(floor, 3));
                        });
    }

    List<RouterStop> stops() {
        Tool tip = tip();
        Carving carving = new Carving(regions(), tip.form(), carve.floor().orElse(NO_FLOOR), EXACT);
        List<RouterStop> stops = new ArrayList<>();
        List<Region> left = new ArrayList<>(carving.flat());
        carve.flatTool().flatMap(number -> flat(carving, number, left)).ifPresent(stops::add);
        List<Stroke> strokes = new ArrayList<>(carving.strokes());
        carve.floor().ifPresent(floor -> strokes.addAll(carving.corners(left, floor)));
        if (!left.isEmpty()) {
            strokes.addAll(carving.rounds(left, RIDGE));
        }
        stops.add(strokes(strokes, tip));
        return stops;
    }

    private Tool tip() {
        Tool tool =
                operation
                        .tool()
                        .flatMap(task::tool)
                        .or(() -> widest())
                        .orElseThrow(() -> new CannotException("There is no pointed tool."));
        CannotException.throwIf(Suitable.whyNot(tool, carve));
        return tool;
    }

    private Optional<Tool> widest() {
        return task.tools().stream()
                .filter(t -> t.kind().isConical())
                .max(Comparator.comparingDouble(Tool::diameter));
    }

    /** What lies within an odd number of contours. */
    private List<Region> regions() {
        List<Contour> all = features.stream().map(Feature::contour).toList();
        List<Region> regions = new ArrayList<>();
        for (Contour outer : all) {
            if (depth(outer, all) % 2 == 0) {
                List<Contour> openings =
                        all.stream()
                                .filter(c -> c != outer && outer.contains(c.start()))
                                .filter(c -> depth(c, all) == depth(outer, all) + 1)
                                .map(c -> c.turning(false))
                                .toList();
                regions.add(new Region(outer.turning(true), openings));
            }
        }
        return regions;
    }

    private static int depth(Contour of, List<Contour> all) {
        return (int) all.stream().filter(c -> c != of && c.contains(of.start())).count();
    }

    // ---- the floor

    /**
     * @param left becomes what the flat tool does not reach of the floor
     */
    private Optional<RouterStop> flat(Carving carving, int number, List<Region> left) {
        Tool tool =
                task.tool(number)
                        .orElseThrow(() -> new CannotException("There is no tool %d.", number));
        List<Region> flat = carving.flat();
        Reach reach = Reach.of(flat, tool.diameter() / 2);
        if (reach.centres().isEmpty()) {
            return Optional.empty();
        }
        left.clear();
        left.addAll(reach.rest());
        double over = task.steps().apply(tool).over();
        PocketWay pocket =
                new PocketWay(
                        reach, 0, over * tool.diameter(), !tool.edges().left(), Descent.of(tool));
        List<Double> levels =
                Levels.equal(
                        carve.floor().orElseThrow(),
                        Math.min(task.steps().apply(tool).down(), tool.passDepth()),
                        0);
        ToolWay way = new ToolWay(task.heights());
        if (!pocket.add(way, levels, 0)) {
            throw new CannotException(
                    "Tool %d does not find a way down into the floor.", tool.number());
        }
        Figures figures = Figures.ofPocket(reach, pocket);
        Wanted floor = Wanted.of(flat, levels.get(levels.size() - 1));
        return Optional.of(stop("flat", tool, levels, way, figures).asking(floor));
    }

    private RouterStop stop(
            String part, Tool tool, List<Double> levels, ToolWay way, Figures figures) {
        return RouterStop.done(
                operation,
                part,
                features.stream().map(Feature::id).toList(),
                tool,
                levels,
                way,
                figures);
    }

    // ---- the slopes

    private RouterStop strokes(List<Stroke> all, Tool tip) {
        List<Stroke> strokes = StrokeOrder.of(all);
        double deepest =
                strokes.stream()
                        .flatMap(s -> s.points().stream())
                        .mapToDouble(TipPoint::depth)
                        .max()
                        .orElseThrow(() -> new CannotException("Nothing is deep enough to carve."));
        CannotException.throwIf(Suitable.whyNotDeep(tip, deepest, operation.beyondFlutes()));
        double most = Math.min(task.steps().apply(tip).down(), tip.passDepth());
        List<Double> levels = Levels.equal(deepest, most, 0);
        ToolWay way = new ToolWay(task.heights());
        double before = 0;
        for (double level : levels) {
            for (Stroke stroke : strokes) {
                if (stroke.points().stream().anyMatch(reaches(before))) {
                    add(way, stroke, level);
                }
            }
            before = level;
        }
        way.leave();
        return stop("tip", tip, levels, way, Figures.NONE);
    }

    private static Predicate<TipPoint> reaches(double before) {
        return p -> before == 0 || p.depth() > before + 1e-9;
    }

    private static void add(ToolWay way, Stroke stroke, double level) {
        List<Segment> lines = new ArrayList<>();
        List<double[]> knots = new ArrayList<>();
        TipPoint first = stroke.points().get(0);
        Point at = new Point(first.x(), first.y());
        double s = 0;
        knots.add(new double[] {0, -Math.min(level, first.depth())});
        for (TipPoint p : stroke.points().subList(1, stroke.points().size())) {
            Point next = new Point(p.x(), p.y());
            if (next.distance(at) > 1e-7) {
                lines.add(new Line(at, next));
                s += at.distance(next);
                at = next;
                knots.add(new double[] {s, -Math.min(level, p.depth())});
            }
        }
        if (lines.isEmpty()) {
            return;
        }
        Point start = lines.get(0).start();
        double z = knots.get(0)[1];
        boolean goesOn =
                way.at() != null && way.at().distance(start) < 1e-6 && Math.abs(way.z() - z) < 1e-3;
        if (!goesOn) {
            way.leave();
            way.comeTo(start, 0);
            way.upright(z, Pace.PLUNGE);
        }
        way.along(lines, HeightLine.of(knots));
    }
}
