package dev.oleander.winding.feed;

import dev.oleander.winding.eye.WindingAxis;
import java.util.EnumMap;
import java.util.Map;

/**
 * Limits of a machine; mm or radians, s.
 *
 * @param roving greatest speed at which it is drawn off, mm/s; infinite when there is none
 */
public record AxisLimits(Map<WindingAxis, Limit> of, double roving) {

    public AxisLimits {
        of = new EnumMap<>(of);
    }

    /** Of one axis; infinite where there is none. */
    public record Limit(double speed, double acceleration, double jerk) {

        static final Limit NONE =
                new Limit(
                        Double.POSITIVE_INFINITY,
                        Double.POSITIVE_INFINITY,
                        Double.POSITIVE_INFINITY);
    }

    public Limit of(WindingAxis axis) {
        return of.getOrDefault(axis, Limit.NONE);
    }
}
