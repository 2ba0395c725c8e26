package dev.oleander.web.release;

import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.JobView;
import java.util.Optional;

/** What is kept together with a release of programs, or neither is. */
public interface WithRelease {

    /**
     * Computed before the release, with no transaction held.
     *
     * @param job as it is released
     * @return what writes it, within the transaction of the release; whatever that throws refuses
     *     the release
     */
    Runnable prepared(JobView job, String revision, SignedIn who);

    /**
     * Why a job cannot be released as it is, and what would help.
     *
     * @param remedy path within the job that mends it when something is sent there; empty: nothing
     *     does at once
     * @param offer what that does
     */
    record Obstacle(String sentence, String remedy, String offer) {}

    /** What is in the way of a release; mostly nothing. */
    default Optional<Obstacle> obstacle(JobView job) {
        return Optional.empty();
    }
}
