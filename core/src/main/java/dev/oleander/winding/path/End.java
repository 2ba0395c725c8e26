package dev.oleander.winding.path;

/**
 * What a band does at an end of the mandrel. Null: not said.
 *
 * @param turnRadius mm
 * @param lambda steering, positive where it turns the band earlier
 * @param zone from where it is steered; null: the shoulder
 * @param turnAt where the turn lies
 * @param dwell radians it stays on its turn circle, or at its pins
 * @param pins whether pins hold it at the mandrel's end
 */
public record End(
        Double turnRadius,
        Double lambda,
        Station zone,
        Station turnAt,
        double dwell,
        boolean pins) {

    /** It turns by itself. */
    public static final End FREE = new End(null, null, null, null, 0, false);

    public static End pins(double dwell) {
        return new End(null, null, null, null, dwell, true);
    }

    public End withDwell(double radians) {
        return new End(turnRadius, lambda, zone, turnAt, radians, pins);
    }

    public End withTurnRadius(double mm) {
        return new End(mm, lambda, zone, turnAt, dwell, pins);
    }
}
