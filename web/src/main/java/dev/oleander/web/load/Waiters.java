package dev.oleander.web.load;

import java.time.Duration;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;

/**
 * Who wants a work that takes long: callers that wait for it over open connections, and such that
 * come again for it. When all callers have left and nobody comes again, nobody wants it.
 */
public final class Waiters {

    /** How often it is looked whether a caller is still there. */
    public static final Duration LOOKS_EVERY = Duration.ofMillis(100);

    private int waiting;
    private boolean comesAgain;

    /** One begins to wait; ends with {@link #leave}. */
    public synchronized void join() {
        waiting++;
    }

    /** One waits no more. */
    public synchronized void leave() {
        waiting--;
    }

    /** Somebody has not waited to the end, and will ask for it another time. */
    public synchronized void comeAgain() {
        comesAgain = true;
    }

    /** Whether all have left for good. */
    public synchronized boolean isForsaken() {
        return waiting <= 0 && !comesAgain;
    }

    /**
     * Waits for a latch as long as the caller of this request does.
     *
     * @param moment of {@link System#nanoTime} at which it waits no longer
     * @return whether the latch opened in time
     * @throws CallerLeftException when the connection was closed
     */
    public static boolean until(long moment, CountDownLatch latch) throws InterruptedException {
        Caller caller = Caller.present();
        long left = Math.max(0, moment - System.nanoTime());
        while (!latch.await(Math.min(left, LOOKS_EVERY.toNanos()), TimeUnit.NANOSECONDS)) {
            caller.requireThere();
            left = moment - System.nanoTime();
            if (left <= 0) {
                return false;
            }
        }
        return true;
    }
}
