package dev.oleander.web.release;

import dev.oleander.web.account.Account;
import dev.oleander.web.account.AccountRepository;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.JobService;
import dev.oleander.web.seal.SealChain;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Keeps releases that are ready, each sealed after the one before and linked into the shop's chain.
 */
@Component
class ReleaseKeeper {

    private final ReleaseRepository releases;
    private final RevisionNames revisions;
    private final JobService jobs;
    private final AccountRepository accounts;
    private final SealChain chain;

    ReleaseKeeper(
            ReleaseRepository releases,
            RevisionNames revisions,
            JobService jobs,
            AccountRepository accounts,
            SealChain chain) {
        this.releases = releases;
        this.revisions = revisions;
        this.jobs = jobs;
        this.accounts = accounts;
        this.chain = chain;
    }

    /**
     * Keeps a release of the present step of a job, all its runs or none.
     *
     * @param revision that is written into the programs
     * @param contents of its runs
     * @param also is done in the same transaction
     * @return in the same order; empty when another release got that revision since the program was
     *     written
     * @throws dev.oleander.web.job.document.StaleEditException when the job was changed since it
     *     was read
     */
    @Transactional
    public List<Release> keep(
            Release.Origin origin,
            String revision,
            List<Release.Content> contents,
            SignedIn who,
            Instant now,
            Runnable also) {
        long job = origin.jobId();
        jobs.hold(job, origin.step());
        if (!revisions.next(job, contents.get(0).trial()).equals(revision)) {
            return List.of();
        }
        String before =
                releases.findFirstByJobIdOrderByIdDesc(job).map(Release::sha256).orElse(null);
        Account by = accounts.findById(who.id()).orElseThrow();
        List<Release> made = new ArrayList<>();
        for (Release.Content content : contents) {
            Release next = new Release(origin, content, revision, before, by, now);
            made.add(releases.saveAndFlush(next));
            chain.add(next.id(), next.sha256(), now);
            before = next.sha256();
        }
        also.run();
        return List.copyOf(made);
    }
}
