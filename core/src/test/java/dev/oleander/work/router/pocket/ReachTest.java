package dev.oleander.work.router.pocket;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Samples;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.fit.FlatShapes;
import dev.oleander.geometry.offset.Offsetter;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Geometry;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Pockets against figures that were worked out by other code, and closed forms. */
class ReachTest {

    private static final Reading PANEL = Samples.reading("router/instrument_panel");

    private static JsonNode figures() {
        byte[] truth = Samples.bytes("router/instrument_panel.truth.json");
        return JsonMapper.shared()
                .readTree(new String(truth, StandardCharsets.UTF_8))
                .get("figures");
    }

    private static List<Contour> on(String layer) {
        return PANEL.features().stream()
                .filter(f -> f.layer().equals(layer))
                .map(f -> f.contour())
                .toList();
    }

    private static List<Region> recess() {
        List<Contour> islands = on("BOSS").stream().map(c -> c.turning(false)).toList();
        return List.of(new Region(on("RECESS").get(0).turning(true), islands));
    }

    private static void check(JsonNode truth, double value) {
        assertThat(value)
                .isCloseTo(truth.get("value").asDouble(), within(truth.get("tol").asDouble()));
    }

    @Test
    void restsOfEveryToolAreThoseOfOtherCode() {
        JsonNode truth = figures().get("recess");
        check(truth.get("area"), Reach.area(recess()));
        Reach reach = Reach.of(recess(), 6);
        check(truth.get("reachableArea"), Reach.area(reach.clean()));
        check(truth.get("restArea"), Reach.area(reach.rest()));
        assertThat(reach.rest()).hasSize(truth.at("/restPieces/value").asInt());
        for (int diameter : new int[] {4, 6, 8}) {
            Reach other = Reach.of(recess(), diameter / 2.0);
            JsonNode rest = truth.get("restWith_" + diameter);
            check(rest.get("area"), Reach.area(other.rest()));
            assertThat(other.rest()).hasSize(rest.at("/pieces/value").asInt());
        }
    }

    @Test
    void aSmallerToolTakesWhatIsLeft() {
        JsonNode truth = figures().get("corners");
        Reach rest = Reach.of(recess(), 6).restBy(2, 0.4);
        check(truth.get("area"), Reach.area(rest.pocket()));
        check(truth.get("restArea"), Reach.area(rest.rest()));
        assertThat(rest.rest()).hasSize(truth.at("/restPieces/value").asInt());
    }

    /** Against another library on flattened shapes. */
    @Test
    void ringsThatAreFarApartLeaveSomethingBetweenThem() {
        Reach reach = Reach.of(recess(), 6);
        for (double step : new double[] {8, 10, 11.4}) {
            Rings rings = Rings.of(reach, 0, step);
            Geometry removed = FlatShapes.FACTORY.createPolygon();
            for (List<Region> ring : rings.rings()) {
                Geometry round = flat(ring);
                removed = removed.union(round.buffer(6, 90).difference(round.buffer(-6, 90)));
            }
            double between = flat(reach.clean()).difference(removed).getArea();
            assertThat(Reach.area(rings.between())).isCloseTo(between, within(0.1));
        }
        assertThat(Rings.of(reach, 0, 11.4).between()).isNotEmpty();
        assertThatThrownBy(() -> Rings.of(reach, 0, 0)).hasMessageContaining("0.0 mm apart");
        assertThat(Rings.of(reach, 0, 6).between()).isEmpty();
        assertThat(Rings.of(reach, 0, 5.4).between()).isEmpty();
    }

    /** Each is found from one further out: the errors of all of them must not add up. */
    @Test
    void everyRingLiesWhereItWouldLieFromTheWalls() {
        Reach reach = Reach.of(recess(), 2);
        List<List<Region>> rings = Rings.of(reach, 0.1, 0.25).rings();
        assertThat(rings).hasSizeGreaterThan(150);
        for (int k = 0; k < rings.size(); k += 7) {
            List<Region> own = Offsetter.round().offset(reach.centres(), -(0.1 + k * 0.25));
            assertThat(rings.get(k)).as("ring %d", k).hasSameSizeAs(own);
            assertThat(Reach.area(rings.get(k)))
                    .as("ring %d", k)
                    .isCloseTo(Reach.area(own), within(1e-8 * Reach.area(own)));
        }
    }

    private static Geometry flat(List<Region> regions) {
        FlatShapes shapes = new FlatShapes(1e-4);
        Geometry all = FlatShapes.FACTORY.createPolygon();
        for (Region region : regions) {
            all = all.union(shapes.polygon(region).buffer(0));
        }
        return all;
    }
}
