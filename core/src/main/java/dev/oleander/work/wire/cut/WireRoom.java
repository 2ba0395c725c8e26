package dev.oleander.work.wire.cut;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;

/** How far a threaded wire can go before its swath reaches a profile, below or above. */
public final class WireRoom {

    /** mm; the swath touches the finished flank in its last pass, and leaves it from there. */
    private static final double ROUNDING = 1e-6;

    /** mm; least step of the search, and with it how exact it is along a profile. */
    private static final double STEP = 0.01;

    private final ToDoubleFunction<Point> lower;
    private final ToDoubleFunction<Point> upper;

    /**
     * @param lower distance of the nearest profile in the lower plane, mm
     * @param upper in the upper plane
     */
    public WireRoom(ToDoubleFunction<Point> lower, ToDoubleFunction<Point> upper) {
        this.lower = lower;
        this.upper = upper;
    }

    public static WireRoom upright(ToDoubleFunction<Point> profiles) {
        return new WireRoom(profiles, profiles);
    }

    /** A straight way of the wire's centre; mm, the direction of length 1. */
    public record Ray(Point from, Point direction, double wished) {

        Point at(double t) {
            return from.plus(direction.times(t));
        }
    }

    /**
     * How far along a ray the swath of an upright wire is clear, at most as far as is wished.
     *
     * @param halfSwath mm
     */
    public double both(Ray ray, double halfSwath) {
        double below = reach(lower, ray, halfSwath);
        return lower == upper ? below : Math.min(below, reach(upper, ray, halfSwath));
    }

    /** Whether the swath is clear on the straight way from the end of a stretch to a place. */
    public boolean isClear(
            Function<Ruling, Segment> plane, Ruling end, Point to, double halfSwath) {
        Point from = plane.apply(end).end();
        double way = from.distance(to);
        if (way == 0) {
            return true;
        }
        Ray ray = new Ray(from, to.minus(from).times(1 / way), way);
        boolean isLower = plane.apply(end) == end.lower();
        return reach(isLower ? lower : upper, ray, halfSwath) >= way;
    }

    /** Sphere tracing: nothing lies nearer than the nearest profile (J. C. Hart, 1996). */
    private static double reach(ToDoubleFunction<Point> profiles, Ray ray, double halfSwath) {
        double clear = 0;
        double t = Math.min(STEP, ray.wished());
        while (true) {
            double room = profiles.applyAsDouble(ray.at(t)) - halfSwath;
            if (room < -ROUNDING) {
                return clear;
            }
            clear = t;
            if (t >= ray.wished()) {
                return ray.wished();
            }
            t = Math.min(ray.wished(), t + Math.max(STEP, room));
        }
    }
}
