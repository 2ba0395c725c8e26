package dev.oleander.web.release;

import org.springframework.stereotype.Component;

/** What releases are called. */
@Component
class RevisionNames {

    private final ReleaseRepository releases;

    RevisionNames(ReleaseRepository releases) {
        this.releases = releases;
    }

    /** What the next release of a job is called. */
    String next(long job, boolean trial) {
        if (trial) {
            return "T" + (releases.countTrials(job) + 1);
        }
        return releases.findFirstByJobIdAndTrialOrderByIdDesc(job, false)
                .map(Release::revision)
                .map(RevisionLetters::after)
                .orElse("A");
    }
}
