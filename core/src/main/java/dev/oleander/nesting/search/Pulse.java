package dev.oleander.nesting.search;

/** Is told how much a world has done; stops it by an exception. */
@FunctionalInterface
interface Pulse {

    /**
     * @throws Ended when the world's time is over
     */
    void beat();

    /** The time is over; the best so far stands. */
    final class Ended extends RuntimeException {

        private static final long serialVersionUID = 1;

        Ended() {
            super("the search has ended", null, false, false);
        }
    }
}
