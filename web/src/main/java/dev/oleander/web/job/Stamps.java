package dev.oleander.web.job;

import dev.oleander.drawing.draw.Stamp;
import dev.oleander.web.job.document.JobDocument;
import java.util.Collection;

/** What the texts of a job say of it at this moment. */
public interface Stamps {

    /**
     * @param counters of the shop whose numbers are wanted
     */
    Stamp now(long job, JobDocument document, Collection<String> counters);

    /** A document whose texts say what holds now. */
    default JobDocument stamped(long job, JobDocument document) {
        return document.reshaped(shape -> shape.stamped(of -> now(job, document, of)));
    }
}
