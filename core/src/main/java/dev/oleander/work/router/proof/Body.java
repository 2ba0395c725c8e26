package dev.oleander.work.router.proof;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.motion.Item;
import dev.oleander.plan.bed.KeepOut;
import dev.oleander.work.router.book.RouterUnit;
import dev.oleander.work.router.plan.RoundStock;
import dev.oleander.work.router.run.RouterPlan;
import dev.oleander.work.router.tool.Tool;
import java.util.ArrayList;
import java.util.List;

/**
 * Something that a tool must not come to.
 *
 * @param name as a sentence says it
 * @param shape seen from above
 * @param top height of its upper side over the top of the stock, mm
 * @param ofTable whether it belongs to the table; otherwise it was put on the sheet
 */
public record Body(String name, KeepOut shape, double top, boolean ofTable) {

    /** mm that may be between two bodies that do not touch. */
    static final double NEAR = 0.5;

    /** mm; a tip that ends at a pod does not cut it. */
    private static final double SAME = 1e-6;

    /** Clamps, stops of the table, pods under the stock, and the jaws that hold round stock. */
    public static List<Body> of(RouterPlan plan) {
        List<Body> all = new ArrayList<>();
        List<KeepOut> clamps = plan.run().layout().keepOut();
        for (int i = 0; i < clamps.size(); i++) {
            KeepOut clamp = clamps.get(i);
            all.add(new Body("clamp " + (i + 1), clamp, clamp.height(), false));
        }
        Box stock = plan.run().layout().stock();
        double thickness = plan.task().thickness();
        if (plan.task().round().isPresent()) {
            all.addAll(jaws(plan.unit().rotary(), plan.task().round().get(), stock));
            return all;
        }
        for (RouterUnit.Stop stop : plan.unit().stops()) {
            KeepOut shape =
                    new KeepOut(
                            stock.min().x() + stop.x(),
                            stock.min().y() + stop.y(),
                            stop.width(),
                            stop.depth(),
                            stop.height());
            all.add(new Body("stop " + stop.name(), shape, stop.height() - thickness, true));
        }
        List<KeepOut> pods = plan.choices().pods();
        for (int i = 0; i < pods.size(); i++) {
            all.add(new Body("pod " + (i + 1), pods.get(i), -thickness, true));
        }
        return all;
    }

    private static List<Body> jaws(RouterUnit.Rotary rotary, RoundStock round, Box stock) {
        if (rotary == null || rotary.jaw() == null) {
            return List.of();
        }
        RouterUnit.Jaw jaw = rotary.jaw();
        KeepOut shape =
                new KeepOut(
                        stock.min().x() - jaw.length(),
                        stock.centre().y() - jaw.radius(),
                        jaw.length(),
                        2 * jaw.radius(),
                        jaw.radius());
        return List.of(new Body("the jaws", shape, jaw.radius() - round.radius(), true));
    }

    /** Whether the cutting part of a tool comes to it in a move. */
    boolean meetsTip(Item item, Tool tool) {
        return Lying.drill(tool)
                .map(drill -> meets(item, drill))
                .orElseGet(
                        () ->
                                low(item) < top - SAME
                                        && distance(item, shape) < tool.diameter() / 2 + NEAR);
    }

    /** Whether shank, holder or housing come to it. */
    boolean meetsHolder(Item item, Tool tool, RouterUnit unit) {
        if (tool.kind().looks().isPresent()) {
            return Lying.housing(tool, unit).stream().anyMatch(part -> meets(item, part));
        }
        return meetsUpright(item, tool);
    }

    private boolean meets(Item item, Lying part) {
        return low(item) - part.half() < top - SAME && part.distance(item, shape) < NEAR;
    }

    private boolean meetsUpright(Item item, Tool tool) {
        double bottom = low(item) + tool.shank().stickOut();
        double distance = distance(item, shape);
        for (Tool.Holder.Step step : tool.holder().steps()) {
            if (bottom < top && distance < step.diameter() / 2 + NEAR) {
                return true;
            }
            bottom += step.height();
        }
        return false;
    }

    static double low(Item item) {
        return Math.min(item.rise().from().z(), item.rise().to().z());
    }

    /** mm seen from above between the tip of a tool in a move and what stands there. */
    static double distance(Item item, KeepOut shape) {
        Point end = Unrolled.place(item);
        if (item instanceof Item.Rapid rapid) {
            boolean across = rapid.from().distance(end) > 0;
            return across ? shape.distance(new Line(rapid.from(), end)) : shape.distance(end);
        }
        return ((Item.AtFeed) item).way().map(shape::distance).orElseGet(() -> shape.distance(end));
    }
}
