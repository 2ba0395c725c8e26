package dev.oleander.plan.panel;

/** A place, or a way, in space; mm. */
public record Spot(double x, double y, double z) {

    public static final Spot ORIGIN = new Spot(0, 0, 0);

    public Spot plus(Spot other) {
        return new Spot(x + other.x, y + other.y, z + other.z);
    }

    public Spot minus(Spot other) {
        return plus(other.times(-1));
    }

    public Spot times(double factor) {
        return new Spot(factor * x, factor * y, factor * z);
    }

    public Spot cross(Spot other) {
        return new Spot(
                y * other.z - z * other.y, z * other.x - x * other.z, x * other.y - y * other.x);
    }

    public double dot(Spot other) {
        return x * other.x + y * other.y + z * other.z;
    }

    public double length() {
        return Math.sqrt(dot(this));
    }

    public double distance(Spot other) {
        return minus(other).length();
    }
}
