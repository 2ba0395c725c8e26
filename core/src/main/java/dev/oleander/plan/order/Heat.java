package dev.oleander.plan.order;

/**
 * A start near a cut that is still hot burns badly.
 *
 * @param distance mm; starts farther off do not matter
 * @param seconds after which a cut has cooled down
 * @param cost seconds that a start on a cut made just now counts as; less with time, 0 after {@code
 *     seconds}
 */
public record Heat(double distance, double seconds, double cost) {

    /** Heat does not matter. */
    public static final Heat NONE = new Heat(0, 0, 0);

    public boolean matters() {
        return distance > 0 && seconds > 0 && cost > 0;
    }
}
