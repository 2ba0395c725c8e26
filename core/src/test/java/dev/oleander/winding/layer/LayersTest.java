package dev.oleander.winding.layer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.winding.Cases;
import dev.oleander.winding.cover.Cover;
import dev.oleander.winding.form.WindingForm;
import dev.oleander.winding.path.Circuit;
import dev.oleander.winding.path.Side;
import dev.oleander.winding.pattern.Pattern;
import dev.oleander.winding.surface.Meridian;
import dev.oleander.winding.surface.SurfacePoint;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** Layers against figures of other code, closed forms and sums over all of them. */
class LayersTest {

    private static LaidLayer lay(String name) {
        WindingForm form = Cases.form(name);
        return new LayerPlanner(Cases.meridian(name), form.material()).lay(form.layers().get(0));
    }

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
                "hoop_tube"
            })
    void layersMeasureWhatTheyShould(String name) {
        JsonNode truth = Cases.truth(name);

        LaidLayer layer = lay(name);

        Cases.assertIs("band", layer.bandLength() / 1000, truth.get("bandLength"));
        Cases.assertIs("roving", layer.rovingLength() / 1000, truth.get("rovingLength"));
        Cases.assertIs("fibre", layer.fibreMass(), truth.get("fibreMass"));
        Cases.assertIs("resin", layer.resinMass(), truth.get("resinMass"));
        Cases.assertIs("section", layer.material().section(), truth.get("band").get("section"));
        if (truth.has("circuits")) {
            assertThat(layer.circuits()).isEqualTo(truth.get("circuits").asInt());
            Cases.assertIs("cover", 100 * layer.coverShare(), truth.get("cover"));
        }
        if (truth.has("slipMargin")) {
            Cases.assertIs("margin", layer.slipMargin(), truth.get("slipMargin"));
        }
        for (JsonNode at : truth.get("thickness")) {
            double m = at.get("m").asDouble();
            Cases.assertIs("thickness at " + m, layer.thickness(m), at.get("t"));
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
    void edgesClearOpeningsAndLeaveGaps(String name) {
        JsonNode truth = Cases.truth(name);

        LaidLayer layer = lay(name);

        for (Side side : Side.values()) {
            Cases.assertIs(
                    side.word(),
                    layer.edgeToOpening(side),
                    truth.get("bandEdgeToOpening").get(side.word()));
        }
        for (JsonNode at : truth.get("bandGaps")) {
            Cover.On on = layer.cover().on(at.get("m").asDouble());
            Cases.assertIs("gap", on.gap() - on.lap(), at.get("gap"));
            assertThat(on.least()).isEqualTo(2);
            assertThat(on.greatest()).isBetween(2, 4);
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
    void whatLiesOnTheMandrelIsWhatWasLaid(String name) {
        LaidLayer layer = lay(name);
        Meridian meridian = layer.meridian();
        Circuit circuit = layer.circuit().orElseThrow();
        double b = layer.material().width();

        double volume = 0;
        double step = meridian.length() / 40_000;
        for (double m = step / 2; m < meridian.length(); m += step) {
            volume += layer.thickness(m) * 2 * Math.PI * meridian.at(m).r() * step;
        }

        double laid = layer.bandLength() * layer.material().section();
        double narrower = meanGauss(circuit) * b * b / 24;
        assertThat(volume / (laid * (1 - narrower))).isCloseTo(1, within(1e-4));
    }

    /** Mean over the path of the product of both curvatures. */
    private static double meanGauss(Circuit circuit) {
        int steps = 4000;
        double sum = 0;
        for (int i = 0; i < steps; i++) {
            SurfacePoint p = circuit.at(circuit.length() * (i + 0.5) / steps).surface();
            sum += p.kappaM() * p.kappaP();
        }
        return sum / steps;
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "float_ellipsoid",
                "float_two_openings",
                "float_half_profile",
                "sphere_great_circle",
                "buoy_equal_stress",
                "tube_turnarounds"
            })
    void allPatternsAreFound(String name) {
        JsonNode truth = Cases.truth(name).get("patterns");
        if (truth == null) {
            return;
        }
        WindingForm form = Cases.form(name);
        Change change = Change.of(truth.get("query").get("change").asString()).orElseThrow();

        List<Reachable> all =
                new LayerPlanner(Cases.meridian(name), form.material())
                        .patterns(
                                form.layers().get(0),
                                change,
                                truth.get("query").get("most").asDouble(),
                                truth.get("query").get("over").asDouble());

        Map<List<Integer>, Reachable> left = new HashMap<>();
        all.forEach(r -> left.put(List.of(r.pattern().circuits(), r.pattern().turns()), r));
        List<String> missing = new ArrayList<>();
        for (JsonNode pattern : truth.get("list")) {
            Reachable found =
                    left.remove(
                            List.of(pattern.get("circuits").asInt(), pattern.get("turns").asInt()));
            if (found == null) {
                if (!pattern.has("borderline")) {
                    missing.add(pattern.toString());
                }
                continue;
            }
            assertThat(found.pattern().starts()).isEqualTo(pattern.get("starts").asInt());
            assertThat(found.pattern().starStep()).isEqualTo(pattern.get("starStep").asInt());
            assertThat(found.pattern().sense()).isEqualTo(pattern.get("sense").asString());
            assertThat(found.crossings()).isEqualTo(pattern.get("crossings").asLong());
            assertThat(100 * found.cover())
                    .isCloseTo(
                            pattern.get("cover").asDouble(),
                            within(truth.get("coverTol").asDouble()));
            if (pattern.has("angle")) {
                assertThat(form.layers().get(0).angle() + Math.toDegrees(found.by()))
                        .isCloseTo(
                                pattern.get("angle").asDouble(),
                                within(truth.get("angleTol").asDouble()));
            } else {
                assertThat(Math.toDegrees(found.by()))
                        .isCloseTo(
                                pattern.get("dwellMore").asDouble(),
                                within(truth.get("dwellTol").asDouble()));
            }
        }
        assertThat(missing).isEmpty();
        assertThat(left).isEmpty();
    }

    @Test
    void eachBandIsLaidOnceExactlyWhenNothingDividesBoth() {
        for (int n = 1; n <= 60; n++) {
            for (int w = 1; w <= 90; w++) {
                assertThat(Pattern.eachOnce(n, w)).isEqualTo(Pattern.isClosed(n, w));
                if (Pattern.isClosed(n, w) && n > 2) {
                    Pattern p = Pattern.of(n, w);
                    int slot = (int) ((long) p.starts() * w % n);
                    assertThat(slot).isEqualTo(p.leading() ? 1 : n - 1);
                }
            }
        }
    }

    @Test
    void aClosedLayerCloses() {
        WindingForm form = Cases.form("float_ellipsoid");
        LaidLayer open = lay("float_ellipsoid");
        assertThat(open.pattern()).isEmpty();
        var asked = form.layers().get(0);
        var closing =
                new dev.oleander.winding.form.LayerForm(
                        "L1",
                        null,
                        "geodesic",
                        20.0,
                        null,
                        asked.reference(),
                        100.0,
                        null,
                        null,
                        0.0,
                        null,
                        null,
                        null,
                        null,
                        null,
                        null);

        LaidLayer closed =
                new LayerPlanner(Cases.meridian("float_ellipsoid"), form.material()).lay(closing);

        Pattern pattern = closed.pattern().orElseThrow();
        assertThat(closed.path().angle() * pattern.circuits())
                .isCloseTo(2 * Math.PI * pattern.turns(), within(1e-9));
        assertThat(Pattern.eachOnce(pattern.circuits(), pattern.turns())).isTrue();
    }
}
