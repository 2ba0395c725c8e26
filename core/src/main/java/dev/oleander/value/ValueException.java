package dev.oleander.value;

/** What was typed cannot be the value; the message is a sentence for the person. */
public class ValueException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    public ValueException(String message) {
        super(message);
    }
}
