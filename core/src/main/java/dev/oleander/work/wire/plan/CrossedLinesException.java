package dev.oleander.work.wire.plan;

/** Lines between two contours cross each other; says where, without a full stop. */
final class CrossedLinesException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    CrossedLinesException(String message) {
        super(message);
    }
}
