package dev.oleander.web.longwork;

import dev.oleander.progress.Progress;

/** How far a long work is, and what it has found so far, for people on every node. */
public interface WorkProgress extends Progress {

    /** Tells nobody, and stops nothing. */
    WorkProgress NOBODY =
            new WorkProgress() {
                @Override
                public void at(double done, String doing) {}

                @Override
                public void keep(String soFar) {}
            };

    /**
     * Writes down what was found so far; what is there when the work is done is its result.
     *
     * @param soFar in words of the kind's own
     * @throws dev.oleander.progress.CancelledException when it is not wanted any more
     */
    void keep(String soFar);

    /** Whether it is still wanted; asked anew each time. */
    default boolean isWanted() {
        return true;
    }
}
