package dev.oleander.motion;

/**
 * What changes along a move besides the place in the plane, evenly over its way: a ramp on a line,
 * a helix on an arc.
 */
public record Rise(Pose from, Pose to) {

    /** Nothing: a move in the plane of a machine without depth. */
    public static final Rise FLAT = new Rise(Pose.FLAT, Pose.FLAT);

    /** At one height. */
    public static Rise level(Pose at) {
        return at.equals(Pose.FLAT) ? FLAT : new Rise(at, at);
    }

    /** Upwards, mm. */
    public double z() {
        return to.z() - from.z();
    }

    /** Degrees that the work is turned. */
    public double turn() {
        return to.turn() - from.turn();
    }

    /** Whether nothing of it moves. */
    public boolean isLevel() {
        return from.equals(to);
    }

    /** The pose after a share of the way, 0 to 1. */
    public Pose at(double share) {
        return new Pose(from.z() + share * z(), from.turn() + share * turn());
    }

    /** Of a part of the way, by shares from 0 to 1. */
    public Rise between(double first, double last) {
        return new Rise(at(first), at(last));
    }
}
