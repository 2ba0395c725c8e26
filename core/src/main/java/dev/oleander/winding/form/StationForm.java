package dev.oleander.winding.form;

import dev.oleander.winding.path.Station;
import dev.oleander.winding.surface.WindingException;

/** A place along the mandrel: by x, or by meridian length m from the left end; mm. */
public record StationForm(Double x, Double m) {

    public static StationForm ofX(double x) {
        return new StationForm(x, null);
    }

    static Station station(StationForm form) {
        if (form == null) {
            return null;
        }
        if ((form.x() == null) == (form.m() == null)) {
            throw new WindingException("A place along the mandrel is either x or m.");
        }
        return new Station(form.x(), form.m());
    }
}
