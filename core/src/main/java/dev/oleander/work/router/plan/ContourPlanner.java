package dev.oleander.work.router.plan;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Part;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.geometry.overlay.Overlay;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.material.Wanted;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.operation.Operation.Round;
import dev.oleander.work.router.plan.RouterStop.Figures;
import dev.oleander.work.router.pocket.Reach;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.way.ContourWay;
import dev.oleander.work.router.way.Descent;
import dev.oleander.work.router.way.Finish;
import dev.oleander.work.router.way.ToolWay;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Plans ways round contours: levels, finishing cuts, tabs, and a skin that is cut at the end. */
final class ContourPlanner {

    private final RouterTask task;
    private final Operation operation;
    private final Round round;
    private final Tool tool;
    private final LevelPlan levels;
    private final Descent down;

    ContourPlanner(RouterTask task, Operation operation, Round round, Tool tool) {
        this.task = task;
        this.operation = operation;
        this.round = round;
        this.tool = tool;
        this.levels = new LevelPlan(task, operation);
        this.down = Entries.ofAny(tool, round.entry());
    }

    /**
     * All of it but for the skin.
     *
     * @throws CannotException when it cannot be done so
     */
    RouterStop plan(Feature feature) {
        Closed.require(feature, round);
        requireTabs();
        requireFinish(feature);
        List<Double> of = levels.of(round.depth(), round.steps(), tool);
        double deepest = of.get(of.size() - 1);
        if (round.skin().isPresent()) {
            of = levels.between(levels.from(), aboveSkin(deepest), round.steps(), tool);
        }
        return stop(feature, of, round.finish(), levels.from());
    }

    /**
     * The skin, by which the part comes free; empty when none is left.
     *
     * @throws CannotException when it cannot be done so
     */
    Optional<RouterStop> skin(Feature feature) {
        if (round.skin().isEmpty()) {
            return Optional.empty();
        }
        double through = task.through();
        double top = aboveSkin(through);
        return Optional.of(stop(feature, List.of(through), Finish.NONE, top).asSkin());
    }

    /** Depth at which the skin begins, mm. */
    private double aboveSkin(double deepest) {
        double skin = round.skin().orElseThrow();
        if (deepest < task.thickness()) {
            throw new CannotException(
                    "A skin of %s mm under a contour that is cut %s mm deep in stock of %s mm: nothing comes free by it.",
                    Numbers.plain(skin, 3),
                    Numbers.plain(deepest, 3),
                    Numbers.plain(task.thickness(), 3));
        }
        if (skin >= task.thickness() - levels.from()) {
            throw new CannotException(
                    "A skin of %s mm; the stock has %s mm: nothing would be cut before.",
                    Numbers.plain(skin, 3), Numbers.plain(task.thickness(), 3));
        }
        return task.thickness() - skin;
    }

    private RouterStop stop(Feature feature, List<Double> of, Finish finish, double top) {
        ContourWay.Side side = side(feature);
        ToolWay way = new ToolWay(task.heights());
        List<Descent.Hole> holes =
                down.needsHole() ? StartHoles.of(task, tool, of.get(of.size() - 1)) : List.of();
        ContourWay.Cut cut =
                new ContourWay.Cut(
                        feature.contour(),
                        side,
                        round.allowance(),
                        of,
                        task.thickness(),
                        round.tabs(),
                        round.climb(),
                        finish,
                        top,
                        round.start().or(() -> atHole(feature, side, holes)));
        List<ContourWay.Done> done = ContourWay.add(way, cut, tool, down);
        if (done.isEmpty()) {
            Region inner = new Region(feature.contour().turning(true), List.of());
            throw TooWide.of(task, operation, tool, inner, feature.id());
        }
        if (down.needsHole()) {
            StartHoles.require(task, tool, holes, way.legs(), top);
        }
        int tabs =
                done.stream().filter(ContourWay.Done::last).mapToInt(ContourWay.Done::tabs).sum();
        boolean frees = of.get(of.size() - 1) >= task.thickness() && tabs == 0;
        Figures figures = Figures.ofContour(tabs, corners(feature.contour(), side));
        return RouterStop.done(
                        operation, feature.id(), List.of(feature.id()), tool, of, way, figures)
                .freeing(frees)
                .asking(kerf(feature, side, of, done, finish));
    }

    /** Where the tool comes down in a hole beside the contour, mm along that. */
    private Optional<Double> atHole(
            Feature feature, ContourWay.Side side, List<Descent.Hole> holes) {
        double off = side == ContourWay.Side.ON ? 0 : tool.diameter() / 2 + round.allowance();
        Contour drawn = feature.contour();
        return holes.stream()
                .map(Descent.Hole::centre)
                .filter(c -> drawn.contains(c) == (side == ContourWay.Side.INSIDE) || off == 0)
                .min(
                        Comparator.comparingDouble(
                                c -> Math.abs(drawn.nearest(c).point().distance(c) - off)))
                .map(c -> drawn.distanceAt(drawn.nearest(c)));
    }

    private ContourWay.Side side(Feature feature) {
        return round.side().orElseGet(() -> ContourWay.Side.usual(feature));
    }

    // ---- finishing cuts

    private void requireFinish(Feature feature) {
        Finish finish = round.finish();
        if (finish.cuts() == 0) {
            return;
        }
        if (side(feature) == ContourWay.Side.ON) {
            throw new CannotException("On the line there is no wall that could be finished.");
        }
        Finishes.requireLead(finish, tool);
        if (side(feature) == ContourWay.Side.INSIDE) {
            Region inner = new Region(feature.contour().turning(true), List.of());
            double off = tool.diameter() / 2 + round.allowance();
            Finishes.requireRoom(Offsetter.round().offset(inner, -off), finish, feature.id());
        }
    }

    // ---- what is asked for

    /** What no way beside a contour reaches: corners sharper than the tool is round. */
    private double corners(Contour drawn, ContourWay.Side side) {
        if (side == ContourWay.Side.ON) {
            return 0;
        }
        double radius = (side == ContourWay.Side.INSIDE ? -1 : 1) * tool.diameter() / 2;
        Region inner = new Region(drawn.turning(true), List.of());
        List<Region> axis = Offsetter.round().offset(inner, radius);
        double reached = Reach.area(Offsetter.round().offset(axis, -radius));
        return Math.max(0, Math.signum(radius) * (reached - inner.area()));
    }

    /** A way as wide as the tool along the drawn line, but for tabs; not through other parts. */
    private Wanted kerf(
            Feature feature,
            ContourWay.Side side,
            List<Double> of,
            List<ContourWay.Done> done,
            Finish finish) {
        double wide = tool.diameter() + finish.left();
        Contour drawn = feature.contour().turning(true);
        Region inner = new Region(drawn, List.of());
        List<Region> band =
                switch (side) {
                    case OUTSIDE ->
                            Overlay.difference(
                                    Offsetter.round().offset(drawn, wide), List.of(inner));
                    case INSIDE ->
                            Overlay.difference(
                                    List.of(inner), Offsetter.round().offset(drawn, -wide));
                    case ON ->
                            Overlay.difference(
                                    Offsetter.round().offset(drawn, wide / 2),
                                    Offsetter.round().offset(drawn, -wide / 2));
                };
        Box near = drawn.box().grown(wide);
        List<Region> others =
                task.reading().parts().stream()
                        .filter(p -> !Optional.of(p.id()).equals(feature.part()))
                        .map(Part::region)
                        .filter(r -> r.box().touches(near))
                        .toList();
        List<Wanted.Kept> tabs = new ArrayList<>();
        for (ContourWay.Done one : done) {
            one.line()
                    .map(l -> l.standing(one.contour(), tool.diameter() / 2))
                    .orElse(List.of())
                    .forEach(s -> tabs.add(new Wanted.Kept(s.around(), s.core(), tabTop())));
        }
        return new Wanted(Overlay.difference(band, others), of.get(of.size() - 1), tabs);
    }

    private double tabTop() {
        return task.thickness() - round.tabs().orElseThrow().height();
    }

    private void requireTabs() {
        round.tabs()
                .filter(t -> t.height() >= task.thickness())
                .ifPresent(
                        t -> {
                            throw new CannotException(
                                    "Tabs %s mm high hold stock of %s mm: the outline would not be cut.",
                                    Numbers.plain(t.height(), 3),
                                    Numbers.plain(task.thickness(), 3));
                        });
    }
}
