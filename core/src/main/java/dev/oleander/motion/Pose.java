package dev.oleander.motion;

/**
 * How high the tool is, and how far the work is turned, besides the place in the plane.
 *
 * @param z mm above what the kind of work calls 0
 * @param turn of the rotary axis, degrees
 */
public record Pose(double z, double turn) {

    /** Of machines that know no depth: their heads are up or down, which events say. */
    public static final Pose FLAT = new Pose(0, 0);

    public static Pose at(double z) {
        return new Pose(z, 0);
    }
}
