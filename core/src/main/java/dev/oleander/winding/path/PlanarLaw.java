package dev.oleander.winding.path;

import dev.oleander.winding.surface.Meridian;
import dev.oleander.winding.surface.SurfacePoint;
import dev.oleander.winding.surface.WindingException;
import java.util.List;

/**
 * A band in the plane y = p + q x that touches both turn circles: cos phi = (p + q x)/r. With N =
 * sin omega cos phi - q cos omega, r dphi/dm = N / sin phi, so r sin alpha = r N / sqrt(N^2 + sin^2
 * phi), which is regular also where sin phi is nothing and the band turns.
 */
final class PlanarLaw {

    private final Meridian meridian;
    private final Band band;
    private final double reference;

    PlanarLaw(Meridian meridian, Band band, double reference) {
        this.meridian = meridian;
        this.band = band;
        this.reference = reference;
    }

    Circuit circuit(Ends ends) {
        double right = turn(Side.RIGHT, ends.right());
        double left = turn(Side.LEFT, ends.left());
        SurfacePoint a = meridian.at(reference - left);
        SurfacePoint b = meridian.at(reference + right);
        double q = (a.r() + b.r()) / (b.x() - a.x());
        double p = b.r() - q * b.x();
        return new Circuit(
                leg(Side.RIGHT, right, p, q),
                leg(Side.LEFT, left, p, q),
                ends.right().dwell(),
                ends.left().dwell());
    }

    /** mm from the reference. */
    private double turn(Side side, End end) {
        Turns turns = new Turns(new Toward(meridian, reference, side), band);
        if (end.turnRadius() != null) {
            // its turns cannot be steered apart from its plane: what it covers is told, not refused
            return turns.ofRadius(end.turnRadius());
        }
        if (!(turns.last() > 0)) {
            throw new WindingException(
                    "The band is too wide to turn on the %s; it is %.4g mm.",
                    side.word(), band.width());
        }
        return turns.last();
    }

    private Leg leg(Side side, double turn, double p, double q) {
        Toward toward = new Toward(meridian, reference, side);
        requireInside(toward, turn, p, q);
        return Leg.turning(
                toward, new ByCurve(toward, y -> c(toward.at(y), p, q), List.of(), turn), turn);
    }

    private static double c(SurfacePoint at, double p, double q) {
        double cos = (p + q * at.x()) / at.r();
        double n = Math.sin(at.omega()) * cos - q * Math.cos(at.omega());
        double sin2 = Math.max(0, 1 - cos * cos);
        return at.r() * Math.abs(n) / Math.sqrt(n * n + sin2);
    }

    /** Before the turn the plane has to stay within the mandrel. */
    private void requireInside(Toward toward, double turn, double p, double q) {
        double[] breaks = toward.breaks(0, turn, List.of());
        for (int i = 0; i + 1 < breaks.length; i++) {
            SurfacePoint at = toward.at(breaks[i]);
            if (Math.abs(p + q * at.x()) >= at.r()) {
                throw new WindingException(
                        "The plane leaves the mandrel at x = %.4g, before the turn on the %s.",
                        at.x(), toward.side().word());
            }
        }
    }
}
