package dev.oleander.winding.path;

import dev.oleander.winding.series.Roots;
import dev.oleander.winding.surface.WindingException;

/** Where steering has to begin so that a band turns at a place. */
final class BackFromTurn {

    private final Toward toward;
    private final double ease;

    BackFromTurn(Toward toward, double ease) {
        this.toward = toward;
        this.ease = ease;
    }

    /**
     * @param turn mm from the station
     * @param c0 r sin alpha it comes with
     * @return mm from the station
     * @throws WindingException when even a zone from the station does not turn it there
     */
    double start(double turn, double lambda, double c0) {
        double whole = miss(turn, lambda, c0, 0);
        if (whole < 0) {
            throw new WindingException(
                    "It cannot turn at x = %.4g on the %s: with lambda %.3g it needs more than the"
                            + " way from the reference station. Raise the angle or lambda.",
                    toward.at(turn).x(), toward.side().word(), lambda);
        }
        if (miss(turn, lambda, c0, turn) >= 0) {
            return turn;
        }
        return Roots.between(start -> miss(turn, lambda, c0, start), 0, turn);
    }

    private double miss(double turn, double lambda, double c0, double start) {
        Steering.Zone zone = new Steering.Zone(lambda, start, ease);
        return Steering.to(toward, c0, zone, turn).c(turn) - toward.at(turn).r();
    }
}
