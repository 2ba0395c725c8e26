package dev.oleander.web.release;

import dev.oleander.drawing.draw.Stamp;
import dev.oleander.web.counter.ShopCounters;
import dev.oleander.web.job.Stamps;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.source.BroughtFiles;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Collection;
import org.springframework.stereotype.Component;

/** Texts say of a job what its next release will be. */
@Component
class ReleaseStamps implements Stamps {

    private final RevisionNames revisions;
    private final ShopCounters counters;
    private final BroughtFiles files;
    private final Clock clock;

    ReleaseStamps(RevisionNames revisions, ShopCounters counters, BroughtFiles files, Clock clock) {
        this.revisions = revisions;
        this.counters = counters;
        this.files = files;
        this.clock = clock;
    }

    @Override
    public Stamp now(long job, JobDocument document, Collection<String> wanted) {
        return new Stamp(
                String.valueOf(job),
                revisions.next(job, false),
                part(document),
                LocalDate.now(clock).toString(),
                counters.next(wanted));
    }

    /** As the file of the drawing is called; what was drawn here as the job. */
    private String part(JobDocument document) {
        if (document.shape().files().isEmpty()) {
            return document.name();
        }
        String name = files.find(document.shape().files().get(0)).name();
        int ending = name.lastIndexOf('.');
        return ending > 0 ? name.substring(0, ending) : name;
    }
}
