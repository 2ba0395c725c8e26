package dev.oleander.winding.path;

import dev.oleander.winding.surface.Meridian;

/**
 * A place along the mandrel, by x or by meridian length.
 *
 * @param x mm; null: given by m
 * @param m mm from the left end; null: given by x
 */
public record Station(Double x, Double m) {

    public static Station ofX(double x) {
        return new Station(x, null);
    }

    public static Station ofM(double m) {
        return new Station(null, m);
    }

    /** mm of meridian from the left end. */
    public double on(Meridian meridian) {
        double at = m == null ? meridian.mAt(x) : m;
        meridian.at(at);
        return at;
    }
}
