package dev.oleander.winding.path;

import dev.oleander.winding.series.Roots;
import dev.oleander.winding.surface.SurfacePoint;
import dev.oleander.winding.surface.WindingException;
import java.util.OptionalDouble;

/** Where bands turn, and how they are steered so that they turn where they should. */
final class Turns {

    private static final int STEPS = 400;
    private static final double NEAR = 1e-7;

    private final Toward toward;
    private final Band band;

    Turns(Toward toward, Band band) {
        this.toward = toward;
        this.band = band;
    }

    /**
     * Distance from the station to the last place with a radius, toward the opening.
     *
     * @throws WindingException when there is none
     */
    double ofRadius(double radius) {
        double length = toward.length();
        double last = toward.at(length).r() - radius;
        if (Math.abs(last) <= NEAR) {
            return length;
        }
        double high = length;
        for (int i = STEPS - 1; i >= 0; i--) {
            double low = length * i / STEPS;
            double here = toward.at(low).r() - radius;
            if (here * last <= 0 && here != last) {
                return here == 0 ? low : Roots.between(y -> toward.at(y).r() - radius, low, high);
            }
            last = here;
            high = low;
        }
        throw new WindingException(
                "Turn radius %.4g mm: on the %s the mandrel has radii from %.4g to %.4g mm.",
                radius,
                toward.side().word(),
                Math.min(toward.at(length).r(), toward.at(0).r()),
                Math.max(toward.at(length).r(), toward.at(0).r()));
    }

    /** Nearest to the opening that a turn may lie, so that the band's inner edge clears it. */
    double last() {
        return toward.length() - band.width() / 2;
    }

    /**
     * @throws WindingException when the inner edge would lie over the opening
     */
    double clear(double radius) {
        double y = ofRadius(radius);
        double least = last();
        if (y > least + NEAR) {
            throw new WindingException(
                    "Turn radius %.4g mm: the band's inner edge would lie over the opening"
                            + " (%.4g mm). Take at least %.4g mm, or a narrower band.",
                    radius,
                    toward.at(toward.length()).r(),
                    Math.ceil(toward.at(Math.max(0, least)).r() * 100) / 100);
        }
        return y;
    }

    /**
     * The steering with which a band turns at a distance.
     *
     * @param c0 r sin alpha at the station
     * @throws WindingException with the radii that friction allows
     */
    double lambda(double c0, double turn, double start, double ease) {
        double most = band.friction();
        double r = toward.at(turn).r();
        double low = miss(c0, turn, start, ease, -most);
        double high = miss(c0, turn, start, ease, most);
        if (!(low * high <= 0)) {
            throw beyond(c0, r, start, ease, high < 0);
        }
        if (low == 0 || high == 0) {
            return low == 0 ? -most : most;
        }
        double lambda = Roots.between(of -> miss(c0, turn, start, ease, of), -most, most);
        requireFirst(c0, turn, new Steering.Zone(lambda, start, ease), r);
        return lambda;
    }

    private double miss(double c0, double turn, double start, double ease, double lambda) {
        Steering.Zone zone = new Steering.Zone(lambda, start, ease);
        return Steering.to(toward, c0, zone, turn).c(turn) - toward.at(turn).r();
    }

    /** On a mandrel that is narrower before the turn the band would turn there. */
    private void requireFirst(double c0, double turn, Steering.Zone zone, double radius) {
        OptionalDouble first = Steering.of(toward, c0, zone).turn();
        if (first.isPresent() && first.getAsDouble() < turn - 1e-4) {
            SurfacePoint p = toward.at(first.getAsDouble());
            throw new WindingException(
                    "It cannot turn at %.4g mm on the %s: on its way there it turns at x = %.4g,"
                            + " where the mandrel has a radius of %.4g mm.",
                    radius, toward.side().word(), p.x(), p.r());
        }
    }

    private WindingException beyond(
            double c0, double radius, double start, double ease, boolean more) {
        double most = band.friction();
        Steering.Zone zone = new Steering.Zone(more ? most : -most, start, ease);
        OptionalDouble turn = Steering.of(toward, c0, zone).turn();
        String friction = WindingException.number(most, 3);
        String what =
                turn.isPresent()
                        ? "with friction %s it turns at %s mm at %s"
                                .formatted(
                                        friction,
                                        WindingException.number(
                                                toward.at(turn.getAsDouble()).r(), 3),
                                        more ? "most" : "least")
                        : "with friction %s it does not turn at all".formatted(friction);
        return new WindingException(
                "It cannot turn at %.4g mm on the %s: %s. %s",
                radius,
                toward.side().word(),
                what,
                more
                        ? "Lower the radius, raise the angle, or begin the zone earlier."
                        : "Raise the radius, lower the angle, or begin the zone earlier.");
    }

    /** Where it turns with a steering. */
    double turn(Steering steering, double c0) {
        OptionalDouble turn = steering.turn();
        if (turn.isEmpty()) {
            double end = toward.length();
            SurfacePoint p = toward.at(end);
            throw new WindingException(
                    "It does not turn on the %s: at the end, radius %.4g mm, its angle is still"
                            + " %.3g degrees.%s",
                    toward.side().word(),
                    p.r(),
                    Math.toDegrees(Math.asin(Math.min(1, steering.c(end) / p.r()))),
                    p.r() < toward.at(0).r() - NEAR
                            ? " Raise the angle, or steer it."
                            : " Give pins or turnarounds.");
        }
        double y = turn.getAsDouble();
        requireComingBack(steering, y);
        return y;
    }

    /**
     * A band comes back from its turn when it is steered by more than the slope asks for; else it
     * creeps onto a circle.
     */
    private void requireComingBack(Steering steering, double y) {
        double least = Math.tan(toward.slope(y));
        if (!(steering.lambda(y) > least)) {
            throw new WindingException(
                    "It creeps onto a circle on the %s, at %.4g mm, and does not come back:"
                            + " lambda is %.3g there and has to be more than %.3g.",
                    toward.side().word(), toward.at(y).r(), steering.lambda(y), least);
        }
    }
}
