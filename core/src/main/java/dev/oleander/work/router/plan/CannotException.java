package dev.oleander.work.router.plan;

import java.util.Optional;

/** A stop cannot be done as it is wished. */
final class CannotException extends RuntimeException {

    private static final long serialVersionUID = 1;

    CannotException(String sentence, Object... values) {
        super(sentence.formatted(values));
    }

    /**
     * Refuses when there is a reason to.
     *
     * @param why a sentence; empty: nothing stands against it
     */
    static void throwIf(Optional<String> why) {
        if (why.isPresent()) {
            throw new CannotException("%s", why.get());
        }
    }
}
