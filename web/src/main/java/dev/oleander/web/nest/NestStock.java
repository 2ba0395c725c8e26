package dev.oleander.web.nest;

import dev.oleander.geometry.Box;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.nesting.choice.StockLine;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.JobView;
import dev.oleander.web.job.result.Nesting;
import dev.oleander.web.release.WithRelease;
import dev.oleander.web.stock.Remnant;
import dev.oleander.web.stock.Remnants;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.springframework.stereotype.Component;

/** What a released nest takes from the stock of the shop, and what it leaves there. */
@Component
class NestStock implements WithRelease {

    private final Remnants remnants;

    NestStock(Remnants remnants) {
        this.remnants = remnants;
    }

    @Override
    public Runnable prepared(JobView job, String revision, SignedIn who) {
        return job.result()
                .nesting()
                .map(nesting -> prepared(job, nesting, revision, who))
                .orElse(() -> {});
    }

    private Runnable prepared(JobView job, Nesting nesting, String revision, SignedIn who) {
        List<Long> used = used(nesting);
        List<Remnant> left = left(job, nesting, revision);
        return () -> remnants.released(job.id(), used, left, who);
    }

    private static List<Long> used(Nesting nesting) {
        return nesting.choices().laid().stream()
                .map(NestedSheet::stock)
                .distinct()
                .map(id -> nesting.choices().stock(id).orElseThrow().remnant())
                .filter(Objects::nonNull)
                .toList();
    }

    private static List<Remnant> left(JobView job, Nesting nesting, String revision) {
        NestTask task = Nests.task(job.result());
        List<Remnant> left = new ArrayList<>();
        int number = 0;
        for (Nests.Counted sheet : Nests.counted(task, nesting.choices().laid())) {
            number++;
            StockLine stock = nesting.choices().stock(sheet.sheet().stock()).orElseThrow();
            String origin = "%s %s, sheet %d".formatted(job.document().name(), revision, number);
            for (int i = 0; i < sheet.times() && sheet.rest().isPresent(); i++) {
                left.add(remnant(job, stock, sheet.rest().get(), origin));
            }
        }
        return left;
    }

    private static Remnant remnant(JobView job, StockLine stock, Box rest, String origin) {
        return new Remnant(
                0,
                job.document().material(),
                job.document().thickness().value(),
                rest.width(),
                rest.height(),
                List.of(),
                stock.grain(),
                "",
                Remnant.State.FREE,
                job.id(),
                origin,
                null,
                Instant.EPOCH);
    }
}
