package dev.oleander.plan.bed;

/** A choice that cannot be planned; the message names the value and the limit. */
public class PlanException extends RuntimeException {

    public PlanException(String message) {
        super(message);
    }
}
