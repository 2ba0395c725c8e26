package dev.oleander.progress;

import java.util.Optional;
import java.util.function.Function;

/**
 * A value that is computed when it is first asked for; who asks while it is being computed waits
 * for it. Thread-safe.
 */
public final class Once<T> {

    private Function<Progress, T> source;
    private volatile T value;

    /**
     * @param source never gives null
     */
    public Once(Function<Progress, T> source) {
        this.source = source;
    }

    /** The value; the progress is told when it has to be computed. */
    public T get(Progress progress) {
        T there = value;
        return there == null ? computed(progress) : there;
    }

    private synchronized T computed(Progress progress) {
        if (value == null) {
            value = source.apply(progress);
            // what it was computed from is not held any longer
            source = null;
        }
        return value;
    }

    /** The value when it is there already. */
    public Optional<T> known() {
        return Optional.ofNullable(value);
    }
}
