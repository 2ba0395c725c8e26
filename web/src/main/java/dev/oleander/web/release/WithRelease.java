package dev.oleander.web.release;

import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.JobView;

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
}
