package dev.oleander.geometry.axis;

/**
 * A point of the axis.
 *
 * @param radius of the largest disc in the region round it, mm
 */
public record AxisPoint(double x, double y, double radius) {

    public double distance(AxisPoint other) {
        return Math.hypot(x - other.x, y - other.y);
    }
}
