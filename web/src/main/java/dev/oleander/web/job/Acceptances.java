package dev.oleander.web.job;

import dev.oleander.proof.Finding;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.result.JobResult;
import java.util.List;

/**
 * Findings that people have seen and let stand. Those that say the same of several sheets are one.
 */
public final class Acceptances {

    private Acceptances() {}

    /**
     * Accepts a finding on every sheet, or takes that back.
     *
     * @param given to be changed
     * @param key of the finding, see {@link Finding#key}; one that is found no more can be taken
     *     back
     * @param reason with who gave it; null: it is taken back
     */
    public static JobDocument of(JobResult before, JobDocument given, String key, String reason) {
        List<Finding> all =
                before.runs().stream().flatMap(run -> run.proof().findings().stream()).toList();
        JobDocument document = given.withAcceptance(key, reason);
        for (Finding finding : all) {
            if (finding.key().equals(key)) {
                for (Finding like : all) {
                    document =
                            like.isLike(finding)
                                    ? document.withAcceptance(like.key(), reason)
                                    : document;
                }
            }
        }
        return document;
    }

    /**
     * The key of a finding by its name in the proof of a run.
     *
     * @param name id of one of the first run, or number of a run and id: 2/f1
     * @throws RefusedEditException when there is none
     */
    public static String key(JobResult before, String name) {
        return before.runs().stream()
                .flatMap(
                        run -> {
                            String own = run.number() == 1 ? "" : run.number() + "/";
                            return run.proof().findings().stream()
                                    .filter(f -> (own + f.id()).equals(name));
                        })
                .findFirst()
                .map(Finding::key)
                .orElseThrow(
                        () ->
                                new RefusedEditException(
                                        "The proof has no finding \"%s\".".formatted(name)));
    }
}
