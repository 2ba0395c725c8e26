package dev.oleander.web.job;

import dev.oleander.progress.CancelledException;
import dev.oleander.progress.Progress;
import dev.oleander.web.OleanderSettings;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;

/**
 * Plans and proves jobs. What takes longer than a person likes to wait goes on in the background,
 * tells how far it is and can be stopped; a newer state of the same job stops it too.
 */
@Component
public class Planning {

    /** At a time; the others wait in turn. A plan uses all processors, pages need some of them. */
    private static final int AT_A_TIME =
            Math.max(1, Runtime.getRuntime().availableProcessors() - 1);

    /** How long a program waits for a plan. */
    private static final Duration LONGEST = Duration.ofMinutes(5);

    private static final Logger LOG = LoggerFactory.getLogger(Planning.class);

    private final ExecutorService threads = threads(AT_A_TIME, "planning");
    private final ExecutorService followers = threads(1, "plan-followers");
    private final Map<Long, Work> works = new ConcurrentHashMap<>();
    private final Duration patience;
    private final Duration proofPatience;
    private final ApplicationEventPublisher events;

    Planning(OleanderSettings settings, ApplicationEventPublisher events) {
        this.patience = settings.patience();
        this.proofPatience = settings.proofPatience();
        this.events = events;
    }

    private static ExecutorService threads(int most, String name) {
        return Executors.newFixedThreadPool(
                most,
                task -> {
                    Thread thread = new Thread(task, name);
                    thread.setDaemon(true);
                    return thread;
                });
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
        static final State WAITING = new State(0, "Waiting for its turn", End.NONE);

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

    /** What is to be planned: a job, how often it was written by then, and what follows from it. */
    record Wanted(long job, long version, JobResult result) {}

    /**
     * Waits for the plan as long as a person would.
     *
     * @return how far it is; empty when it is complete
     */
    Optional<State> await(Wanted wanted) {
        if (wanted.result().isComplete()) {
            return Optional.empty();
        }
        Work work = work(wanted);
        if (work.result != wanted.result()) {
            return Optional.of(State.WAITING);
        }
        return work.await() ? Optional.empty() : Optional.of(work.state());
    }

    /** Waits in turn until a plan is complete, was stopped, failed or is no longer the newest. */
    void finish(Wanted wanted) {
        if (wanted.result().isComplete()) {
            return;
        }
        Work work = work(wanted);
        if (work.result == wanted.result()) {
            work.finish();
        }
    }

    private Work work(Wanted wanted) {
        return works.compute(
                wanted.job(),
                (id, before) -> goesOn(before, wanted) ? before : begin(before, wanted));
    }

    /** Who looks at an older state does not stop the plan of the newer one. */
    private static boolean goesOn(Work before, Wanted wanted) {
        return before != null
                && (before.result == wanted.result() || before.version > wanted.version());
    }

    private Work begin(Work before, Wanted wanted) {
        if (before != null) {
            before.wanted = false;
        }
        Work work = new Work(wanted);
        threads.execute(work);
        return work;
    }

    /** Stops the plan of a job; it stays stopped until the job changes or somebody begins again. */
    public void stop(long job) {
        works.computeIfPresent(
                job,
                (id, work) -> {
                    work.wanted = false;
                    return work;
                });
    }

    /** Begins a plan again that was stopped or failed. */
    public void resume(long job) {
        works.computeIfPresent(job, (id, work) -> work.isGoingOn() ? work : null);
    }

    /** Does something that may wait for plans, after what was to be done before. */
    void later(Runnable work) {
        followers.execute(work);
    }

    @PreDestroy
    void close() {
        works.values().forEach(work -> work.wanted = false);
        threads.shutdownNow();
        followers.shutdownNow();
    }

    private final class Work implements Runnable, Progress {
        private final long job;
        private final long version;
        private final JobResult result;
        private final long deadline = System.nanoTime() + patience.toNanos();
        private final CountDownLatch planned = new CountDownLatch(1);
        private final CountDownLatch ended = new CountDownLatch(1);
        private volatile long proofDeadline;
        private volatile boolean wanted = true;
        private volatile boolean failed;
        private volatile State state = State.WAITING;
        private boolean leftAlone;
        private boolean complete;

        Work(Wanted wanted) {
            this.job = wanted.job();
            this.version = wanted.version();
            this.result = wanted.result();
        }

        @Override
        public void at(double done, String doing) {
            if (!wanted) {
                throw new CancelledException();
            }
            state = new State(done, doing, State.End.NONE);
        }

        @Override
        public void run() {
            try {
                at(0, "Planning");
                result.complete(this, this::planned);
                works.remove(job, this);
                complete();
            } catch (CancelledException stopped) {
                LOG.debug("the plan of job {} was stopped", job);
            } catch (RuntimeException | Error fault) {
                LOG.error("The plan of job {} failed", job, fault);
                failed = true;
            } finally {
                ended.countDown();
                planned.countDown();
            }
        }

        private void planned() {
            // a plan that was made by an edit told nothing on its way
            at(Math.max(state.done(), JobResult.PLANNED_SHARE), "Proving");
            proofDeadline = Math.min(deadline, System.nanoTime() + proofPatience.toNanos());
            planned.countDown();
        }

        private synchronized void complete() {
            complete = true;
            if (leftAlone) {
                tell();
            }
        }

        /** Not from a thread that plans or waits for a plan: who is told may do both. */
        private void tell() {
            later(() -> events.publishEvent(new Ready(job)));
        }

        /** Whether it is complete in time. */
        boolean await() {
            try {
                // ended comes before planned when there is no plan, or nothing told of it
                boolean inTime =
                        until(deadline, planned) && until(proofDeadline, ended) && isComplete();
                if (!inTime) {
                    leave();
                }
                return inTime;
            } catch (InterruptedException closing) {
                Thread.currentThread().interrupt();
                return false;
            }
        }

        void finish() {
            try {
                until(System.nanoTime() + LONGEST.toNanos(), ended);
            } catch (InterruptedException closing) {
                Thread.currentThread().interrupt();
            }
        }

        private static boolean until(long moment, CountDownLatch latch)
                throws InterruptedException {
            long left = Math.max(0, moment - System.nanoTime());
            return latch.await(left, TimeUnit.NANOSECONDS);
        }

        private synchronized boolean isComplete() {
            return complete;
        }

        private synchronized void leave() {
            leftAlone = true;
            if (complete) {
                tell();
            }
        }

        boolean isGoingOn() {
            return state().isGoingOn();
        }

        State state() {
            State.End end = State.End.NONE;
            if (failed) {
                end = State.End.FAILED;
            } else if (!wanted) {
                end = State.End.STOPPED;
            }
            return new State(state.done(), state.doing(), end);
        }
    }
}
