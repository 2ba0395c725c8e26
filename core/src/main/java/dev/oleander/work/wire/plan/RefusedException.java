package dev.oleander.work.wire.plan;

import dev.oleander.plan.Refusal;

/** A stop cannot be cut as it is set. */
final class RefusedException extends RuntimeException {

    private final transient Refusal refusal;

    RefusedException(Refusal refusal) {
        super(refusal.sentence());
        this.refusal = refusal;
    }

    Refusal refusal() {
        return refusal;
    }
}
