package dev.oleander.web.job.planning;

import dev.oleander.progress.CancelledException;
import dev.oleander.web.OleanderSettings;
import dev.oleander.web.job.result.JobComputer;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.job.store.JobStep;
import dev.oleander.web.job.store.JobStore;
import dev.oleander.web.longwork.WorkKind;
import dev.oleander.web.longwork.WorkProgress;
import dev.oleander.web.longwork.WorkState;
import dev.oleander.web.longwork.Works;
import jakarta.annotation.PreDestroy;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Large plans as long work. One node makes it; the others show how far it is there, and make it
 * once more for themselves when somebody comes to them for it: plans are kept in memory only.
 */
@Component
class LongPlans implements WorkKind {

    private static final long LOOKS_EVERY_MS = 250;

    private static final Logger LOG = LoggerFactory.getLogger(LongPlans.class);

    private final Works works;
    private final JobStore store;
    private final JobComputer computer;
    private final int longFrom;
    private final Map<String, PlanWork> watched = new ConcurrentHashMap<>();
    private final ScheduledExecutorService watcher =
            Executors.newSingleThreadScheduledExecutor(
                    task -> {
                        Thread thread = new Thread(task, "plan-watcher");
                        thread.setDaemon(true);
                        return thread;
                    });
    private Planning planning;

    LongPlans(Works works, JobStore store, JobComputer computer, OleanderSettings settings) {
        this.works = works;
        this.store = store;
        this.computer = computer;
        this.longFrom = settings.longPlan();
    }

    /** Begins to look after what is made elsewhere. */
    void planBy(Planning node) {
        planning = node;
        watcher.scheduleWithFixedDelay(
                this::look, LOOKS_EVERY_MS, LOOKS_EVERY_MS, TimeUnit.MILLISECONDS);
    }

    /**
     * Whether a plan is worth the way through the database. What is not committed yet cannot be
     * seen there by others.
     */
    boolean isLong(Planning.Wanted wanted) {
        return wanted.step() != JobStep.NONE
                && !TransactionSynchronizationManager.isActualTransactionActive()
                && wanted.result().expectedWork() >= longFrom;
    }

    @Override
    public String word() {
        return "plan";
    }

    private String key(Planning.Wanted wanted) {
        return "%d/%d/%d/%s"
                .formatted(wanted.job(), wanted.step(), wanted.version(), computer.dataVersion());
    }

    private static String subject(long job) {
        return "job " + job;
    }

    /** Puts a plan in the queue of all nodes, and looks after it. */
    void want(PlanWork work) {
        Planning.Wanted wanted = work.what();
        WorkState state = ask(wanted);
        watched.put(state.id(), work);
        hear(work, state);
    }

    private WorkState ask(Planning.Wanted wanted) {
        return works.want(wish(wanted));
    }

    private Works.Wish wish(Planning.Wanted wanted) {
        return new Works.Wish(
                this, key(wanted), subject(wanted.job()), wanted.version(), wanted.account());
    }

    /** Nobody on this node wants a plan any more; who does on another one, begins it again. */
    void forget(PlanWork work) {
        if (watched.values().remove(work)) {
            works.forget(wish(work.what()));
        }
    }

    void stop(long job) {
        works.stop(subject(job));
    }

    void resume(long job) {
        works.resume(subject(job));
    }

    private void look() {
        try {
            Map<String, PlanWork> present = Map.copyOf(watched);
            Map<String, WorkState> told = works.told(List.copyOf(present.keySet()));
            present.forEach((id, work) -> look(id, work, told.get(id)));
        } catch (RuntimeException away) {
            LOG.warn("how far long plans are is not known at this moment: {}", away.getMessage());
        }
    }

    /**
     * @param told null: nothing is known of it
     */
    private void look(String id, PlanWork work, WorkState told) {
        if (watched.get(id) != work) {
            // what was told is of one before it
            return;
        }
        if (told != null) {
            hear(work, told);
        } else if (work.isWanted()) {
            // it found no place in the queue before, or nobody knows it any more
            hear(work, ask(work.what()));
        } else {
            watched.remove(id, work);
        }
    }

    private void hear(PlanWork work, WorkState state) {
        boolean over = state.phase().isOver() || !work.isWanted() || work.result().isComplete();
        if (over) {
            watched.remove(state.id(), work);
        }
        switch (state.phase()) {
            case WAITING, RUNNING -> work.tell(state.share(), state.doing());
            // made by another node, or before this one was started
            case DONE -> planning.runHere(work);
            case FAILED -> work.fail();
            case STOPPED -> work.stop();
        }
    }

    /** Of this job's state, when it still is the present one. */
    @Override
    public void run(String key, WorkProgress progress) {
        String[] parts = key.split("/");
        JobStore.State state = store.read(Long.parseLong(parts[0]));
        if (state.step() != Integer.parseInt(parts[1])) {
            throw new CancelledException();
        }
        JobResult result = computer.result(state.document());
        if (result.isComplete()) {
            return;
        }
        Planning.Wanted wanted =
                new Planning.Wanted(
                        state.id(), state.version(), state.step(), state.account(), result);
        PlanWork work = planning.runLong(wanted, progress);
        while (isWantedAgain(key, work, progress)) {
            work = planning.runLong(wanted, progress);
        }
        if (work.hasFailed()) {
            throw new IllegalStateException("the plan failed; see above");
        }
        if (!result.isComplete()) {
            throw new CancelledException();
        }
    }

    /**
     * Whether somebody came just when all who had waited for a plan had left, or it was stopped and
     * begun again before the thread that ran it heard of it.
     */
    private boolean isWantedAgain(String key, PlanWork work, WorkProgress progress) {
        if (work.isWanted()) {
            return false;
        }
        PlanWork newer = watched.get(word() + ":" + key);
        return newer != null && newer != work && newer.isWanted() || progress.isWanted();
    }

    @PreDestroy
    void close() {
        watcher.shutdownNow();
    }
}
