package dev.oleander.work.router.plan;

import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.Spot;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.operation.Operation.EdgeDrill;
import dev.oleander.work.router.plan.RouterStop.Figures;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.way.Leg.Pace;
import dev.oleander.work.router.way.ToolWay;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * Plans holes in edges: those of one edge are one stop, drilled one after the other along it. The
 * drill comes down beside the stock, goes in straight, and comes back the way it went.
 */
final class EdgeDrillPlanner {

    /** mm by which a drill may differ from the hole that is wished. */
    private static final double NEAR = 0.05;

    /** mm by which a hole may begin beside the edge of the stock. */
    private static final double AT = 0.01;

    /** Beyond, a line runs along neither axis. */
    private static final double SKEW = 1e-6;

    private final RouterTask task;
    private final Operation operation;
    private final EdgeDrill drill;

    EdgeDrillPlanner(RouterTask task, Operation operation) {
        this.task = task;
        this.operation = operation;
        this.drill = (EdgeDrill) operation.what();
    }

    /**
     * A hole.
     *
     * @param mouth where it begins
     */
    private record Bore(String feature, Point mouth, Point floor) {

        double depth() {
            return mouth.distance(floor);
        }
    }

    List<RouterStop> stops() {
        List<Feature> features = operation.on().of(task.reading());
        if (features.isEmpty()) {
            throw new CannotException("There is nothing on %s.", operation.on().sentence());
        }
        List<RouterStop> stops = new ArrayList<>();
        Map<Face, List<Bore>> byEdge = new EnumMap<>(Face.class);
        for (Feature feature : features) {
            try {
                Bore bore = bore(feature);
                byEdge.computeIfAbsent(looks(bore), e -> new ArrayList<>()).add(bore);
            } catch (CannotException cannot) {
                stops.add(refused(feature.id(), List.of(feature.id()), cannot));
            }
        }
        byEdge.forEach((edge, bores) -> stops.add(guarded(edge, bores)));
        return stops;
    }

    private RouterStop refused(String part, List<String> features, CannotException why) {
        return RouterStop.refused(
                operation, part, features, operation.tool().flatMap(task::tool), why.getMessage());
    }

    // ---- where holes lie

    private Bore bore(Feature feature) {
        List<Segment> segments = feature.chain().segments();
        if (segments.size() != 1 || !(segments.get(0) instanceof Line line)) {
            throw new CannotException(
                    "%s is no straight line; a hole in an edge lies along one.", feature.id());
        }
        double first = outside(line.start());
        double second = outside(line.end());
        boolean forwards = first <= second;
        if (Math.min(first, second) > AT) {
            throw new CannotException(
                    "%s begins %s mm inside the stock; a hole in an edge begins at the edge.",
                    feature.id(), Numbers.plain(Math.min(first, second), 2));
        }
        return forwards
                ? new Bore(feature.id(), line.start(), line.end())
                : new Bore(feature.id(), line.end(), line.start());
    }

    /** How far a place lies within the stock, mm. */
    private double outside(Point place) {
        Box stock = task.stock();
        double x = Math.min(place.x() - stock.min().x(), stock.max().x() - place.x());
        double y = Math.min(place.y() - stock.min().y(), stock.max().y() - place.y());
        return Math.abs(Math.min(x, y));
    }

    private Face looks(Bore bore) {
        Point way = bore.floor().minus(bore.mouth()).times(1 / bore.depth());
        return Face.edges().stream()
                .filter(e -> into(e).distance(way) < SKEW)
                .findFirst()
                .orElseThrow(
                        () ->
                                new CannotException(
                                        "%s runs along neither X nor Y; drills in edges do.",
                                        bore.feature()));
    }

    private static Point into(Face edge) {
        Spot out = edge.outward();
        return new Point(-out.x(), -out.y());
    }

    // ---- the stop

    private RouterStop guarded(Face edge, List<Bore> bores) {
        List<String> features = bores.stream().map(Bore::feature).toList();
        try {
            return stop(edge, bores);
        } catch (CannotException cannot) {
            return refused(edge.word(), features, cannot);
        }
    }

    private RouterStop stop(Face edge, List<Bore> bores) {
        double axis = new LevelPlan(task, operation).below(drill.axis());
        double radius = drill.diameter() / 2;
        if (axis - radius < 0 || axis + radius > task.thickness()) {
            throw new CannotException(
                    "%s mm wide and %s mm below the top it does not lie within %s mm.",
                    Numbers.plain(drill.diameter(), 3),
                    Numbers.plain(axis, 3),
                    Numbers.plain(task.thickness(), 3));
        }
        Tool tool = tool(edge, bores);
        List<Bore> along = new ArrayList<>(bores);
        along.sort(
                Comparator.<Bore>comparingDouble(b -> b.mouth().x())
                        .thenComparingDouble(b -> b.mouth().y()));
        ToolWay way = new ToolWay(task.heights());
        for (Bore bore : along) {
            Point beside = bore.mouth().minus(into(edge).times(task.heights().retract()));
            way.comeTo(beside, 0);
            way.upright(-axis, Pace.RAPID);
            way.straightTo(bore.floor(), Pace.PLUNGE);
            way.straightTo(beside, Pace.RAPID);
            way.leave();
        }
        return RouterStop.done(
                operation,
                edge.word(),
                along.stream().map(Bore::feature).toList(),
                tool,
                List.of(axis),
                way,
                volume(along));
    }

    private Figures volume(List<Bore> bores) {
        double radius = drill.diameter() / 2;
        double deep = bores.stream().mapToDouble(Bore::depth).sum();
        List<Region> none = List.of();
        return new Figures(
                0, 0, 0, 0, 0, List.of(), 0, Math.PI * radius * radius * deep, none, List.of());
    }

    private Tool tool(Face edge, List<Bore> bores) {
        double deepest = bores.stream().mapToDouble(Bore::depth).max().orElse(0);
        Tool tool =
                task.tools().stream()
                        .filter(t -> operation.tool().map(n -> n == t.number()).orElse(true))
                        .filter(t -> t.kind().looks().filter(edge::equals).isPresent())
                        .filter(t -> Math.abs(t.diameter() - drill.diameter()) <= NEAR)
                        .max(Comparator.comparingDouble(t -> t.edges().length()))
                        .orElseThrow(
                                () ->
                                        new CannotException(
                                                "No drill of %s mm for the edge on the %s.",
                                                Numbers.plain(drill.diameter(), 3), edge.label()));
        if (deepest > tool.edges().length() + AT) {
            throw new CannotException(
                    "A hole is %s mm deep; tool %d reaches %s mm.",
                    Numbers.plain(deepest, 2),
                    tool.number(),
                    Numbers.plain(tool.edges().length(), 2));
        }
        return tool;
    }
}
