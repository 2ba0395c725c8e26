package dev.oleander.plan.order;

/**
 * Time to turn the work with an axis before a visit.
 *
 * @param from degrees at which the axis is before the first visit
 * @param seconds that every turn takes besides: to release the work and to hold it again
 * @param speed degrees/s; 0: at once
 */
public record Turning(double from, double seconds, double speed) {

    /** There is no such axis. */
    public static final Turning NONE = new Turning(0, 0, 0);

    public Turning {
        if (!(seconds >= 0 && speed >= 0)) {
            throw new IllegalArgumentException(
                    "seconds and speed must not be below 0: " + seconds + ", " + speed);
        }
    }

    /** Seconds from one position of the axis to another, both in degrees. */
    public double over(double before, double after) {
        if (before == after) {
            return 0;
        }
        return seconds + (speed > 0 ? Math.abs(after - before) / speed : 0);
    }
}
