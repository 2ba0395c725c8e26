package dev.oleander.work.wire.cut;

/** Lines between two contours cross each other; says where, without a full stop. */
public final class CrossedLinesException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    public CrossedLinesException(String message) {
        super(message);
    }
}
