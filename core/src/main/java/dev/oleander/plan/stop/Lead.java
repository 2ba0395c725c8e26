package dev.oleander.plan.stop;

/**
 * A lead as it is cut.
 *
 * @param length of the straight part, mm
 * @param angle degrees: of a line against the path where they meet, or swept by the arc
 * @param radius of the arc, mm
 */
public record Lead(LeadKind kind, double length, double angle, double radius) {

    public static final Lead NONE = new Lead(LeadKind.NONE, 0, 0, 0);

    public static Lead line(double length, double angle) {
        return new Lead(LeadKind.LINE, length, angle, 0);
    }

    public static Lead arc(double radius, double angle) {
        return new Lead(LeadKind.ARC, 0, angle, radius);
    }

    /** The same at another angle, degrees. */
    public Lead turnedTo(double newAngle) {
        return new Lead(kind, length, newAngle, radius);
    }

    /** The same form, smaller. */
    public Lead scaled(double factor) {
        return new Lead(kind, length * factor, angle, radius * factor);
    }
}
