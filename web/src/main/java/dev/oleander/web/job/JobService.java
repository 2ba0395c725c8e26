package dev.oleander.web.job;

import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.document.DocumentJson;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.document.ShapeChoices;
import dev.oleander.web.job.document.StaleEditException;
import dev.oleander.web.job.planning.Planning;
import dev.oleander.web.job.result.JobComputer;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.job.result.Revisions;
import dev.oleander.web.job.source.BroughtFiles;
import dev.oleander.web.job.source.Upload;
import dev.oleander.web.job.store.Job;
import dev.oleander.web.job.store.JobStep;
import dev.oleander.web.job.store.JobStore;
import dev.oleander.web.load.Parts;
import dev.oleander.work.Work;
import java.time.Duration;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Service;

/**
 * Makes, reads and edits jobs. Every edit appends a step; nothing is overwritten. Reads, then
 * computes and waits, then writes: {@link JobStore} has the transactions.
 */
@Service
public class JobService {

    /** Stops up to which an order is planned again to compare another with it. */
    private static final int MOST_COMPARED = 3_000;

    /** How often an edit that need not be on a certain step is made again on the next one. */
    private static final int MOST_TRIES = 20;

    /** How long a program waits for a plan. */
    private static final Duration LONGEST = Duration.ofMinutes(5);

    private final JobStore store;
    private final BroughtFiles files;
    private final JobComputer computer;
    private final Planning planning;
    private final Revisions revisions;
    private final Proposals proposals;
    private final OrderCheck orderCheck;
    private final JobMaker maker;
    private final Summaries summaries;
    private final Stamps stamps;

    private final Turns turns = new Turns();

    JobService(
            JobStore store,
            BroughtFiles files,
            JobComputer computer,
            Planning planning,
            Revisions revisions,
            Proposals proposals,
            OrderCheck orderCheck,
            JobMaker maker,
            Summaries summaries,
            Stamps stamps) {
        this.stamps = stamps;
        this.maker = maker;
        this.summaries = summaries;
        this.store = store;
        this.files = files;
        this.computer = computer;
        this.planning = planning;
        this.revisions = revisions;
        this.proposals = proposals;
        this.orderCheck = orderCheck;
    }

    /** The same without anybody listening. */
    public long create(
            List<Upload> uploads,
            JobDocument.Order order,
            UnaryOperator<JobDocument> settings,
            SignedIn who) {
        return create(uploads, order, settings, who, JobMaker.Making.PLAIN);
    }

    /**
     * Makes a job of drawings, or of none when all is to be drawn here.
     *
     * @return its id
     * @throws dev.oleander.drawing.DrawingException when a file cannot be read; then no job is made
     */
    public long create(
            List<Upload> uploads,
            JobDocument.Order order,
            UnaryOperator<JobDocument> settings,
            SignedIn who,
            JobMaker.Making making) {
        long id = maker.make(uploads, order, settings, who, making);
        settled(store.read(id));
        return id;
    }

    // ---- read

    /**
     * The job as it is, with its plan when that is there in time.
     *
     * @throws NotFoundException when there is none
     */
    public JobView view(long id) {
        return view(store.read(id));
    }

    /**
     * What kind of work a job is; nothing is planned for that.
     *
     * @throws NotFoundException when there is no such job
     */
    public Work<?, ?> kind(long id) {
        return computer.result(store.read(id).document()).kind();
    }

    /**
     * The job with its plan and its proof, however long that takes; without them when somebody
     * stopped the plan, or it failed.
     *
     * @throws NotFoundException when there is none
     */
    public JobView finished(long id) {
        return finished(id, null);
    }

    /**
     * The same of a certain step.
     *
     * @param seenStep step the person saw; null: not checked
     * @throws StaleEditException when it is not the present one
     */
    public JobView finished(long id, Integer seenStep) {
        return finished(id, seenStep, LONGEST);
    }

    /**
     * The same within some time; without plan and proof when they take longer.
     *
     * @throws StaleEditException when a step that the person saw is not the present one
     */
    public JobView finished(long id, Integer seenStep, Duration longest) {
        for (int i = 0; i < MOST_TRIES; i++) {
            JobStore.State state = seen(id, seenStep);
            JobView view = finished(state, longest);
            boolean newest = store.read(id).step() == state.step();
            if (view.planning().isEmpty() || newest) {
                return view;
            }
        }
        throw new StaleEditException(List.of());
    }

    private JobView finished(JobStore.State state, Duration longest) {
        JobResult result = computer.result(state.document());
        planning.finish(wanted(state, result), longest);
        return view(state, result, planning.known(wanted(state, result)));
    }

    private static Planning.Wanted wanted(JobStore.State state, JobResult result) {
        return new Planning.Wanted(
                state.id(),
                state.version(),
                state.kept() ? state.step() : JobStep.NONE,
                state.account(),
                result);
    }

    private JobView view(JobStore.State state) {
        JobResult result = computer.result(state.document());
        return view(state, result, planning.await(wanted(state, result)));
    }

    /**
     * What a job is at this moment, without its plan.
     *
     * @param version how often it was written
     * @param step its present step
     */
    public record Present(long version, int step, JobDocument document) {}

    /**
     * @throws NotFoundException when there is none
     */
    public Present present(long id) {
        JobStore.State state = store.read(id);
        return new Present(state.version(), state.step(), state.document());
    }

    /** Present steps of jobs; without those that are gone. */
    public Map<Long, Integer> steps(Collection<Long> ids) {
        return store.steps(ids);
    }

    /** How far the plan of a job is; empty when it is complete. Waits for nothing. */
    public Optional<Planning.State> planning(long id) {
        JobStore.State state = store.read(id);
        return planning.known(wanted(state, computer.result(state.document())));
    }

    private JobView view(JobStore.State state, JobResult result, Optional<Planning.State> plan) {
        return new JobView(
                state.id(),
                state.step(),
                result,
                new StageReport(result, state.released(), plan).stages(),
                plan,
                before(state, result),
                state.isFirst() ? Optional.empty() : Optional.of(state.label()),
                Optional.ofNullable(state.redo()));
    }

    /** What the step before came to, when this one changed the order of the stops. */
    private Optional<JobResult> before(JobStore.State state, JobResult result) {
        if (state.isFirst() || !result.isPlanned()) {
            return Optional.empty();
        }
        JobDocument parent = DocumentJson.read(state.before());
        boolean same =
                !parent.machine().equals(result.document().machine())
                        || parent.choices(result.kind()).run().ordersAs(result.runChoices());
        if (same) {
            return Optional.empty();
        }
        return result.run().stops().size() <= MOST_COMPARED
                ? Optional.of(computer.result(parent))
                : computer.known(parent).filter(JobResult::isPlanned);
    }

    /** The view of a state, which the board shows too from now on. */
    private JobView settled(JobStore.State state) {
        // the board wants the plan, whether or not its caller waits for it
        planning.known(wanted(state, computer.result(state.document())));
        JobView view = Parts.of("plan", () -> view(state));
        Job.Summary summary = summaries.of(view.result(), view.stages());
        boolean shown =
                summary.stage() == state.stage() && summary.nextAction().equals(state.nextAction());
        if (!shown) {
            store.summarise(state.id(), state.step(), summary);
        }
        return view;
    }

    // ---- edit

    /** What an edit does to a document. Refusals are thrown: {@link RefusedEditException}. */
    @FunctionalInterface
    public interface Edit {
        JobDocument apply(JobResult before);
    }

    /**
     * See {@link #edit(long, Integer, String, Edit, SignedIn)}; on the latest step, whatever it is.
     */
    public JobView edit(long id, String label, Edit edit, SignedIn who) {
        return edit(id, null, label, edit, who);
    }

    /**
     * Appends a step, or changes nothing when the document stays the same.
     *
     * @param seenStep step the person saw; null: not checked, the edit is made on what is there
     * @param label what the edit does, for undo and for others: Lead-in of stop 3
     * @throws StaleEditException when somebody else was faster
     * @throws RefusedEditException when the edit cannot be taken
     */
    public JobView edit(long id, Integer seenStep, String label, Edit edit, SignedIn who) {
        turns.take(
                id,
                () -> {
                    append(id, seenStep, label, edit, who);
                    return null;
                });
        return settled(store.read(id));
    }

    private void append(long id, Integer seenStep, String label, Edit edit, SignedIn who) {
        for (int i = 0; i < MOST_TRIES; i++) {
            JobStore.State state = Parts.of("read", () -> seen(id, seenStep));
            JobDocument before = state.document();
            JobDocument wished =
                    Parts.of("edit", () -> stamps.stamped(id, edit.apply(computer.result(before))));
            if (wished.equals(before)) {
                return;
            }
            JobDocument after = Parts.of("check", () -> orderCheck.checked(before, wished));
            if (Parts.of("write", () -> append(state, after, List.of(), label, who))) {
                proposals.learn(before, after);
                return;
            }
        }
        throw new StaleEditException(List.of());
    }

    private boolean append(
            JobStore.State state,
            JobDocument after,
            List<BroughtFiles.Brought> brought,
            String label,
            SignedIn who) {
        JobStore.Appended appended =
                new JobStore.Appended(after, brought, label, summaries.of(after, state.released()));
        return store.append(state.id(), state.step(), appended, who).isPresent();
    }

    private JobStore.State seen(long id, Integer seenStep) {
        JobStore.State state = store.read(id);
        if (seenStep != null && seenStep != state.step()) {
            throw new StaleEditException(store.since(id, seenStep));
        }
        return state;
    }

    /** What a job would be after an edit that is not made. */
    public JobView imagined(long id, Edit edit) {
        JobStore.State state = store.read(id);
        JobDocument wished = edit.apply(computer.result(state.document()));
        return finished(state.with(orderCheck.checked(state.document(), wished)), LONGEST);
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
    public Revised revise(long id, Integer seenStep, List<Upload> uploads, SignedIn who) {
        Revisions.Outcome outcome = turns.take(id, () -> revised(id, seenStep, uploads, who));
        JobView view = settled(store.read(id));
        return new Revised(view, outcome.kept(), outcome.stale(), outcome.lost());
    }

    private Revisions.Outcome revised(
            long id, Integer seenStep, List<Upload> uploads, SignedIn who) {
        JobStore.State state = seen(id, seenStep);
        return files.bring(
                uploads,
                brought -> {
                    Revisions.Outcome made =
                            revisions.revise(
                                    computer.result(state.document()), BroughtFiles.ids(brought));
                    String label = "New version of the drawing";
                    if (!append(state, made.document(), brought, label, who)) {
                        throw new StaleEditException(store.since(id, state.step()));
                    }
                    return made;
                });
    }

    /** See {@link #undo(long, Integer, SignedIn)}; whatever the present step is. */
    public JobView undo(long id, SignedIn who) {
        return undo(id, null, who);
    }

    /**
     * Takes the present step back; a step that nothing is before stays.
     *
     * @param seenStep step the person saw; null: not checked
     * @throws StaleEditException when it is not the present one
     */
    public JobView undo(long id, Integer seenStep, SignedIn who) {
        turns.take(
                id,
                () -> {
                    JobStore.State state = seen(id, seenStep);
                    if (!state.isFirst()) {
                        move(state, state.parent(), DocumentJson.read(state.before()), who);
                    }
                    return null;
                });
        return settled(store.read(id));
    }

    /** See {@link #redo(long, Integer, SignedIn)}; whatever the present step is. */
    public JobView redo(long id, SignedIn who) {
        return redo(id, null, who);
    }

    /**
     * Brings back the newest step that was taken back from here.
     *
     * @param seenStep step the person saw; null: not checked
     * @throws StaleEditException when it is not the present one
     */
    public JobView redo(long id, Integer seenStep, SignedIn who) {
        turns.take(
                id,
                () -> {
                    JobStore.State state = seen(id, seenStep);
                    if (state.next() != null) {
                        move(state, state.next(), store.document(id, state.next()), who);
                    }
                    return null;
                });
        return settled(store.read(id));
    }

    private void move(JobStore.State state, int to, JobDocument document, SignedIn who) {
        Job.Summary summary = summaries.of(document, state.released());
        if (!store.move(state.id(), state.step(), to, document, summary, who)) {
            throw new StaleEditException(store.since(state.id(), state.step()));
        }
    }

    // ---- plan

    /**
     * Begins the plan of a job again, or stops it.
     *
     * @param wanted whether there is to be one
     */
    public JobView plan(long id, boolean wanted) {
        if (wanted) {
            planning.resume(id);
        } else {
            planning.stop(id);
        }
        return settled(store.read(id));
    }

    /** Computes anew what the board shows, after a release or when a plan is there. */
    public void refreshSummary(long id) {
        settled(store.read(id));
    }

    /**
     * Holds a job until the transaction of the caller ends.
     *
     * @throws StaleEditException when a step that somebody saw is not its present one any more
     */
    public void hold(long id, int seenStep) {
        if (!store.holds(id, seenStep)) {
            throw new StaleEditException(store.since(id, seenStep));
        }
    }
}
