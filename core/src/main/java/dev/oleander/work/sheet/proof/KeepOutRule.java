package dev.oleander.work.sheet.proof;

import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.motion.Item;
import dev.oleander.plan.bed.KeepOut;
import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.Finding;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The head hits no clamp: not while it is down, and none that is taller than it is lifted. */
public final class KeepOutRule implements SheetRule {

    @Override
    public String id() {
        return "keep-out";
    }

    @Override
    public String title() {
        return "the head keeps clear of clamps";
    }

    @Override
    public Outcome check(ProofInput input) {
        List<KeepOut> all = input.run().layout().keepOut();
        Map<String, Finding> worst = new LinkedHashMap<>();
        boolean down = false;
        int checked = 0;
        for (Item item : all.isEmpty() ? List.<Item>of() : input.program().items()) {
            if (item instanceof Item.Event event) {
                down = event.kind().isDownAfter(down);
            } else {
                Segment way = way(item);
                for (int k = 0; way != null && k < all.size(); k++) {
                    checked++;
                    hit(input, item.origin().stop(), way, down, all.get(k), k + 1, worst);
                }
            }
        }
        return new Outcome(checked, new ArrayList<>(worst.values()));
    }

    private static Segment way(Item item) {
        if (item instanceof Item.Rapid rapid) {
            return new Line(rapid.from(), rapid.to());
        }
        return item instanceof Item.Feed feed ? feed.segment() : null;
    }

    private static void hit(
            ProofInput input,
            String stop,
            Segment way,
            boolean down,
            KeepOut clamp,
            int number,
            Map<String, Finding> worst) {
        double lift = input.run().machine().head().lift();
        if (!down && clamp.height() <= lift) {
            return;
        }
        double radius = input.run().machine().head().radius();
        double distance = clamp.distance(way);
        Finding before = worst.get(stop + number);
        if (distance < radius && (before == null || distance < before.value())) {
            String sentence =
                    "%s: the head, %s, comes within %s of clamp %d; it needs %s."
                            .formatted(
                                    named(input, stop),
                                    down ? "while it is down" : "lifted by " + Numbers.length(lift),
                                    Numbers.length(distance),
                                    number,
                                    Numbers.length(radius));
            Point place = way.at(way.nearest(clamp.box().centre()));
            worst.put(
                    stop + number,
                    Finding.of(Severity.MUST_FIX, stop, place, distance, radius, sentence));
        }
    }

    private static String named(ProofInput input, String stop) {
        Stop known = input.stops().get(stop);
        return known == null ? "The way home" : ProofInput.named(known);
    }
}
