package dev.oleander.winding.surface;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.winding.surface.Mandrels.End;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Mandrels by numbers, against measures that were worked out by other code. */
class MandrelsTest {

    private static final Path SAMPLES = Path.of("..", "samples", "winding");

    private static JsonNode read(String name) throws IOException {
        return JsonMapper.shared().readTree(Files.readAllBytes(SAMPLES.resolve(name)));
    }

    private static Meridian of(JsonNode mandrel) {
        return switch (mandrel.get("type").asString()) {
            case "tube" -> Mandrels.tube(number(mandrel, "radius"), number(mandrel, "length"));
            case "cone" ->
                    Mandrels.cone(
                            number(mandrel, "radiusLeft"),
                            number(mandrel, "radiusRight"),
                            number(mandrel, "length"));
            default ->
                    Mandrels.vessel(
                            number(mandrel, "radius"),
                            number(mandrel, "length"),
                            end(mandrel.get("left")),
                            end(mandrel.get("right")));
        };
    }

    private static End end(JsonNode end) {
        Dome dome =
                switch (end.get("dome").asString()) {
                    case "ellipsoid" -> new Dome.Ellipsoid(number(end, "height"));
                    case "equalStress" -> new Dome.EqualStress(number(end, "turnRadius"));
                    default -> new Dome.Sphere();
                };
        return new End(dome, number(end, "opening"));
    }

    private static double number(JsonNode of, String name) {
        return of.get(name).asDouble();
    }

    private static void assertIs(double value, JsonNode truth) {
        assertThat(value).isCloseTo(number(truth, "value"), within(number(truth, "tol")));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "float_ellipsoid",
                "float_two_openings",
                "sphere_great_circle",
                "buoy_equal_stress",
                "cone_pins",
                "tube_turnarounds"
            })
    void measuresAreThoseOfOtherCode(String name) throws IOException {
        Meridian mandrel = of(read(name + ".winding.json").get("mandrel"));
        JsonNode truth = read(name + ".truth.json").get("mandrel");
        assertIs(mandrel.length(), truth.get("meridianLength"));
        assertIs(mandrel.area(), truth.get("area"));
        assertIs(mandrel.volume(), truth.get("volume"));
        assertIs(mandrel.leastX(), truth.get("xMin"));
        assertIs(mandrel.greatestX(), truth.get("xMax"));
        assertIs(mandrel.greatestRadius(), truth.get("radiusMax"));
        for (JsonNode station : truth.get("stations")) {
            SurfacePoint p = mandrel.at(number(station, "m"));
            assertIs(p.x(), station.get("x"));
            assertIs(p.r(), station.get("r"));
            assertIs(Math.toDegrees(p.omega()), station.get("slope"));
            assertIs(p.kappaM(), station.get("curvatureMeridian"));
            assertIs(p.kappaP(), station.get("curvatureRound"));
        }
    }

    static Stream<Dome> domes() {
        return Stream.of(
                new Dome.Sphere(),
                new Dome.Ellipsoid(30),
                new Dome.Ellipsoid(90),
                new Dome.Torisphere(100, 12),
                new Dome.Cone(Math.toRadians(35), 9),
                Dome.Cone.flat(8),
                new Dome.EqualStress(14),
                new Dome.EqualStress(30));
    }

    /** Slope and curvature are derivatives of the places, and pieces of one dome are tangent. */
    @ParameterizedTest
    @MethodSource("domes")
    void placesSlopesAndCurvaturesBelongTogether(Dome dome) {
        Meridian mandrel = Mandrels.vessel(60, 80, new End(dome, 11), new End(dome, 16));
        double step = 1e-4;
        for (Piece piece : mandrel.pieces()) {
            for (int i = 1; i < 20; i++) {
                double m = piece.length() * i / 20;
                SurfacePoint before = piece.at(m - step);
                SurfacePoint p = piece.at(m);
                SurfacePoint after = piece.at(m + step);
                assertThat((after.x() - before.x()) / (2 * step))
                        .isCloseTo(Math.cos(p.omega()), within(1e-6));
                assertThat((after.r() - before.r()) / (2 * step))
                        .isCloseTo(Math.sin(p.omega()), within(1e-6));
                assertThat((before.omega() - after.omega()) / (2 * step))
                        .isCloseTo(p.kappaM(), within(1e-6));
            }
        }
        for (double joint : mandrel.joints()) {
            SurfacePoint left = mandrel.at(joint - 1e-9);
            SurfacePoint right = mandrel.at(joint);
            assertThat(left.omega()).isCloseTo(right.omega(), within(1e-6));
        }
        assertThat(mandrel.at(0).r()).isCloseTo(11, within(1e-9));
        assertThat(mandrel.at(mandrel.length()).r()).isCloseTo(16, within(1e-9));
    }

    /** kappa_m / kappa_p = 2 - tan^2 alpha, with r sin alpha the turn radius. */
    @Test
    void theDomeOfEqualStressIsLoadedEvenly() {
        List<Piece> pieces = new Dome.EqualStress(14).pieces(60, 9);
        Piece curved = pieces.get(0);
        for (int i = 0; i < 20; i++) {
            SurfacePoint p = curved.at(curved.length() * i / 20);
            double sin = 14 / p.r();
            double tan2 = sin * sin / (1 - sin * sin);
            assertThat(p.kappaM() / p.kappaP()).isCloseTo(2 - tan2, within(1e-9));
        }
        assertThat(pieces).as("the cone to the opening").hasSize(2);
    }

    @Test
    void whatCannotBeIsSaid() {
        End sphere = new End(new Dome.Sphere(), 5);
        assertThatThrownBy(() -> Mandrels.vessel(-3, 10, sphere, sphere))
                .isInstanceOf(WindingException.class)
                .hasMessage("Radius -3 mm must be > 0.");
        End knuckle = new End(Dome.Cone.flat(60), 5);
        assertThatThrownBy(() -> Mandrels.vessel(60, 10, sphere, knuckle))
                .hasMessage("Knuckle 60 mm must be less than the radius 60 mm.");
        assertThatThrownBy(() -> Mandrels.vessel(60, 10, sphere, new End(new Dome.Sphere(), 60)))
                .hasMessageContaining("Opening 60 mm must be > 0 and less than 60 mm");
        End stress = new End(new Dome.EqualStress(55), 5);
        assertThatThrownBy(() -> Mandrels.vessel(60, 10, stress, sphere))
                .hasMessageContaining("Turn radius 55 mm");
        assertThatThrownBy(() -> Mandrels.tube(30, Double.NaN)).hasMessageContaining("Length");
        assertThatThrownBy(() -> Mandrels.tube(30, 100).at(101))
                .hasMessageContaining("not on the mandrel");
    }
}
