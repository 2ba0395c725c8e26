package dev.oleander.plan.order;

/**
 * Time of a travel from rest to rest with trapezoidal speed.
 *
 * @param speed mm/s
 * @param acceleration mm/s2
 * @param fixed seconds that every travel takes besides: lifting and lowering the head
 */
public record TravelTime(double speed, double acceleration, double fixed) {

    public TravelTime {
        if (!(speed > 0 && acceleration > 0 && fixed >= 0)) {
            throw new IllegalArgumentException(
                    "speed and acceleration must be > 0, the fixed time not below 0: "
                            + speed
                            + ", "
                            + acceleration
                            + ", "
                            + fixed);
        }
    }

    /** A travel whose time is its length, for comparing ways by their length alone. */
    public static TravelTime byLength() {
        return new TravelTime(1, Double.MAX_VALUE, 0);
    }

    /**
     * Seconds over a distance: speeding up over the first half and braking over the second, or with
     * the full speed in between when the way is long enough.
     */
    public double over(double distance) {
        double full = speed * speed / acceleration;
        return fixed
                + (distance < full
                        ? 2 * Math.sqrt(distance / acceleration)
                        : distance / speed + speed / acceleration);
    }
}
