package dev.oleander.work.wire.proof;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.motion.Item;
import dev.oleander.plan.bed.KeepOut;
import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.wire.book.WireUnit;
import dev.oleander.work.wire.plan.WirePlan;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The upper guide hits no clamp, on its way and while it cuts. */
public final class GuideRule extends WireRule {

    @Override
    public String id() {
        return "wire-guide";
    }

    @Override
    public String title() {
        return "the upper guide keeps clear of clamps";
    }

    /** How near the guide comes to a clamp, and where. */
    private record Near(double distance, Point place) {}

    @Override
    void check(WirePlan plan, ProofInput input, Findings findings) {
        List<KeepOut> clamps = plan.run().layout().keepOut();
        WireUnit wire = WireUnit.of(plan.task().machine());
        double height = plan.task().height();
        // the guide runs extended beyond the upper side of the work
        double beyond = wire.upperGap() / height;
        for (int k = 0; k < clamps.size(); k++) {
            KeepOut clamp = clamps.get(k);
            Map<String, Near> nearest = new LinkedHashMap<>();
            for (Item item : input.program().items()) {
                findings.checked(1);
                way(item, beyond, clamp.box(), nearest);
            }
            if (clamp.height() <= wire.upperGap()) {
                continue;
            }
            for (Map.Entry<String, Near> entry : nearest.entrySet()) {
                told(plan, input, wire, clamp, k + 1, entry, findings);
            }
        }
    }

    private static void told(
            WirePlan plan,
            ProofInput input,
            WireUnit wire,
            KeepOut clamp,
            int number,
            Map.Entry<String, Near> entry,
            Findings findings) {
        Near near = entry.getValue();
        Stop stop = input.stops().get(entry.getKey());
        if (near.distance() >= wire.guideRadius() || stop == null) {
            return;
        }
        double needed = clamp.height() + wire.upperGap();
        boolean reaches = plan.task().height() + needed <= wire.upperReach();
        findings.add(
                Severity.MUST_FIX,
                stop.id(),
                near.place(),
                near.distance(),
                wire.guideRadius(),
                "%s: the upper guide, %s above the work, comes within %s of clamp %d, which is %s high; it needs %s. Move the clamp%s."
                        .formatted(
                                ProofInput.named(stop),
                                Numbers.length(wire.upperGap()),
                                Numbers.length(near.distance()),
                                number,
                                Numbers.length(clamp.height()),
                                Numbers.length(wire.guideRadius()),
                                reaches
                                        ? ", or set the guide %s above the work"
                                                .formatted(Numbers.length(needed))
                                        : ""));
    }

    private static void way(Item item, double beyond, Box clamp, Map<String, Near> nearest) {
        Point from;
        Point to;
        if (item instanceof Item.Rapid rapid) {
            from = rapid.from();
            to = rapid.to();
        } else if (item instanceof Item.TwoPlane both) {
            from = guide(both.lower().from(), both.upper().from(), beyond);
            to = guide(both.lower().to(), both.upper().to(), beyond);
        } else if (item instanceof Item.Feed feed) {
            from = feed.segment().start();
            to = feed.segment().end();
            sample(item, feed.segment().middle(), clamp, nearest);
        } else {
            return;
        }
        int parts = 1 + (int) (from.distance(to) / 5);
        for (int i = 0; i <= parts; i++) {
            Point p = from.plus(to.minus(from).times((double) i / parts));
            sample(item, p, clamp, nearest);
        }
    }

    private static Point guide(Point lower, Point upper, double beyond) {
        return upper.plus(upper.minus(lower).times(beyond));
    }

    private static void sample(Item item, Point p, Box clamp, Map<String, Near> nearest) {
        double d = clamp.distance(new Box(p, p));
        nearest.merge(
                item.origin().stop(),
                new Near(d, p),
                (a, b) -> a.distance() <= b.distance() ? a : b);
    }
}
