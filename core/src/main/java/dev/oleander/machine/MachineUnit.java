package dev.oleander.machine;

/** What a machine has for its kind of work, in a class that the kind knows. */
public interface MachineUnit {

    /** Nothing besides. */
    MachineUnit NONE = new MachineUnit() {};

    /** Whether stock is usually cut to size round the part, instead of being a whole sheet. */
    default boolean usesCutStock() {
        return false;
    }
}
