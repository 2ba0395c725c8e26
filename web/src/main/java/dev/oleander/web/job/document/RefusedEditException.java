package dev.oleander.web.job.document;

import dev.oleander.plan.stop.Refusal;
import dev.oleander.plan.stop.Stop;
import java.util.Optional;

/** An edit that is not taken; the job stays as it was. The message says what stands against it. */
public final class RefusedEditException extends RuntimeException {

    private final transient Stop stop;

    public RefusedEditException(String message) {
        super(message);
        this.stop = null;
    }

    private RefusedEditException(Stop stop) {
        super(stop.refusalSentence().orElseThrow());
        this.stop = stop;
    }

    public static RefusedEditException of(Stop refused) {
        return new RefusedEditException(refused);
    }

    /** The stop that cannot be cut that way, if it is about one. */
    public Optional<Stop> stop() {
        return Optional.ofNullable(stop);
    }

    public Optional<Refusal> refusal() {
        return stop().flatMap(Stop::refusal);
    }
}
