package dev.oleander.web.longwork;

/** What kind of long work is done, and how. */
public interface WorkKind {

    /** Without a colon; begins the ids of its works. */
    String word();

    /**
     * How many of the kind a node does at once, so that what takes minutes does not keep it from
     * what takes seconds.
     *
     * @param all works of any kind that a node does at once
     * @return at least 1
     */
    default int mostAtOnce(int all) {
        return all;
    }

    /**
     * Does one. May be begun again after a node died in the middle of it.
     *
     * @param key what {@link Works#want} was given
     * @param progress is told how far it is
     * @throws dev.oleander.progress.CancelledException when the progress says so
     */
    void run(String key, WorkProgress progress);
}
