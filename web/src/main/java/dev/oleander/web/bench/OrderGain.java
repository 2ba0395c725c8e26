package dev.oleander.web.bench;

import dev.oleander.motion.Item;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.bed.PlanException;
import dev.oleander.plan.stop.Stop;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.job.result.JobResult;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;

/** What another order of the same stops has changed, in words. */
final class OrderGain {

    /** mm */
    private static final double SHORT = 100;

    private OrderGain() {}

    /** A sentence; empty when the order is the same, or other stops are cut. */
    static String sentence(JobResult before, JobResult after) {
        try {
            return compared(before, after);
        } catch (PlanException none) {
            // there was no plan to compare with
            return "";
        }
    }

    private static String compared(JobResult before, JobResult after) {
        List<String> old = before.run().stops().stream().map(Stop::id).toList();
        List<String> now = after.run().stops().stream().map(Stop::id).toList();
        if (old.equals(now) || !new HashSet<>(old).equals(new HashSet<>(now))) {
            return "";
        }
        double way = travel(after.timeline()) - travel(before.timeline());
        double seconds = after.timeline().total() - before.timeline().total();
        return "Against the order before: %s travel, %s time."
                .formatted(
                        change(way, distance(Math.abs(way))),
                        change(seconds, Numbers.duration(Math.abs(seconds))));
    }

    /** In metres on sheets, in millimetres between the openings of a die. */
    private static String distance(double millimetres) {
        return millimetres < SHORT
                ? Numbers.length(millimetres)
                : String.format(Locale.ROOT, "%.2f m", millimetres / 1000);
    }

    private static String change(double difference, String amount) {
        return amount + (difference > 0 ? " more" : " less");
    }

    /** mm of all rapids. */
    private static double travel(Timeline timeline) {
        return timeline.program().items().stream()
                .filter(Item.Rapid.class::isInstance)
                .map(Item.Rapid.class::cast)
                .mapToDouble(r -> r.from().distance(r.to()))
                .sum();
    }
}
