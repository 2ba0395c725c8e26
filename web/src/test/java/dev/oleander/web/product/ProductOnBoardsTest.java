package dev.oleander.web.product;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.web.account.PageClient;
import dev.oleander.web.api.ApiClient;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Panels from boards, what is left to do after them, releases compared, rules that are tried. */
class ProductOnBoardsTest extends ProductTest {

    private static final Duration LONG = Duration.ofSeconds(60);

    /** Waits till something lies on the boards of a nest, and ends its search. */
    private void found(long nest) {
        String searches = "/api/nests/%d/runs/1".formatted(nest);
        long until = System.nanoTime() + LONG.toNanos();
        while (!get(searches).hasNonNull("best") || get(searches).get("best").isEmpty()) {
            assertThat(System.nanoTime()).isLessThan(until);
        }
        api.send("DELETE", searches, "");
        while (get("/api/nests/%d", nest).get("laid").isEmpty()) {
            assertThat(System.nanoTime()).isLessThan(until);
        }
    }

    @Test
    void panelsLieOnBoardsByMaterialAndTheRestIsListed() throws IOException {
        long id = locker();
        ApiClient.Answer early = api.post("/api/products/%d/boards".formatted(id), "{}");
        assertThat(early.status()).isEqualTo(422);
        assertThat(early.detail()).contains("say first that they are cut from boards");
        assertThat(get("/api/products/%d/boards", id).isEmpty()).isTrue();
        api.send("PATCH", "/api/products/" + id, "{\"boards\": true, \"roundCorners\": true}");
        assertThat(panel(id, "back").get("clampings").asInt()).isEqualTo(1);
        programs(id, "programs");
        assertThat(panel(id, "door").get("state").asString()).isEqualTo("on no board yet");
        programs(id, "boards");
        JsonNode boards = get("/api/products/%d/boards", id);
        assertThat(boards.findValuesAsString("material")).containsExactly("ply18", "ply6");
        for (JsonNode board : boards) {
            found(board.get("job").asLong());
        }
        // 4 sides each, 8 bottoms and tops, 4 kick boards, 8 shelves, 4 doors
        JsonNode nest = get("/api/nests/%d", boards.get(0).get("job").asLong());
        int placed = 0;
        for (JsonNode sheet : nest.get("laid")) {
            placed += sheet.get("times").asInt() * sheet.get("placements").size();
        }
        assertThat(placed).isEqualTo(32);
        left(id);
        // the same again changes nothing
        programs(id, "boards");
        assertThat(get("/api/products/%d/boards", id).findValuesAsString("job"))
                .isEqualTo(boards.findValuesAsString("job"));
        pages(id);
    }

    private void left(long id) {
        List<String> steps = new ArrayList<>();
        for (JsonNode panel : get("/api/products/%d/left", id)) {
            for (JsonNode step : panel.get("steps")) {
                steps.add(panel.get("panel").asString() + ": " + step.asString());
            }
        }
        assertThat(steps)
                .contains("shelf: band front beech1")
                .anyMatch(s -> s.startsWith("kick: ") && s.contains("left edge h1, h2"))
                .anyMatch(s -> s.startsWith("side-r: bottom up") && s.endsWith("bottom p32"))
                .noneMatch(s -> s.startsWith("back"));
    }

    private void pages(long id) throws IOException {
        PageClient pages = new PageClient(port).signedIn("mira");
        assertThat(pages.get("/products/" + id).body())
                .contains("Boards of ply18", "What is still to be done");
        assertThat(pages.get("/products/%d/order".formatted(id)).body())
                .contains("on a board", "Still to do when they come off their boards");
        byte[] pdf = pages.bytes("/products/%d/order.pdf".formatted(id));
        try (PDDocument document = Loader.loadPDF(pdf)) {
            String text = new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
            assertThat(text).contains("Still to do when they come off their boards", "on a board");
        }
    }

    @Test
    void releasesOfAProductAreComparedByPanel() {
        long id = locker();
        api.send("PATCH", "/api/products/" + id, "{\"roundCorners\": true}");
        programs(id, "programs");
        programs(id, "releases");
        JsonNode first = get("/api/products/%d/releases", id);
        assertThat(first).hasSize(1);
        assertThat(first.at("/0/parts").asInt()).isEqualTo(8);
        // nothing new is released: there is no other release of the product
        programs(id, "releases");
        assertThat(get("/api/products/%d/releases", id)).hasSize(1);
        api.send("PATCH", "/api/products/%d/panels/door".formatted(id), "{\"turn\": \"180\"}");
        programs(id, "programs");
        programs(id, "releases");
        JsonNode changes = get("/api/products/%d/releases/1/2", id);
        for (JsonNode change : changes) {
            boolean door = change.get("panel").asString().equals("door");
            assertThat(change.get("word").asString()).isEqualTo(door ? "changed" : "unchanged");
            if (door) {
                assertThat(change.at("/sentences/0").asString()).contains("turned 180°");
            }
        }
        assertThat(api.get("/api/products/%d/releases/1/9".formatted(id)).status()).isEqualTo(404);
        PageClient pages = new PageClient(port).signedIn("mira");
        assertThat(pages.get("/products/%d/releases".formatted(id)).body())
                .contains("Release 1", "Release 2", "turned 180");
    }

    @Test
    void aClampingIsShownWhileItIsWorked() {
        long id = locker();
        String path = "/products/%d/panels/side-r/clampings/1/machining".formatted(id);
        PageClient pages = new PageClient(port).signedIn("mira");
        assertThat(pages.get(path).statusCode()).isEqualTo(404);
        programs(id, "programs");
        JsonNode view = JsonMapper.shared().readTree(pages.get(path).body());
        assertThat(view.get("thickness").asDouble()).isEqualTo(18);
        assertThat(view.at("/box/2").asDouble()).isEqualTo(560);
        JsonNode way = view.get("path");
        assertThat(way.size() % 5).isZero();
        double before = 0;
        double deepest = 0;
        for (int i = 0; i < way.size(); i += 5) {
            double when = way.get(i + 3).asDouble();
            assertThat(when).isGreaterThanOrEqualTo(before);
            before = when;
            deepest = Math.min(deepest, way.get(i + 2).asDouble());
        }
        assertThat(before).isLessThanOrEqualTo(view.get("total").asDouble() + 1e-3);
        // dowel holes are 13 deep
        assertThat(deepest).isEqualTo(-13);
    }

    @Test
    void podsAreShownUnderThePanel() {
        long id = locker();
        PageClient pages = new PageClient(port).signedIn("mira");
        String path = "/products/%d/panels/side-l".formatted(id);
        assertThat(pages.get(path).body()).doesNotContain("class=\"pod\"");
        api.send("PATCH", "/api/products/" + id, "{\"pods\": true}");
        assertThat(pages.get(path).body()).contains("class=\"pod\"").doesNotContain("On its pods");
    }

    /** What a pocket's rule says besides counts too. */
    @Test
    void aRuleIsTriedInItsFormBeforeItIsKept() {
        long id = locker();
        PageClient lead = new PageClient(port).signedIn("anselm");
        String row = "/machines/hazel/rules/rows/6";
        lead.takeToken(row);
        Map<String, String> rule =
                new TreeMap<>(
                        Map.of(
                                "number", "6",
                                "name", "pockets",
                                "kind", "pocket",
                                "face", "any",
                                "tag", "any",
                                "from", "0",
                                "to", "0",
                                "depth", "any",
                                "form", "any",
                                "operation", "pocket"));
        rule.put("tool", "0");
        rule.put("values", "rest=2");
        assertThat(lead.post(row + "/trial", rule).body()).contains("Nothing would change");
        rule.put("tool", "3");
        rule.put("values", "any");
        String tried = lead.post(row + "/trial", rule).body();
        assertThat(tried)
                .contains("would be made otherwise", "/products/%d/panels/".formatted(id))
                .contains("with tool 3 instead of");
        rule.put("values", "rest=much");
        HttpResponse<String> wrong = lead.post(row + "/trial", rule);
        assertThat(wrong.statusCode()).isEqualTo(422);
        assertThat(wrong.body()).contains("rest is &quot;much&quot;");
        assertThat(get("/api/machines/hazel/rules").at("/5/values").asString()).isEqualTo("rest=2");
    }

    @Test
    void programsAreMadeOfSomePanels() {
        long id = locker();
        String path = "/api/products/%d/programs".formatted(id);
        assertThat(api.post(path, "{\"panels\": [\"lid\"]}").status()).isEqualTo(404);
        assertThat(api.post(path, "{\"panels\": [\"kick\", \"shelf\"]}").status()).isEqualTo(202);
        done(id);
        assertThat(get("/api/products/%d/panels/kick", id).get("jobs")).hasSize(1);
        assertThat(get("/api/products/%d/panels/shelf", id).get("jobs")).hasSize(1);
        assertThat(panel(id, "door").get("state").asString()).isEqualTo("no program");
    }
}
