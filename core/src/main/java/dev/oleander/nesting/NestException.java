package dev.oleander.nesting;

/** What is asked for cannot be nested; the message says what, where and which limit. */
public final class NestException extends RuntimeException {

    private static final long serialVersionUID = 1;

    public NestException(String message) {
        super(message);
    }
}
