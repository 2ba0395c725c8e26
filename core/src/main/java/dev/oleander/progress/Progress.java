package dev.oleander.progress;

/** Is told how far long work is. Cheap: the work may tell it at every step. */
@FunctionalInterface
public interface Progress {

    /** Listens to nothing and stops nothing. */
    Progress NONE = (done, doing) -> {};

    /**
     * @param done share of the work that is done, 0 to 1
     * @param doing what is done now, in words a person reads: Placing leads
     * @throws CancelledException when the work is to stop
     */
    void at(double done, String doing);

    /** For a stretch of the work, which counts from 0 to 1 itself. */
    default Progress within(double from, double to) {
        return (done, doing) -> at(from + (to - from) * done, doing);
    }
}
