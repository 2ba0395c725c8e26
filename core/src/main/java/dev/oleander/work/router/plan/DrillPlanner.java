package dev.oleander.work.router.plan;

import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.plan.order.Heat;
import dev.oleander.plan.order.OrderOptimiser;
import dev.oleander.plan.order.OrderOptions;
import dev.oleander.plan.order.OrderProblem;
import dev.oleander.plan.order.TravelTime;
import dev.oleander.progress.Progress;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.material.Wanted;
import dev.oleander.work.router.operation.Depth;
import dev.oleander.work.router.operation.On;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.operation.Operation.Drill;
import dev.oleander.work.router.operation.Operation.Hole;
import dev.oleander.work.router.plan.RouterStop.Figures;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.tool.ToolKind;
import dev.oleander.work.router.way.HoleWay;
import dev.oleander.work.router.way.ToolWay;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** Plans holes that are drilled: those of one diameter and depth are one stop. */
final class DrillPlanner {

    /** mm by which a drill may differ from the hole that is drawn. */
    private static final double NEAR = 0.05;

    /** 10,000 holes at random: within 2 % of what is found in a minute. */
    private static final int MOST_KICKS = 2_500;

    private final RouterTask task;
    private final Operation operation;
    private final Drill drill;
    private final LevelPlan levels;

    DrillPlanner(RouterTask task, Operation operation) {
        this.task = task;
        this.operation = operation;
        this.drill = (Drill) operation.what();
        this.levels = new LevelPlan(task, operation);
    }

    /** Wide and shallow holes before those that go on at their floor. */
    List<RouterStop> stops() {
        List<Feature> circles =
                operation.on().of(task.reading()).stream()
                        .filter(f -> f.circleDiameter().isPresent())
                        .toList();
        if (circles.isEmpty()) {
            throw new CannotException(
                    "There are no circles on %s to drill.", operation.on().sentence());
        }
        List<RouterStop> stops = new ArrayList<>();
        if (drill.holes().isEmpty()) {
            byDiameter(circles)
                    .forEach((d, of) -> stops.add(guarded(new Hole(d, drill.depth()), of, 0)));
            return stops;
        }
        double above = 0;
        for (Hole hole : widestFirst()) {
            List<Feature> of =
                    circles.stream().filter(f -> On.hasDiameter(f, hole.diameter())).toList();
            stops.add(guarded(hole, of, above));
            above = stops.get(stops.size() - 1).isDone() ? levels.below(hole.depth()) : above;
        }
        return stops;
    }

    private List<Hole> widestFirst() {
        return drill.holes().stream()
                .sorted(Comparator.comparingDouble(Hole::diameter).reversed())
                .toList();
    }

    static Map<Double, List<Feature>> byDiameter(List<Feature> circles) {
        Map<Double, List<Feature>> all = new TreeMap<>(Comparator.reverseOrder());
        for (Feature circle : circles) {
            double diameter = circle.circleDiameter().getAsDouble();
            double known =
                    all.keySet().stream()
                            .filter(d -> Math.abs(d - diameter) <= On.SAME)
                            .findFirst()
                            .orElse(diameter);
            all.computeIfAbsent(known, d -> new ArrayList<>()).add(circle);
        }
        return all;
    }

    private RouterStop guarded(Hole hole, List<Feature> of, double above) {
        String part = Numbers.plain(hole.diameter(), 3);
        List<String> features = of.stream().map(Feature::id).toList();
        try {
            return stop(part, hole, of, above);
        } catch (CannotException cannot) {
            return RouterStop.refused(
                    operation,
                    part,
                    features,
                    operation.tool().flatMap(task::tool),
                    cannot.getMessage());
        }
    }

    /**
     * @param above depth to which a wider hole is there already, mm
     */
    private RouterStop stop(String part, Hole hole, List<Feature> of, double above) {
        if (of.isEmpty()) {
            throw new CannotException(
                    "There are no circles of %s mm on %s.",
                    Numbers.plain(hole.diameter(), 3), operation.on().sentence());
        }
        double shoulder = levels.below(hole.depth());
        Tool tool = tool(hole, of.size(), shoulder - levels.from());
        CannotException.throwIf(
                Suitable.whyNotDeep(tool, shoulder - levels.from(), operation.beyondFlutes()));
        double point = hole.depth().isThrough() ? tool.form().tipLength() : 0;
        double tip = -(shoulder + point);
        double peck = drill.peck().orElseGet(() -> task.steps().apply(tool).peck());
        List<Point> visits = shortest(of.stream().map(f -> f.chain().box().centre()).toList());
        ToolWay way = new ToolWay(task.heights());
        visits.forEach(p -> HoleWay.drill(way, p, -Math.max(levels.from(), above), tip, peck));
        return RouterStop.done(
                        operation,
                        part,
                        of.stream().map(Feature::id).toList(),
                        tool,
                        List.of(-tip),
                        way,
                        Figures.ofVisits(visits, volume(visits.size(), tool, hole, above)))
                .asking(Wanted.of(discs(visits, tool, hole), shoulder));
    }

    /**
     * Within the stock, mm3: a cylinder with the cone of its point, or a cap of the ball.
     *
     * @param above depth to which a wider hole is there already, mm
     */
    private double volume(int count, Tool tool, Hole hole, double above) {
        double from = Math.max(levels.from(), above);
        double to = Math.min(levels.below(hole.depth()), task.thickness());
        double deep = to - from;
        double radius = tool.form().radius();
        if (tool.kind() == ToolKind.BALL && deep <= radius) {
            return count * Math.PI * deep * deep * (radius - deep / 3);
        }
        double below = Math.min(tool.form().tipLength(), task.thickness() - to);
        double point = tool.kind().isDrill() ? Math.PI * radius * radius * below / 3 : 0;
        return count * (Math.PI * radius * radius * deep + point);
    }

    /** As wide as the tool cuts at the depth. */
    private List<Region> discs(List<Point> visits, Tool tool, Hole hole) {
        double depth = levels.below(hole.depth()) - levels.from();
        double wide =
                tool.kind().isDrill() ? hole.diameter() : tool.form().effectiveDiameter(depth);
        return visits.stream()
                .map(p -> new Region(Contour.circle(p, wide / 2), List.of()))
                .toList();
    }

    private Tool tool(Hole hole, int count, double depth) {
        Optional<Tool> wished = operation.tool().flatMap(task::tool);
        if (wished.isPresent()) {
            requireFit(wished.get(), hole, count);
            return wished.get();
        }
        return task.tools().stream()
                .filter(t -> t.kind().isDrill())
                .filter(t -> Math.abs(t.diameter() - hole.diameter()) <= NEAR)
                .min(
                        Comparator.comparing((Tool t) -> Suitable.whyNotDeep(t, depth).isPresent())
                                .thenComparing(t -> isOther(t, hole.depth())))
                .orElseThrow(() -> none(hole, count));
    }

    /** Drills with a long point are for holes that go through. */
    private static boolean isOther(Tool tool, Depth depth) {
        return depth.isThrough() != (tool.kind() == ToolKind.THROUGH_DRILL);
    }

    private void requireFit(Tool tool, Hole hole, int count) {
        CannotException.throwIf(Suitable.whyNot(tool, drill));
        if (tool.kind().isDrill() && Math.abs(tool.diameter() - hole.diameter()) > NEAR) {
            throw new CannotException(
                    "%s of %s mm: tool %d has %s mm. Leave them for drilling or add a tool.",
                    counted(count),
                    Numbers.plain(hole.diameter(), 3),
                    tool.number(),
                    Numbers.plain(tool.diameter(), 3));
        }
    }

    private CannotException none(Hole hole, int count) {
        String mill =
                task.tools().stream()
                        .filter(t -> t.kind().isFlat())
                        .min(Comparator.comparingDouble(Tool::diameter))
                        .map(t -> ", and the smallest mill is " + Numbers.plain(t.diameter(), 3))
                        .orElse("");
        return new CannotException(
                "%s of %s mm: no such drill%s. Leave them for drilling or add a tool.",
                counted(count), Numbers.plain(hole.diameter(), 3), mill);
    }

    private static String counted(int count) {
        return count == 1 ? "1 hole" : count + " holes";
    }

    /** The shortest way through all of them that is found. */
    static List<Point> shortest(List<Point> places) {
        List<OrderProblem.Visit> visits =
                places.stream().map(p -> new OrderProblem.Visit(p, p, 0, 0, List.of())).toList();
        OrderProblem problem =
                new OrderProblem(Point.ORIGIN, visits, TravelTime.byLength(), Heat.NONE);
        int[] first = NearestNext.order(places, Point.ORIGIN);
        int[] order =
                new OrderOptimiser(options(places.size())).improve(problem, first, Progress.NONE);
        List<Point> sorted = new ArrayList<>();
        for (int i : order) {
            sorted.add(places.get(i));
        }
        return sorted;
    }

    /** Many holes lie in rows and fields, in which most is found soon. */
    private static OrderOptions options(int holes) {
        OrderOptions usual = OrderOptions.forVisits(holes);
        return usual.withKicks(Math.min(usual.kicks(), MOST_KICKS));
    }
}
