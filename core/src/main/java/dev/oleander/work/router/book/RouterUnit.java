package dev.oleander.work.router.book;

import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineUnit;

/**
 * What a router has besides its table: a spindle, a magazine, what holds the work, an axis that
 * turns it.
 *
 * @param spindle that mills
 * @param changeSeconds to change the tool
 * @param spoil thickness of the board under the stock, mm
 * @param spoilAllowance how deep the tip may go into it, mm
 * @param vacuum suction under the stock, N/mm2
 * @param friction of the stock on the table
 * @param overCut mm that what goes through goes deeper than the stock
 * @param linkFeed mm/min at depth through what is gone already
 * @param heights of the tip over the stock, mm
 * @param rotary axis that turns the work; null: none
 */
public record RouterUnit(
        Spindle spindle,
        double changeSeconds,
        double spoil,
        double spoilAllowance,
        double vacuum,
        double friction,
        double overCut,
        double linkFeed,
        Lifts heights,
        Rotary rotary)
        implements MachineUnit {

    /**
     * @param power kW
     * @param min and {@code max}: rev/min
     * @param runUp s from rest to full speed
     */
    public record Spindle(double power, double min, double max, double runUp) {}

    /** See {@link dev.oleander.work.router.way.ToolWay.Heights}. */
    public record Lifts(double clearance, double retract, double feedHeight) {}

    /**
     * An axis along X.
     *
     * @param height of its middle over the table, mm
     * @param swing greatest radius of the work, mm
     * @param length of the work, mm
     */
    public record Rotary(double height, double swing, double length) {}

    /**
     * That of a router.
     *
     * @throws ClassCastException when it is another machine
     */
    public static RouterUnit of(Machine machine) {
        return (RouterUnit) machine.unit();
    }

    @Override
    public boolean usesCutStock() {
        return true;
    }
}
