package dev.oleander.web.job;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import java.time.Duration;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Supplier;
import org.springframework.dao.CannotAcquireLockException;

/** Changes of one job come one after the other, so that none is made in vain. */
final class Turns {

    /** How long a change waits for those of others on the same job. */
    private static final Duration LONGEST_TURN = Duration.ofSeconds(5);

    private final LoadingCache<Long, ReentrantLock> turns =
            Caffeine.newBuilder().weakValues().build(id -> new ReentrantLock(true));

    /**
     * Makes a change when it is its turn.
     *
     * @throws CannotAcquireLockException when that takes too long
     */
    <T> T take(long id, Supplier<T> change) {
        ReentrantLock turn = turns.get(id);
        try {
            if (!turn.tryLock(LONGEST_TURN.toMillis(), TimeUnit.MILLISECONDS)) {
                throw new CannotAcquireLockException("job %d is being changed".formatted(id));
            }
        } catch (InterruptedException closing) {
            Thread.currentThread().interrupt();
            throw new CannotAcquireLockException("the application ends", closing);
        }
        try {
            return change.get();
        } finally {
            turn.unlock();
        }
    }
}
