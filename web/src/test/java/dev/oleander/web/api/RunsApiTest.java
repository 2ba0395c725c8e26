package dev.oleander.web.api;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.plan.bed.BedValues;
import dev.oleander.web.WebTest;
import java.util.HashSet;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Quantities that need several sheets, over HTTP. */
class RunsApiTest extends WebTest {

    private ApiClient mira;

    @BeforeEach
    void signIn() {
        mira = new ApiClient(port, "mira");
    }

    private JsonNode get(long job, String what) {
        ApiClient.Answer answer =
                mira.prefer("wait=60").get("/api/jobs/%d/%s".formatted(job, what));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    @Test
    void whatFitsIsOneRun() {
        JsonNode runs = get(makeOnSmallSheets("One sheet", 1), "runs");
        assertThat(runs.size()).isEqualTo(1);
        assertThat(runs.get(0).get("count").asInt()).isEqualTo(1);
        assertThat(runs.get(0).get("missing").isEmpty()).isTrue();
        assertThat(runs.get(0).get("parts").get(0).get("placed").asInt()).isEqualTo(1);
    }

    @Test
    void moreGoOnOverAsManySheetsAsTheyNeed() {
        long job = makeOnSmallSheets("Several sheets", 100);
        JsonNode runs = get(job, "runs");
        int placed = get(job, "run").get("stops").size() / 8;
        assertThat(placed).isBetween(2, 20);
        assertThat(runs.get(0).get("count").asInt()).isEqualTo(100 / placed);
        int made = 0;
        for (JsonNode run : runs) {
            made += run.get("parts").get(0).get("placed").asInt();
        }
        assertThat(made).isEqualTo(100);
    }

    @Test
    void aLaterRunHasStopsMotionAndProofOfItsOwn() {
        long job = makeThreeSheets("Rest");
        int placed = get(job, "run").get("stops").size() / 8;
        JsonNode runs = get(job, "runs");
        assertThat(runs.size()).isEqualTo(2);
        assertThat(runs.get(1).get("copies").get(0).asInt()).isEqualTo(placed + 1);
        Set<String> ids = new HashSet<>();
        get(job, "runs/1").get("stops").forEach(s -> ids.add(s.get("id").asString()));
        assertThat(get(job, "runs/1")).isEqualTo(get(job, "run"));
        JsonNode later = get(job, "runs/2").get("stops");
        assertThat(later.size()).isEqualTo(8);
        later.forEach(s -> assertThat(ids.add(s.get("id").asString())).isTrue());
        assertThat(get(job, "runs/2/motion").get("items").size())
                .isLessThan(get(job, "runs/1/motion").get("items").size());
        assertThat(get(job, "runs/2/proof").get("findings").isArray()).isTrue();
        String stop = later.get(0).get("id").asString();
        ApiClient.Answer patched =
                mira.send(
                        "PATCH",
                        "/api/jobs/%d/run/stops/%s".formatted(job, stop),
                        "{\"overRun\": 2.5}");
        assertThat(patched.status()).as(patched.text()).isEqualTo(200);
        assertThat(jobs.view(job).result().at(stop).stops().get(stop).overRun()).isEqualTo(2.5);
    }

    @Test
    void whatIsNotThereIsToldWithWhatIs() {
        long job = makeOnSmallSheets("None", 1);
        ApiClient.Answer none = mira.get("/api/jobs/%d/runs/2".formatted(job));
        assertThat(none.status()).isEqualTo(404);
        assertThat(none.detail()).isEqualTo("Job %d has no run 2; it has 1.".formatted(job));
        long large = makeJobInMillimetres("cleat_backing_plate", "Too large", 3);
        setSheet(large, BedValues.WIDTH, "50");
        JsonNode missing = get(large, "runs").get(0).get("missing").get(0);
        assertThat(missing.get("count").asInt()).isEqualTo(3);
        assertThat(missing.get("why").asString()).contains("No copy fits on the stock");
    }
}
