package dev.oleander.progress;

/** Long work was stopped because nobody wants its result any more. */
public final class CancelledException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    public CancelledException() {
        super("the work was stopped");
    }
}
