package dev.oleander.web.job.document;

/** Which copies an edit of a stop is for. */
public enum Scope {
    /** the stops named */
    COPY,
    /** the same feature on every copy */
    ALL;

    /** As forms name it; all is usual. */
    public static Scope ofWord(String word) {
        return word.equals("copy") ? COPY : ALL;
    }
}
