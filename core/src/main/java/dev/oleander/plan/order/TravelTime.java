package dev.oleander.plan.order;

import dev.oleander.geometry.Point;
import java.util.List;

/**
 * Time of a travel from rest to rest with trapezoidal speed.
 *
 * @param speed mm/s
 * @param acceleration mm/s2
 * @param fixed seconds that a travel takes besides: lifting and lowering the head
 * @param low mm; shorter ways take nothing besides, since the head stays down
 */
public record TravelTime(double speed, double acceleration, double fixed, double low) {

    public TravelTime {
        if (!(speed > 0 && acceleration > 0 && fixed >= 0 && low >= 0)) {
            throw new IllegalArgumentException(
                    "speed and acceleration must be > 0, the others not below 0: "
                            + List.of(speed, acceleration, fixed, low));
        }
    }

    /** A travel whose time is its length, for comparing ways by their length alone. */
    public static TravelTime byLength() {
        return new TravelTime(1, Double.MAX_VALUE, 0, 0);
    }

    /**
     * Seconds over a distance: speeding up over the first half and braking over the second, or with
     * the full speed in between when the way is long enough.
     */
    public double over(double distance) {
        return (distance < low ? 0 : fixed) + moving(distance);
    }

    /** Seconds along the legs of a way without lifting and lowering, at rest in its corners. */
    public double along(List<Point> way) {
        double sum = 0;
        for (int i = 1; i < way.size(); i++) {
            sum += moving(way.get(i - 1).distance(way.get(i)));
        }
        return sum;
    }

    private double moving(double distance) {
        double full = speed * speed / acceleration;
        return distance < full
                ? 2 * Math.sqrt(distance / acceleration)
                : distance / speed + speed / acceleration;
    }
}
