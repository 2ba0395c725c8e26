package dev.oleander.work.sheet.proof;

import dev.oleander.motion.Item;
import dev.oleander.plan.stop.CutPath;
import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.KeptMaterial.Nearness;
import dev.oleander.proof.ProofInput;
import dev.oleander.work.sheet.cut.SheetCut;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.BiPredicate;

/** Where moves with the process on reach into kept material, the worst place per stop. */
final class Swath {

    /** mm; intrusions below are rounding. */
    static final double ROUNDING = 1e-3;

    private final ProofInput input;
    private int checked;

    Swath(ProofInput input) {
        this.input = input;
    }

    int checked() {
        return checked;
    }

    /**
     * The deepest intrusion of each stop, over the moves that the predicate picks (stop, index of
     * the segment within the pass).
     */
    Map<Stop, Nearness> intrusions(BiPredicate<Stop, Integer> picked) {
        Map<Stop, Nearness> worst = new LinkedHashMap<>();
        for (Item item : input.program().items()) {
            if (item instanceof Item.Feed feed && feed.on()) {
                Stop stop = input.stops().get(feed.origin().stop());
                if (stop.kind() != Stop.Kind.MARK && picked.test(stop, feed.origin().segment())) {
                    checked++;
                    measure(stop, feed, worst);
                }
            }
        }
        return worst;
    }

    private void measure(Stop stop, Item.Feed feed, Map<Stop, Nearness> worst) {
        double half = halfKerf(stop);
        Nearness near = input.kept().nearest(feed.segment(), half);
        if (near != null && near.intrusion(half) > ROUNDING) {
            Nearness deepest = input.kept().deepest(feed.segment(), near);
            Nearness before = worst.get(stop);
            if (before == null || deepest.intrusion(half) > before.intrusion(half)) {
                worst.put(stop, deepest);
            }
        }
    }

    static double halfKerf(Stop stop) {
        return SheetCut.of(stop).row().orElseThrow().kerf() / 2;
    }

    static boolean isLead(Stop stop, int segment) {
        CutPath path = stop.path().orElseThrow();
        int in = path.leadIn().size();
        int out = path.leadOut().size();
        int all = in + path.main().size() + path.overRun().size() + out;
        return segment < in || segment >= all - out;
    }
}
