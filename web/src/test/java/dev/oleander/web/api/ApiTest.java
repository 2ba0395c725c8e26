package dev.oleander.web.api;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.web.WebTest;
import dev.oleander.web.api.ApiClient.Answer;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class ApiTest extends WebTest {

    private static final Map<String, String> STEEL =
            Map.of(
                    "machine",
                    "Teasel",
                    "material",
                    "mild steel",
                    "thickness",
                    "6",
                    "quantity",
                    "2");

    private ApiClient mira;

    @BeforeEach
    void signIn() {
        mira = new ApiClient(port, "mira");
    }

    private Answer create(Map<String, String> changed) {
        Map<String, String> fields = new HashMap<>(STEEL);
        fields.putAll(changed);
        fields.values().removeIf(String::isEmpty);
        return mira.upload("/api/jobs", fields, Map.of("cleat.dxf", sample("cleat_backing_plate")));
    }

    private static void assertFields(JsonNode node, String... names) {
        for (String name : names) {
            assertThat(node.has(name)).as("%s in %s", name, node).isTrue();
        }
    }

    @Test
    void aDrawingBecomesAReleasedProgram() {
        Answer made = create(Map.of("name", "Cleats over HTTP", "units", "mm"));
        assertThat(made.status()).isEqualTo(201);
        JsonNode job = made.json();
        String path = made.response().headers().firstValue("Location").orElseThrow();
        assertThat(path).isEqualTo("/api/jobs/" + job.get("id").asLong());
        assertFields(job, "id", "name", "machine", "material", "thickness", "quantity", "stages");
        assertFields(job.get("stages"), "shape", "cuts", "sheet", "proof", "release");
        assertFields(job.get("stages").get("shape"), "state", "needs");

        checkReading(mira.get(path + "/reading").json());
        checkRun(mira.get(path + "/run").json());
        checkMotion(mira.get(path + "/motion").json());
        JsonNode proof = mira.get(path + "/proof").json();
        assertFields(proof, "rules", "findings", "seconds", "releasable");
        assertThat(proof.get("releasable").asBoolean()).isTrue();

        Answer released = mira.send("POST", path + "/releases", "{}");
        assertThat(released.status()).isEqualTo(201);
        checkRelease(released.json());
    }

    private static void checkReading(JsonNode reading) {
        assertFields(
                reading,
                "units",
                "unitsDeclared",
                "box",
                "parts",
                "contours",
                "holes",
                "keptArea",
                "cutLength",
                "faults",
                "skipped");
        assertThat(reading.get("parts").asInt()).isEqualTo(1);
        assertThat(reading.get("contours")).hasSize(8);
        assertFields(
                reading.get("contours").get(0),
                "id",
                "part",
                "closed",
                "kind",
                "purpose",
                "layer",
                "depth",
                "length",
                "area",
                "lines",
                "arcs",
                "circleDiameter",
                "parent");
        JsonNode hole = reading.get("holes").get(0);
        assertThat(hole.get("diameter").asDouble()).isCloseTo(11, within(1e-6));
        assertThat(hole.get("count").asInt()).isEqualTo(4);
        assertThat(reading.get("box").get("max")).hasSize(2);
    }

    private static void checkRun(JsonNode run) {
        assertFields(run, "machine", "order", "seconds", "stops");
        assertThat(run.get("stops")).hasSize(16);
        JsonNode stop = run.get("stops").get(0);
        assertFields(
                stop,
                "id",
                "number",
                "contour",
                "part",
                "copy",
                "kind",
                "side",
                "direction",
                "compensation",
                "leadIn",
                "leadOut",
                "start",
                "pierce",
                "passes",
                "sources");
        assertFields(stop.get("leadIn"), "kind", "length", "angle", "radius");
        assertFields(stop.get("passes").get(0), "number", "offset", "feed", "seconds");
        assertThat(stop.get("sources").get("offset").asString()).isEqualTo("book");
        JsonNode seconds = run.get("seconds");
        assertThat(seconds.get("total").asDouble())
                .isCloseTo(
                        seconds.get("cutting").asDouble()
                                + seconds.get("travel").asDouble()
                                + seconds.get("piercing").asDouble()
                                + seconds.get("people").asDouble(),
                        within(1e-9));
    }

    private static void checkMotion(JsonNode motion) {
        double t = 0;
        for (JsonNode item : motion.get("items")) {
            assertFields(item, "i", "type", "t", "head");
            assertThat(item.get("t").asDouble()).isGreaterThanOrEqualTo(t);
            t = item.get("t").asDouble();
            switch (item.get("type").asString()) {
                case "arc" -> assertFields(item, "to", "centre", "ccw", "feed", "on", "stop");
                case "line" -> assertFields(item, "to", "feed", "on", "stop", "pass", "segment");
                case "rapid" -> assertFields(item, "to");
                default -> assertFields(item, "event");
            }
        }
    }

    private void checkRelease(JsonNode release) {
        assertFields(
                release,
                "id",
                "job",
                "revision",
                "machine",
                "dialect",
                "sha256",
                "previousSha256",
                "greatestDeviation",
                "seconds");
        assertThat(release.get("revision").asString()).isEqualTo("A");
        assertThat(release.get("greatestDeviation").asDouble()).isBetween(0.0, 1e-3);
        String path = "/api/releases/" + release.get("id").asLong();
        assertThat(mira.get(path).json()).isEqualTo(release);
        Answer program = mira.get(path + "/program");
        assertThat(program.type()).startsWith("text/plain");
        assertThat(program.text()).startsWith("%\nO").contains("G21 G90", "M30").endsWith("%\n");
    }

    @Test
    void revisionsCountOnAndChainTheirHashes() {
        long id = makeJob("cleat_backing_plate", "Chain", 1);
        jobs.edit(
                id,
                "unit",
                b ->
                        b.document()
                                .reshaped(
                                        s ->
                                                s.withUnit(
                                                        dev.oleander.quantity.LengthUnit
                                                                .MILLIMETRE)),
                person("mira"));
        JsonNode a = mira.send("POST", "/api/jobs/" + id + "/releases", "{}").json();
        JsonNode b = mira.send("POST", "/api/jobs/" + id + "/releases", "{}").json();
        assertThat(b.get("revision").asString()).isEqualTo("B");
        assertThat(b.get("previousSha256").asString()).isEqualTo(a.get("sha256").asString());
        assertThat(b.get("sha256")).isNotEqualTo(a.get("sha256"));
    }

    @Test
    void purposesAndUnitsAreTaken() {
        Answer made =
                mira.upload(
                        "/api/jobs",
                        with(STEEL, "purposes", "{\"etch\": \"ignore\"}", "units", "in"),
                        Map.of("hatch.dxf", sample("deck_hatch_panel")));
        assertThat(made.status()).isEqualTo(201);
        JsonNode reading =
                mira.get("/api/jobs/" + made.json().get("id").asLong() + "/reading").json();
        assertThat(reading.get("units").asString()).isEqualTo("in");
    }

    @Test
    void aStopIsChangedAndPutBack() {
        JsonNode job = create(Map.of()).json();
        String run = "/api/jobs/" + job.get("id").asLong() + "/run";
        JsonNode stop = mira.get(run).json().get("stops").get(7);
        String path = run + "/stops/" + stop.get("id").asString();
        Answer changed =
                mira.send(
                        "PATCH",
                        path,
                        "{\"leadIn\": {\"kind\": \"line\", \"length\": 3}, \"overRun\": 1.5}");
        assertThat(changed.status()).as(changed.text()).isEqualTo(200);
        assertThat(changed.json().get("leadIn").get("length").asDouble()).isEqualTo(3);
        assertThat(changed.json().get("sources").get("leadIn").asString()).isEqualTo("here");
        Answer back =
                mira.send(
                        "PATCH",
                        path,
                        "{\"leadIn.kind\": null, \"leadIn.length\": null, \"overRun\": null}");
        assertThat(back.json().get("leadIn")).isEqualTo(stop.get("leadIn"));

        JsonNode place = mira.get(run).json().get("stops").get(6).get("start");
        Answer moved = mira.send("PATCH", path, "{\"start\": " + place + "}");
        assertThat(moved.json().get("sources").get("start").asString()).isEqualTo("here");
    }

    @Test
    void planningAnewForgetsChoicesAndTakesAnOrder() {
        long id = create(Map.of()).json().get("id").asLong();
        Answer planned =
                mira.send("POST", "/api/jobs/" + id + "/plan", "{\"order\": \"shortest\"}");
        assertThat(planned.status()).isEqualTo(200);
        assertThat(planned.json().get("order").asString()).isEqualTo("shortest");
        assertProblem(
                mira.send("POST", "/api/jobs/" + id + "/plan", "{\"order\": \"zigzag\"}"),
                422,
                "no rule of order");
    }

    @Test
    void aBitingLeadIsRefusedWithStopValueAndLimit() {
        long id = create(Map.of()).json().get("id").asLong();
        String run = "/api/jobs/" + id + "/run";
        String hole = null;
        for (JsonNode stop : mira.get(run).json().get("stops")) {
            hole =
                    stop.get("name").asString().startsWith("Hole Ø 11")
                            ? stop.get("id").asString()
                            : hole;
        }
        Answer refused =
                mira.send("PATCH", run + "/stops/" + hole, "{\"leadIn\": {\"radius\": 40}}");
        assertProblem(refused, 422, "Hole Ø 11");
        assertThat(refused.json().get("stop").asString()).isEqualTo(hole);
        assertThat(refused.json().get("limit").asDouble()).isCloseTo(0.13, within(1e-9));
        assertThat(refused.json().has("value")).isTrue();
    }

    @Test
    void aReleaseThatFindingsForbidIsAConflict() {
        long id = makeJob("fairlead_base_gaps", "Open", 1);
        Answer refused = mira.send("POST", "/api/jobs/" + id + "/releases", "{}");
        assertProblem(refused, 409, "stand against a release");
        assertThat(refused.json().get("findings")).isNotEmpty();
        assertFields(
                refused.json().get("findings").get(0),
                "id",
                "rule",
                "severity",
                "stop",
                "place",
                "t",
                "value",
                "limit",
                "sentence",
                "accepted");
    }

    @Test
    void badInputSaysWhatIsWrong() {
        assertProblem(create(Map.of("machine", "Thistle")), 422, "no machine \"Thistle\"");
        assertProblem(create(Map.of("material", "cork")), 422, "no data for \"cork\"");
        assertProblem(create(Map.of("thickness", "-6")), 422, "-6 mm; it must be more than 0");
        assertProblem(create(Map.of("thickness", "thick")), 400, "thickness");
        assertProblem(create(Map.of("quantity", "")), 400, "quantity");
        assertProblem(create(Map.of("quantity", "0")), 422, "between 1 and 5000");
        assertProblem(create(Map.of("units", "cubit")), 422, "no unit of length");
        assertProblem(create(Map.of("purposes", "[1")), 422, "no JSON object");
        assertProblem(create(Map.of("purposes", "{\"CUT\": \"eat\"}")), 422, "no purpose");
        assertFile(new byte[0], "is empty", Map.of());
        assertFile("no drawing".getBytes(StandardCharsets.UTF_8), "line 1", Map.of("line", 1));
        assertProblem(mira.upload("/api/jobs", STEEL, Map.of()), 400, "file");
        assertProblem(mira.get("/api/jobs/987654"), 404, "no job 987654");
        assertProblem(mira.get("/api/jobs/seven"), 400, "");
        assertProblem(mira.get("/api/releases/987654"), 404, "no release 987654");
        assertProblem(mira.get("/api/cut-book?machine=thistle"), 404, "no machine");
        assertProblem(mira.send("POST", "/api/jobs/1/plan", "{"), 400, "");
        assertProblem(
                mira.send("PATCH", "/api/jobs/1/run/stops/none", "{}"), 404, "no stop \"none\"");
        assertProblem(mira.send("DELETE", "/api/jobs/1", ""), 405, "DELETE");
        assertProblem(mira.get("/api/kitchen"), 404, "no call /api/kitchen");
    }

    private void assertFile(byte[] content, String detail, Map<String, Integer> properties) {
        Answer refused = mira.upload("/api/jobs", STEEL, Map.of("odd.dxf", content));
        assertProblem(refused, 422, detail);
        assertThat(refused.json().get("file").asString()).isEqualTo("odd.dxf");
        properties.forEach(
                (name, value) -> assertThat(refused.json().get(name).asInt()).isEqualTo(value));
    }

    private static void assertProblem(Answer answer, int status, String detail) {
        assertThat(answer.status()).as(answer.text()).isEqualTo(status);
        assertThat(answer.type()).startsWith("application/problem+json");
        assertThat(answer.detail()).contains(detail);
    }

    @Test
    void onlyPeopleWithTheRightRoleMayCall() {
        assertProblem(new ApiClient(port, null).get("/api/jobs"), 401, "Sign in");
        assertProblem(new ApiClient(port, "nobody").get("/api/jobs"), 401, "Sign in");
        ApiClient tove = new ApiClient(port, "tove");
        assertThat(tove.get("/api/jobs").status()).isEqualTo(200);
        assertProblem(tove.send("POST", "/api/jobs/1/releases", "{}"), 403, "You may look");
        assertProblem(
                tove.upload("/api/jobs", STEEL, Map.of("a.dxf", new byte[1])), 403, "You may look");
    }

    @Test
    void listsAndTheirDescriptionAreServed() {
        JsonNode machines = mira.get("/api/machines").json();
        assertThat(machines.get(0).get("name").asString()).isEqualTo("Teasel");
        assertThat(mira.get("/api/dialects").json().get(0).get("name").asString())
                .isEqualTo("teasel");
        JsonNode rows = mira.get("/api/cut-book?machine=teasel&material=stainless").json();
        assertThat(rows.size()).isGreaterThanOrEqualTo(5);
        JsonNode found = mira.get("/api/jobs?text=porthole&machine=Teasel&page=1").json();
        assertThat(found.get(0).get("name").asString()).isEqualTo("Porthole trim rings");
        JsonNode paths = new ApiClient(port, null).get("/api/openapi.json").json().get("paths");
        assertFields(
                paths,
                "/api/jobs",
                "/api/jobs/{id}/reading",
                "/api/jobs/{id}/run",
                "/api/jobs/{id}/motion",
                "/api/jobs/{id}/proof",
                "/api/jobs/{id}/releases",
                "/api/releases/{id}/program",
                "/api/machines");
    }

    private static Map<String, String> with(Map<String, String> fields, String... more) {
        Map<String, String> all = new LinkedHashMap<>(fields);
        for (int i = 0; i < more.length; i += 2) {
            all.put(more[i], more[i + 1]);
        }
        return all;
    }
}
