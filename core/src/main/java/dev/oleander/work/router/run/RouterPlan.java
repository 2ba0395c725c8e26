package dev.oleander.work.router.run;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.motion.TimeModel;
import dev.oleander.plan.Run;
import dev.oleander.plan.RunRules;
import dev.oleander.progress.Progress;
import dev.oleander.work.router.book.RouterBook;
import dev.oleander.work.router.book.RouterUnit;
import dev.oleander.work.router.book.ToolRow;
import dev.oleander.work.router.choice.RouterChoices;
import dev.oleander.work.router.choice.RouterKind;
import dev.oleander.work.router.deed.Deed;
import dev.oleander.work.router.material.Cutting;
import dev.oleander.work.router.material.Difference;
import dev.oleander.work.router.material.Difference.Asked;
import dev.oleander.work.router.material.Engaged;
import dev.oleander.work.router.motion.RouterMotion;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.operation.Operation.Clear;
import dev.oleander.work.router.plan.Conditions;
import dev.oleander.work.router.plan.RouterStop;
import dev.oleander.work.router.plan.RouterTask;
import dev.oleander.work.router.plan.ToolChains;
import dev.oleander.work.router.tool.Feeds;
import dev.oleander.work.router.tool.Tool;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/**
 * All that is planned for a router.
 *
 * @param task what is done to one copy, in the coordinates of the drawing
 * @param sources what was decided in each job whose parts lie there, by its name; see {@link
 *     #choices(RouterStop)}
 * @param stops in the order of the run, in the coordinates of the machine
 * @param deeds what the stops do, by id of the operation
 * @param feeds of stops that can be done, by id
 */
public record RouterPlan(
        RouterTask task,
        RouterChoices choices,
        Map<String, RouterChoices> sources,
        RouterUnit unit,
        RouterBook book,
        String material,
        Run run,
        List<RouterStop> stops,
        Map<String, Deed> deeds,
        Map<String, Feeds> feeds,
        RunRules rules) {

    public RouterPlan {
        sources = Map.copyOf(sources);
        stops = List.copyOf(stops);
        deeds = Map.copyOf(deeds);
        feeds = Map.copyOf(feeds);
    }

    public Optional<RouterStop> stop(String id) {
        return stops.stream().filter(s -> s.id().equals(id)).findFirst();
    }

    /** What was decided in the job whose part it works. */
    public RouterChoices choices(RouterStop stop) {
        return sources.get(deed(stop).source());
    }

    /** Those that can be done. */
    public List<RouterStop> done() {
        return stops.stream().filter(RouterStop::isDone).toList();
    }

    /** What a stop does. */
    public Deed deed(RouterStop stop) {
        return deeds.get(stop.operation());
    }

    /** Tools that are used, each once, in the order in which they are taken first. */
    public List<Tool> toolsInUse() {
        return done().stream().map(s -> s.tool().orElseThrow()).distinct().toList();
    }

    /** Rows of the book that are used, in the order of their names. */
    public List<ToolRow> rowsInUse() {
        return toolsInUse().stream()
                .flatMap(t -> book.row(t, material).stream())
                .distinct()
                .sorted(Comparator.comparing(ToolRow::id))
                .toList();
    }

    /** What all stops take away, in their order. */
    public List<Cutting> cuttings() {
        return done().stream().map(RouterStop::cutting).toList();
    }

    /** What all stops are asked for. */
    public List<Asked> asked() {
        return done().stream().map(s -> new Asked(s.id(), s.wanted(), isJudged(s))).toList();
    }

    /** Heights between which something else is asked for, mm above the top of the stock. */
    public List<Double> heights() {
        return Difference.heights(asked());
    }

    /** Of what other than flat tools do besides, nothing is said to be left. */
    private boolean isJudged(RouterStop stop) {
        boolean carved = deed(stop).kind().equals(RouterKind.CARVE.word());
        return stop.tool().orElseThrow().kind().isFlat() && !carved;
    }

    /** Whether an axis turns the work for some of it. */
    public boolean turns() {
        return stops.stream().anyMatch(s -> !s.turns().isEmpty());
    }

    /** The stock seen from above; with what is laid round it, its surface. */
    public Region stock() {
        if (stops.stream().anyMatch(s -> s.wrap().isPresent())) {
            Box box = run.layout().stock();
            Point round = new Point(0, Math.PI * task.thickness());
            return new Region(
                    Contour.rectangle(new Box(box.min().minus(round), box.max().plus(round))),
                    List.of());
        }
        return run.layout()
                .outline()
                .orElseGet(() -> new Region(Contour.rectangle(run.layout().stock()), List.of()));
    }

    /** mm by which heights in the program lie above those that are planned. */
    public double zeroBelow() {
        return choices.zero().isOnTable() ? task.thickness() : 0;
    }

    /** How much the tools of pockets are in the work, by id. */
    public Map<String, Engaged> engaged() {
        Map<String, Engaged> all = new ConcurrentHashMap<>();
        done().parallelStream()
                .filter(stop -> clearing(stop).isPresent())
                .forEach(stop -> all.put(stop.id(), stop.engaged()));
        return all;
    }

    /** What a stop does, where it clears a pocket. */
    public Optional<Clear> clearing(RouterStop stop) {
        return task.operation(stop.operation())
                .map(Operation::what)
                .filter(Clear.class::isInstance)
                .map(Clear.class::cast);
    }

    /**
     * Chains of tools that clear the pocket of a stop; see {@link ToolChains}. Of a stop that
     * clears none: none.
     */
    public List<ToolChains.Chain> chains(RouterStop stop, Progress progress) {
        boolean whole = clearing(stop).filter(c -> c.restOf().isEmpty()).isPresent();
        if (!whole) {
            return List.of();
        }
        Conditions conditions = new Conditions(task, book, material, unit);
        TimeModel times = new TimeModel(run.machine());
        return ToolChains.of(
                task,
                task.operation(stop.operation()).orElseThrow(),
                task.reading().byId().get(stop.features().get(0)),
                task.tools().stream().filter(t -> book.row(t, material).isPresent()).toList(),
                s -> times.time(RouterMotion.of(List.of(s), unit, conditions::of)).total(),
                progress);
    }

    /** Stops of the same copy whose floor, rest or level before a stop is about. */
    public List<RouterStop> needs(RouterStop stop) {
        return task.operation(stop.operation())
                .map(
                        operation ->
                                done().stream()
                                        .filter(s -> s.copy() == stop.copy())
                                        .filter(
                                                s ->
                                                        operation.asksFor(
                                                                        Operation.nameOf(
                                                                                s.operation()))
                                                                || s.isLevelAbove(stop))
                                        .toList())
                .orElse(List.of());
    }

    /** How deep stops are asked to go at a place, mm; 0 where none is. */
    public double wantedAt(Point place) {
        return done().stream()
                .filter(s -> s.wanted().regions().stream().anyMatch(r -> holds(r, place)))
                .mapToDouble(s -> s.wanted().depth())
                .max()
                .orElse(0);
    }

    private static boolean holds(Region region, Point at) {
        return region.outer().box().contains(at) && region.contains(at);
    }
}
