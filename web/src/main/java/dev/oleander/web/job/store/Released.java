package dev.oleander.web.job.store;

import dev.oleander.web.job.document.DocumentJson;
import dev.oleander.web.job.result.JobResult;
import java.util.Optional;

/**
 * The newest release of a job, as far as the job has to know it.
 *
 * @param fingerprint of the document it was made from
 * @param data fingerprint of the cutting data it was made with; empty when that was not kept
 * @param format name of the format that it was written in, with its version
 */
public record Released(String revision, String fingerprint, String data, String format) {

    public static String format(String name, int version) {
        return name + " " + version;
    }

    /** Whether the same program would come of a result. */
    public boolean isOf(JobResult result) {
        return fingerprint.equals(DocumentJson.fingerprint(result.document()))
                && (data.isEmpty() || data.equals(result.dataFingerprint()))
                && format.equals(format(result.dialect().name(), result.dialect().version()));
    }

    /** Where the newest release of a job is found. */
    public interface Lookup {

        Optional<Released> latest(long job);
    }
}
