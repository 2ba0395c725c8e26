package dev.oleander.plan.panel;

/** A product that cannot be; the message names panel, feature, value and limit. */
public final class PanelException extends RuntimeException {

    public PanelException(String message) {
        super(message);
    }
}
