package dev.oleander.work.router.proof;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.motion.Item;
import dev.oleander.plan.bed.KeepOut;
import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.Spot;
import dev.oleander.work.router.book.RouterUnit;
import dev.oleander.work.router.tool.Tool;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A part of a tool that lies: its drill, or a step of the housing that carries it.
 *
 * @param plan what it covers seen from above, the tip at (0, 0)
 * @param half mm that it goes below its axis
 */
record Lying(Box plan, double half) {

    /** The drill itself, from its tip to the housing; empty for a tool that stands. */
    static Optional<Lying> drill(Tool tool) {
        return tool.kind()
                .looks()
                .map(looks -> part(looks, 0, tool.shank().stickOut(), tool.diameter() / 2));
    }

    /**
     * What carries it; nothing for a tool that stands. Where nobody said how large its housing is,
     * it goes no farther below its axis than that may lie over the table, where it would touch it.
     */
    static List<Lying> housing(Tool tool, RouterUnit unit) {
        List<Lying> parts = new ArrayList<>();
        boolean said = unit.side() == null || !tool.holder().equals(Tool.Holder.USUAL);
        double lowest = said ? Double.POSITIVE_INFINITY : unit.side().lowest();
        tool.kind()
                .looks()
                .ifPresent(
                        looks -> {
                            double from = tool.shank().stickOut();
                            for (Tool.Holder.Step step : tool.holder().steps()) {
                                double half = Math.min(step.diameter() / 2, lowest);
                                parts.add(part(looks, from, from + step.height(), half));
                                from += step.height();
                            }
                        });
        return parts;
    }

    private static Lying part(Face looks, double from, double to, double half) {
        Spot out = looks.outward();
        Point outward = new Point(out.x(), out.y());
        Point beside = new Point(-out.y(), out.x()).times(half);
        Box plan = Box.of(outward.times(from).minus(beside), outward.times(to).plus(beside));
        return new Lying(plan, half);
    }

    /**
     * mm seen from above between it and a body in a move; where a box moves along a line, its tip
     * moves past the body grown by the box turned about the tip.
     */
    double distance(Item item, KeepOut body) {
        KeepOut grown =
                new KeepOut(
                        body.x() - plan.max().x(),
                        body.y() - plan.max().y(),
                        body.width() + plan.width(),
                        body.depth() + plan.height(),
                        body.height());
        return Body.distance(item, grown);
    }
}
