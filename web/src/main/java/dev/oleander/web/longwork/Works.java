package dev.oleander.web.longwork;

import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.exceptions.TaskInstanceException;
import dev.oleander.progress.CancelledException;
import dev.oleander.web.longwork.WorkState.Phase;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Component;

/** Wants long works, stops them, and says how far they are, whichever node does them. */
@Component
public class Works {

    /** Works that may wait at once. */
    public static final int MOST_WAITING = 200;

    /** How often a running work is written down, and asked whether it is still wanted. */
    private static final Duration TELLS = Duration.ofMillis(400);

    private static final Logger LOG = LoggerFactory.getLogger(Works.class);

    private final WorkTable table;
    private final ObjectProvider<SchedulerClient> scheduler;
    private final ObjectProvider<WorkKind> kinds;
    private final Clock clock;
    private final String node = UUID.randomUUID().toString().substring(0, 8);
    private volatile boolean closing;

    Works(
            WorkTable table,
            ObjectProvider<SchedulerClient> scheduler,
            ObjectProvider<WorkKind> kinds,
            Clock clock) {
        this.table = table;
        this.scheduler = scheduler;
        this.kinds = kinds;
        this.clock = clock;
    }

    /**
     * What is wanted.
     *
     * @param key names it within its kind
     * @param subject what it is about: only the newest of a subject is done
     * @param version of the subject
     * @param account who wants it; null: nobody in particular
     */
    public record Wish(WorkKind kind, String key, String subject, long version, Long account) {

        /** Names it among the works of all kinds. */
        public String id() {
            return kind.word() + ":" + key;
        }
    }

    /**
     * Sees to it that a work is done, unless it is known already or a newer one is. Older ones of
     * its subject are stopped. Who wants many waits longer than who wants few.
     *
     * @return how far it is
     */
    public WorkState want(Wish wish) {
        Optional<WorkState> known = table.find(wish.id());
        if (known.isPresent()) {
            return known.get();
        }
        if (table.hasNewer(wish.subject(), wish.version())) {
            return new WorkState(wish.id(), Phase.STOPPED, 0, "A newer state came");
        }
        int waiting = table.waiting();
        if (waiting >= MOST_WAITING) {
            return new WorkState(
                    wish.id(),
                    Phase.WAITING,
                    0,
                    "%d others wait before it; asked for again in a moment".formatted(waiting));
        }
        table.stopOlder(wish.subject(), wish.version()).forEach(this::cancel);
        int before = table.of(wish.account());
        String task = wish.id() + "#" + UUID.randomUUID().toString().substring(0, 8);
        if (table.add(wish.id(), task, wish.subject(), wish.version(), wish.account())) {
            scheduler
                    .getObject()
                    .scheduleIfNotExists(
                            WorkConfig.TASK
                                    .instance(task)
                                    .priority(-before)
                                    .scheduledTo(clock.instant()));
        }
        return new WorkState(wish.id(), Phase.WAITING, 0, "Waiting for its turn");
    }

    /** How far a work is that somebody wanted before; wants nothing. */
    public Optional<WorkState> known(Wish wish) {
        return table.find(wish.id());
    }

    /** How many wait for their turn. */
    public int waiting() {
        return table.waiting();
    }

    /** States of those of some ids that are known. */
    public Map<String, WorkState> told(List<String> ids) {
        return ids.isEmpty()
                ? Map.of()
                : table.find(ids).stream()
                        .collect(Collectors.toMap(WorkState::id, Function.identity()));
    }

    /** Stops what is done about a subject, on any node. */
    public void stop(String subject) {
        table.stop(subject).forEach(this::cancel);
    }

    /** Ends what nobody waits for any more, as if it had never been wanted. */
    public void forget(Wish wish) {
        table.forget(wish.id()).forEach(this::cancel);
    }

    /** What was stopped or failed may be wanted again. */
    public void resume(String subject) {
        table.forgetEnded(subject);
    }

    /** One that runs hears of it by itself. */
    private void cancel(String task) {
        try {
            scheduler.getObject().cancel(WorkConfig.TASK.instanceId(task));
        } catch (TaskInstanceException runsOrIsOver) {
            LOG.debug("{} is not waiting", task);
        }
    }

    /** Called before the scheduler ends: what runs is left to another node. */
    void close() {
        closing = true;
    }

    /**
     * Does what a task that was picked on this node is to do; nothing when nobody wants it any
     * more.
     *
     * @throws IllegalStateException when this node ends before the work does
     */
    void run(String task) {
        table.workOf(task).ifPresent(id -> run(task, id));
    }

    private void run(String task, String id) {
        int colon = id.indexOf(':');
        WorkKind kind =
                kinds.stream()
                        .filter(k -> k.word().equals(id.substring(0, colon)))
                        .findFirst()
                        .orElseThrow();
        try {
            kind.run(id.substring(colon + 1), new Telling(task));
            table.end(task, Phase.DONE, "Done");
        } catch (CancelledException stopped) {
            requireGoingOn(task);
            table.end(task, Phase.STOPPED, "Stopped");
        } catch (RuntimeException | StackOverflowError failed) {
            requireGoingOn(task);
            LOG.error("The work {} failed", id, failed);
            table.end(task, Phase.FAILED, "Failed");
        }
    }

    private void requireGoingOn(String task) {
        if (closing) {
            throw new IllegalStateException("this node ends in the middle of " + task);
        }
    }

    /** Writes down how far a work is, and hears when it is wanted no more. */
    private final class Telling implements WorkProgress {

        private final String task;
        private long told = System.nanoTime() - TELLS.toNanos();

        Telling(String task) {
            this.task = task;
        }

        @Override
        public void at(double done, String doing) {
            if (closing) {
                throw new CancelledException();
            }
            long now = System.nanoTime();
            if (now - told < TELLS.toNanos()) {
                return;
            }
            told = now;
            if (!table.tell(task, done, doing, node)) {
                throw new CancelledException();
            }
        }

        @Override
        public void keep(String soFar) {
            if (!table.keep(task, soFar)) {
                throw new CancelledException();
            }
        }

        @Override
        public boolean isWanted() {
            return !closing && table.workOf(task).isPresent();
        }
    }
}
