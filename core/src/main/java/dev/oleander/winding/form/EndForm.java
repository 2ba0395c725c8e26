package dev.oleander.winding.form;

import dev.oleander.winding.path.End;
import dev.oleander.winding.path.Ends;

/**
 * What a band does at an end; mm and degrees, null where nothing is said.
 *
 * @param zoneFrom from where it is steered
 * @param dwell degrees on the turn circle or at the pins
 */
public record EndForm(
        Double turnRadius,
        Double lambda,
        StationForm zoneFrom,
        StationForm turnAt,
        Double dwell,
        Boolean pins) {

    /** Both. */
    public record Both(EndForm left, EndForm right) {

        static Ends ends(Both both) {
            return both == null
                    ? Ends.FREE
                    : new Ends(EndForm.end(both.left()), EndForm.end(both.right()));
        }
    }

    static End end(EndForm form) {
        if (form == null) {
            return End.FREE;
        }
        return new End(
                form.turnRadius() == null
                        ? null
                        : Required.positive("Turn radius", form.turnRadius(), " mm"),
                form.lambda(),
                StationForm.station(form.zoneFrom()),
                StationForm.station(form.turnAt()),
                dwell(form.dwell()),
                Boolean.TRUE.equals(form.pins()));
    }

    private static double dwell(Double degrees) {
        double value = Required.orElse(degrees, 0);
        if (!(value >= 0)) {
            throw new dev.oleander.winding.surface.WindingException(
                    "Dwell %.4g degrees; it must be >= 0.", value);
        }
        return Math.toRadians(value);
    }
}
