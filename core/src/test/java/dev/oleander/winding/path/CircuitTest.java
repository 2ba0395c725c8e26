package dev.oleander.winding.path;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.winding.Cases;
import dev.oleander.winding.form.WindingForm;
import dev.oleander.winding.surface.Meridian;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** One circuit, against figures of other code, closed forms, and its own other way. */
class CircuitTest {

    @ParameterizedTest
    @ValueSource(
            strings = {
                "float_ellipsoid",
                "float_two_openings",
                "float_half_profile",
                "sphere_great_circle",
                "buoy_equal_stress",
                "tube_turnarounds",
                "cone_pins",
                "boom_table"
            })
    void circuitsTurnAndRunAsLongAsTheyShould(String name) {
        JsonNode truth = Cases.truth(name);

        Circuit circuit = Cases.circuit(name);

        Cases.assertIs("angle", Math.toDegrees(circuit.angle()), truth.get("circuit").get("angle"));
        Cases.assertIs("length", circuit.length(), truth.get("circuit").get("length"));
        for (JsonNode at : truth.get("path")) {
            PathPoint p = circuit.at(at.get("l").asDouble());
            Cases.assertIs("x", p.surface().x(), at.get("x"));
            Cases.assertIs("r", p.surface().r(), at.get("r"));
            Cases.assertIs("phi", Math.toDegrees(p.phi()), at.get("phi"));
            if (at.has("alpha")) {
                Cases.assertIs("alpha", Math.toDegrees(p.alpha()), at.get("alpha"));
            }
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "float_ellipsoid",
                "float_two_openings",
                "float_half_profile",
                "sphere_great_circle",
                "buoy_equal_stress"
            })
    void bothWaysAgree(String name) {
        Meridian meridian = Cases.meridian(name);
        Circuit circuit = Cases.circuit(name);
        for (Side side : Side.values()) {
            Leg leg = circuit.leg(side);
            double alpha = leg.at(0).alpha();
            ByLength.Reached turn =
                    new ByLength(meridian, m -> side.sign() * leg.by(leg.variable(m)).lambda())
                            .toTurn(
                                    leg.stationM(),
                                    side == Side.RIGHT ? alpha : Math.PI - alpha,
                                    List.of());

            assertThat(turn.l()).isCloseTo(leg.length(), within(1e-7));
            assertThat(Math.toDegrees(turn.phi()))
                    .isCloseTo(Math.toDegrees(leg.angle()), within(1e-7));
            assertThat(turn.m()).isCloseTo(leg.endM(), within(1e-7));
        }
    }

    @Test
    void aPlanarLayerLiesInItsPlane() {
        WindingForm form = Cases.form("float_planar");
        JsonNode truth = Cases.truth("float_planar");

        Circuit circuit = Cases.circuit("float_planar");

        assertThat(Math.toDegrees(circuit.angle())).isCloseTo(360, within(1e-7));
        Cases.assertIs("length", circuit.length(), truth.get("circuit").get("length"));
        double most =
                circuit.places().stream().mapToDouble(p -> Math.abs(p.lambda())).max().orElse(0);
        Cases.assertIs("lambda", most, truth.get("lambdaGreatest"));
        Meridian meridian = form.mandrel().byNumbers();
        double middle = meridian.mAt(truth.get("angleMiddle").get("x").asDouble());
        Leg right = circuit.right();
        Leg leg = middle >= right.stationM() ? right : circuit.left();
        Cases.assertIs(
                "alpha",
                Math.toDegrees(leg.by(leg.variable(middle)).alpha()),
                truth.get("angleMiddle").get("alpha"));
    }

    @Test
    void steeringIsWhatTheTurnRadiusNeeds() {
        JsonNode lambda = Cases.truth("float_two_openings").get("lambda");

        Circuit circuit = Cases.circuit("float_two_openings");

        Cases.assertIs("right", circuit.right().end().lambda(), lambda.get("right"));
        Cases.assertIs("left", circuit.left().end().lambda(), lambda.get("left"));
        assertThat(circuit.right().end().surface().r()).isCloseTo(28, within(1e-9));
    }
}
