package dev.oleander.web.nest;

import dev.oleander.nesting.Nest;
import dev.oleander.nesting.NestCheck;
import dev.oleander.nesting.NestException;
import dev.oleander.nesting.NestFault;
import dev.oleander.nesting.NestFigures;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.nesting.Sheets;
import dev.oleander.nesting.choice.NestChoices;
import dev.oleander.nesting.search.Nester;
import dev.oleander.plan.Choice;
import dev.oleander.plan.Choices;
import dev.oleander.progress.CancelledException;
import dev.oleander.web.account.AccountRepository;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.StaleEditException;
import dev.oleander.web.job.result.JobComputer;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.job.store.JobStore;
import dev.oleander.web.longwork.WorkKind;
import dev.oleander.web.longwork.WorkProgress;
import dev.oleander.web.longwork.Works;
import dev.oleander.web.nest.NestResult.State;
import dev.oleander.work.Work;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Searches for nests as long work: on any node, the best so far in sight of everybody, stopped by
 * anybody, and kept whatever happens.
 */
@Component
public class NestSearch implements WorkKind {

    private static final Logger LOG = LoggerFactory.getLogger(NestSearch.class);

    /** s between two that are written down. */
    private static final double KEEPS = 0.5;

    /** Searches of a job that are told of; earlier ones can be asked for by their number. */
    private static final int MOST_TOLD = 12;

    /** s after which a search that tells nothing has lost its node: it tells twice a second. */
    private static final int SILENT = 15;

    /** Points of the course that are kept. */
    private static final int MOST_POINTS = 400;

    private final NestResultTable table;
    private final Works works;
    private final JobService jobs;
    private final JobStore store;
    private final JobComputer computer;
    private final AccountRepository accounts;
    private final NestEdits edits;
    private final RoomForCuts room;

    NestSearch(
            NestResultTable table,
            Works works,
            JobService jobs,
            JobStore store,
            JobComputer computer,
            AccountRepository accounts,
            NestEdits edits,
            RoomForCuts room) {
        this.table = table;
        this.works = works;
        this.jobs = jobs;
        this.store = store;
        this.computer = computer;
        this.accounts = accounts;
        this.edits = edits;
        this.room = room;
    }

    @Override
    public String word() {
        return "nest";
    }

    private static String subject(long job) {
        return "nest of job " + job;
    }

    /**
     * Begins a search; one of the same job that is under way ends.
     *
     * @return its number
     * @throws NestException when the task cannot be nested at all
     * @throws dev.oleander.web.job.document.RefusedEditException when the job has no nest
     */
    public int begin(long job, NestWish wish, SignedIn who) {
        JobService.Present present = jobs.present(job);
        JobResult result = computer.result(present.document());
        task(result, result.kind(), wish);
        // the job is left to the new search: what is taken now would be a step that it does not
        // know
        end(job);
        int number = table.add(job, present.step(), who.id(), wish);
        want(job, number, who.id());
        return number;
    }

    /**
     * Ends the search of a job; what it has found is kept, and the job takes it: from the node that
     * searches, or at once when that one ended and no other has gone on yet.
     */
    public void stop(long job) {
        Optional<NestResult> left = table.silent(job, SILENT);
        end(job);
        left.ifPresent(this::takeLeft);
    }

    private void end(long job) {
        table.stop(job);
        works.stop(subject(job));
    }

    private void takeLeft(NestResult search) {
        search.best().ifPresent(best -> new Run(search, WorkProgress.NOBODY).take(best.sheets()));
    }

    /** Threads that leave one processor to the pages. */
    public static int usualThreads() {
        return Math.max(1, Math.min(2, Runtime.getRuntime().availableProcessors() - 1));
    }

    /** The job as it was when a search of it began. */
    public JobDocument document(NestResult search) {
        return store.document(search.job(), search.step());
    }

    /** One that waits is wanted again: the queue may have been full. */
    public void wanted(NestResult search) {
        if (search.state() == State.WAITING) {
            want(search.job(), search.number(), search.account());
        }
    }

    private void want(long job, int number, long account) {
        works.want(new Works.Wish(this, job + "/" + number, subject(job), number, account));
    }

    /**
     * What a search has found.
     *
     * @throws NotFoundException when there is no such search, or it has found nothing
     */
    public NestResult.Best requireBest(long job, int number) {
        return result(job, number)
                .best()
                .orElseThrow(
                        () ->
                                new NotFoundException(
                                        "Search %d has found nothing yet.".formatted(number)));
    }

    /** The newest searches of a job, the newest first. */
    public List<NestResult> of(long job) {
        return table.of(job, MOST_TOLD);
    }

    /** The one that was begun last. */
    public Optional<NestResult> latest(long job) {
        return table.of(job, 1).stream().findFirst();
    }

    /**
     * @throws NotFoundException when there is no such search
     */
    public NestResult result(long job, int number) {
        return table.find(job, number)
                .orElseThrow(
                        () ->
                                new NotFoundException(
                                        "Job %d has no search %d.".formatted(job, number)));
    }

    private static <C extends Choices<C, S>, S extends Choice<S>> NestTask task(
            JobResult result, Work<C, S> kind, NestWish wish) {
        NestChoices choices = NestEdits.require(result).choices();
        List<NestedSheet> laid = choices.laid();
        boolean rest = wish.from() == NestWish.From.REST;
        List<NestedSheet> locked = rest ? Sheets.locked(laid, true) : Sheets.locked(laid);
        NestTask task = NestEdits.nesting(result).task(kind, locked);
        return wish.from() == NestWish.From.HERE
                ? task.from(Sheets.without(laid, p -> p.locked()))
                : task;
    }

    @Override
    public void run(String key, WorkProgress progress) {
        String[] parts = key.split("/");
        long job = Long.parseLong(parts[0]);
        int number = Integer.parseInt(parts[1]);
        NestResult search = table.find(job, number).orElseThrow(CancelledException::new);
        if (search.state().isOver()) {
            return;
        }
        table.begin(job, number);
        try {
            new Run(search, progress).run();
        } catch (NestException impossible) {
            table.end(job, number, State.FAILED, impossible.getMessage());
        } catch (CancelledException stopped) {
            throw stopped;
        } catch (RuntimeException fault) {
            table.end(
                    job,
                    number,
                    State.FAILED,
                    "The search failed for a reason of Oleander's own, which was logged.");
            throw fault;
        }
    }

    /** One search on this node. */
    private final class Run {

        private final NestResult search;
        private final WorkProgress progress;
        private final JobResult result;
        private final NestTask task;
        private final List<NestResult.Point> course;
        private final double before;
        private double kept;
        private boolean leaves;

        Run(NestResult search, WorkProgress progress) {
            this.search = search;
            this.progress = progress;
            this.result = computer.result(document(search));
            NestTask wanted = NestSearch.task(result, result.kind(), search.wish());
            // begun by a node that ended: on from what it had found
            this.task =
                    search.best()
                            .map(
                                    best ->
                                            wanted.from(
                                                    Sheets.without(best.sheets(), p -> p.locked())))
                            .orElse(wanted);
            this.before = search.seconds();
            this.course = new ArrayList<>(search.course());
        }

        void run() {
            Nest nest = Nester.nest(task, search.wish().budget(before), this::at);
            if (leaves) {
                throw new CancelledException();
            }
            double seconds = Math.max(kept, before);
            if (nest.sheets().isEmpty()) {
                table.end(search.job(), search.number(), State.FAILED, nothing());
                return;
            }
            Nest cut = room.made(document(search), task, nest, search.wish().seed(), this::goesOn);
            requireLegal(cut);
            keep(cut, seconds);
            take(withLocks(cut.sheets()));
            table.end(search.job(), search.number(), State.DONE, "");
        }

        private void requireLegal(Nest nest) {
            List<NestFault> faults = NestCheck.faults(task, nest.sheets());
            if (!faults.isEmpty()) {
                throw new IllegalStateException("not legal: " + faults);
            }
        }

        /** Whether nobody has stopped it. */
        private boolean goesOn() {
            return !result(search.job(), search.number()).state().isOver();
        }

        private String nothing() {
            return Nester.missing(task, List.of()).stream()
                    .findFirst()
                    .map(
                            m ->
                                    "Nothing could be laid: %s is %s."
                                            .formatted(
                                                    task.line(m.line()).job(), m.why().sentence()))
                    .orElse("Nothing could be laid.");
        }

        /** The best so far, at a meeting of the worlds. */
        private boolean at(Nest best, double seconds) {
            double all = before + seconds;
            try {
                progress.at(
                        Math.min(1, all / search.wish().seconds()),
                        "%d rounds".formatted(best.rounds()));
            } catch (CancelledException ended) {
                leaves = goesOn();
                kept = all;
                return false;
            }
            if (all - kept >= KEEPS && !best.sheets().isEmpty()) {
                keep(best, all);
            }
            return true;
        }

        private void keep(Nest nest, double seconds) {
            NestFigures figures = NestFigures.of(task, nest.sheets());
            NestResult.Best best =
                    new NestResult.Best(
                            withLocks(nest.sheets()),
                            figures.share(),
                            figures.cost(),
                            nest.score().front(),
                            figures.missing(),
                            nest.rounds(),
                            nest.explored(),
                            nest.tests());
            if (course.size() < MOST_POINTS) {
                course.add(
                        new NestResult.Point(
                                seconds, figures.share(), figures.cost(), figures.missing()));
            }
            table.keep(search.job(), search.number(), best, course, seconds);
            kept = seconds;
        }

        /** What was only held for this search is not fixed after it. */
        private List<NestedSheet> withLocks(List<NestedSheet> sheets) {
            if (search.wish().from() != NestWish.From.REST) {
                return sheets;
            }
            List<NestedSheet> fixed = Sheets.locked(laid());
            return Sheets.lockedAs(sheets, fixed);
        }

        private List<NestedSheet> laid() {
            return NestEdits.require(result).choices().laid();
        }

        /** Whether it is no worse than what lies on the sheets now. */
        private boolean isGain(List<NestedSheet> sheets) {
            List<NestedSheet> laid = laid();
            if (laid.isEmpty() || !NestCheck.faults(task, laid).isEmpty()) {
                return true;
            }
            NestFigures now = NestFigures.of(task, laid);
            NestFigures found = NestFigures.of(task, sheets);
            return found.missing() != now.missing()
                    ? found.missing() < now.missing()
                    : found.cost() <= now.cost();
        }

        /** What ends because somebody searches again leaves the job to the new search. */
        private boolean isNewest() {
            return latest(search.job()).orElseThrow().number() == search.number();
        }

        /** The job takes what was found, when nobody has changed it meanwhile. */
        private void take(List<NestedSheet> sheets) {
            if (!isGain(sheets) || !isNewest()) {
                return;
            }
            SignedIn who = SignedIn.of(accounts.findById(search.account()).orElseThrow());
            try {
                jobs.edit(
                        search.job(),
                        search.step(),
                        "Nest %d taken".formatted(search.number()),
                        edits.laid(sheets),
                        who);
            } catch (StaleEditException changed) {
                LOG.info(
                        "nest {} of job {} is not taken: the job was changed",
                        search.number(),
                        search.job());
            }
        }
    }
}
