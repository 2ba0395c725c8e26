package dev.oleander.work.router.proof;

import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.Item;
import dev.oleander.motion.Program;
import dev.oleander.plan.bed.KeepOut;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.plan.RouterStop;
import dev.oleander.work.router.run.RouterPlan;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.way.Leg;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What carries a tool touches neither the stock as it is at that moment nor a clamp, and neither
 * does the tool a clamp.
 */
public final class HolderRule extends RouterRule {

    /** mm that may be between two bodies that do not touch. */
    private static final double NEAR = 0.5;

    /** Places round a holder that are looked at. */
    private static final int ROUND = 24;

    public HolderRule() {
        super("holder", "what carries a tool touches neither the stock nor a clamp");
    }

    @Override
    void check(RouterProof proof, Findings findings) {
        RouterPlan plan = proof.plan();
        int made = 0;
        for (RouterStop stop : plan.done()) {
            findings.checked(1);
            if (stop.wrap().isEmpty() && stop.turns().isEmpty()) {
                stock(proof, stop, made, findings);
            }
            made += stop.cutting().legs().size();
        }
        clamps(plan, proof.program(), findings);
    }

    // ---- the stock

    /**
     * @param before how many moves of other stops were made by then
     */
    private static void stock(RouterProof proof, RouterStop stop, int before, Findings findings) {
        Tool tool = stop.tool().orElseThrow();
        double nose = tool.shank().stickOut();
        List<Leg> legs = stop.cutting().legs();
        for (int i = 0; i < legs.size(); i++) {
            Leg leg = legs.get(i);
            if (leg.lowest() + nose >= 0) {
                continue;
            }
            double deep = touched(proof, leg, tool, before + i);
            if (deep > NEAR) {
                findings.add(
                        Severity.MUST_FIX,
                        stop.id(),
                        leg.to(),
                        deep,
                        0,
                        "%s mm below the top the holder of tool %d, which stands out %s mm, would be %s mm in the stock."
                                .formatted(
                                        Numbers.plain(-leg.lowest(), 3),
                                        tool.number(),
                                        Numbers.plain(nose, 3),
                                        Numbers.plain(deep, 2)));
                return;
            }
        }
    }

    /** How deep the holder is in what is left there, mm. */
    private static double touched(RouterProof proof, Leg leg, Tool tool, int before) {
        Region stock = proof.plan().stock();
        double bottom = leg.lowest() + tool.shank().stickOut();
        double most = 0;
        for (Tool.Holder.Step step : tool.holder().steps()) {
            for (Point middle : List.of(leg.from(), leg.to())) {
                for (int k = 0; k < ROUND; k++) {
                    Point p =
                            middle.plus(Point.polar(step.diameter() / 2, 2 * Math.PI * k / ROUND));
                    if (stock.contains(p)) {
                        double top = -proof.depths().at(p, before).depth();
                        most = Math.max(most, top - bottom);
                    }
                }
            }
            bottom += step.height();
        }
        return most;
    }

    // ---- clamps

    private static void clamps(RouterPlan plan, Program program, Findings findings) {
        List<KeepOut> clamps = plan.run().layout().keepOut();
        if (clamps.isEmpty()) {
            return;
        }
        Map<Integer, Tool> tools = new HashMap<>();
        plan.task().tools().forEach(t -> tools.put(t.number(), t));
        Set<String> told = new HashSet<>();
        Tool tool = null;
        for (Item item : program.items()) {
            if (item instanceof Item.Event event) {
                boolean change = event.kind() == EventKind.TOOL;
                tool = change ? tools.get(event.args().getOrDefault("tool", 0.0).intValue()) : tool;
                continue;
            }
            for (int k = 0; tool != null && k < clamps.size(); k++) {
                if (hits(item, tool, clamps.get(k)) && told.add(item.origin().stop() + k)) {
                    hit(item, tool, k + 1, clamps.get(k), findings);
                }
            }
        }
    }

    private static boolean hits(Item item, Tool tool, KeepOut clamp) {
        double low = Math.min(item.rise().from().z(), item.rise().to().z());
        double distance = distance(item, clamp);
        if (low < clamp.height() && distance < tool.diameter() / 2 + NEAR) {
            return true;
        }
        double bottom = low + tool.shank().stickOut();
        for (Tool.Holder.Step step : tool.holder().steps()) {
            if (bottom < clamp.height() && distance < step.diameter() / 2 + NEAR) {
                return true;
            }
            bottom += step.height();
        }
        return false;
    }

    private static double distance(Item item, KeepOut clamp) {
        Point end = Unrolled.place(item);
        if (item instanceof Item.Rapid rapid) {
            boolean across = rapid.from().distance(end) > 0;
            return across ? clamp.distance(new Line(rapid.from(), end)) : clamp.distance(end);
        }
        return ((Item.AtFeed) item).way().map(clamp::distance).orElseGet(() -> clamp.distance(end));
    }

    private static void hit(Item item, Tool tool, int number, KeepOut clamp, Findings findings) {
        double low = Math.min(item.rise().from().z(), item.rise().to().z());
        findings.add(
                Severity.MUST_FIX,
                item.origin().stop(),
                Unrolled.place(item),
                low,
                clamp.height(),
                "tool %d comes to clamp %d, %s mm high, at a height of %s mm."
                        .formatted(
                                tool.number(),
                                number,
                                Numbers.plain(clamp.height(), 1),
                                Numbers.plain(low, 1)));
    }
}
