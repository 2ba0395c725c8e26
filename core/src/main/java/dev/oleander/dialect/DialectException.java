package dev.oleander.dialect;

/** A mistake in the description of a dialect; the message names file and field. */
public final class DialectException extends RuntimeException {

    public DialectException(String message) {
        super(message);
    }
}
