package dev.oleander.web.bench;

import dev.oleander.motion.Item;
import dev.oleander.motion.Timeline;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.job.result.JobResult;
import java.util.List;

/**
 * How long a machine runs without people.
 *
 * @param first seconds until it waits for somebody for the first time; all when it never does
 * @param waits how often it waits
 * @param longest longest stretch without people, s
 * @param total all in all, without the time of people, s
 */
public record Unattended(double first, int waits, double longest, double total) {

    /** s */
    private static final double AT_ONCE = 1;

    public static Unattended of(JobResult result) {
        Timeline timeline = result.timeline();
        List<Item> items = timeline.program().items();
        double begin = 0;
        double first = -1;
        double longest = 0;
        int waits = 0;
        for (int i = 0; i < items.size(); i++) {
            if (items.get(i) instanceof Item.Event event && event.kind().isForPeople()) {
                double from = i == 0 ? 0 : timeline.ends()[i - 1];
                longest = Math.max(longest, from - begin);
                first = first < 0 ? from : first;
                begin = timeline.ends()[i];
                waits++;
            }
        }
        longest = Math.max(longest, timeline.total() - begin);
        double people = timeline.seconds().people();
        return new Unattended(
                first < 0 ? timeline.total() : first, waits, longest, timeline.total() - people);
    }

    /** In words. */
    public String sentence() {
        if (waits == 0) {
            return "Runs %s without people.".formatted(Numbers.duration(total));
        }
        String often = waits == 1 ? "once" : waits + " times";
        return first < AT_ONCE
                ? "Waits for people at once, %s in all; runs %s alone at most."
                        .formatted(often, Numbers.duration(longest))
                : "Runs %s alone, then waits %s for people."
                        .formatted(Numbers.duration(first), often);
    }
}
