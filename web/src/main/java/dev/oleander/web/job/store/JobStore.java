package dev.oleander.web.job.store;

import dev.oleander.web.account.Account;
import dev.oleander.web.account.AccountRepository;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.document.DocumentJson;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.StaleEditException;
import dev.oleander.web.job.source.BroughtFiles;
import dev.oleander.web.job.source.DrawingFile;
import dev.oleander.web.job.source.DrawingFileRepository;
import dev.oleander.web.trail.Trail;
import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Reads and writes jobs in short transactions: nothing is computed or waited for in here. What is
 * written says which state it was made from, and is not written when that is not the present one.
 */
@Component
public class JobStore {

    private final JobRepository jobs;
    private final JobStepRepository steps;
    private final DrawingFileRepository files;
    private final AccountRepository accounts;
    private final Released.Lookup releases;
    private final Trail trail;
    private final Clock clock;

    JobStore(
            JobRepository jobs,
            JobStepRepository steps,
            DrawingFileRepository files,
            AccountRepository accounts,
            Released.Lookup releases,
            Trail trail,
            Clock clock) {
        this.jobs = jobs;
        this.steps = steps;
        this.files = files;
        this.accounts = accounts;
        this.releases = releases;
        this.trail = trail;
        this.clock = clock;
    }

    /**
     * A job as it is kept.
     *
     * @param version how often the job was written
     * @param step number of the present step
     * @param label what the present step did
     * @param account id of who changed the job last
     * @param parent number of the step before, {@link JobStep#NONE} for the first
     * @param before document of the step before, not read yet; null for the first
     * @param next number of the newest step that was taken back from here; null: none
     * @param redo what that did
     * @param kept whether it is the document of the step, and not one that is only imagined
     */
    public record State(
            long id,
            long version,
            int step,
            Long account,
            JobDocument document,
            String label,
            int parent,
            String before,
            Integer next,
            String redo,
            Stage stage,
            String nextAction,
            Optional<Released> released,
            boolean kept) {

        public boolean isFirst() {
            return parent == JobStep.NONE;
        }

        public State with(JobDocument other) {
            return new State(
                    id,
                    version,
                    step,
                    account,
                    other,
                    label,
                    parent,
                    before,
                    next,
                    redo,
                    stage,
                    nextAction,
                    released,
                    false);
        }
    }

    /**
     * @throws NotFoundException when there is none
     */
    @Transactional(readOnly = true)
    public State read(long id) {
        Job job = jobs.findById(id).orElseThrow(() -> NotFoundException.job(id));
        JobStep step = step(id, job.pointer());
        String before = step.parent() == JobStep.NONE ? null : step(id, step.parent()).document();
        Optional<JobStep> next = steps.newestChild(id, job.pointer());
        return new State(
                id,
                job.version(),
                job.pointer(),
                job.changedBy().id(),
                DocumentJson.read(step.document()),
                step.label(),
                step.parent(),
                before,
                next.map(JobStep::number).orElse(null),
                next.map(JobStep::label).orElse(null),
                job.stage(),
                job.nextAction(),
                releases.latest(id),
                true);
    }

    /** Present steps of jobs; without those that are gone. */
    @Transactional(readOnly = true)
    public Map<Long, Integer> steps(Collection<Long> ids) {
        return jobs.findSteps(ids).stream()
                .collect(Collectors.toMap(row -> (Long) row[0], row -> (Integer) row[1]));
    }

    /** The document of a step. */
    @Transactional(readOnly = true)
    public JobDocument document(long id, int step) {
        return DocumentJson.read(step(id, step).document());
    }

    /** What was done since a step, and by whom. */
    @Transactional(readOnly = true)
    public List<StaleEditException.Change> since(long id, int step) {
        return steps.since(id, step).stream()
                .map(s -> new StaleEditException.Change(s.account().fullName(), s.label()))
                .toList();
    }

    /**
     * Keeps a new job with its files and its first step.
     *
     * @param also is done in the same transaction
     * @return its id
     */
    @Transactional
    public long make(
            JobDocument document,
            List<BroughtFiles.Brought> brought,
            String label,
            Job.Summary summary,
            SignedIn who,
            Runnable also) {
        also.run();
        Account account = accounts.getReferenceById(who.id());
        Instant now = clock.instant();
        Job job = new Job(account, now);
        job.pointTo(JobStep.NONE, document, summary, account, now);
        jobs.saveAndFlush(job);
        keep(job.id(), brought, now);
        append(job, document, label, summary, account, now);
        return job.id();
    }

    private void keep(long job, List<BroughtFiles.Brought> brought, Instant now) {
        brought.forEach(f -> files.save(new DrawingFile(job, f, now)));
    }

    /** What an edit writes. */
    public record Appended(
            JobDocument document,
            List<BroughtFiles.Brought> files,
            String label,
            Job.Summary summary) {}

    /**
     * Appends a step after the one that it was made from.
     *
     * @return its number; empty when another one came in between
     */
    @Transactional
    public Optional<Integer> append(long id, int after, Appended appended, SignedIn who) {
        Job job = held(id);
        if (job.pointer() != after) {
            return Optional.empty();
        }
        Account account = accounts.getReferenceById(who.id());
        Instant now = clock.instant();
        keep(id, appended.files(), now);
        return Optional.of(
                append(
                        job,
                        appended.document(),
                        appended.label(),
                        appended.summary(),
                        account,
                        now));
    }

    private int append(
            Job job,
            JobDocument document,
            String label,
            Job.Summary summary,
            Account account,
            Instant now) {
        int number = steps.lastNumber(job.id()) + 1;
        steps.save(
                new JobStep(
                        new JobStep.Key(job.id(), number),
                        job.pointer(),
                        label,
                        DocumentJson.write(document),
                        account,
                        now));
        job.pointTo(number, document, summary, account, now);
        jobs.flush();
        return number;
    }

    /**
     * Makes another step the present one.
     *
     * @return whether the present one was still the one that it was asked from
     */
    @Transactional
    public boolean move(
            long id, int from, int to, JobDocument document, Job.Summary summary, SignedIn who) {
        Job job = held(id);
        if (job.pointer() != from) {
            return false;
        }
        Account account = accounts.getReferenceById(who.id());
        job.pointTo(to, document, summary, account, clock.instant());
        trail.ofJob(
                who.id(), id, (to < from ? "Undone, back to step " : "Redone, on to step ") + to);
        return true;
    }

    /** Repeats what the board shows of a step, while it is the present one. */
    @Transactional
    public void summarise(long id, int step, Job.Summary summary) {
        Job job = held(id);
        if (job.pointer() == step) {
            job.summarise(summary.stage(), summary.nextAction());
        }
    }

    /**
     * Holds a job until the transaction of the caller ends.
     *
     * @return whether a step is still its present one
     */
    @Transactional
    public boolean holds(long id, int step) {
        return held(id).pointer() == step;
    }

    private Job held(long id) {
        return jobs.findHeldById(id).orElseThrow(() -> NotFoundException.job(id));
    }

    private JobStep step(long job, int number) {
        return steps.findById(new JobStep.Key(job, number)).orElseThrow();
    }
}
