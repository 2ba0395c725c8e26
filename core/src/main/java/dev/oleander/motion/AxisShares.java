package dev.oleander.motion;

import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.machine.Axis;
import dev.oleander.machine.Machine;
import java.util.Optional;
import java.util.function.ToDoubleFunction;

/**
 * What every axis does while a move goes on by one millimetre of its way in space, or by one degree
 * where nothing but the rotary axis moves.
 *
 * @param machine whose axes they are
 * @param plane direction in the plane times its share
 * @param inPlane share of the way in the plane, 0 to 1
 * @param larger the larger of what X and Y have to do; 1 on an arc, where each has all at times
 * @param z mm, upwards
 * @param turn degrees
 */
record AxisShares(
        Machine machine, Point plane, double inPlane, double larger, double z, double turn) {

    /** The shares of the moves of a machine. */
    record Of(Machine machine) {

        AxisShares of(Item.Rapid rapid) {
            Point way = rapid.to().minus(rapid.from());
            return straight(way, rapid.length(), rapid.rise());
        }

        /**
         * @param share of the way where the direction is asked for, 0 to 1
         */
        AxisShares of(Item.AtFeed move, double share) {
            double length = move.length();
            if (move instanceof Item.Feed feed) {
                Point unit = feed.segment().direction(share);
                double inPlane = feed.rise().z() == 0 ? 1 : feed.segment().length() / length;
                boolean line = feed.segment() instanceof Line;
                return new AxisShares(
                        machine,
                        unit.times(inPlane),
                        inPlane,
                        line ? larger(unit) * inPlane : inPlane,
                        feed.rise().z() / length,
                        feed.rise().turn() / length);
            }
            return straight(Point.ORIGIN, length, move.rise());
        }

        private AxisShares straight(Point way, double length, Rise rise) {
            Point plane = new Point(way.x() / length, way.y() / length);
            return new AxisShares(
                    machine,
                    plane,
                    plane.norm(),
                    larger(plane),
                    rise.z() / length,
                    rise.turn() / length);
        }
    }

    /** Both axes of the plane have the same limits: the one that does more decides. */
    static double larger(Point unit) {
        return Math.max(Math.abs(unit.x()), Math.abs(unit.y()));
    }

    /**
     * The most of something along the way, where no axis may have more than its own.
     *
     * @param ofPlane of X and of Y
     * @param of another axis
     */
    double within(double ofPlane, ToDoubleFunction<Axis> of) {
        double most = larger == 0 ? Double.POSITIVE_INFINITY : ofPlane / larger;
        return withinOthers(most, of, ofPlane);
    }

    /** The same as far as axes besides X and Y matter. */
    double withinOthers(double most, ToDoubleFunction<Axis> of) {
        return withinOthers(most, of, Double.POSITIVE_INFINITY);
    }

    /**
     * @param usual for height, where the machine says nothing of its axis
     */
    private double withinOthers(double most, ToDoubleFunction<Axis> of, double usual) {
        double limit = most;
        if (z != 0) {
            Optional<Axis> axis = machine.axis(Axis.Name.Z);
            double own = axis.map(of::applyAsDouble).orElse(usual);
            limit = Math.min(limit, own / Math.abs(z));
        }
        if (turn != 0) {
            limit = Math.min(limit, of.applyAsDouble(rotary()) / Math.abs(turn));
        }
        return limit;
    }

    private Axis rotary() {
        return machine.axis(Axis.Name.ROTARY)
                .orElseThrow(
                        () ->
                                new IllegalArgumentException(
                                        machine.name() + " has no rotary axis to turn"));
    }

    /** Of the directions in space; nothing of a move that only turns. */
    double dot(AxisShares after) {
        boolean some = inPlane == 0 && z == 0;
        boolean other = after.inPlane == 0 && after.z == 0;
        if (some || other) {
            return some && other ? 1 : -1;
        }
        return plane.dot(after.plane) + z * after.z;
    }

    /** mm/s2 that a corner can be taken with: the least of the axes that either side uses. */
    double acceleration(AxisShares after) {
        double ofPlane = machine.motion().acceleration();
        boolean depth = z != 0 || after.z != 0;
        return depth
                ? machine.axis(Axis.Name.Z)
                        .map(axis -> Math.min(ofPlane, axis.acceleration()))
                        .orElse(ofPlane)
                : ofPlane;
    }

    /** Speed at which no axis besides X and Y changes its own by more than it may at once. */
    double jump(AxisShares after) {
        double most = Double.POSITIVE_INFINITY;
        if (turn != after.turn) {
            most = rotary().jump() / Math.abs(turn - after.turn);
        }
        Optional<Axis> depth = machine.axis(Axis.Name.Z);
        if (z != after.z && depth.isPresent() && depth.get().jump() > 0) {
            most = Math.min(most, depth.get().jump() / Math.abs(z - after.z));
        }
        return most;
    }
}
