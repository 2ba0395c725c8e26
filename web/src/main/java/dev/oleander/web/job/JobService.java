package dev.oleander.web.job;

import dev.oleander.drawing.Layer;
import dev.oleander.plan.PlanChoices;
import dev.oleander.plan.SheetChoices;
import dev.oleander.web.account.Account;
import dev.oleander.web.account.AccountRepository;
import dev.oleander.web.account.SignedIn;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Makes, reads and edits jobs. Every edit appends a step; nothing is overwritten. */
@Service
@Transactional(readOnly = true)
public class JobService {

    /** Stops up to which an order is planned again to compare another with it. */
    private static final int MOST_COMPARED = 3_000;

    private final JobRepository jobs;
    private final JobStepRepository steps;
    private final DrawingFileRepository files;
    private final AccountRepository accounts;
    private final JobComputer computer;
    private final Planning planning;
    private final Revisions revisions;
    private final Proposals proposals;
    private final OrderCheck orderCheck;
    private final Released.Lookup releases;
    private final Clock clock;

    JobService(
            JobRepository jobs,
            JobStepRepository steps,
            DrawingFileRepository files,
            AccountRepository accounts,
            JobComputer computer,
            Planning planning,
            Revisions revisions,
            Proposals proposals,
            OrderCheck orderCheck,
            Released.Lookup releases,
            Clock clock) {
        this.jobs = jobs;
        this.steps = steps;
        this.files = files;
        this.accounts = accounts;
        this.computer = computer;
        this.planning = planning;
        this.revisions = revisions;
        this.proposals = proposals;
        this.orderCheck = orderCheck;
        this.releases = releases;
        this.clock = clock;
    }

    /** A drawing file somebody brought. */
    public record Upload(String name, byte[] content) {}

    /**
     * Makes a job of drawings, or of none when all is to be drawn here.
     *
     * @return its id
     * @throws dev.oleander.drawing.DrawingException when a file cannot be read; then no job is made
     */
    @Transactional
    public long create(
            List<Upload> uploads,
            JobDocument.Order order,
            UnaryOperator<JobDocument> settings,
            SignedIn who) {
        orderCheck.check(order);
        Account account = accounts.getReferenceById(who.id());
        Instant now = clock.instant();
        Job job = new Job(account, now);
        job.pointTo(
                JobStep.NONE,
                document(order, List.of()),
                new Job.Summary(Stage.SHAPE, "", ""),
                account,
                now);
        jobs.saveAndFlush(job);
        List<Long> ids = uploads.stream().map(u -> store(job, u, now)).toList();
        JobDocument wished = settings.apply(document(order, ids));
        requireLayers(wished);
        JobDocument document = orderCheck.checked(document(order, ids), proposals.propose(wished));
        append(job, document, ids.isEmpty() ? "Job begun" : "Drawing brought in", account);
        return job.id();
    }

    /** Layers that somebody names with a purpose are there; names are alike whatever their case. */
    private void requireLayers(JobDocument document) {
        Set<String> named = document.shape().rules().layers().keySet();
        if (named.isEmpty()) {
            return;
        }
        List<String> there =
                computer.result(document).reading().drawing().layers().stream()
                        .map(Layer::name)
                        .toList();
        for (String name : named) {
            if (there.stream().noneMatch(name::equalsIgnoreCase)) {
                throw new RefusedEditException(
                        "The drawing has no layer \"%s\"; it has %s."
                                .formatted(name, String.join(", ", there)));
            }
        }
    }

    private Long store(Job job, Upload upload, Instant now) {
        String sha = DocumentJson.sha256(upload.content());
        return files.saveAndFlush(
                        new DrawingFile(job.id(), upload.name(), upload.content(), sha, now))
                .id();
    }

    private static JobDocument document(JobDocument.Order order, List<Long> files) {
        return new JobDocument(
                order,
                ShapeChoices.of(files),
                PlanChoices.defaults(),
                SheetChoices.usual(),
                Map.of());
    }

    /**
     * @throws NotFoundException when there is none
     */
    public JobView view(long id) {
        return view(job(id));
    }

    /** The job as it is and stays until the transaction ends. */
    @Transactional
    public JobView heldView(long id) {
        return view(heldJob(id));
    }

    private JobView view(Job job) {
        JobStep step = step(job, job.pointer());
        JobResult result = computer.result(DocumentJson.read(step.document()));
        String undo = step.parent() == JobStep.NONE ? null : step.label();
        String redo = steps.newestChild(job.id(), job.pointer()).map(JobStep::label).orElse(null);
        Optional<Planning.State> plan = planning.await(job.id(), result);
        List<StageView> stages = stages(job, result, plan);
        return new JobView(
                job.id(),
                job.pointer(),
                result,
                stages,
                plan,
                before(job, step, result),
                undo,
                redo);
    }

    /** What the step before came to, when this one changed the order of the stops. */
    private Optional<JobResult> before(Job job, JobStep step, JobResult result) {
        if (step.parent() == JobStep.NONE || !result.isPlanned()) {
            return Optional.empty();
        }
        JobDocument parent = DocumentJson.read(step(job, step.parent()).document());
        PlanChoices now = result.document().plan();
        boolean same =
                parent.plan().order() == now.order()
                        && parent.plan().sequence().equals(now.sequence())
                        && parent.plan().pins().equals(now.pins());
        if (same) {
            return Optional.empty();
        }
        return result.run().stops().size() <= MOST_COMPARED
                ? Optional.of(computer.result(parent))
                : computer.known(parent).filter(JobResult::isPlanned);
    }

    private List<StageView> stages(Job job, JobResult result, Optional<Planning.State> plan) {
        return new StageReport(result, releases.latest(job.id()), plan).stages();
    }

    /** What an edit does to a document. Refusals are thrown: {@link RefusedEditException}. */
    @FunctionalInterface
    public interface Edit {
        JobDocument apply(JobResult before);
    }

    /**
     * See {@link #edit(long, Integer, String, Edit, SignedIn)}; on the latest step, whatever it is.
     */
    @Transactional
    public JobView edit(long id, String label, Edit edit, SignedIn who) {
        return edit(id, null, label, edit, who);
    }

    /**
     * Appends a step, or changes nothing when the document stays the same.
     *
     * @param seenStep step the person saw; null: not checked
     * @param label what the edit does, for undo and for others: Lead-in of stop 3
     * @throws StaleEditException when somebody else was faster
     * @throws RefusedEditException when the edit cannot be taken
     */
    @Transactional
    public JobView edit(long id, Integer seenStep, String label, Edit edit, SignedIn who) {
        Job job = heldJob(id);
        requireSeen(job, seenStep);
        JobDocument before = DocumentJson.read(step(job, job.pointer()).document());
        JobDocument wished = edit.apply(computer.result(before));
        if (!wished.equals(before)) {
            JobDocument after = orderCheck.checked(before, wished);
            append(job, after, label, accounts.getReferenceById(who.id()));
            proposals.learn(before, after);
        }
        return view(job);
    }

    /** What a new version of the drawing did to a job. */
    public record Revised(
            JobView job, int kept, List<String> stale, List<ShapeChoices.Lost> lost) {}

    /**
     * Puts new files in the place of the drawing; decisions about what is still there stay.
     *
     * @throws dev.oleander.drawing.DrawingException when a file cannot be read; then nothing
     *     changes
     * @throws StaleEditException when somebody else was faster
     */
    @Transactional
    public Revised revise(long id, Integer seenStep, List<Upload> uploads, SignedIn who) {
        Job job = heldJob(id);
        requireSeen(job, seenStep);
        Instant now = clock.instant();
        List<Long> ids = uploads.stream().map(u -> store(job, u, now)).toList();
        JobDocument before = DocumentJson.read(step(job, job.pointer()).document());
        Revisions.Outcome outcome = revisions.revise(computer.result(before), ids);
        append(
                job,
                outcome.document(),
                "New version of the drawing",
                accounts.getReferenceById(who.id()));
        return new Revised(view(job), outcome.kept(), outcome.stale(), outcome.lost());
    }

    private void requireSeen(Job job, Integer seenStep) {
        if (seenStep != null && seenStep != job.pointer()) {
            throw new StaleEditException(
                    steps.since(job.id(), seenStep).stream()
                            .map(
                                    s ->
                                            new StaleEditException.Change(
                                                    s.account().fullName(), s.label()))
                            .toList());
        }
    }

    private void append(Job job, JobDocument document, String label, Account account) {
        Instant now = clock.instant();
        int number = steps.lastNumber(job.id()) + 1;
        steps.save(
                new JobStep(
                        new JobStep.Key(job.id(), number),
                        job.pointer(),
                        label,
                        DocumentJson.write(document),
                        account,
                        now));
        job.pointTo(number, document, summary(job, document), account, now);
        jobs.flush();
    }

    private Job.Summary summary(Job job, JobDocument document) {
        JobResult result = computer.result(document);
        List<StageView> stages = stages(job, result, planning.await(job.id(), result));
        return new Job.Summary(
                StageReport.next(stages).stage(),
                limited(StageReport.nextAction(stages)),
                result.shape().picture());
    }

    private static String limited(String sentence) {
        return sentence.length() <= 400 ? sentence : sentence.substring(0, 399) + "…";
    }

    /** Takes the present step back; a step that nothing is before stays. */
    @Transactional
    public JobView undo(long id, SignedIn who) {
        Job job = heldJob(id);
        int parent = step(job, job.pointer()).parent();
        return parent == JobStep.NONE ? view(job) : move(job, parent, who);
    }

    /** Brings back the newest step that was taken back from here. */
    @Transactional
    public JobView redo(long id, SignedIn who) {
        Job job = heldJob(id);
        return steps.newestChild(job.id(), job.pointer())
                .map(next -> move(job, next.number(), who))
                .orElseGet(() -> view(job));
    }

    private JobView move(Job job, int to, SignedIn who) {
        JobDocument document = DocumentJson.read(step(job, to).document());
        Account account = accounts.getReferenceById(who.id());
        job.pointTo(to, document, summary(job, document), account, clock.instant());
        jobs.flush();
        return view(job);
    }

    /**
     * Begins the plan of a job again, or stops it.
     *
     * @param wanted whether there is to be one
     */
    @Transactional
    public JobView plan(long id, boolean wanted) {
        if (wanted) {
            planning.resume(id);
        } else {
            planning.stop(id);
        }
        refreshSummary(id);
        return view(id);
    }

    /** Computes anew what the board shows, after a release or when a plan is there. */
    @Transactional
    public void refreshSummary(long id) {
        Job job = heldJob(id);
        JobDocument document = DocumentJson.read(step(job, job.pointer()).document());
        Job.Summary summary = summary(job, document);
        job.summarise(summary.stage(), summary.nextAction());
    }

    private Job heldJob(long id) {
        return jobs.findHeldById(id).orElseThrow(() -> NotFoundException.job(id));
    }

    private Job job(long id) {
        return jobs.findById(id).orElseThrow(() -> NotFoundException.job(id));
    }

    private JobStep step(Job job, int number) {
        return steps.findById(new JobStep.Key(job.id(), number)).orElseThrow();
    }
}
