package dev.oleander.web.job.planning;

import dev.oleander.progress.CancelledException;
import dev.oleander.progress.Progress;
import dev.oleander.web.job.planning.Planning.State;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.load.CallerLeftException;
import dev.oleander.web.load.Waiters;
import java.time.Duration;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** The plan of one state of a job, on its way: who wants it waits here, and it is stopped here. */
final class PlanWork implements Progress {

    /** How long a page waits. */
    record Patience(Duration plan, Duration proof) {}

    private static final Logger LOG = LoggerFactory.getLogger(PlanWork.class);

    private final Planning.Wanted what;
    private final Patience patience;
    private final Runnable ready;
    private final long deadline;
    private final CountDownLatch planned = new CountDownLatch(1);
    private final CountDownLatch ended = new CountDownLatch(1);
    private final Waiters waiters = new Waiters();
    private volatile long proofDeadline;
    private volatile boolean wanted = true;
    private volatile boolean failed;
    private volatile State state = State.WAITING;
    private volatile Progress outside = Progress.NONE;
    private boolean queued;
    private boolean begun;
    private boolean leftAlone;
    private boolean complete;

    /**
     * @param ready is told when it is complete and somebody did not wait for it
     */
    PlanWork(Planning.Wanted what, Patience patience, Runnable ready) {
        this.what = what;
        this.patience = patience;
        this.ready = ready;
        this.deadline = System.nanoTime() + patience.plan().toNanos();
    }

    Planning.Wanted what() {
        return what;
    }

    JobResult result() {
        return what.result();
    }

    @Override
    public void at(double done, String doing) {
        if (!wanted) {
            throw new CancelledException();
        }
        outside.at(done, doing);
        state = new State(done, doing, State.End.NONE);
    }

    /** Another node tells how far it is there. */
    void tell(double done, String doing) {
        state = new State(done, doing, State.End.NONE);
    }

    /** Whether it has yet to be put in a queue; told once. */
    synchronized boolean enqueue() {
        boolean first = !queued;
        queued = true;
        return first;
    }

    /** Whether it has yet to be run; told once. */
    synchronized boolean begin() {
        boolean first = !begun;
        begun = true;
        return first;
    }

    /**
     * Plans and proves on the thread of the caller.
     *
     * @param also is told how far it is, and can stop it
     * @return whether it is complete
     */
    boolean run(Progress also) {
        outside = also;
        try {
            at(0, "Planning");
            what.result().complete(this, this::planned);
            complete();
            return true;
        } catch (CancelledException stopped) {
            LOG.debug("the plan of job {} was stopped", what.job());
            wanted = false;
        } catch (RuntimeException | Error fault) {
            LOG.error("The plan of job {} failed", what.job(), fault);
            failed = true;
        } finally {
            end();
        }
        return false;
    }

    private void end() {
        ended.countDown();
        planned.countDown();
    }

    private void planned() {
        // a plan that was made by an edit told nothing on its way
        at(Math.max(state.done(), JobResult.PLANNED_SHARE), "Proving");
        proofDeadline = Math.min(deadline, System.nanoTime() + patience.proof().toNanos());
        planned.countDown();
    }

    private synchronized void complete() {
        complete = true;
        if (leftAlone) {
            ready.run();
        }
    }

    /** It is to go on no more, here or wherever it runs. */
    void stop() {
        wanted = false;
        if (begin()) {
            // it never ran here, so nobody else ends it
            end();
        }
    }

    /** It failed on another node. */
    void fail() {
        failed = true;
        end();
    }

    boolean hasFailed() {
        return failed;
    }

    boolean isWanted() {
        return wanted;
    }

    Waiters waiters() {
        return waiters;
    }

    /**
     * Whether it is complete while a person waits.
     *
     * @throws dev.oleander.web.load.CallerLeftException when they do not wait any more
     */
    boolean await() {
        try {
            // ended comes before planned when there is no plan, or nothing told of it
            boolean inTime =
                    Waiters.until(deadline, planned)
                            && Waiters.until(proofDeadline, ended)
                            && isComplete();
            if (!inTime) {
                waiters.comeAgain();
                tellWhenReady();
            }
            return inTime;
        } catch (CallerLeftException left) {
            tellWhenReady();
            throw left;
        } catch (InterruptedException closing) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    /**
     * Waits until it ends, or somebody does not want it any more.
     *
     * @throws dev.oleander.web.load.CallerLeftException when the caller does not
     */
    void finish(Duration longest) {
        try {
            if (!Waiters.until(System.nanoTime() + longest.toNanos(), ended)) {
                waiters.comeAgain();
            }
        } catch (InterruptedException closing) {
            Thread.currentThread().interrupt();
        }
    }

    /**
     * Waits until it ends on the thread that runs it.
     *
     * @param also is told how far it is
     * @throws CancelledException when who is told does not want it any more
     */
    void follow(Progress also) {
        try {
            while (!ended.await(Waiters.LOOKS_EVERY.toMillis(), TimeUnit.MILLISECONDS)) {
                State present = state;
                also.at(present.done(), present.doing());
            }
        } catch (InterruptedException closing) {
            Thread.currentThread().interrupt();
            throw new CancelledException();
        }
    }

    synchronized boolean isComplete() {
        return complete;
    }

    private synchronized void tellWhenReady() {
        leftAlone = true;
        if (complete) {
            ready.run();
        }
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
