package dev.oleander.web.job;

import java.util.Optional;

/**
 * The newest release of a job, as far as the job has to know it.
 *
 * @param fingerprint of the document it was made from
 * @param data fingerprint of the cutting data it was made with; empty when that was not kept
 */
public record Released(String revision, String fingerprint, String data) {

    /** Whether the same program would come of a result. */
    boolean isOf(JobResult result) {
        return fingerprint.equals(DocumentJson.fingerprint(result.document()))
                && (data.isEmpty() || data.equals(result.dataFingerprint()));
    }

    /** Where the newest release of a job is found. */
    public interface Lookup {

        Optional<Released> latest(long job);
    }
}
