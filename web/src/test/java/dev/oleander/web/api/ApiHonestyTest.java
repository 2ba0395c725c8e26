package dev.oleander.web.api;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.web.WebTest;
import dev.oleander.web.api.ApiClient.Answer;
import java.io.IOException;
import java.io.InputStream;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What is asked for is done or refused with a sentence; nothing is ignored. */
class ApiHonestyTest extends WebTest {

    private ApiClient mira;

    @BeforeEach
    void signIn() {
        mira = new ApiClient(port, "mira");
    }

    private Answer create(String drawing, Map<String, String> changed) {
        Map<String, String> fields =
                new HashMap<>(
                        Map.of(
                                "machine", "Teasel",
                                "material", "mild steel",
                                "thickness", "6",
                                "quantity", "1",
                                "units", "mm"));
        fields.putAll(changed);
        fields.values().removeIf(String::isEmpty);
        return mira.upload("/api/jobs", fields, Map.of(drawing + ".dxf", sample(drawing)));
    }

    private String made(String drawing, Map<String, String> changed) {
        Answer answer = create(drawing, changed);
        assertThat(answer.status()).as(answer.text()).isEqualTo(201);
        return answer.response().headers().firstValue("Location").orElseThrow();
    }

    private void assertRefused(Answer answer, String... words) {
        assertThat(answer.status()).as(answer.text()).isEqualTo(422);
        assertThat(answer.detail()).contains(words);
    }

    @Test
    void aUnitThatNobodySaidStandsAgainstARelease() {
        String job = made("cleat_backing_plate", Map.of("units", ""));
        Answer refused = mira.send("POST", job + "/releases", "{}");
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.text()).contains("does not say its unit");
    }

    @Test
    void purposesAreByLayersWhateverTheirCaseAndUnknownOnesAreRefused() {
        String job = made("cleat_backing_plate", Map.of("purposes", "{\"plate\": \"mark\"}"));
        JsonNode contours = mira.get(job + "/reading").json().get("contours");
        for (JsonNode contour : contours) {
            if (contour.get("layer").asString().equals("PLATE")) {
                assertThat(contour.get("purpose").asString()).isEqualTo("mark");
            }
        }
        assertRefused(
                create("cleat_backing_plate", Map.of("purposes", "{\"HULL\": \"cut\"}")),
                "no layer \"HULL\"");
    }

    @Test
    void theSheetIsSetAndUsualValuesComeBack() {
        String job = made("cleat_backing_plate", Map.of("quantity", "4"));
        Answer set =
                mira.send(
                        "PUT",
                        job + "/sheet",
                        """
                        {"stock": {"width": 900, "height": 400}, "gap": 12, "margin": 15, "turn": 90,
                         "rows": 1, "columns": 4, "heldEdge": "right", "order": "partByPart",
                         "clamps": [{"x": 1, "y": 2, "width": 30, "depth": 20, "height": 25}]}
                        """);
        assertThat(set.status()).as(set.text()).isEqualTo(200);
        assertThat(set.json().get("order").asString()).isEqualTo("partByPart");
        var result = jobs.view(Long.parseLong(job.replaceAll("\\D+", ""))).result();
        var layout = result.run().layout();
        assertThat(layout.stock().width()).isCloseTo(900, within(1e-9));
        assertThat(layout.gap()).isCloseTo(12, within(1e-9));
        assertThat(layout.columns()).isEqualTo(4);
        assertThat(layout.keepOut()).hasSize(1);
        assertThat(mira.send("PUT", job + "/sheet", "{\"stock\": null, \"gap\": null}").status())
                .isEqualTo(200);
        layout = jobs.view(result(job)).result().run().layout();
        assertThat(layout.stock().width()).isCloseTo(1500, within(1e-9));
        assertRefused(mira.send("PUT", job + "/sheet", "{\"colour\": 1}"), "colour");
        assertRefused(mira.send("PUT", job + "/sheet", "{\"order\": \"random\"}"), "random");
        assertRefused(
                mira.send("PUT", job + "/sheet", "{\"stock\": {\"width\": -4}}"), "The width");
        assertRefused(mira.send("PUT", job + "/sheet", "[1]"), "JSON object");
    }

    private static long result(String job) {
        return Long.parseLong(job.replaceAll("\\D+", ""));
    }

    @Test
    void wireJobsMadeOverTheInterfaceAreReleasedAndNamesHaveNoCase() throws IOException {
        byte[] file;
        try (InputStream in = WebTest.class.getResourceAsStream("/demo/splined_coupling.dxf")) {
            file = in.readAllBytes();
        }
        Answer made =
                mira.upload(
                        "/api/jobs",
                        Map.of(
                                "machine", "Bracken",
                                "material", "Tool Steel",
                                "thickness", "20",
                                "quantity", "1",
                                "units", "mm"),
                        Map.of("spline.dxf", file));
        assertThat(made.status()).as(made.text()).isEqualTo(201);
        assertThat(made.json().get("material").asString()).isEqualTo("tool steel");
        String job = made.response().headers().firstValue("Location").orElseThrow();
        JsonNode run = mira.get(job + "/run").json();
        JsonNode stop = run.get("stops").get(0);
        String path = job + "/run/stops/" + stop.get("id").asString();
        String pair = stop.get("start").toString();
        Answer started = mira.send("PATCH", path, "{\"start\": " + pair + "}");
        assertThat(started.status()).as(started.text()).isEqualTo(200);
        String direction = stop.get("direction").asString();
        Answer turned = mira.send("PATCH", path, "{\"direction\": \"" + direction + "\"}");
        assertThat(turned.status()).as(turned.text()).isEqualTo(200);
        assertRefused(mira.send("PATCH", path, "{\"finish\": \"mirror\"}"), "no finish \"mirror\"");
        assertRefused(mira.send("POST", job + "/plan", "{\"order\": \"sideways\"}"), "sideways");
        Answer released = mira.send("POST", job + "/releases", "{}");
        assertThat(released.status()).as(released.text()).isEqualTo(201);
    }

    @Test
    void partsLargerThanTheUsualSheetTakeALargerOne() {
        String svg =
                "<svg xmlns='http://www.w3.org/2000/svg' width='2700mm' height='1300mm' viewBox='0 0 2700 1300'>"
                        + "<rect x='50' y='50' width='2600' height='1200'/></svg>";
        Answer made =
                mira.upload(
                        "/api/jobs",
                        Map.of(
                                "machine", "Teasel",
                                "material", "mild steel",
                                "thickness", "6",
                                "quantity", "1"),
                        Map.of("deck.svg", svg.getBytes()));
        String job = made.response().headers().firstValue("Location").orElseThrow();
        assertThat(mira.get(job + "/proof").json().get("releasable").asBoolean()).isTrue();
        var stock = jobs.view(result(job)).result().run().layout().stock();
        assertThat(stock.width()).isCloseTo(3000, within(1e-9));
    }

    @Test
    void wrongWordsAreRefused() {
        String job = made("cleat_backing_plate", Map.of());
        assertRefused(mira.send("POST", job + "/plan", "{\"speed\": 3}"), "speed");
        assertRefused(mira.send("POST", job + "/plan", "{\"recipe\": \"none\"}"), "none");
        assertRefused(mira.send("POST", job + "/plan", "{\"quality\": \"gold\"}"), "gold");
        String stop = mira.get(job + "/run").json().get("stops").get(0).get("id").asString();
        assertRefused(
                mira.send("PATCH", job + "/run/stops/" + stop, "{\"quality\": \"gold\"}"), "gold");
        assertRefused(
                mira.send("POST", job + "/releases", "{\"parameters\": {\"nonsense\": \"1\"}}"),
                "nonsense");
        Answer planned = mira.send("POST", job + "/plan", "{\"order\": \"shortest\"}");
        assertThat(planned.json().get("order").asString()).isEqualTo("shortest");
    }

    @Test
    void nothingToCutIsNotReleasable() {
        String job = made("cleat_backing_plate", Map.of("purposes", "{\"PLATE\": \"ignore\"}"));
        JsonNode contours = mira.get(job + "/reading").json().get("contours");
        for (JsonNode contour : contours) {
            assertThat(contour.get("purpose").asString()).isNotEqualTo("cut");
        }
        assertThat(mira.get(job + "/proof").json().get("releasable").asBoolean()).isFalse();
    }

    @Test
    void formulasThatChangeOrNeverEndAreRefused() {
        String job = made("cleat_backing_plate", Map.of());
        String stop = mira.get(job + "/run").json().get("stops").get(0).get("id").asString();
        for (String text : new String[] {"4+RANDOM()*6", "2^-999999999", "FACT(10000000)"}) {
            assertRefused(
                    mira.send(
                            "PATCH", job + "/run/stops/" + stop, "{\"overRun\": \"" + text + "\"}"),
                    "is not a number");
        }
    }

    @Test
    void tabsWithoutNumberAreRefused() {
        String job = made("cleat_backing_plate", Map.of());
        String stop = mira.get(job + "/run").json().get("stops").get(0).get("id").asString();
        String many = "1;".repeat(60_000);
        assertRefused(
                mira.send("PATCH", job + "/run/stops/" + stop, "{\"tabs.at\": \"" + many + "\"}"),
                "more than 200");
    }

    @Test
    void theBookOfTheWireIsListed() {
        JsonNode machines = mira.get("/api/machines").json();
        for (JsonNode machine : machines) {
            assertThat(machine.get("materials")).as(machine.toString()).isNotEmpty();
        }
        JsonNode rows = mira.get("/api/cut-book?machine=bracken&material=TOOL%20steel").json();
        assertThat(rows).isNotEmpty();
        assertThat(rows.get(0).get("passes")).isNotEmpty();
    }

    @Test
    void aReleaseListsItsPrograms() {
        String job = made("cleat_backing_plate", Map.of());
        JsonNode release = mira.send("POST", job + "/releases", "{}").json();
        String path = "/api/releases/" + release.get("id").asLong();
        JsonNode programs = mira.get(path + "/programs").json();
        assertThat(programs).hasSize(1);
        assertThat(mira.get(path + "/programs/1").text())
                .isEqualTo(mira.get(path + "/program").text());
        assertThat(mira.get(path + "/programs/2").status()).isEqualTo(404);
        assertThat(programs.get(0).get("sha256").asString()).hasSize(64);
    }

    @Test
    void everyBodyIsDescribed() {
        JsonNode api = new ApiClient(port, null).get("/api/openapi.json").json();
        JsonNode schemas = api.get("components").get("schemas");
        for (String name : new String[] {"SheetRequest", "PlanRequest", "StopValues"}) {
            assertThat(schemas.has(name)).as(name).isTrue();
        }
        assertThat(schemas.get("StopValues").get("properties").has("overRun")).isTrue();
        for (Map.Entry<String, JsonNode> path : api.get("paths").properties()) {
            for (Map.Entry<String, JsonNode> call : path.getValue().properties()) {
                JsonNode body = call.getValue().path("requestBody");
                for (Map.Entry<String, JsonNode> kind : body.path("content").properties()) {
                    JsonNode schema = kind.getValue().path("schema");
                    assertThat(schema.has("$ref") || schema.has("properties") || schema.has("type"))
                            .as("%s %s: %s", call.getKey(), path.getKey(), schema)
                            .isTrue();
                    assertThat(schema.path("$ref").asString(""))
                            .as("%s %s", call.getKey(), path.getKey())
                            .doesNotEndWith("JsonNode");
                }
            }
        }
    }
}
