package dev.oleander.winding.path;

import dev.oleander.winding.surface.Meridian;
import dev.oleander.winding.surface.Stretches;
import dev.oleander.winding.surface.Stretches.Widest;
import dev.oleander.winding.surface.WindingException;
import java.util.EnumMap;
import java.util.Map;

/** Lays one circuit by a law. */
public final class CircuitPlanner {

    private static final double RIGHT_ANGLE = Math.PI / 2;
    private static final double HARDLY = 1e-9;

    /** Of the friction, for turnarounds of which nothing is said. */
    private static final double SHARE = 0.8;

    private final Meridian meridian;
    private final Band band;
    private final double ease;
    private final Widest widest;

    /**
     * @param ease mm over which steering grows; 0: at once
     */
    public CircuitPlanner(Meridian meridian, Band band, double ease) {
        this.meridian = meridian;
        this.band = band;
        this.ease = ease;
        this.widest = Stretches.widest(meridian);
    }

    /**
     * @throws WindingException why there is no such circuit
     */
    public Circuit plan(LayerLaw law) {
        if (law instanceof LayerLaw.Geodesic geodesic) {
            return geodesic(geodesic);
        }
        if (law instanceof LayerLaw.Steered steered) {
            return byAngle(steered.angle(), steered.reference(), steered.ends());
        }
        if (law instanceof LayerLaw.Turnarounds turnarounds) {
            return byAngle(
                    turnarounds.angle(),
                    turnarounds.reference(),
                    new Ends(
                            turning(turnarounds.ends().left(), Side.LEFT),
                            turning(turnarounds.ends().right(), Side.RIGHT)));
        }
        if (law instanceof LayerLaw.Planar planar) {
            return new PlanarLaw(meridian, band, widest.middle()).circuit(planar.ends());
        }
        if (law instanceof LayerLaw.Table table) {
            return new TableLaw(meridian, table).circuit();
        }
        throw new WindingException("A hoop layer has no circuits.");
    }

    private Circuit geodesic(LayerLaw.Geodesic law) {
        double reference = reference(law.reference());
        double angle =
                law.angle() != null
                        ? law.angle()
                        : Math.asin(Math.min(1, turnRadius(law) / meridian.at(reference).r()));
        return byAngle(angle, Station.ofM(reference), law.ends());
    }

    private double turnRadius(LayerLaw.Geodesic law) {
        if (law.turnRadius() == null) {
            throw new WindingException("Give the angle, or the turn radius.");
        }
        double reference = reference(law.reference());
        for (Side side : Side.values()) {
            if (!law.ends().at(side).pins()) {
                new Turns(new Toward(meridian, reference, side), band).clear(law.turnRadius());
            }
        }
        return law.turnRadius();
    }

    /**
     * Turnarounds lie at the ends of the tube when nothing is said, and use most of the friction.
     */
    private End turning(End end, Side side) {
        if (end.pins() || end.turnRadius() != null) {
            return end;
        }
        double at = side == Side.LEFT ? band.width() / 2 : meridian.length() - band.width() / 2;
        return new End(
                null,
                end.lambda() == null ? Double.valueOf(SHARE * band.friction()) : end.lambda(),
                end.zone(),
                end.turnAt() == null && end.zone() == null ? Station.ofM(at) : end.turnAt(),
                end.dwell(),
                false);
    }

    private double reference(Station station) {
        return station == null ? widest.middle() : station.on(meridian);
    }

    private Circuit byAngle(double angle, Station station, Ends ends) {
        requireAngle(angle);
        double reference = reference(station);
        double c0 = meridian.at(reference).r() * Math.sin(angle);
        Map<Side, Leg> legs = new EnumMap<>(Side.class);
        for (Side side : Side.values()) {
            legs.put(side, leg(new Toward(meridian, reference, side), c0, ends.at(side)));
        }
        return new Circuit(
                legs.get(Side.RIGHT),
                legs.get(Side.LEFT),
                ends.right().dwell(),
                ends.left().dwell());
    }

    private static void requireAngle(double angle) {
        if (angle >= RIGHT_ANGLE - HARDLY) {
            throw new WindingException(
                    "Angle %.4g: that winds nothing along; use a hoop layer.",
                    Math.toDegrees(angle));
        }
        if (!(angle > 0)) {
            throw new WindingException(
                    "Angle %.4g: it is more than 0 and less than 90 degrees.",
                    Math.toDegrees(angle));
        }
    }

    private Leg leg(Toward toward, double c0, End end) {
        if (end.pins()) {
            return pinned(toward, c0, end);
        }
        if (end.turnAt() != null) {
            return turningAt(toward, c0, end);
        }
        Turns turns = new Turns(toward, band);
        Steering.Zone zone = zone(toward, turns, c0, end);
        Steering steering = Steering.of(toward, c0, zone);
        return Leg.turning(toward, steering, turns.turn(steering, c0));
    }

    private Leg pinned(Toward toward, double c0, End end) {
        Steering.Zone zone =
                end.lambda() == null
                        ? Steering.Zone.NONE
                        : new Steering.Zone(end.lambda(), start(toward, end), ease);
        Steering steering = Steering.of(toward, c0, zone);
        if (steering.turn().isPresent()) {
            throw new WindingException(
                    "It turns on the %s at x = %.4g before it comes to the pins.",
                    toward.side().word(), toward.at(steering.turn().getAsDouble()).x());
        }
        return Leg.pinned(toward, steering);
    }

    private Steering.Zone zone(Toward toward, Turns turns, double c0, End end) {
        double start = start(toward, end);
        if (end.turnRadius() != null) {
            double turn = turns.clear(end.turnRadius());
            return new Steering.Zone(turns.lambda(c0, turn, start, ease), start, ease);
        }
        return end.lambda() == null
                ? Steering.Zone.NONE
                : new Steering.Zone(end.lambda(), start, ease);
    }

    /** mm from the station. */
    private double start(Toward toward, End end) {
        if (end.zone() == null) {
            double shoulder = toward.side() == Side.RIGHT ? widest.to() : widest.from();
            return Math.max(0, toward.y(shoulder));
        }
        double start = toward.y(end.zone().on(meridian));
        if (start < 0) {
            throw new WindingException(
                    "The zone on the %s begins on the other side of the reference station.",
                    toward.side().word());
        }
        return start;
    }

    /**
     * The zone begins where a band that turns there, followed back, has the angle it comes with.
     */
    private Leg turningAt(Toward toward, double c0, End end) {
        double turn = toward.y(end.turnAt().on(meridian));
        double lambda = end.lambda() == null ? SHARE * band.friction() : end.lambda();
        if (!(turn > 0 && turn <= toward.length())) {
            throw new WindingException(
                    "The turn on the %s lies on the other side of the reference station.",
                    toward.side().word());
        }
        double start = new BackFromTurn(toward, ease).start(turn, lambda, c0);
        Steering.Zone zone = new Steering.Zone(lambda, start, ease);
        Steering steering = Steering.of(toward, c0, zone);
        return Leg.turning(toward, steering, new Turns(toward, band).turn(steering, c0));
    }
}
