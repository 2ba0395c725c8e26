package dev.oleander.winding.path;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * One circuit: from the reference station to the right end, back and on to the left end, and back.
 *
 * @param right from the station
 * @param left from the same station
 * @param dwellRight radians on the turn circle
 */
public record Circuit(Leg right, Leg left, double dwellRight, double dwellLeft)
        implements BandPath {

    public double dwell(Side side) {
        return side == Side.RIGHT ? dwellRight : dwellLeft;
    }

    public Leg leg(Side side) {
        return side == Side.RIGHT ? right : left;
    }

    /** mm of the middle of the band, with its stays. */
    @Override
    public double length() {
        return 2 * right.length() + 2 * left.length() + stay(Side.RIGHT) + stay(Side.LEFT);
    }

    /** mm laid on a turn circle, or at pins. */
    public double stay(Side side) {
        return dwell(side) * leg(side).end().surface().r();
    }

    /** Radians by which the mandrel turns. */
    @Override
    public double angle() {
        return 2 * right.angle() + 2 * left.angle() + dwellRight + dwellLeft;
    }

    /**
     * Where it is.
     *
     * @param l mm from the start at the reference station, toward the right; also over many
     *     circuits
     */
    @Override
    public PathPoint at(double l) {
        double length = length();
        double whole = Math.floor(l / length);
        return within(l - whole * length).later(whole * length, whole * angle());
    }

    private PathPoint within(double l) {
        double back = right.length() + stay(Side.RIGHT);
        double station = back + right.length();
        double turn = station + left.length();
        if (l <= right.length()) {
            return right.at(l);
        }
        if (l < back) {
            return stayed(right, l, right.length(), right.angle());
        }
        if (l < station) {
            return returning(right, l, station, 2 * right.angle() + dwellRight);
        }
        double angle = 2 * right.angle() + dwellRight;
        if (l <= turn) {
            return outward(l, station, angle);
        }
        if (l < turn + stay(Side.LEFT)) {
            return stayed(left, l, turn, angle + left.angle());
        }
        return inward(l);
    }

    /** On a turn circle: steered just as much as its slope asks for. */
    private static PathPoint stayed(Leg leg, double l, double begin, double angle) {
        PathPoint end = leg.end();
        return new PathPoint(
                l,
                end.m(),
                angle + (l - begin) / end.surface().r(),
                Math.PI / 2,
                leg.side().sign() * Math.tan(end.surface().omega()),
                end.surface());
    }

    private static PathPoint returning(Leg leg, double l, double station, double angle) {
        PathPoint p = leg.at(station - l);
        return new PathPoint(
                l, p.m(), angle - p.phi(), Math.PI - p.alpha(), p.lambda(), p.surface());
    }

    private PathPoint outward(double l, double station, double angle) {
        PathPoint p = left.at(l - station);
        return new PathPoint(
                l, p.m(), angle + p.phi(), Math.PI - p.alpha(), p.lambda(), p.surface());
    }

    private PathPoint inward(double l) {
        PathPoint p = left.at(length() - l);
        return new PathPoint(l, p.m(), angle() - p.phi(), p.alpha(), p.lambda(), p.surface());
    }

    /** Half of it, from the left end to the right one: places that tell what the band does. */
    public List<PathPoint> places() {
        List<PathPoint> all = new ArrayList<>(left.places());
        List<PathPoint> on = new ArrayList<>(right.places());
        Collections.reverse(on);
        all.addAll(on);
        return all;
    }
}
