package dev.oleander.web.api;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.nesting.NestCheck;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.web.WebTest;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.nest.Nests;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Nests of parts of several jobs, over HTTP; every one that is found is checked. */
class NestApiTest extends WebTest {

    private ApiClient mira;

    @BeforeEach
    void signIn() {
        mira = new ApiClient(port, "mira");
    }

    private static ApiClient.Answer good(ApiClient.Answer answer, int status) {
        assertThat(answer.status()).as(answer.text()).isEqualTo(status);
        return answer;
    }

    private JsonNode get(String path) {
        return good(mira.prefer("wait=60").get(path), 200).json();
    }

    private String order(long job) {
        JobDocument of = jobs.present(job).document();
        return "\"machine\": \"%s\", \"material\": \"%s\", \"thickness\": %s"
                .formatted(of.machine(), of.material(), of.thickness().value());
    }

    private long nest(long first, String lines, String more) {
        String body =
                "{\"name\": \"Both\", %s, \"lines\": [%s]%s}".formatted(order(first), lines, more);
        return good(mira.post("/api/nests", body), 201).json().get("id").asLong();
    }

    private JsonNode searched(long nest, String wish) throws InterruptedException {
        JsonNode begun = good(mira.post("/api/nests/%d/runs".formatted(nest), wish), 202).json();
        String path = "/api/nests/%d/runs/%d".formatted(nest, begun.get("number").asInt());
        until(() -> !List.of("waiting", "running").contains(get(path).get("state").asString()));
        return get(path);
    }

    private static final String SHORT = "{\"rounds\": 2, \"seed\": 3}";

    private List<NestedSheet> legal(long nest) {
        JobResult result = jobs.view(nest).result();
        List<NestedSheet> laid = result.document().nest().orElseThrow().choices().laid();
        NestTask task = Nests.task(result);
        assertThat(NestCheck.faults(task, laid)).isEmpty();
        return laid;
    }

    private String line(long job, int quantity) {
        return "{\"job\": %d, \"quantity\": %d}".formatted(job, quantity);
    }

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
    void aPartIsMovedByHandToTheNearestPlaceThatIsFree() throws InterruptedException {
        long plates = makeJobInMillimetres("cleat_backing_plate", "Moved", 1);
        long nest =
                nest(
                        plates,
                        line(plates, 3),
                        ", \"sheets\": [{\"width\": 2000, \"height\": 1000}]");
        searched(nest, SHORT);
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
        long plates = makeJobInMillimetres("cleat_backing_plate", "Pushed", 1);
        long nest =
                nest(
                        plates,
                        line(plates, 3),
                        ", \"sheets\": [{\"width\": 2000, \"height\": 1000}]");
        searched(nest, SHORT);
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
        assertThat(gap.detail()).contains("The gap is 0.01 mm; the kerf is");
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

    @Test
    void whatIsLeftComesToTheStockAndIsOfferedToTheNextNest() throws InterruptedException {
        long plates = makeJobInMillimetres("cleat_backing_plate", "Leaves", 1);
        JobDocument of = jobs.present(plates).document();
        String sheet = ", \"sheets\": [{\"width\": 1200, \"height\": 600}]";
        long nest = nest(plates, line(plates, 4), sheet);
        searched(nest, SHORT);
        double[] rest =
                JsonMapper.shared()
                        .convertValue(
                                get("/api/nests/" + nest).get("laid").get(0).get("rest"),
                                double[].class);
        String releases = "/api/jobs/%d/releases".formatted(nest);
        good(mira.prefer("wait=60").post(releases, "{}"), 201);
        JsonNode left = ofJob(nest);
        assertThat(left.get("width").asDouble()).isEqualTo(rest[2] - rest[0]);
        assertThat(left.get("material").asString()).isEqualTo(of.material());
        good(mira.prefer("wait=60").post(releases, "{}"), 201);
        assertThat(ofJob(nest).get("origin").asString()).contains(" B, sheet 1");

        long number = ofJob(nest).get("id").asLong();
        long next = nest(plates, line(plates, 2), "");
        JsonNode offered = get("/api/nests/" + next).get("sheets");
        assertThat(offered.toString()).contains("\"remnant\":" + number);
        searched(next, SHORT);
        good(mira.prefer("wait=60").post("/api/jobs/%d/releases".formatted(next), "{}"), 201);
        // one of the remnants there are: each costs less than a new sheet
        JsonNode used = usedBy(next);
        assertThat(used.get("state").asString()).isEqualTo("used");
        long taken = used.get("id").asLong();
        ApiClient.Answer gone = mira.send("DELETE", "/api/stock/" + taken, "");
        assertThat(gone.status()).isEqualTo(422);
        assertThat(gone.detail()).isEqualTo("Remnant %d is used already.".formatted(taken));
    }

    private JsonNode usedBy(long job) {
        for (JsonNode remnant : get("/api/stock?all=true")) {
            if (remnant.get("usedBy").asLong(-1) == job) {
                return remnant;
            }
        }
        throw new AssertionError("no remnant is used by job " + job);
    }

    /** The one free remnant that a job left. */
    private JsonNode ofJob(long job) {
        JsonNode found = null;
        for (JsonNode remnant : get("/api/stock")) {
            if (remnant.get("job").asLong(-1) == job) {
                assertThat(found).isNull();
                found = remnant;
            }
        }
        assertThat(found).isNotNull();
        return found;
    }

    @Test
    void remnantsOfAnyFormAreKeptAndNestedOn() throws InterruptedException {
        String body =
                "{\"material\": \"brass\", \"thickness\": 3, \"place\": \"rack 2\", \"outline\": [[[0,0,0],[500,0,0],[500,200,0],[250,200,0],[250,400,0],[0,400,0]]]}";
        JsonNode made = good(mira.post("/api/stock", body), 201).json();
        assertThat(made.get("width").asDouble()).isEqualTo(500);
        assertThat(made.get("place").asString()).isEqualTo("rack 2");
        String crossing =
                body.replace(
                        "[500,0,0],[500,200,0],[250,200,0],[250,400,0]",
                        "[250,400,0],[500,200,0],[250,200,0],[500,0,0]");
        ApiClient.Answer refused = mira.post("/api/stock", crossing);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.detail()).contains("crosses itself");
        assertThat(mira.post("/api/stock", "{\"material\": \"brass\", \"thickness\": 3}").status())
                .isEqualTo(422);
    }

    @Test
    void papersTellWherePartsLieAndWhatTheyCost() throws InterruptedException {
        long plates = makeJobInMillimetres("cleat_backing_plate", "Papers", 1);
        long nest =
                nest(
                        plates,
                        line(plates, 3),
                        ", \"sheets\": [{\"width\": 900, \"height\": 500, \"price\": 40}]");
        assertThat(mira.get("/api/nests/%d/report.csv".formatted(nest)).status()).isEqualTo(422);
        searched(nest, SHORT);
        ApiClient.Answer csv = good(mira.get("/api/nests/%d/report.csv".formatted(nest)), 200);
        assertThat(csv.text().lines()).hasSize(4).first().asString().contains("sheet,times,place");
        double cost = get("/api/nests/%d/results/1".formatted(nest)).get("cost").asDouble();
        assertThat(csv.text())
                .contains(String.format(Locale.ROOT, ",%.2f", cost).replaceAll("0$", ""));
        for (String paper : List.of("report.pdf", "labels.pdf")) {
            ApiClient.Answer pdf = good(mira.get("/api/nests/%d/%s".formatted(nest, paper)), 200);
            assertThat(pdf.type()).isEqualTo("application/pdf");
            assertThat(pdf.text()).startsWith("%PDF");
        }
        ApiClient.Answer dxf = good(mira.get("/api/nests/%d/sheets/1.dxf".formatted(nest)), 200);
        assertThat(dxf.text()).contains("PARTS").contains("STOCK");
        assertThat(mira.get("/api/nests/%d/sheets/9.dxf".formatted(nest)).detail())
                .isEqualTo("There is no sheet 9; parts lie on 1.");
    }
}
