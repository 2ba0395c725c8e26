package dev.oleander.web.board;

import dev.oleander.quantity.Numbers;
import dev.oleander.web.job.store.Job;
import java.time.Duration;
import java.time.Instant;

/** One job as the board shows it. */
public record Ticket(
        long id,
        String name,
        String machine,
        String order,
        String stage,
        String stageLabel,
        String nextAction,
        String picture,
        String owner,
        String ownerInitials,
        String changed) {

    static Ticket of(Job job, String machineName, Instant now) {
        return new Ticket(
                job.id(),
                job.name(),
                machineName,
                "%d off · %s %s mm"
                        .formatted(
                                job.quantity(), job.material(), Numbers.plain(job.thickness(), 2)),
                job.stage().word(),
                job.stage().label(),
                job.nextAction(),
                job.picture(),
                job.owner().fullName(),
                job.owner().initials(),
                ago(Duration.between(job.changedAt(), now)) + " by " + job.changedBy().fullName());
    }

    private static String ago(Duration since) {
        if (since.toMinutes() < 1) {
            return "just now";
        }
        if (since.toHours() < 1) {
            return since.toMinutes() + " min ago";
        }
        return since.toDays() < 1 ? since.toHours() + " h ago" : since.toDays() + " d ago";
    }
}
