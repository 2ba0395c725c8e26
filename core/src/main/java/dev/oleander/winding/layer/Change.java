package dev.oleander.winding.layer;

import dev.oleander.winding.path.End;
import dev.oleander.winding.path.Ends;
import dev.oleander.winding.path.LayerLaw;
import dev.oleander.winding.path.Side;
import dev.oleander.winding.path.Station;
import dev.oleander.winding.surface.Meridian;
import dev.oleander.winding.surface.WindingException;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** What of a law is changed a little so that its circuits close. */
public enum Change {
    /** radians. */
    ANGLE("angle") {

        @Override
        LayerLaw changed(LayerLaw law, Meridian meridian, double by) {
            if (law instanceof LayerLaw.Geodesic of) {
                return new LayerLaw.Geodesic(required(of) + by, null, of.reference(), of.ends());
            }
            if (law instanceof LayerLaw.Steered of) {
                return new LayerLaw.Steered(of.angle() + by, of.reference(), of.ends());
            }
            if (law instanceof LayerLaw.Turnarounds of) {
                return new LayerLaw.Turnarounds(of.angle() + by, of.reference(), of.ends());
            }
            throw hasNone(law);
        }
    },
    /** radians in all, half at each end. */
    DWELL("dwell") {

        @Override
        LayerLaw changed(LayerLaw law, Meridian meridian, double by) {
            return eachEnd(law, end -> end.withDwell(end.dwell() + by / 2));
        }
    },
    /** mm at each end that turns at one. */
    TURN_RADIUS("turnRadius") {

        @Override
        LayerLaw changed(LayerLaw law, Meridian meridian, double by) {
            if (law instanceof LayerLaw.Steered of && turnsAtOne(of.ends())) {
                return eachEnd(
                        law,
                        end ->
                                end.turnRadius() == null
                                        ? end
                                        : end.withTurnRadius(end.turnRadius() + by));
            }
            throw hasNone(law);
        }

        private static boolean turnsAtOne(Ends ends) {
            return ends.left().turnRadius() != null || ends.right().turnRadius() != null;
        }
    },
    /** mm by which the turns lie farther apart, half at each end. */
    ZONE("zone") {

        @Override
        LayerLaw changed(LayerLaw law, Meridian meridian, double by) {
            if (law instanceof LayerLaw.Turnarounds of) {
                return law.withEnds(
                        new Ends(
                                moved(of.ends().left(), meridian, -by / 2),
                                moved(of.ends().right(), meridian, by / 2)));
            }
            throw hasNone(law);
        }
    };

    private final String word;

    Change(String word) {
        this.word = word;
    }

    public String word() {
        return word;
    }

    public static Optional<Change> of(String word) {
        for (Change change : values()) {
            if (change.word.equals(word)) {
                return Optional.of(change);
            }
        }
        return Optional.empty();
    }

    /**
     * @throws WindingException when a law has nothing of the kind
     */
    abstract LayerLaw changed(LayerLaw law, Meridian meridian, double by);

    WindingException hasNone(LayerLaw law) {
        return new WindingException("A %s layer is not closed by its %s.", law.word(), word);
    }

    private static double required(LayerLaw.Geodesic law) {
        if (law.angle() == null) {
            throw new WindingException(
                    "A layer by its turn radius is closed by its angle once that is known.");
        }
        return law.angle();
    }

    private static End moved(End end, Meridian meridian, double by) {
        if (end.turnAt() == null) {
            throw new WindingException("The turn of an end is not given.");
        }
        return new End(
                end.turnRadius(),
                end.lambda(),
                end.zone(),
                Station.ofM(end.turnAt().on(meridian) + by),
                end.dwell(),
                end.pins());
    }

    private static LayerLaw eachEnd(LayerLaw law, UnaryOperator<End> change) {
        return law.withEnds(
                new Ends(
                        change.apply(law.ends().at(Side.LEFT)),
                        change.apply(law.ends().at(Side.RIGHT))));
    }
}
