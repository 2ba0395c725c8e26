package dev.oleander.web.load;

/** Nobody waits for the answer any more: the connection was closed. */
public final class CallerLeftException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    CallerLeftException() {
        super("The caller closed the connection.");
    }
}
