package dev.oleander.web.release;

import dev.oleander.web.account.Account;
import dev.oleander.web.account.AccountRepository;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.JobService;
import java.time.Instant;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Keeps releases that are ready, each sealed after the one before. */
@Component
class ReleaseKeeper {

    private final ReleaseRepository releases;
    private final JobService jobs;
    private final AccountRepository accounts;

    ReleaseKeeper(ReleaseRepository releases, JobService jobs, AccountRepository accounts) {
        this.releases = releases;
        this.jobs = jobs;
        this.accounts = accounts;
    }

    /** What the next release of a job is called. */
    String nextRevision(long job, boolean trial) {
        if (trial) {
            return "T" + (releases.countByJobIdAndTrial(job, true) + 1);
        }
        return releases.findFirstByJobIdAndTrialOrderByIdDesc(job, false)
                .map(Release::revision)
                .map(RevisionLetters::after)
                .orElse("A");
    }

    /**
     * Keeps a release of the present step of a job.
     *
     * @param revision that is written into the program
     * @return empty when another release got that revision since the program was written
     * @throws dev.oleander.web.job.StaleEditException when the job was changed since it was read
     */
    @Transactional
    public Optional<Release> keep(
            Release.Origin origin,
            String revision,
            Release.Content content,
            SignedIn who,
            Instant now) {
        long job = origin.jobId();
        jobs.hold(job, origin.step());
        if (!nextRevision(job, content.trial()).equals(revision)) {
            return Optional.empty();
        }
        String before =
                releases.findFirstByJobIdOrderByIdDesc(job).map(Release::sha256).orElse(null);
        Release.Seal seal = new Release.Seal(revision, ReleaseSeal.of(content, before), before);
        Account by = accounts.findById(who.id()).orElseThrow();
        return Optional.of(releases.saveAndFlush(new Release(origin, content, seal, by, now)));
    }
}
