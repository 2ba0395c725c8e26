package dev.oleander.web.longwork;

/**
 * How far a work is.
 *
 * @param share done, 0 to 1
 * @param doing what is being done, for people
 * @param soFar what was found so far, in words of the kind's own; empty: nothing
 */
public record WorkState(String id, Phase phase, double share, String doing, String soFar) {

    /** One that has found nothing yet. */
    public WorkState(String id, Phase phase, double share, String doing) {
        this(id, phase, share, doing, "");
    }

    /** Where it stands. */
    public enum Phase {
        /** for its turn */
        WAITING,
        RUNNING,
        DONE,
        FAILED,
        /** by somebody, or because it is not wanted any more */
        STOPPED;

        public boolean isOver() {
            return this != WAITING && this != RUNNING;
        }
    }
}
