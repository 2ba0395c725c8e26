package dev.oleander.web.longwork;

/** What kind of long work is done, and how. */
public interface WorkKind {

    /** Without a colon; begins the ids of its works. */
    String word();

    /**
     * Does one. May be begun again after a node died in the middle of it.
     *
     * @param key what {@link Works#want} was given
     * @param progress is told how far it is
     * @throws dev.oleander.progress.CancelledException when the progress says so
     */
    void run(String key, WorkProgress progress);
}
