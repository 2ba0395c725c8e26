package dev.oleander.web.api;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Parts of a nest that are moved by hand, over HTTP. */
class NestHandApiTest extends NestCalls {

    @Test
    void aPartIsMovedByHandToTheNearestPlaceThatIsFree() throws InterruptedException {
        long nest = threePlates("Moved");
        JsonNode laid = get("/api/nests/" + nest).get("laid").get(0).get("placements");
        String first = "/api/nests/%d/sheets/1/placements/1".formatted(nest);
        JsonNode other = laid.get(1);
        // onto another one: beside it, at the gap
        String onto =
                "{\"x\": %s, \"y\": %s, \"angle\": %s}"
                        .formatted(
                                other.get("x").asDouble() + 1,
                                other.get("y").asDouble() + 1,
                                other.get("angle").asDouble());
        good(mira.send("PATCH", first, onto), 200);
        legal(nest);
        JsonNode moved = get("/api/nests/" + nest).get("laid").get(0).get("placements").get(0);
        assertThat(moved).isNotEqualTo(laid.get(0));
        // where there is room: exactly there
        good(mira.send("PATCH", first, "{\"x\": 1500, \"y\": 500, \"angle\": 30}"), 200);
        JsonNode there = get("/api/nests/" + nest).get("laid").get(0).get("placements").get(0);
        assertThat(there.get("x").asDouble()).isEqualTo(1500);
        assertThat(there.get("angle").asDouble()).isEqualTo(30);
        // what is fixed stays through a search
        good(mira.send("PATCH", first, "{\"locked\": true}"), 200);
        searched(nest, "{\"rounds\": 2, \"from\": \"here\"}");
        assertThat(legal(nest).get(0).placements().stream().filter(p -> p.locked()))
                .singleElement()
                .satisfies(p -> assertThat(p.at().x()).isEqualTo(1500));
        ApiClient.Answer refused = mira.send("PATCH", first, "{\"angle\": 0}");
        int at = fixedPlace(nest);
        refused =
                mira.send(
                        "PATCH",
                        "/api/nests/%d/sheets/1/placements/%d".formatted(nest, at),
                        "{\"angle\": 0}");
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.detail()).contains("is fixed");
        assertThat(
                        good(
                                        mira.send(
                                                "DELETE",
                                                "/api/nests/%d/sheets/1/placements/%d"
                                                        .formatted(nest, at % 3 + 1),
                                                ""),
                                        200)
                                .json()
                                .get("lines")
                                .get(0)
                                .get("missing")
                                .asInt())
                .isEqualTo(1);
    }

    @Test
    void partsArePushedAlignedAndGetRoomMade() throws InterruptedException {
        long nest = threePlates("Pushed");
        String first = "/api/nests/%d/sheets/1/placements/1".formatted(nest);
        good(mira.send("PATCH", first, "{\"x\": 1500, \"y\": 500, \"angle\": 0}"), 200);
        good(mira.send("PATCH", first, "{\"push\": \"left\"}"), 200);
        JsonNode pushed = placement(nest, 1);
        assertThat(pushed.get("x").asDouble()).isLessThan(1400);
        assertThat(pushed.get("y").asDouble()).isEqualTo(500);
        good(mira.send("PATCH", first, "{\"push\": \"left\"}"), 200);
        assertThat(placement(nest, 1).get("x").asDouble())
                .isCloseTo(pushed.get("x").asDouble(), within(0.002));

        good(mira.send("PATCH", first, "{\"angle\": 0, \"x\": 1700, \"y\": 700}"), 200);
        String second = "/api/nests/%d/sheets/1/placements/2".formatted(nest);
        good(mira.send("PATCH", second, "{\"angle\": 0, \"x\": 900, \"y\": 450}"), 200);
        good(mira.send("PATCH", second, "{\"align\": {\"with\": 1, \"edge\": \"upper\"}}"), 200);
        assertThat(placement(nest, 2).get("y").asDouble()).isCloseTo(700, within(1e-9));

        JsonNode why = get(second);
        assertThat(why.get("box").get(2).asDouble())
                .isGreaterThan(why.get("box").get(0).asDouble());
        assertThat(why.get("front").asDouble())
                .isGreaterThanOrEqualTo(why.get("frontWithout").asDouble());
        assertThat(why.get("nearest").get(0).get("distance").asDouble()).isPositive();
        assertThat(why.get("material").asDouble()).isPositive();
        assertThat(mira.get("/api/nests/%d/sheets/1/placements/999".formatted(nest)).status())
                .isEqualTo(404);

        // the other one goes aside, this one lies exactly where it is wished
        good(mira.send("PATCH", first, "{\"makeRoom\": {\"dx\": -790, \"dy\": 10}}"), 200);
        assertThat(placement(nest, 1).get("x").asDouble()).isCloseTo(910, within(1e-9));
        assertThat(placement(nest, 1).get("y").asDouble()).isCloseTo(710, within(1e-9));
        legal(nest);
        ApiClient.Answer nowhere = mira.send("PATCH", first, "{\"push\": \"sideways\"}");
        assertThat(nowhere.status()).isEqualTo(404);
        assertThat(nowhere.detail()).contains("left, right, down, up");
        ApiClient.Answer alone =
                mira.send("PATCH", first, "{\"align\": {\"with\": 1, \"edge\": \"left\"}}");
        assertThat(alone.status()).isEqualTo(422);
        assertThat(alone.detail()).contains("aligned with another one");
        ApiClient.Answer beyond =
                mira.send("PATCH", first, "{\"makeRoom\": {\"dx\": 5000, \"dy\": 0}}");
        assertThat(beyond.status()).isEqualTo(422);
        assertThat(beyond.detail()).contains("no room");
    }

    private JsonNode placement(long nest, int part) {
        return get("/api/nests/" + nest).get("laid").get(0).get("placements").get(part - 1);
    }

    private int fixedPlace(long nest) {
        JsonNode on = get("/api/nests/" + nest).get("laid").get(0).get("placements");
        for (int i = 0; i < on.size(); i++) {
            if (on.get(i).get("locked").asBoolean()) {
                return i + 1;
            }
        }
        throw new AssertionError("nothing is fixed");
    }

    private long threePlates(String name) throws InterruptedException {
        long plates = makeJobInMillimetres("cleat_backing_plate", name, 1);
        String sheet = ", \"sheets\": [{\"width\": 2000, \"height\": 1000}]";
        long nest = nest(plates, line(plates, 3), sheet);
        searched(nest, SHORT);
        return nest;
    }
}
