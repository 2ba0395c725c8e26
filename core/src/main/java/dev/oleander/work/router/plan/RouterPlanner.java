package dev.oleander.work.router.plan;

import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.progress.Progress;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.material.Wanted;
import dev.oleander.work.router.operation.Depth;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.operation.Operation.Bevel;
import dev.oleander.work.router.operation.Operation.Bore;
import dev.oleander.work.router.operation.Operation.Carve;
import dev.oleander.work.router.operation.Operation.Chamfer;
import dev.oleander.work.router.operation.Operation.Clear;
import dev.oleander.work.router.operation.Operation.Drill;
import dev.oleander.work.router.operation.Operation.EdgeDrill;
import dev.oleander.work.router.operation.Operation.Face;
import dev.oleander.work.router.operation.Operation.Follow;
import dev.oleander.work.router.operation.Operation.Groove;
import dev.oleander.work.router.operation.Operation.Round;
import dev.oleander.work.router.plan.RouterStop.Figures;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.way.ToolWay;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;

/** Makes stops of operations, and puts them in order. */
public final class RouterPlanner {

    /** Share of the work that is not putting in order. */
    private static final double MOST = 0.8;

    private final RouterTask task;

    /** By name of an operation and feature, the tool it was done with. */
    private final Map<List<String>, Tool> used = new HashMap<>();

    /** How much is done before an operation, and how much it is of all. */
    private double share;

    private final double ofEach;
    private final Progress progress;

    private RouterPlanner(RouterTask task, Progress progress) {
        this.task = task;
        this.progress = progress;
        this.ofEach = MOST / Math.max(1, task.operations().size());
    }

    /**
     * All stops in their order; what cannot be done is a stop with a refusal.
     *
     * @throws dev.oleander.progress.CancelledException when the progress says so
     */
    public static List<RouterStop> plan(RouterTask task, Progress progress) {
        return RouterOrder.laid(task, stops(task, progress)).order();
    }

    /** The same in the order of the operations; what takes a rest comes after all others. */
    public static List<RouterStop> stops(RouterTask task, Progress progress) {
        RouterPlanner planner = new RouterPlanner(task, progress);
        List<RouterStop> stops = new ArrayList<>();
        List<Operation> operations = new ArrayList<>(task.operations());
        operations.sort(Comparator.comparing(RouterPlanner::takesRest));
        for (int i = 0; i < operations.size(); i++) {
            Operation operation = operations.get(i);
            planner.share = i * planner.ofEach;
            progress.at(planner.share, operation.name());
            List<Double> turns = operation.copies().map(Operation.Turned::turns).orElse(List.of());
            planner.stops(operation)
                    .forEach(
                            s ->
                                    stops.add(
                                            planner.noted(
                                                    planner.laid(operation, s.turned(turns)))));
        }
        return List.copyOf(stops);
    }

    /** Depth below the top of the stock at which a stop begins, mm. */
    public static double beginsAt(RouterTask task, RouterStop stop) {
        return stop.stage()
                .above()
                .or(
                        () ->
                                task.operation(stop.operation())
                                        .map(operation -> new LevelPlan(task, operation).from()))
                .orElse(0.0);
    }

    private static boolean takesRest(Operation operation) {
        return operation.what() instanceof Clear clear && clear.restOf().isPresent();
    }

    /** Round the stock, where that is wished. */
    private RouterStop laid(Operation operation, RouterStop stop) {
        if (!operation.wrapped() || !stop.isDone()) {
            return stop;
        }
        if (task.round().isEmpty()) {
            return stop.refusing("Round the axis goes what is cut into round stock; this is flat.");
        }
        RoundStock round = task.round().get();
        double deepest = stop.levels().get(stop.levels().size() - 1);
        return deepest < round.radius()
                ? stop.wrapped(round)
                : stop.refusing(
                        "It would cut %s mm deep; the axis lies %s mm below the top."
                                .formatted(
                                        Numbers.plain(deepest, 3),
                                        Numbers.plain(round.radius(), 3)));
    }

    private RouterStop noted(RouterStop stop) {
        String name = Operation.nameOf(stop.operation());
        stop.tool().ifPresent(t -> stop.features().forEach(f -> used.put(List.of(name, f), t)));
        return stop;
    }

    private List<RouterStop> stops(Operation operation) {
        if (operation.tool().isPresent() && task.tool(operation.tool().get()).isEmpty()) {
            return List.of(
                    refused(
                            operation,
                            "",
                            List.of(),
                            "There is no tool %d.".formatted(operation.tool().get())));
        }
        if (operation.what() instanceof Drill) {
            return whole(operation, () -> new DrillPlanner(task, operation).stops());
        }
        if (operation.what() instanceof EdgeDrill) {
            return whole(operation, () -> new EdgeDrillPlanner(task, operation).stops());
        }
        if (operation.what() instanceof Carve) {
            return whole(operation, () -> new CarvePlanner(task, operation).stops());
        }
        if (operation.what() instanceof Face) {
            return whole(
                    operation,
                    () ->
                            List.of(
                                    best(
                                            operation,
                                            t -> new FacePlanner(task, operation, t).plan())));
        }
        List<Feature> features = operation.on().of(task.reading());
        if (features.isEmpty()) {
            return List.of(
                    refused(
                            operation,
                            "",
                            List.of(),
                            "There is nothing on %s.".formatted(operation.on().sentence())));
        }
        return operation.what() instanceof Bore
                ? bores(operation, features)
                : each(operation, features);
    }

    private List<RouterStop> each(Operation operation, List<Feature> features) {
        List<RouterStop> stops = new ArrayList<>();
        for (Feature feature : features) {
            progress.at(share + ofEach * stops.size() / features.size(), operation.name());
            RouterStop stop = onFeature(operation, feature);
            stops.add(stop);
            skin(operation, feature, stop).ifPresent(stops::add);
        }
        return LevelByLevel.concerns(operation)
                ? new LevelByLevel(task, operation).of(stops)
                : stops;
    }

    /** What is left under an outline till everything else is cut. */
    private Optional<RouterStop> skin(Operation operation, Feature feature, RouterStop above) {
        if (!(above.isDone() && operation.what() instanceof Round round)) {
            return Optional.empty();
        }
        Tool tool = above.tool().orElseThrow();
        try {
            return new ContourPlanner(task, operation, round, tool).skin(feature);
        } catch (CannotException cannot) {
            List<String> of = List.of(feature.id());
            return Optional.of(refused(operation, feature.id(), of, cannot.getMessage()));
        }
    }

    /** All equal holes are one stop. */
    private List<RouterStop> bores(Operation operation, List<Feature> features) {
        List<RouterStop> stops = new ArrayList<>();
        List<Feature> circles = new ArrayList<>();
        for (Feature feature : features) {
            if (feature.circleDiameter().isPresent()) {
                circles.add(feature);
            } else {
                stops.add(onFeature(operation, feature));
            }
        }
        DrillPlanner.byDiameter(circles).forEach((d, of) -> stops.add(bore(operation, d, of)));
        return stops;
    }

    private RouterStop bore(Operation operation, double diameter, List<Feature> of) {
        String part = Numbers.plain(diameter, 3);
        List<String> features = of.stream().map(Feature::id).toList();
        try {
            return best(operation, tool -> equal(operation, part, of, tool));
        } catch (CannotException cannot) {
            return refused(operation, part, features, cannot.getMessage());
        }
    }

    private RouterStop equal(Operation operation, String part, List<Feature> of, Tool tool) {
        Map<Point, RouterStop> byPlace = new LinkedHashMap<>();
        for (Feature feature : of) {
            byPlace.put(feature.chain().box().centre(), onFeature(operation, feature, tool));
        }
        List<RouterStop> each =
                DrillPlanner.shortest(List.copyOf(byPlace.keySet())).stream()
                        .map(byPlace::get)
                        .toList();
        return RouterStop.together(operation, part, each);
    }

    private RouterStop onFeature(Operation operation, Feature feature) {
        try {
            return best(operation, t -> onFeature(operation, feature, t));
        } catch (CannotException cannot) {
            return refused(operation, feature.id(), List.of(feature.id()), cannot.getMessage());
        }
    }

    private RouterStop onFeature(Operation operation, Feature feature, Tool tool) {
        CannotException.throwIf(Suitable.whyNot(tool, operation.what()));
        if (operation.what() instanceof Follow follow) {
            return follow(operation, follow, feature, tool);
        }
        if (operation.what() instanceof Groove) {
            return new GroovePlanner(task, operation, tool).plan(feature);
        }
        if (operation.what() instanceof Chamfer) {
            return new ChamferPlanner(task, operation, tool).plan(feature);
        }
        if (operation.what() instanceof Bevel) {
            return new BevelPlanner(task, operation, tool).plan(feature);
        }
        if (operation.what() instanceof Round round) {
            return new ContourPlanner(task, operation, round, tool).plan(feature);
        }
        return new StopPlanner(task, operation, tool, before(operation, feature)).plan(feature);
    }

    /** The tool that has left the rest that an operation takes. */
    private Optional<Tool> before(Operation operation, Feature feature) {
        return operation.what() instanceof Clear clear
                ? clear.restOf().map(name -> used.get(List.of(name, feature.id())))
                : Optional.empty();
    }

    private List<RouterStop> whole(Operation operation, Supplier<List<RouterStop>> stops) {
        try {
            return stops.get();
        } catch (CannotException cannot) {
            return List.of(refused(operation, "", List.of(), cannot.getMessage()));
        }
    }

    private RouterStop refused(
            Operation operation, String part, List<String> features, String sentence) {
        return RouterStop.refused(
                operation, part, features, operation.tool().flatMap(task::tool), sentence);
    }

    /**
     * With the tool that is wished; without one, with the largest that can; of a pocket the largest
     * that leaves little, or else the one that leaves least.
     *
     * @throws CannotException when none can; of several that cannot, what the largest says
     */
    private RouterStop best(Operation operation, Function<Tool, RouterStop> plan) {
        Optional<Tool> wished = operation.tool().flatMap(task::tool);
        if (wished.isPresent()) {
            return plan.apply(wished.get());
        }
        RouterStop best = null;
        CannotException first = null;
        for (Tool tool : largestFirst(operation)) {
            try {
                RouterStop tried = plan.apply(tool);
                best = best == null || isBetter(operation, tried, best) ? tried : best;
                if (!(operation.what() instanceof Clear)) {
                    return best;
                }
            } catch (CannotException cannot) {
                first = first == null ? cannot : first;
            }
        }
        if (best == null) {
            throw first == null
                    ? new CannotException("There is no tool that can.")
                    : new CannotException("%s", first.getMessage());
        }
        return best;
    }

    /** A smaller tool is worth its time where the larger leaves more than little. */
    private static boolean isBetter(Operation operation, RouterStop smaller, RouterStop larger) {
        double left = larger.figures().rest();
        boolean little =
                operation.what() instanceof Clear clear
                        && clear.restOf().isEmpty()
                        && left <= LITTLE * larger.figures().area();
        return operation.what() instanceof Clear
                && !little
                && smaller.figures().rest() < left - LESS;
    }

    /** Share of a pocket that may stay in its corners where nobody names a tool. */
    private static final double LITTLE = 0.01;

    /** mm2 that a smaller tool must leave less to be worth its time. */
    private static final double LESS = 0.01;

    private List<Tool> largestFirst(Operation operation) {
        return task.tools().stream()
                .filter(t -> Suitable.whyNot(t, operation.what()).isEmpty())
                // a floor without crests is meant where nobody names a ball
                .filter(t -> !(operation.what() instanceof Clear) || t.kind().isFlat())
                .sorted(Comparator.comparingDouble(Tool::diameter).reversed())
                .toList();
    }

    private RouterStop follow(Operation operation, Follow follow, Feature feature, Tool tool) {
        LevelPlan plan = new LevelPlan(task, operation);
        List<Double> levels = new ArrayList<>();
        double from = plan.from();
        for (Depth depth : follow.depths()) {
            double to = plan.below(depth);
            if (to <= from) {
                throw new CannotException(
                        "A depth of %s mm after one of %s mm: each must be deeper.",
                        Numbers.plain(to, 3), Numbers.plain(from, 3));
            }
            levels.addAll(plan.between(from, to, follow.steps(), tool));
            from = to;
        }
        CannotException.throwIf(
                Suitable.whyNotDeep(tool, from - plan.from(), operation.beyondFlutes()));
        ToolWay way = new ToolWay(task.heights());
        List<Chain> chains = List.of(feature.chain());
        LineWay.add(way, chains, levels, -plan.from(), tool, Entries.of(tool, operation));
        return RouterStop.done(
                        operation,
                        feature.id(),
                        List.of(feature.id()),
                        tool,
                        levels,
                        way,
                        Figures.NONE)
                .asking(Wanted.of(band(feature, tool, from - plan.from()), from));
    }

    private static List<Region> band(Feature feature, Tool tool, double depth) {
        double radius = tool.form().effectiveDiameter(depth) / 2;
        return radius > 0
                ? Offsetter.round().band(new Path(feature.chain().segments()), radius)
                : List.of();
    }
}
