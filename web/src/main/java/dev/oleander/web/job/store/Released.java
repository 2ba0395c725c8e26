package dev.oleander.web.job.store;

import dev.oleander.web.job.document.DocumentJson;
import dev.oleander.web.job.result.JobResult;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * The newest release of a job, as far as the job has to know it.
 *
 * @param fingerprint of the document it was made from
 * @param data fingerprint of the cutting data it was made with; empty when that was not kept
 * @param format name of the format that it was written in, with its version
 * @param runs numbers of the runs of which there is a program of the same step, data and format
 */
public record Released(
        String revision, String fingerprint, String data, String format, Set<Integer> runs) {

    public Released {
        runs = Set.copyOf(runs);
    }

    public static String format(String name, int version) {
        return name + " " + version;
    }

    /** Whether the same program would come of a result. */
    public boolean isOf(JobResult result) {
        return fingerprint.equals(DocumentJson.fingerprint(result.document()))
                && (data.isEmpty() || data.equals(result.dataFingerprint()))
                && format.equals(format(result.dialect().name(), result.dialect().version()));
    }

    /** Numbers of the runs of a result of which there is no program. */
    public List<Integer> missing(JobResult result) {
        return result.runs().stream()
                .map(JobResult::number)
                .filter(run -> !runs.contains(run))
                .toList();
    }

    /** Where the newest release of a job is found. */
    public interface Lookup {

        Optional<Released> latest(long job);
    }
}
