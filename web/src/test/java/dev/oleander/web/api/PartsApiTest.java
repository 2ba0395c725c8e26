package dev.oleander.web.api;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.web.WebTest;
import dev.oleander.web.job.JobView;
import dev.oleander.web.job.StageView;
import dev.oleander.web.job.store.Stage;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Parts of a drawing in quantities of their own, over HTTP. */
class PartsApiTest extends WebTest {

    private ApiClient mira;
    private long rings;

    @BeforeEach
    void makeRings() {
        mira = new ApiClient(port, "mira");
        rings = makeJob("porthole_trim_ring", "Rings in parts", 2);
    }

    private ApiClient.Answer put(String body) {
        return mira.prefer("wait=60").send("PUT", "/api/jobs/%d/sheet".formatted(rings), body);
    }

    private JsonNode runs() {
        return mira.prefer("wait=60").get("/api/jobs/%d/runs".formatted(rings)).json();
    }

    private static Map<String, Integer> made(JsonNode runs) {
        Map<String, Integer> made = new HashMap<>();
        for (JsonNode run : runs) {
            for (JsonNode part : run.get("parts")) {
                made.merge(part.get("part").asString(), part.get("placed").asInt(), Integer::sum);
            }
        }
        return made;
    }

    @Test
    void threeRingsAndTwelveHooks() {
        ApiClient.Answer set = put("{\"parts\": {\"p1\": 3, \"p2\": 12, \"p3\": 0}}");
        assertThat(set.status()).as(set.text()).isEqualTo(200);
        assertThat(made(runs())).isEqualTo(Map.of("p1", 3, "p2", 12));
        JobView job = jobs.view(rings);
        assertThat(job.stage(Stage.SHEET).isReady()).isTrue();
        assertThat(job.result().allStops()).extracting(s -> s.part()).doesNotContain("p3");
        put("{\"parts\": null}");
        assertThat(made(runs())).isEqualTo(Map.of("p1", 2, "p2", 2, "p3", 2));
    }

    @Test
    void whatFitsOnNoSheetIsMissingByPart() {
        put("{\"parts\": {\"p1\": 2}, \"stock\": {\"width\": 300, \"height\": 300}}");
        JsonNode missing = runs().get(0).get("missing");
        assertThat(missing.size()).isEqualTo(1);
        assertThat(missing.get(0).get("part").asString()).isEqualTo("p1");
        assertThat(missing.get(0).get("count").asInt()).isEqualTo(2);
        StageView sheet = jobs.view(rings).stage(Stage.SHEET);
        assertThat(sheet.isReady()).isFalse();
        assertThat(sheet.needs().get(0)).startsWith("2 of 6 are missing: part 1.");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{'parts': 3}|must be an object",
                "{'parts': {'p1': -1}}|between 0 and 5000",
                "{'parts': {'p1': 100000}}|between 0 and 5000",
                "{'parts': {'p1': 1.5}}|not a whole number",
                "{'parts': {'p1': [1]}}|single value",
                "{'parts': {'p9': 1}}|no part \"p9\"; it has p1, p2, p3.",
                "{'rest': 'smaller'}|same or around"
            })
    void whatMakesNoSenseIsRefusedWithTheLimit(String body, String sentence) {
        int step = jobs.view(rings).step();
        ApiClient.Answer refused = put(body.replace('\'', '"'));
        assertThat(refused.status()).as(refused.text()).isBetween(400, 499);
        assertThat(refused.detail()).contains(sentence);
        assertThat(jobs.view(rings).step()).isEqualTo(step);
    }
}
