package dev.oleander.motion;

/**
 * What a machine keeps as it was told until it is told otherwise; the modal groups of ISO 6983-1,
 * 2009, with those of wires and of axes that turn. In the order in which they are set up.
 */
public enum ModalGroup {
    /** the angle of the rotary axis */
    INDEX(true),
    TOOL(true),
    /** which drills of a bank come down */
    DRILLS(true),
    SPINDLE(true),
    COOLANT(true),
    /** the row of cutting data */
    DATA(true),
    /** another gas, or another pressure, than that of the data */
    GAS(true),
    CONDITION(true),
    /** the register of the offset */
    REGISTER(true),
    /** how high the tool is */
    HEIGHT(false),
    /** on which side of its way the controller moves the path */
    OFFSET(false),
    TAPER(false);

    private final boolean beforeTravel;

    ModalGroup(boolean beforeTravel) {
        this.beforeTravel = beforeTravel;
    }

    /**
     * Whether it is set up before the travel to where it is used; else only where the work begins,
     * since the travel must not be done with it.
     */
    boolean isBeforeTravel() {
        return beforeTravel;
    }

    /** Whether an event decides it; new data also decide the gas. */
    boolean isDecidedBy(EventKind kind) {
        return kind.group().filter(this::equals).isPresent()
                || (this == GAS && kind == EventKind.DATA);
    }
}
