package dev.oleander.work.wire.cut;

import dev.oleander.plan.stop.Refusal;

/** A stop cannot be cut as it is set. */
public final class RefusedException extends RuntimeException {

    private final transient Refusal refusal;

    public RefusedException(Refusal refusal) {
        super(refusal.sentence());
        this.refusal = refusal;
    }

    public Refusal refusal() {
        return refusal;
    }
}
