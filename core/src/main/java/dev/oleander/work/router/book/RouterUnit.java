package dev.oleander.work.router.book;

import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineUnit;
import java.util.List;

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
 * @param bank of drills; null: none
 * @param stops against which flat stock lies
 * @param side where drills that lie can be; null: there are none
 * @param pods on which panels can lie; null: there are none
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
        Rotary rotary,
        Bank bank,
        List<Stop> stops,
        Side side,
        Pods pods)
        implements MachineUnit {

    public RouterUnit {
        stops = stops == null ? List.of() : List.copyOf(stops);
    }

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
     * @param jaw what holds the work at its beginning; null: not known
     */
    public record Rotary(double height, double swing, double length, Jaw jaw) {}

    /** As long along the axis as it stands out from the work, and its greatest radius, mm. */
    public record Jaw(double length, double radius) {

        /**
         * @throws IllegalArgumentException when it has no size
         */
        public Jaw {
            if (!(length > 0 && radius > 0)) {
                throw new IllegalArgumentException("jaws have a length and a radius above 0");
            }
        }
    }

    /**
     * A stop of the table.
     *
     * @param x of its lower left corner, mm from that of the stock
     * @param y likewise
     * @param width along X, mm
     * @param depth along Y, mm
     * @param height over the table, mm
     */
    public record Stop(String name, double x, double y, double width, double depth, double height) {

        /**
         * @throws IllegalArgumentException when it has no size
         */
        public Stop {
            if (!(width > 0 && depth > 0 && height > 0)) {
                throw new IllegalArgumentException(
                        "stop %s: width, depth and height must be above 0".formatted(name));
            }
        }
    }

    /**
     * Where drills that lie can be, for holes in edges.
     *
     * @param lowest that their axis can lie over the table, mm
     * @param highest likewise
     */
    public record Side(double lowest, double highest) {

        /**
         * @throws IllegalArgumentException when its heights are none
         */
        public Side {
            if (!(lowest > 0 && highest >= lowest)) {
                throw new IllegalArgumentException(
                        "side drills lie from %s to %s over the table".formatted(lowest, highest));
            }
        }
    }

    /**
     * Pods that hold panels by suction, on rails across the table.
     *
     * @param length along X, mm
     * @param width along Y, mm
     * @param height over the table, mm
     * @param step between places of a rail, mm
     * @param overhang of a panel beyond them at most, mm
     * @param clear mm beside a tool that cuts through
     */
    public record Pods(
            double length,
            double width,
            double height,
            double step,
            double overhang,
            double clear) {

        /**
         * @throws IllegalArgumentException when a size is none
         */
        public Pods {
            boolean sizes = length > 0 && width > 0 && height > 0 && step > 0;
            if (!(sizes && overhang > 0 && clear >= 0)) {
                throw new IllegalArgumentException("pods: all sizes must be above 0");
            }
        }
    }

    /** The same with another bank of drills. */
    public RouterUnit with(Bank other) {
        return with(rotary, other, stops);
    }

    /** The same with other stops. */
    public RouterUnit with(List<Stop> others) {
        return with(rotary, bank, others);
    }

    /** The same with other jaws of its axis. */
    public RouterUnit with(Jaw other) {
        return with(new Rotary(rotary.height, rotary.swing, rotary.length, other), bank, stops);
    }

    private RouterUnit with(Rotary axis, Bank drills, List<Stop> others) {
        return new RouterUnit(
                spindle,
                changeSeconds,
                spoil,
                spoilAllowance,
                vacuum,
                friction,
                overCut,
                linkFeed,
                heights,
                axis,
                drills,
                others,
                side,
                pods);
    }

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
