package dev.oleander.web.bench;

import dev.oleander.motion.Seconds;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.job.result.JobResult;

/**
 * Totals at the foot of the bench.
 *
 * @param starts what beginning a cut is on the machine: piercing, or threading
 * @param people empty when the run waits for nobody
 * @param inAll time of all sheets, in words; empty when there is one
 */
public record FootView(
        String cutting,
        String travel,
        String starts,
        String piercing,
        String people,
        String total,
        String inAll,
        String price) {

    static FootView of(JobResult result) {
        if (!result.isPlanned()) {
            return new FootView("–", "–", result.kind().starts(), "–", "", "–", "", "–");
        }
        Seconds s = result.timeline().seconds();
        return new FootView(
                Numbers.duration(s.cutting()),
                Numbers.duration(s.travel()),
                result.kind().starts(),
                Numbers.duration(s.piercing()),
                s.people() > 0 ? Numbers.duration(s.people()) : "",
                Numbers.duration(s.total()),
                inAll(result),
                Numbers.plain(result.pricePerPart(), 2));
    }

    private static String inAll(JobResult result) {
        int sheets = result.sheets();
        return sheets < 2
                ? ""
                : "%d sheets %s".formatted(sheets, Numbers.duration(result.secondsInAll()));
    }
}
