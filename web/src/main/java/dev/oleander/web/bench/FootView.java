package dev.oleander.web.bench;

import dev.oleander.motion.Seconds;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.job.JobResult;

/** Totals at the foot of the bench. */
public record FootView(String cutting, String travel, String piercing, String total, String price) {

    static FootView of(JobResult result) {
        if (!result.isPlanned()) {
            return new FootView("–", "–", "–", "–", "–");
        }
        Seconds s = result.timeline().seconds();
        return new FootView(
                Numbers.duration(s.cutting()),
                Numbers.duration(s.travel()),
                Numbers.duration(s.piercing()),
                Numbers.duration(s.total()),
                Numbers.plain(result.pricePerPart(), 2));
    }
}
