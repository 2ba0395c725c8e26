package dev.oleander.plan.wire;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import java.util.List;
import java.util.function.Function;

/** How far a threaded wire can go before its swath reaches a profile, below or above. */
final class WireRoom {

    /** mm; the swath touches the finished flank in its last pass, and leaves it from there. */
    private static final double ROUNDING = 1e-6;

    /** mm; least step of the search, and with it how exact it is along a profile. */
    private static final double STEP = 0.01;

    private final List<Profile> lower;
    private final List<Profile> upper;

    /**
     * @param lower all profiles in the lower plane
     * @param upper in the upper plane
     */
    WireRoom(List<Profile> lower, List<Profile> upper) {
        this.lower = List.copyOf(lower);
        this.upper = List.copyOf(upper);
    }

    /** A profile with its box, which is asked for often. */
    record Profile(Chain chain, Box box) {

        static Profile of(Chain chain) {
            return new Profile(chain, chain.box());
        }
    }

    static WireRoom upright(List<Profile> profiles) {
        return new WireRoom(profiles, profiles);
    }

    /** A straight way of the wire's centre; mm, the direction of length 1. */
    record Ray(Point from, Point direction, double wished) {

        Point at(double t) {
            return from.plus(direction.times(t));
        }
    }

    /**
     * How far along a ray the swath of an upright wire is clear, at most as far as is wished.
     *
     * @param halfSwath mm
     */
    double both(Ray ray, double halfSwath) {
        double below = reach(lower, ray, halfSwath);
        return lower.equals(upper) ? below : Math.min(below, reach(upper, ray, halfSwath));
    }

    /** Whether the swath is clear on the straight way from the end of a stretch to a place. */
    boolean isClear(Function<Ruling, Segment> plane, Ruling end, Point to, double halfSwath) {
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
    private static double reach(List<Profile> profiles, Ray ray, double halfSwath) {
        double clear = 0;
        double t = Math.min(STEP, ray.wished());
        while (true) {
            double room = nearest(profiles, ray.at(t)) - halfSwath;
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

    private static double nearest(List<Profile> profiles, Point p) {
        double least = Double.POSITIVE_INFINITY;
        for (Profile profile : profiles) {
            Box box = profile.box();
            double dx = Math.max(0, Math.max(box.min().x() - p.x(), p.x() - box.max().x()));
            double dy = Math.max(0, Math.max(box.min().y() - p.y(), p.y() - box.max().y()));
            if (Math.hypot(dx, dy) < least) {
                least = Math.min(least, profile.chain().nearest(p).point().distance(p));
            }
        }
        return least;
    }
}
