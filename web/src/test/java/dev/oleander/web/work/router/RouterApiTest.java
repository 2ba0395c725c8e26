package dev.oleander.web.work.router;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.web.WebTest;
import dev.oleander.web.account.PageClient;
import dev.oleander.web.api.ApiClient;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The router over HTTP, against figures that were worked out by other code. */
class RouterApiTest extends WebTest {

    private RouterCalls calls;

    @BeforeEach
    void call() {
        calls = new RouterCalls(port);
    }

    @ParameterizedTest
    @ValueSource(strings = {"instrument_panel", "drain_board", "capstan_rim", "sole_board"})
    void aRunTellsTheFiguresOfItsOperations(String name) {
        long job = calls.requested(name);
        JsonNode truth = RouterCalls.truth(name);
        JsonNode run = calls.run(job);
        JsonNode least = truth.at("/totals/leastToolChanges");
        if (least.isNumber()) {
            assertThat(run.get("toolChanges").asInt()).isLessThanOrEqualTo(least.asInt());
        }
        assertThat(run.get("placements").size()).isEqualTo(1);
        for (String operation : truth.get("figures").propertyNames()) {
            List<JsonNode> stops = new ArrayList<>();
            run.get("stops")
                    .forEach(
                            s -> {
                                if (s.get("operation").asString().equals(operation)) {
                                    stops.add(s);
                                }
                            });
            assertThat(stops).as(operation).isNotEmpty();
            JsonNode of = truth.at("/figures/" + operation);
            near(of, stops, "removedVolume", "removedVolume");
            near(of, stops, "restArea", "restArea");
            near(of, stops, "area", "area");
            if (of.has("tabs")) {
                assertThat(stops.stream().mapToInt(s -> s.get("tabs").size()).sum())
                        .isEqualTo(of.at("/tabs/value").asInt());
            }
        }
    }

    private static void near(JsonNode truth, List<JsonNode> stops, String figure, String field) {
        JsonNode of = truth.path(figure);
        if (!of.has("value")) {
            return;
        }
        double times =
                of.path("each").asBoolean(false) ? truth.at("/features/value").asDouble(1) : 1;
        assertThat(stops.stream().mapToDouble(s -> s.path(field).asDouble(0)).sum())
                .as(figure)
                .isCloseTo(
                        times * of.get("value").asDouble(),
                        within(times * of.get("tol").asDouble()));
    }

    @Test
    void everythingThatCannotBeIsSaidAndNothingElseIsLost() {
        long job = calls.requested("instrument_panel");
        int told = 0;
        for (JsonNode one : RouterCalls.truth("refusals").get("cases")) {
            ObjectNode request = JsonMapper.shared().createObjectNode();
            request.putObject("stock").put("thickness", 12);
            request.set("tools", one.get("tools"));
            request.set("operations", one.get("operations"));
            ApiClient.Answer answer = calls.put(job, request.toString());
            boolean whole = one.get("refused").asString().equals("request");
            assertThat(answer.status()).as(answer.text()).isEqualTo(whole ? 422 : 200);
            for (JsonNode word : one.get("sentenceNames")) {
                assertThat(answer.text()).contains(word.asString());
            }
            told++;
        }
        assertThat(told).isEqualTo(9);
        assertThat(calls.put(job, "{\"operations\": []}").status()).isEqualTo(422);
        assertThat(calls.put(job, "{\"zero\": {\"at\": \"nowhere\"}}").status())
                .isBetween(400, 422);
        long laser = makeJob("cleat_backing_plate", "No router", 1);
        assertThat(calls.put(laser, "{\"operations\": [{\"id\": \"x\"}]}").detail())
                .contains("operations");
        assertThat(calls.get("/api/jobs/%d/material".formatted(laser)).status()).isEqualTo(404);
    }

    @Test
    void depthsOfPlacesAreToldAtTheEndAndOnTheWay() {
        String name = "instrument_panel";
        long job = calls.requested(name);
        JsonNode at = calls.run(job).at("/placements/0");
        int asked = 0;
        for (JsonNode point : RouterCalls.truth(name).get("points")) {
            double x = point.at("/at/0").asDouble() + at.get("x").asDouble();
            double y = point.at("/at/1").asDouble() + at.get("y").asDouble();
            String path = "/api/jobs/%d/material/depth?x=%s&y=%s".formatted(job, x, y);
            JsonNode depth = calls.get(path).json();
            double wanted = Math.min(12, point.get("depth").asDouble());
            assertThat(depth.get("depth").asDouble())
                    .isCloseTo(wanted, within(point.get("tol").asDouble()));
            assertThat(calls.get(path + "&t=0").json().get("depth").asDouble()).isZero();
            if (wanted > 0) {
                assertThat(depth.get("stop").asString()).isNotEmpty();
                assertThat(depth.get("level").asInt()).isPositive();
            }
            asked++;
        }
        assertThat(asked).isGreaterThan(3);
        assertThat(calls.get("/api/jobs/%d/material/depth?x=NaN&y=1".formatted(job)).status())
                .isEqualTo(422);
        assertThat(calls.get("/api/jobs/%d/material?t=-1".formatted(job)).status()).isEqualTo(422);
    }

    @Test
    void whatIsLeftIsTold() {
        long job = calls.requested("instrument_panel");
        JsonNode material = calls.get("/api/jobs/%d/material".formatted(job)).json();
        assertThat(material.get("gouges")).isEmpty();
        assertThat(material.get("volume").asDouble()).isGreaterThan(100_000);
        assertThat(material.get("rest")).isNotEmpty();
        assertThat(material.at("/rest/0/area").asDouble()).isCloseTo(3.43, within(0.1));
        double above = 0;
        for (JsonNode level : material.get("levels")) {
            assertThat(level.get("z").asDouble()).isLessThan(above);
            above = level.get("z").asDouble();
        }
        JsonNode begin = calls.get("/api/jobs/%d/material?t=0".formatted(job)).json();
        assertThat(begin.get("volume").asDouble()).isZero();
    }

    @Test
    void feedsAreThoseOfOtherCode() {
        int compared = 0;
        for (JsonNode one : RouterCalls.truth("feeds").get("cases")) {
            ApiClient.Answer answer = calls.post("/api/tool-data", one.get("given").toString());
            assertThat(answer.status()).as(answer.text()).isEqualTo(200);
            for (String figure : one.get("expected").propertyNames()) {
                JsonNode expected = one.at("/expected/" + figure);
                if (expected.has("value")) {
                    assertThat(answer.json().get(figure).asDouble())
                            .as("%s of %s", figure, one.get("given"))
                            .isCloseTo(
                                    expected.get("value").asDouble(),
                                    within(expected.get("tol").asDouble()));
                    compared++;
                }
            }
        }
        assertThat(compared).isGreaterThan(40);
        assertThat(calls.get("/api/tools?machine=hazel").json().size()).isEqualTo(21);
        assertThat(calls.get("/api/tools?machine=teasel").status()).isEqualTo(404);
        JsonNode byBook =
                calls.post(
                                "/api/tool-data",
                                "{\"tool\": 1, \"material\": \"iroko\", \"ap\": 6, \"ae\": 12}")
                        .json();
        assertThat(byBook.at("/sources/chip").asString()).isEqualTo("book");
        assertThat(calls.post("/api/tool-data", "{\"kind\": \"straight\"}").status())
                .isEqualTo(422);
        assertThat(
                        calls.post(
                                        "/api/tool-data",
                                        "{\"tool\": 1, \"material\": \"granite\", \"ap\": 1, \"ae\": 1}")
                                .detail())
                .contains("granite");
    }

    @Test
    void aProgramIsReleasedVerifiedAndPrinted() throws IOException {
        long job = calls.requested("sole_board");
        ApiClient.Answer made = calls.post("/api/jobs/%d/releases".formatted(job), "{}");
        assertThat(made.status()).as(made.text()).isEqualTo(201);
        String release = made.header("Location");
        String text = calls.get(release + "/program").text();
        assertThat(text).contains("Z-24.3").contains("M30");
        assertThat(calls.get(release + "/verify").json().get("intact").asBoolean()).isTrue();
        byte[] paper =
                new PageClient(port)
                        .signedIn("mira")
                        .bytes(release.substring(release.indexOf("/api") + 4) + "/sheet.pdf");
        try (PDDocument pdf = Loader.loadPDF(paper)) {
            assertThat(new PDFTextStripper().getText(pdf))
                    .contains("Zero of Z", "put it into", "Tool changes", "mm deep")
                    .doesNotContain("Piercing");
        }
    }

    /** Other ways of cutting are a matter of the request alone. */
    @Test
    void waysOfCuttingAreAskedFor() {
        long job = calls.requested("instrument_panel");
        ObjectNode request = (ObjectNode) RouterCalls.truth("instrument_panel").get("request");
        for (JsonNode operation : request.get("operations")) {
            ObjectNode of = (ObjectNode) operation;
            if (of.get("kind").asString().equals("pocket")) {
                of.put("manner", "even");
                of.set("entry", JsonMapper.shared().readTree("{'angle': '3'}".replace('\'', '"')));
            }
            if (of.get("id").asString().equals("outline")) {
                of.put("skin", "0.4");
            }
        }
        ApiClient.Answer run = calls.put(job, request.toString());
        assertThat(run.status()).as(run.text()).isEqualTo(200);
        JsonNode pocket = calls.stop(job, "recess");
        double wished = Math.toDegrees(Math.acos(1 - 2 * 0.45));
        assertThat(pocket.get("peakEngagement").asDouble()).isBetween(60.0, 1.05 * wished);
        assertThat(pocket.get("fullWidthLength").asDouble()).isLessThan(80);
        List<String> outlines = new ArrayList<>();
        for (JsonNode stop : run.json().get("stops")) {
            if (stop.get("operation").asString().equals("outline")) {
                outlines.add(stop.get("id").asString());
            }
        }
        assertThat(outlines).hasSize(2).anyMatch(id -> id.endsWith("-skin"));
    }

    @Test
    void theWorkIsCutOpenAlongALine() {
        long job = calls.requested("instrument_panel");
        String path = "/api/jobs/%d/material/section?".formatted(job);
        JsonNode section = calls.get(path + "x1=-20&y1=5&x2=460&y2=5").json();
        assertThat(section.get("length").asDouble()).isEqualTo(480);
        assertThat(section.get("thickness").asDouble()).isEqualTo(12);
        List<Double> depths = new ArrayList<>();
        section.get("depth").forEach(p -> depths.add(p.get(1).asDouble()));
        assertThat(depths).hasSizeGreaterThan(400).contains(12.0).allMatch(d -> d >= 0 && d <= 12);
        for (JsonNode place : section.get("depth")) {
            double x = -20 + place.get(0).asDouble();
            JsonNode one =
                    calls.get("/api/jobs/%d/material/depth?x=%s&y=5".formatted(job, x)).json();
            assertThat(place.get(1).asDouble())
                    .isCloseTo(one.get("depth").asDouble(), within(1e-6));
            if (x > 20) {
                break;
            }
        }
        assertThat(calls.get(path + "x1=1&y1=5&x2=1&y2=5").status()).isEqualTo(422);
        assertThat(calls.get(path + "x1=1&y1=5").text()).contains("x1, y1, x2 and y2");
        assertThat(calls.get(path + "x1=a&y1=5&x2=1&y2=5").status()).isEqualTo(400);
    }
}
