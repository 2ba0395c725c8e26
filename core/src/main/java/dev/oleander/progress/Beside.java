package dev.oleander.progress;

import java.util.concurrent.ForkJoinTask;
import java.util.function.Function;

/**
 * Work that another processor does beside one's own, if there is one; else it is done when it is
 * asked for. Tells nothing. To be closed, which stops what nobody asked for.
 *
 * @param <T> what comes of it
 */
public final class Beside<T> implements AutoCloseable {

    private final ForkJoinTask<T> task;
    private volatile boolean stopped;

    private Beside(Function<Progress, T> work) {
        this.task = ForkJoinTask.adapt(() -> work.apply(this::unlessStopped));
    }

    /**
     * Begins it.
     *
     * @param work which asks the given progress often whether it is still wanted
     */
    public static <T> Beside<T> begin(Function<Progress, T> work) {
        Beside<T> beside = new Beside<>(work);
        beside.task.fork();
        return beside;
    }

    private void unlessStopped(double done, String doing) {
        if (stopped) {
            throw new CancelledException();
        }
    }

    /** What came of it, waiting for it; throws what the work threw. */
    public T get() {
        return task.join();
    }

    @Override
    public void close() {
        stopped = true;
        task.cancel(false);
    }
}
