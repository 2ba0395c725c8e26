package dev.oleander.web.bench;

import static dev.oleander.work.wire.WireCutting.WIRE;

import dev.oleander.motion.Seconds;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.job.JobResult;

/**
 * Totals at the foot of the bench.
 *
 * @param starts what beginning a cut is on the machine: piercing, or threading
 * @param people empty when the run waits for nobody
 */
public record FootView(
        String cutting,
        String travel,
        String starts,
        String piercing,
        String people,
        String total,
        String price) {

    static FootView of(JobResult result) {
        if (!result.isPlanned()) {
            return new FootView("–", "–", starts(result), "–", "", "–", "–");
        }
        Seconds s = result.timeline().seconds();
        return new FootView(
                Numbers.duration(s.cutting()),
                Numbers.duration(s.travel()),
                starts(result),
                Numbers.duration(s.piercing()),
                s.people() > 0 ? Numbers.duration(s.people()) : "",
                Numbers.duration(s.total()),
                Numbers.plain(result.pricePerPart(), 2));
    }

    /** What the time before a cut is spent on. */
    static String starts(JobResult result) {
        return result.is(WIRE) ? "threading" : "piercing";
    }
}
