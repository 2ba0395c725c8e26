package dev.oleander.plan.panel;

import dev.oleander.plan.bed.PlanException;

/** A product that cannot be; the message names panel, feature, value and limit. */
public final class PanelException extends PlanException {

    public PanelException(String message) {
        super(message);
    }
}
