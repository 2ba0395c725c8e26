package dev.oleander.motion;

import java.util.Optional;

/**
 * What a machine does besides moving. Arguments in brackets; those named seconds take that time.
 */
public enum EventKind {
    /** choose the row of cutting data (row, power, pressure) */
    DATA("data", Use.CUT, ModalGroup.DATA),
    HEAD_DOWN("headDown", Use.CUT),
    /** burn through (kind by its number, seconds, height of the head in mm); {@link PierceKind} */
    PIERCE("pierce", Use.CUT),
    /** begin to mark the surface */
    MARK_ON("markOn", Use.CUT),
    /** the controller moves the path to the left of the travel (register) */
    COMP_LEFT("compLeft", Use.CUT, ModalGroup.OFFSET),
    /** the same to the right */
    COMP_RIGHT("compRight", Use.CUT, ModalGroup.OFFSET),
    COMP_OFF("compOff", Use.CUT, ModalGroup.OFFSET),
    PROCESS_OFF("processOff", Use.CUT),
    HEAD_UP("headUp", Use.CUT),
    /** begin to work without burning through first */
    PROCESS_ON("processOn", Use.SOME),
    /** end of marking, where that is not the end of any work */
    MARK_OFF("markOff", Use.SOME),
    /** change the gas (gas by its number, pressure in bar) */
    GAS("gas", Use.SOME, ModalGroup.GAS),
    /** move the head to a height (height in mm above the surface; below 0 the tool works) */
    HEIGHT("height", Use.SOME, ModalGroup.HEIGHT),
    /** change the tool (tool by its number, seconds) */
    TOOL("tool", Use.SOME, ModalGroup.TOOL),
    /**
     * choose the drills of a bank that come down together (drills: 1 for the first, 2 for the
     * second, 4 for the third and so on, added up; 0: the tool alone)
     */
    DRILLS("drills", Use.SOME, ModalGroup.DRILLS),
    /** turn the spindle (speed in rev/min) */
    SPINDLE_ON("spindleOn", Use.SOME, ModalGroup.SPINDLE),
    SPINDLE_OFF("spindleOff", Use.SOME, ModalGroup.SPINDLE),
    COOLANT_ON("coolantOn", Use.SOME, ModalGroup.COOLANT),
    COOLANT_OFF("coolantOff", Use.SOME, ModalGroup.COOLANT),
    /** thread the wire (seconds; tries: how often before the hole is skipped and reported) */
    THREAD("thread", Use.SOME),
    /** cut the wire (seconds) */
    CUT_WIRE("cutWire", Use.SOME),
    /** choose a condition of the controller's own table (condition) */
    CONDITION("condition", Use.SOME, ModalGroup.CONDITION),
    /** choose the register of the offset (register) */
    REGISTER("register", Use.SOME, ModalGroup.REGISTER),
    /**
     * lean the wire to the left of the travel (angle in degrees; corner: 1 when the radius of a
     * corner changes with the height, 2 when it stays; plane: height of the programmed contour
     * above the lower side of the work, mm)
     */
    TAPER_LEFT("taperLeft", Use.SOME, ModalGroup.TAPER),
    /** the same to the right */
    TAPER_RIGHT("taperRight", Use.SOME, ModalGroup.TAPER),
    TAPER_OFF("taperOff", Use.SOME, ModalGroup.TAPER),
    /** turn the rotary axis to an angle (turn in degrees, seconds) */
    INDEX("index", Use.SOME, ModalGroup.INDEX),
    /** wait for the operator in any case (seconds that are likely) */
    STOP("stop", Use.SOME),
    /** the same when the operator has asked for it */
    OPTIONAL_STOP("optionalStop", Use.SOME),
    /** wait (seconds) */
    DWELL("dwell", Use.SOME),
    /** nothing but a text for people */
    COMMENT("comment", Use.SOME),
    END("end", Use.CUT);

    /** Whether cuts of every kind have it. */
    private enum Use {
        CUT,
        SOME
    }

    private final String word;
    private final Use use;
    private final ModalGroup group;

    EventKind(String word, Use use) {
        this(word, use, null);
    }

    EventKind(String word, Use use, ModalGroup group) {
        this.word = word;
        this.use = use;
        this.group = group;
    }

    /** What holds after it until another of its group comes; empty when it passes. */
    public Optional<ModalGroup> group() {
        return Optional.ofNullable(group);
    }

    /** Whether cuts of every kind have it, so that a format has to say what is written for it. */
    public boolean isOfEveryCut() {
        return use == Use.CUT;
    }

    /** Whether the machine does anything: what does not is not compared. */
    public boolean isDone() {
        return this != COMMENT;
    }

    /** Whether the process works from here on: a beam is on, or a tool turns. */
    public boolean isOn() {
        return this == PIERCE || this == MARK_ON || this == PROCESS_ON || this == SPINDLE_ON;
    }

    /** Whether the process ends here. */
    public boolean isOff() {
        return this == PROCESS_OFF || this == MARK_OFF || this == SPINDLE_OFF;
    }

    /**
     * Whether the head is down after it.
     *
     * @param before whether it was down before
     */
    public boolean isDownAfter(boolean before) {
        return this == HEAD_DOWN || (before && this != HEAD_UP);
    }

    /** Whether the machine waits for a person. */
    public boolean isForPeople() {
        return this == STOP || this == OPTIONAL_STOP;
    }

    public String word() {
        return word;
    }
}
