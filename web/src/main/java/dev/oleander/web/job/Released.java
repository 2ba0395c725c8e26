package dev.oleander.web.job;

import java.util.Optional;

/**
 * The newest release of a job, as far as the job has to know it.
 *
 * @param fingerprint of the document it was made from
 */
public record Released(String revision, String fingerprint) {

    /** Where the newest release of a job is found. */
    public interface Lookup {

        Optional<Released> latest(long job);
    }
}
