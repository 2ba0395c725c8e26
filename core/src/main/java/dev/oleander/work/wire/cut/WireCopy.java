package dev.oleander.work.wire.cut;

import dev.oleander.plan.bed.Placement;
import java.util.Set;

/**
 * A copy of the drawing, or of some of its contours.
 *
 * @param features ids of what is cut of it
 * @param base copy of the drawing that it lies in; its own number for a copy of the whole
 * @param punches whether it holds the punches of sets
 * @param turn what a rotary axis turns the work by before it is cut, degrees
 */
public record WireCopy(
        Placement placement, Set<String> features, int base, boolean punches, double turn) {

    public WireCopy {
        features = Set.copyOf(features);
    }

    public int number() {
        return placement.copy();
    }

    /** Whether it is one of the whole drawing, not of single contours. */
    public boolean isWhole() {
        return base == number();
    }

    /** Whether both lie in the same piece of work, however it is turned to them. */
    public boolean isWith(WireCopy other) {
        return base == other.base;
    }
}
