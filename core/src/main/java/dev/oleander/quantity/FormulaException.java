package dev.oleander.quantity;

/** A typed value that cannot be understood; the message is for the person who typed it. */
public final class FormulaException extends RuntimeException {

    public FormulaException(String message) {
        super(message);
    }
}
