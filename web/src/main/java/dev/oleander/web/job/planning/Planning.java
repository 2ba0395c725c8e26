package dev.oleander.web.job.planning;

import dev.oleander.progress.CancelledException;
import dev.oleander.progress.Progress;
import dev.oleander.web.OleanderSettings;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.job.store.JobStep;
import dev.oleander.web.load.CallerLeftException;
import dev.oleander.web.load.TooBusyException;
import dev.oleander.web.load.Waiters;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Future;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;

/**
 * Plans and proves jobs. What takes longer than a person likes to wait goes on in the background,
 * tells how far it is and can be stopped; a newer state of the same job stops it too. Small plans
 * are made where they are asked for; large ones are long work, which any node does.
 */
@Component
public class Planning {

    /** At a time; the others wait in turn. A plan uses all processors, pages need some of them. */
    private static final int AT_A_TIME =
            Math.max(1, Runtime.getRuntime().availableProcessors() - 1);

    /** How long somebody waits for a plan that is no state of a job. */
    private static final Duration ASIDE = Duration.ofMinutes(2);

    /** Plans that wait for each that is made, from which on there is a crowd. */
    private static final int CROWD = 3;

    private static final Logger LOG = LoggerFactory.getLogger(Planning.class);

    private final ThreadPoolExecutor threads = threads(AT_A_TIME, "planning");
    private final ExecutorService followers = threads(1, "plan-followers");
    private final Map<Long, PlanWork> works = new ConcurrentHashMap<>();
    private final PlanWork.Patience patience;
    private final PlanWork.Patience inACrowd;
    private final LongPlans longPlans;
    private final ApplicationEventPublisher events;

    Planning(OleanderSettings settings, LongPlans longPlans, ApplicationEventPublisher events) {
        this.patience = new PlanWork.Patience(settings.patience(), settings.proofPatience());
        this.inACrowd = new PlanWork.Patience(settings.crowdPatience(), settings.proofPatience());
        this.longPlans = longPlans;
        this.events = events;
        longPlans.planBy(this);
    }

    private static ThreadPoolExecutor threads(int most, String name) {
        return new ThreadPoolExecutor(
                most,
                most,
                0,
                TimeUnit.SECONDS,
                new LinkedBlockingQueue<>(),
                task -> {
                    Thread thread = new Thread(task, name);
                    thread.setDaemon(true);
                    return thread;
                });
    }

    /**
     * In a crowd nobody waits long in vain: a page comes without its plan, which follows when it is
     * made.
     */
    private PlanWork.Patience patience() {
        return threads.getQueue().size() >= CROWD * AT_A_TIME ? inACrowd : patience;
    }

    /** The plan of a job is there that somebody did not wait for. */
    public record Ready(long job) {}

    /**
     * How far a plan is.
     *
     * @param done share, 0 to 1
     * @param end what came of it, when it does not go on by itself
     */
    public record State(double done, String doing, End end) {

        /** Of a plan that nobody has begun. */
        public static final State WAITING = new State(0, "Waiting for its turn", End.NONE);

        /** Why it does not go on. */
        public enum End {
            NONE,
            STOPPED,
            FAILED
        }

        public int percent() {
            return (int) (100 * done);
        }

        public boolean isGoingOn() {
            return end == End.NONE;
        }
    }

    /**
     * What is to be planned.
     *
     * @param version how often the job was written by then
     * @param step its step; {@link JobStep#NONE}: it is none, and no other node knows of it
     * @param account id of who made that step; null: not known
     * @param result what follows from it
     */
    public record Wanted(long job, long version, int step, Long account, JobResult result) {}

    /**
     * Waits for the plan as long as a person would.
     *
     * @return how far it is; empty when it is complete
     */
    public Optional<State> await(Wanted wanted) {
        if (wanted.result().isComplete()) {
            return Optional.empty();
        }
        PlanWork work = joined(wanted, PlanWork::await);
        if (work.result() != wanted.result()) {
            return Optional.of(State.WAITING);
        }
        return work.isComplete() ? Optional.empty() : Optional.of(work.state());
    }

    /**
     * Waits in a way for the plan of a state, with all others who do; not at all when a newer state
     * of the job is being planned.
     *
     * @return what is being planned
     * @throws CallerLeftException when the caller does not wait any more
     */
    private PlanWork joined(Wanted wanted, Consumer<PlanWork> waiting) {
        PlanWork work = work(wanted, Waiters::join);
        if (work.result() != wanted.result()) {
            return work;
        }
        try {
            waiting.accept(work);
            work.waiters().leave();
            return work;
        } catch (CallerLeftException left) {
            work.waiters().leave();
            endForsaken(work);
            throw left;
        }
    }

    /** Ends a plan that was waited for by people who all have left. */
    private void endForsaken(PlanWork work) {
        AtomicBoolean forsaken = new AtomicBoolean();
        works.computeIfPresent(
                work.what().job(),
                (id, present) -> {
                    if (present != work || !work.waiters().isForsaken()) {
                        return present;
                    }
                    forsaken.set(true);
                    return null;
                });
        if (forsaken.get()) {
            // asks the database, which is not to be waited for within the map; whoever runs it is
            // to find nothing there to call stopped when somebody comes at this moment
            longPlans.forget(work);
            work.stop();
        }
    }

    /** How far a plan is, without waiting for it; empty when it is complete. */
    public Optional<State> known(Wanted wanted) {
        if (wanted.result().isComplete()) {
            return Optional.empty();
        }
        PlanWork work = work(wanted, Waiters::comeAgain);
        return Optional.of(work.result() == wanted.result() ? work.state() : State.WAITING);
    }

    /**
     * Waits in turn until a plan is complete, was stopped, failed or is no longer the newest.
     *
     * @param longest how long at most
     */
    public void finish(Wanted wanted, Duration longest) {
        if (wanted.result().isComplete()) {
            return;
        }
        joined(wanted, work -> work.finish(longest));
    }

    /**
     * Plans something that is no state of a job, as for an estimate, in turn with all other plans.
     *
     * @throws dev.oleander.plan.PlanException when there can be no plan
     * @throws TooBusyException when its turn does not come in time
     * @throws CallerLeftException when the caller does not wait any more
     */
    public void aside(JobResult result) {
        if (result.isPlanned()) {
            return;
        }
        CountDownLatch ended = new CountDownLatch(1);
        AtomicBoolean wanted = new AtomicBoolean(true);
        Future<?> plan = threads.submit(() -> plan(result, wanted, ended));
        try {
            if (!Waiters.until(System.nanoTime() + ASIDE.toNanos(), ended)) {
                throw new TooBusyException(
                        "Too many plans are being made at this moment. Try again in a minute.");
            }
            plan.get();
        } catch (ExecutionException failed) {
            if (failed.getCause() instanceof RuntimeException cause) {
                throw cause;
            }
            throw new IllegalStateException(failed.getCause());
        } catch (InterruptedException closing) {
            Thread.currentThread().interrupt();
        } finally {
            // nothing to one that is there
            wanted.set(false);
        }
    }

    private static void plan(JobResult result, AtomicBoolean wanted, CountDownLatch ended) {
        try {
            result.plan(
                    (done, doing) -> {
                        if (!wanted.get()) {
                            throw new CancelledException();
                        }
                    });
        } finally {
            ended.countDown();
        }
    }

    /**
     * @param joining tells those who want it of one more
     */
    private PlanWork work(Wanted wanted, Consumer<Waiters> joining) {
        PlanWork work = newest(wanted, joining);
        if (work.enqueue()) {
            if (longPlans.isLong(work.what())) {
                longPlans.want(work);
            } else {
                runHere(work);
            }
        }
        return work;
    }

    /** Of the job; an older one is stopped. */
    private PlanWork newest(Wanted wanted, Consumer<Waiters> joining) {
        return works.compute(
                wanted.job(),
                (id, before) -> {
                    PlanWork work = goesOn(before, wanted) ? before : begun(wanted, before);
                    if (work.result() == wanted.result()) {
                        joining.accept(work.waiters());
                    }
                    return work;
                });
    }

    private PlanWork begun(Wanted wanted, PlanWork before) {
        if (before != null) {
            before.stop();
        }
        return new PlanWork(wanted, patience(), () -> tell(wanted.job()));
    }

    /** Who looks at an older state does not stop the plan of the newer one. */
    private static boolean goesOn(PlanWork before, Wanted wanted) {
        return before != null
                && (before.result() == wanted.result()
                        || before.what().version() > wanted.version());
    }

    /** Plans on a thread of this node, unless that was begun. */
    void runHere(PlanWork work) {
        threads.execute(
                () -> {
                    if (work.begin()) {
                        run(work, Progress.NONE);
                    }
                });
    }

    private boolean run(PlanWork work, Progress also) {
        boolean complete = work.run(also);
        if (complete) {
            works.remove(work.what().job(), work);
        }
        return complete;
    }

    /**
     * Plans a state of a job on the thread of the caller, as long work, or waits for the thread of
     * this node that does.
     *
     * @return the work: over, or that of a newer state
     * @throws CancelledException when it waited and is not to go on
     */
    PlanWork runLong(Wanted wanted, Progress also) {
        // it is wanted again, whatever became of it here before
        forgetEnded(wanted.job());
        PlanWork work = newest(wanted, waiters -> {});
        work.enqueue();
        if (work.result() != wanted.result()) {
            return work;
        }
        if (!work.begin()) {
            work.follow(also);
        } else if (run(work, also)) {
            // nobody may have waited for it on this node, but the board shows what came of it
            tell(wanted.job());
        }
        return work;
    }

    /** Stops the plan of a job; it stays stopped until the job changes or somebody begins again. */
    public void stop(long job) {
        longPlans.stop(job);
        works.computeIfPresent(
                job,
                (id, work) -> {
                    work.stop();
                    return work;
                });
    }

    /** Begins a plan again that was stopped or failed. */
    public void resume(long job) {
        longPlans.resume(job);
        forgetEnded(job);
    }

    private void forgetEnded(long job) {
        works.computeIfPresent(job, (id, work) -> work.state().isGoingOn() ? work : null);
    }

    /** Not from a thread that plans or waits for a plan: who is told may do both. */
    private void tell(long job) {
        later(() -> events.publishEvent(new Ready(job)));
    }

    /** Does something that may wait for plans, after what was to be done before. */
    public void later(Runnable work) {
        followers.execute(
                () -> {
                    try {
                        work.run();
                    } catch (RuntimeException failed) {
                        // most often of a job that was removed meanwhile
                        LOG.warn("who follows plans was told in vain: {}", failed.getMessage());
                    }
                });
    }

    @PreDestroy
    void close() {
        works.values().forEach(PlanWork::stop);
        threads.shutdownNow();
        followers.shutdownNow();
    }
}
