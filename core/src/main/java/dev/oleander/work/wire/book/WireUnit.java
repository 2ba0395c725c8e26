package dev.oleander.work.wire.book;

import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineUnit;

/**
 * What a wire machine has besides its table: guides, threading, limits of leaning.
 *
 * @param lowerGuide distance of the lower guide below the lower side of the work, mm
 * @param upperGap least distance of the upper guide above the work and all clamps, mm
 * @param upperReach greatest height of the upper guide above the table, mm
 * @param guideRadius of the upper guide's housing, mm
 * @param uvTravel how far the upper guide can be off the lower one along each axis, mm
 * @param greatestAngle of the wire against the vertical, degrees
 * @param threadSeconds to thread the wire
 * @param cutSeconds to cut it
 * @param indexSeconds to release the work on a rotary axis and to hold it again
 * @param indexSpeed of the axis, degrees/s; 0: at once
 * @param threadTries how often threading is tried before the hole is skipped and reported
 * @param startHole diameter of start holes where none is drawn, mm
 * @param backOff way off the profile between passes, mm
 * @param holdSeconds that people need at a stop, likely
 * @param dropMass heaviest slug that may fall onto the lower head, kg
 * @param leastWeb narrowest web that carries anything, of work without height, mm
 * @param leastWebPerHeight mm that it is wider for each mm of height: a tall web bends and burns
 *     through sooner
 */
public record WireUnit(
        double lowerGuide,
        double upperGap,
        double upperReach,
        double guideRadius,
        double uvTravel,
        double greatestAngle,
        double threadSeconds,
        double cutSeconds,
        double indexSeconds,
        double indexSpeed,
        int threadTries,
        double startHole,
        double backOff,
        double holdSeconds,
        double dropMass,
        double leastWeb,
        double leastWebPerHeight)
        implements MachineUnit {

    /**
     * That of a wire machine.
     *
     * @throws ClassCastException when it is another one
     */
    public static WireUnit of(Machine machine) {
        return (WireUnit) machine.unit();
    }

    @Override
    public boolean usesCutStock() {
        return true;
    }

    /** The narrowest web that carries anything, mm. */
    public double leastWeb(double height) {
        return leastWeb + leastWebPerHeight * height;
    }
}
