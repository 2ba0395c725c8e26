package dev.oleander.work.wire.proof;

/** A controller cannot do what a program asks for; says what, without a full stop. */
final class ControllerException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    ControllerException(String message) {
        super(message);
    }
}
