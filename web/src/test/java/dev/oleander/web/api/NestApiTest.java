package dev.oleander.web.api;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.nesting.NestedSheet;
import dev.oleander.web.job.document.JobDocument;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Nests of parts of several jobs, over HTTP; every one that is found is checked. */
class NestApiTest extends NestCalls {

    @Test
    void partsOfTwoJobsAreNestedCutAndReleased() throws InterruptedException {
        long plates = makeJobInMillimetres("cleat_backing_plate", "Plates", 1);
        long rings = makeJobInMillimetres("porthole_trim_ring", "Rings", 1);
        long nest =
                nest(
                        plates,
                        line(plates, 6) + "," + line(rings, 3),
                        ", \"sheets\": [{\"width\": 1200, \"height\": 900}]");
        JsonNode before = get("/api/nests/" + nest);
        assertThat(before.get("lines").get(0).get("placed").asInt()).isZero();
        assertThat(get("/api/jobs/" + nest).toString()).contains("Search for a nest");

        JsonNode search = searched(nest, SHORT);
        assertThat(search.get("state").asString()).as(search.toString()).isEqualTo("done");
        assertThat(search.get("best").get("missing").asInt()).isZero();
        JsonNode found = get("/api/nests/%d/results/1".formatted(nest));
        assertThat(found.get("missing").isEmpty()).isTrue();
        assertThat(found.get("cost").asDouble()).isGreaterThan(search.get("bound").asDouble());
        legal(nest);

        JsonNode runs = get("/api/jobs/%d/runs".formatted(nest));
        int made = 0;
        Set<Long> sources = new HashSet<>();
        for (JsonNode run : runs) {
            for (JsonNode part : run.get("parts")) {
                made += part.get("placed").asInt();
                sources.add(part.get("source").asLong());
            }
        }
        assertThat(made).isEqualTo(6 + 3 * 3);
        assertThat(sources).containsExactlyInAnyOrder(plates, rings);
        JsonNode released =
                good(
                                mira.prefer("wait=60")
                                        .post("/api/jobs/%d/releases".formatted(nest), "{}"),
                                201)
                        .json();
        assertThat(released.toString()).contains("\"revision\"");
    }

    @Test
    void theSameSeedAndRoundsFindTheSameNest() throws InterruptedException {
        long plates = makeJobInMillimetres("sheave_cheek_plate", "Cheeks", 1);
        String sheet = ", \"sheets\": [{\"width\": 1000, \"height\": 700}]";
        JsonNode[] found = new JsonNode[2];
        for (int i = 0; i < 2; i++) {
            long nest = nest(plates, line(plates, 7), sheet);
            String wish = "{\"rounds\": 3, \"seed\": 5, \"threads\": %d}".formatted(1 + i);
            assertThat(searched(nest, wish).get("state").asString()).isEqualTo("done");
            found[i] = get("/api/nests/%d/results/1".formatted(nest)).get("sheets");
        }
        assertThat(found[0]).isEqualTo(found[1]);
    }

    @Test
    void aTaskWithShapesOfItsOwnIsTakenAsItIs() throws IOException, InterruptedException {
        String file = Files.readString(Path.of("../samples/nest/gapjig20.case.json"));
        long nest = good(mira.post("/api/nests", file), 201).json().get("id").asLong();
        assertThat(searched(nest, SHORT).get("state").asString()).isEqualTo("done");
        legal(nest);
        JsonNode result = get("/api/nests/%d/results/1".formatted(nest));
        JsonNode task = JsonMapper.shared().readTree(file);
        int wanted = 0;
        for (JsonNode line : task.get("lines")) {
            wanted += line.get("quantity").asInt();
        }
        int placed = 0;
        for (JsonNode sheet : result.get("sheets")) {
            placed += sheet.get("placements").size();
        }
        assertThat(placed).isEqualTo(wanted);
        assertThat(result.get("sheets").get(0).get("stock"))
                .isEqualTo(task.get("sheets").get(0).get("id"));
    }

    @Test
    void theRestIsAddedWithoutMovingWhatLies() throws InterruptedException {
        long plates = makeJobInMillimetres("cleat_backing_plate", "Rest", 1);
        long nest =
                nest(
                        plates,
                        line(plates, 3),
                        ", \"sheets\": [{\"width\": 1500, \"height\": 1000}]");
        searched(nest, SHORT);
        List<NestedSheet> before = legal(nest);
        good(
                mira.send(
                        "PATCH",
                        "/api/nests/" + nest,
                        "{\"lines\": [{\"id\": \"l1\", \"quantity\": 6}]}"),
                200);
        searched(nest, "{\"rounds\": 2, \"from\": \"rest\"}");
        List<NestedSheet> after = legal(nest);
        assertThat(after.get(0).placements()).containsAll(before.get(0).placements());
        assertThat(after.stream().mapToInt(s -> s.placements().size()).sum()).isEqualTo(6);
    }

    @Test
    void aChangedJobMakesTheNestStaleAndIsRenewed() throws InterruptedException {
        long plates = makeJobInMillimetres("cleat_backing_plate", "Changed", 1);
        long nest = nest(plates, line(plates, 2), "");
        searched(nest, SHORT);
        assertThat(get("/api/nests/" + nest).get("stale").isEmpty()).isTrue();
        String stop =
                get("/api/jobs/%d/run".formatted(plates)).get("stops").get(0).get("id").asString();
        good(
                mira.send(
                        "PATCH",
                        "/api/jobs/%d/run/stops/%s".formatted(plates, stop),
                        "{\"overRun\": 2.5}"),
                200);
        assertThat(get("/api/nests/" + nest).get("stale").get(0).asLong()).isEqualTo(plates);
        JsonNode renewed =
                good(mira.post("/api/nests/%d/jobs/%d/renew".formatted(nest, plates), ""), 200)
                        .json();
        assertThat(renewed.get("stale").isEmpty()).isTrue();
        assertThat(renewed.get("lines").get(0).get("placed").asInt()).isEqualTo(2);
        String feature = stop.substring(0, stop.indexOf('.'));
        assertThat(jobs.view(nest).result().run().stops())
                .filteredOn(s -> s.feature().equals("A~" + feature))
                .hasSize(2)
                .allMatch(s -> s.overRun() == 2.5);
    }

    @Test
    void whatCannotBeNestedIsToldWithValueAndLimit() throws InterruptedException {
        long plates = makeJobInMillimetres("cleat_backing_plate", "Refused", 1);
        long wire = makeWireJob("hawse_funnel_die", "Die", 20);
        String base = "{\"name\": \"No\", %s, ".formatted(order(plates));
        assertRefused(
                base + "\"lines\": [{\"job\": %d, \"quantity\": 0}]}".formatted(plates),
                "must lie between 1 and 5000");
        assertRefused(
                base + "\"lines\": [{\"job\": %d, \"quantity\": 1000000}]}".formatted(plates),
                "1000000");
        assertRefused(base + "\"lines\": [{\"job\": %d}]}".formatted(wire), "Die,");
        assertRefused(
                base + "\"lines\": [{\"job\": %d, \"turns\": \"sometimes\"}]}".formatted(plates),
                "says no turns");
        assertRefused(
                base + "\"lines\": [{\"job\": %d}], \"rules\": {\"gap\": -1}}".formatted(plates),
                "gap");
        assertRefused(
                base
                        + "\"lines\": [{\"job\": %d}], \"sheets\": [{\"outline\": [[0,0,0],[100,100,0],[100,0,0],[0,100,0]]}]}"
                                .formatted(plates),
                "crosses");
        long nest =
                nest(plates, line(plates, 2), ", \"sheets\": [{\"width\": 60, \"height\": 60}]");
        ApiClient.Answer gap =
                mira.send("PATCH", "/api/nests/" + nest, "{\"rules\": {\"gap\": 0.01}}");
        assertThat(gap.status()).isEqualTo(422);
        assertThat(gap.detail())
                .contains("The gap is 0.01 mm; what is cut between two parts takes");
        JsonNode search = searched(nest, SHORT);
        assertThat(search.get("state").asString()).isEqualTo("failed");
        assertThat(search.get("problem").asString()).contains("Refused is larger than every sheet");
        JobDocument thick = jobs.present(plates).document();
        ApiClient.Answer other =
                mira.post(
                        "/api/nests",
                        "{\"name\": \"No\", \"machine\": \"%s\", \"material\": \"%s\", \"thickness\": %s, \"lines\": [{\"job\": %d}]}"
                                .formatted(
                                        thick.machine(),
                                        thick.material(),
                                        thick.thickness().value() + 2,
                                        plates));
        assertThat(other.status()).isEqualTo(422);
        assertThat(other.detail()).contains("this nest is").contains("Refused");
    }

    private void assertRefused(String body, String sentence) {
        ApiClient.Answer answer = mira.post("/api/nests", body);
        assertThat(answer.status()).as(answer.text()).isEqualTo(422);
        assertThat(answer.detail()).contains(sentence);
    }

    @Test
    void whatDoesNotKeepItsDistancesAnyMoreIsToldAndNotReleased() throws InterruptedException {
        long plates = makeJobInMillimetres("cleat_backing_plate", "Wider", 1);
        long nest =
                nest(plates, line(plates, 4), ", \"sheets\": [{\"width\": 1000, \"height\": 600}]");
        searched(nest, SHORT);
        good(mira.send("PATCH", "/api/nests/" + nest, "{\"rules\": {\"gap\": 60}}"), 200);
        ApiClient.Answer refused =
                mira.prefer("wait=60").post("/api/jobs/%d/releases".formatted(nest), "{}");
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.detail()).contains("Wider, part 1").contains("60");
        assertThat(get("/api/jobs/" + nest).toString()).contains("60.0 are needed");
        searched(nest, "{\"rounds\": 2, \"from\": \"here\"}");
        legal(nest);
        good(mira.prefer("wait=60").post("/api/jobs/%d/releases".formatted(nest), "{}"), 201);
    }

    private String found(long nest) {
        return get("/api/nests/%d/results/1".formatted(nest)).toString();
    }

    @Test
    void aSearchThatIsStoppedKeepsWhatItHasFound() throws InterruptedException {
        long plates = makeJobInMillimetres("cleat_backing_plate", "Stopped", 1);
        long nest = nest(plates, line(plates, 12), "");
        JsonNode begun =
                good(mira.post("/api/nests/%d/runs".formatted(nest), "{\"seconds\": 600}"), 202)
                        .json();
        String path = "/api/nests/%d/runs/%d".formatted(nest, begun.get("number").asInt());
        until(() -> !get(path).get("best").isNull());
        assertThat(good(mira.send("DELETE", path, ""), 200).json().get("state").asString())
                .isEqualTo("stopped");
        until(() -> !get("/api/nests/" + nest).get("laid").isEmpty());
        assertThat(legal(nest)).isNotEmpty();
        assertThat(found(nest)).contains("placements");
        JsonNode taken =
                good(mira.post("/api/nests/%d/results/1/take".formatted(nest), ""), 200).json();
        assertThat(taken.get("lines").get(0).get("placed").asInt()).isEqualTo(12);
    }
}
