package dev.oleander.work.router.plan;

/** A stop cannot be done as it is wished. */
final class CannotException extends RuntimeException {

    private static final long serialVersionUID = 1;

    CannotException(String sentence, Object... values) {
        super(sentence.formatted(values));
    }
}
