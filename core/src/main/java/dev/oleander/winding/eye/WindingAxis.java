package dev.oleander.winding.eye;

/**
 * Axes of a winding machine (ISO 841): X carriage, Y away from the mandrel's axis, Z height, A
 * mandrel, B roll of the eye about its arm, C yaw about the vertical.
 */
public enum WindingAxis {
    X(false),
    Y(false),
    Z(false),
    A(true),
    B(true),
    C(true);

    private final boolean turning;

    WindingAxis(boolean turning) {
        this.turning = turning;
    }

    /** Radians inside, degrees outside; else mm. */
    public boolean isTurning() {
        return turning;
    }

    /** As people and programs have it. */
    public double outside(double value) {
        return turning ? Math.toDegrees(value) : value;
    }

    public double inside(double value) {
        return turning ? Math.toRadians(value) : value;
    }
}
