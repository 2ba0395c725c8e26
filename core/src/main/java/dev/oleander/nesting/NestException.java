package dev.oleander.nesting;

import dev.oleander.plan.bed.PlanException;

/** What is asked for cannot be nested; the message says what, where and which limit. */
public final class NestException extends PlanException {

    private static final long serialVersionUID = 1;

    public NestException(String message) {
        super(message);
    }
}
