package dev.oleander.machine;

import dev.oleander.quantity.Worded;

/** Who moves the path half a kerf off the drawn line. */
public enum Compensation implements Worded {
    /** the path is offset and written as it runs */
    PATH("in the path"),
    /** the drawn line is written; the controller offsets it by a register */
    CONTROLLER("by the controller"),
    /** the path is offset, and the controller adds a register for wear, which begins at 0 */
    BOTH("in the path, wear by the controller");

    private final String label;

    Compensation(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
