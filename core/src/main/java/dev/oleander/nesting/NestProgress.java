package dev.oleander.nesting;

/** Is told how a search goes, after each round. */
@FunctionalInterface
public interface NestProgress {

    NestProgress NONE = (best, seconds) -> true;

    /**
     * @param best so far
     * @param seconds since the search began
     * @return whether to go on
     */
    boolean at(Nest best, double seconds);
}
