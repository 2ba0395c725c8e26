package dev.oleander.work.router.proof;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.plan.RouterStop;
import dev.oleander.work.router.run.RouterPlan;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.way.Leg;
import java.util.List;

/**
 * What carries a tool touches neither the stock as it is at that moment nor anything that holds it,
 * and neither does the tool a clamp.
 */
public final class HolderRule extends RouterRule {

    /** Places round a holder that are looked at. */
    private static final int ROUND = 24;

    public HolderRule() {
        super("holder", "what carries a tool touches neither the stock nor what holds it");
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
        Meetings.tell(
                proof,
                findings,
                (item, tool, body) ->
                        body.meetsHolder(item, tool, plan.unit())
                                || !body.ofTable() && body.meetsTip(item, tool));
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
            if (deep > Body.NEAR) {
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
}
