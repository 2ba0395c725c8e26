package dev.oleander.work.router.plan;

import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.operation.Depth;
import dev.oleander.work.router.operation.On;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.operation.Operation.Bore;
import dev.oleander.work.router.operation.Operation.Drill;
import dev.oleander.work.router.operation.Operation.Hole;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.way.Descent;
import dev.oleander.work.router.way.Leg;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Where a tool that does not cut in its middle may come straight down: in holes that others of the
 * job make, wider than it and as deep, and beside the stock.
 */
final class StartHoles {

    /** mm by which a hole is wider than the tool that comes down in it. */
    private static final double WIDER = 0.5;

    private static final double SAME = 1e-6;

    private StartHoles() {}

    /**
     * @param below depth to which the tool goes, mm below the top of the stock
     */
    static List<Descent.Hole> of(RouterTask task, Tool tool, double below) {
        List<Descent.Hole> holes = new ArrayList<>();
        for (Operation operation : task.operations()) {
            for (Feature feature : operation.on().of(task.reading())) {
                Optional<Double> diameter = diameter(task, operation, feature, below);
                if (diameter.filter(d -> d >= tool.diameter() + WIDER - SAME).isPresent()) {
                    Point centre = feature.chain().box().centre();
                    holes.add(new Descent.Hole(centre, diameter.get() / 2));
                }
            }
        }
        return holes;
    }

    /** Of the hole that an operation makes as deep as that; empty when it makes none. */
    private static Optional<Double> diameter(
            RouterTask task, Operation operation, Feature feature, double below) {
        if (feature.circleDiameter().isEmpty()) {
            return Optional.empty();
        }
        double drawn = feature.circleDiameter().getAsDouble();
        if (operation.what() instanceof Bore bore) {
            return Optional.of(drawn).filter(d -> isDeep(task, operation, bore.depth(), below));
        }
        if (!(operation.what() instanceof Drill drill)) {
            return Optional.empty();
        }
        if (drill.holes().isEmpty()) {
            return Optional.of(drawn).filter(d -> isDeep(task, operation, drill.depth(), below));
        }
        return drill.holes().stream()
                .filter(h -> On.hasDiameter(feature, h.diameter()))
                .filter(h -> isDeep(task, operation, h.depth(), below))
                .map(Hole::diameter)
                .max(Double::compare);
    }

    private static boolean isDeep(RouterTask task, Operation operation, Depth depth, double below) {
        return new LevelPlan(task, operation).below(depth) >= below - SAME;
    }

    /**
     * @throws CannotException saying where it comes straight down into the stock
     */
    static void require(
            RouterTask task, Tool tool, List<Descent.Hole> holes, List<Leg> legs, double from) {
        for (Leg leg : legs) {
            boolean down =
                    leg.segment().isEmpty()
                            && leg.cuts()
                            && leg.toZ() < Math.min(-from, leg.fromZ());
            if (down && !isFree(task, tool, holes, leg.to())) {
                throw new CannotException(
                        "Tool %d does not cut in its middle: it comes straight down only in a hole of %s mm, or beside the stock. Drill one at %s, %s, or let it ramp.",
                        tool.number(),
                        Numbers.plain(tool.diameter() + WIDER, 3),
                        Numbers.plain(leg.to().x(), 1),
                        Numbers.plain(leg.to().y(), 1));
            }
        }
    }

    private static boolean isFree(
            RouterTask task, Tool tool, List<Descent.Hole> holes, Point place) {
        double radius = tool.diameter() / 2;
        boolean beside = task.stock().distance(new Box(place, place)) >= radius;
        return beside || holes.stream().anyMatch(h -> h.takes(place, radius));
    }
}
