package dev.oleander.motion;

/** What a machine does besides moving. */
public enum EventKind {
    /** choose the row of cutting data; arguments: row, power, pressure */
    DATA("data"),
    HEAD_DOWN("headDown"),
    /** burn through; arguments: seconds */
    PIERCE("pierce"),
    /** begin to mark the surface */
    MARK_ON("markOn"),
    /** the controller moves the path to the left of the travel; arguments: register */
    COMP_LEFT("compLeft"),
    /** the same to the right */
    COMP_RIGHT("compRight"),
    COMP_OFF("compOff"),
    PROCESS_OFF("processOff"),
    HEAD_UP("headUp"),
    /** wait for the operator in any case; arguments: seconds that are likely */
    STOP("stop"),
    /** the same when the operator has asked for it */
    OPTIONAL_STOP("optionalStop"),
    /** wait; arguments: seconds */
    DWELL("dwell"),
    /** nothing but a text for people */
    COMMENT("comment"),
    END("end");

    private final String word;

    EventKind(String word) {
        this.word = word;
    }

    /** Whether cuts of every kind have it, so that a format needs words for it. */
    public boolean isOfEveryCut() {
        return this != STOP && this != OPTIONAL_STOP && this != DWELL && this != COMMENT;
    }

    /** Whether the machine does anything: what does not is not compared. */
    public boolean isDone() {
        return this != COMMENT;
    }

    public String word() {
        return word;
    }
}
