package dev.oleander.web.load;

import java.time.Duration;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;

/**
 * Bounds how much text is read at once, in sum over all requests: what is made of a file while it
 * is read is many times as large as the file.
 */
@Component
public class WorkingMemory {

    /** Bytes of memory that a byte of a file takes while it is read, at most. */
    private static final int TIMES = 40;

    /**
     * The same of a drawing of nothing but lines, measured: one of 60 MB was read with 1600 MB, and
     * not with 1000.
     */
    private static final int LEAST_TIMES = 25;

    /** Half of the heap is for everything else. */
    private static final int SHARE = 2;

    private static final Duration PATIENCE = Duration.ofSeconds(5);
    private static final int UNIT = 1024;

    private final int all;
    private final long most;
    private final Semaphore free;
    private final Duration patience;

    @Autowired
    WorkingMemory() {
        this(
                Runtime.getRuntime().maxMemory() / SHARE / TIMES,
                Runtime.getRuntime().maxMemory() / LEAST_TIMES,
                PATIENCE);
    }

    /**
     * @param bytes of files that may be read at once
     * @param most bytes of a file that may be read alone
     */
    WorkingMemory(long bytes, long most, Duration patience) {
        this.most = most;
        this.all = (int) Math.max(1, Math.min(Integer.MAX_VALUE, bytes / UNIT));
        this.free = new Semaphore(all, true);
        this.patience = patience;
    }

    /** The largest file that can be read at all, bytes. */
    public long most() {
        return most;
    }

    /**
     * Reads something when there is room for it; what is larger than all there is, is read alone.
     *
     * @throws TooBusyException when there is none for some seconds
     */
    public <T> T within(long bytes, Supplier<T> work) {
        int wanted = (int) Math.max(1, Math.min(all, bytes / UNIT));
        if (!acquired(wanted)) {
            throw new TooBusyException(
                    "Other large files are being read at this moment. Try again in a few seconds.");
        }
        try {
            return work.get();
        } finally {
            free.release(wanted);
        }
    }

    private boolean acquired(int wanted) {
        try {
            return free.tryAcquire(wanted, patience.toMillis(), TimeUnit.MILLISECONDS);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            return false;
        }
    }
}
