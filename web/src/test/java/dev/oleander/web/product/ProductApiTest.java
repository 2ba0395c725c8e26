package dev.oleander.web.product;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.web.account.PageClient;
import dev.oleander.web.api.ApiClient;
import java.io.IOException;
import java.nio.file.Files;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Products over HTTP and their pages, against figures that were worked out by other code. */
class ProductApiTest extends ProductTest {

    @Test
    void panelsAreDecidedAsTheyShould() {
        long id = locker();
        JsonNode truth = truth("galley_locker.truth.json");
        for (String name : truth.get("panels").propertyNames()) {
            JsonNode of = truth.at("/panels/" + name);
            JsonNode listed = panel(id, name);
            assertThat(listed.get("role").asString())
                    .isEqualTo(
                            of.path("inCutList").asBoolean()
                                    ? "panel"
                                    : of.get("state").asString());
            if (of.has("clampings")) {
                JsonNode decided = get("/api/products/%d/panels/%s", id, name);
                assertThat(decided.get("clampings").size()).isEqualTo(of.get("clampings").asInt());
                assertThat(decided.get("refused").size()).isEqualTo(of.get("refused").size());
                assertThat(decided.at("/cut/length").asDouble())
                        .isCloseTo(of.at("/cut/0").asDouble(), within(1e-9));
                for (JsonNode clamping : decided.get("clampings")) {
                    assertThat(clamping.get("why").asString()).contains("features lie there");
                }
                // each feature that can be made is made by a rule
                assertThat(decided.get("operations").size())
                        .isEqualTo(made(decided.get("clampings")));
            }
        }
        assertThat(get("/api/products/%d/cut-list", id).size()).isEqualTo(8);
        assertThat(get("/api/products/%d/mates", id).get("pairs").size()).isEqualTo(24);
        assertThat(get("/api/products/%d/mates", id).at("/faults/0/holes/0").asString())
                .isEqualTo("kick/h5");
    }

    private static int made(JsonNode clampings) {
        int made = 0;
        for (JsonNode clamping : clampings) {
            made += clamping.get("features").size();
        }
        return made;
    }

    @Test
    void badProductsAreRefusedAndNothingIsMade() {
        int before = get("/api/products").size();
        for (JsonNode bad : truth("bad_products.truth.json").get("cases")) {
            ApiClient.Answer refused = api.post("/api/products", bad.get("product").toString());
            assertThat(refused.status()).isEqualTo(422);
            for (JsonNode word : bad.get("sentenceNames")) {
                assertThat(refused.detail()).contains(word.asString());
            }
        }
        assertThat(api.post("/api/products", "{").status()).isEqualTo(422);
        assertThat(api.get("/api/products/999999").status()).isEqualTo(404);
        assertThat(get("/api/products").size()).isEqualTo(before);
    }

    @Test
    void aFaceIsOverruledAndPutBack() {
        long id = locker();
        String path = "/api/products/%d/panels/side-l".formatted(id);
        JsonNode wished = api.send("PATCH", path, "{\"up\": \"bottom\"}").json();
        assertThat(wished.get("clampings").size()).isEqualTo(2);
        assertThat(wished.at("/clampings/0/up").asString()).isEqualTo("bottom");
        assertThat(wished.get("cost").asString()).isEqualTo("1 clamping more");
        JsonNode back = api.send("PATCH", path, "{\"up\": \"\"}").json();
        assertThat(back.get("clampings").size()).isEqualTo(1);
        assertThat(api.post("/api/products/%d/undo".formatted(id), "").status()).isEqualTo(200);
        assertThat(get(path).get("clampings").size()).isEqualTo(2);
        ApiClient.Answer none = api.send("PATCH", path, "{\"up\": \"left\"}");
        assertThat(none.status()).isEqualTo(422);
        assertThat(none.detail()).contains("top or bottom");
        assertThat(api.send("PATCH", path, "{\"clampingOf\": {\"h99\": \"top\"}}").detail())
                .contains("no feature h99");
        ApiClient.Answer stale = api.ifMatch("\"1\"").send("PATCH", path, "{\"up\": \"top\"}");
        assertThat(stale.status()).isEqualTo(412);
    }

    @Test
    void allProgramsAreMadeReleasedAndRenewed() {
        long id = locker();
        api.send("PATCH", "/api/products/" + id, "{\"roundCorners\": true}");
        programs(id, "programs");
        for (JsonNode panel : get("/api/products/%d", id).get("panels")) {
            assertThat(panel.get("state").asString())
                    .as(panel.toString())
                    .isIn(
                            "proved",
                            "program of bottom",
                            "nothing to machine: saw only",
                            "helper",
                            "bought");
        }
        JsonNode door = get("/api/products/%d/panels/door", id);
        assertThat(door.get("jobs").size()).isEqualTo(2);
        long first = door.at("/jobs/0").asLong();
        assertThat(get("/api/jobs/%d", first).get("quantity").asInt()).isEqualTo(4);
        assertThat(get("/api/jobs/%d", first).get("name").asString())
                .isEqualTo("Galley locker, Door: bottom up, back left");
        JsonNode cost = get("/api/products/%d/cost", id);
        assertThat(cost.get("without").asInt()).isZero();
        // 5.49 m2 of 18 mm and 0.96 m2 of 6 mm at 680 kg/m3 and 2.6 a kg
        assertThat(cost.get("material").asDouble())
                .isCloseTo((5.489696 * 0.018 + 0.956 * 0.006) * 680 * 2.6, within(1e-6));
        assertThat(cost.get("machine").asDouble())
                .isCloseTo(cost.get("seconds").asDouble() / 3600 * 62, within(1e-6));
        assertThat(cost.get("seconds").asDouble()).isGreaterThan(8 * 60);
        programs(id, "releases");
        assertThat(panel(id, "door").get("state").asString()).isEqualTo("released A");
        // what is there stays; what changed is made anew
        api.send("PATCH", "/api/products/%d/panels/door".formatted(id), "{\"turn\": \"180\"}");
        assertThat(panel(id, "door").get("state").asString()).isEqualTo("stale");
        assertThat(panel(id, "kick").get("state").asString()).isEqualTo("released A");
        programs(id, "programs");
        assertThat(panel(id, "door").get("state").asString()).isEqualTo("proved");
        assertThat(get("/api/products/%d/panels/door", id).at("/jobs/0").asLong())
                .isNotEqualTo(first);
    }

    @Test
    void drawingsOfFacesBecomeAProduct() throws IOException {
        Map<String, byte[]> files = new TreeMap<>();
        for (String name : List.of("bottom.top.dxf", "bottom.left.dxf", "bottom.right.dxf")) {
            files.put(name, Files.readAllBytes(SAMPLES.resolve(name)));
        }
        ApiClient.Answer made =
                api.upload("/api/products", Map.of("name", "Base", "thickness", "18"), files);
        assertThat(made.status()).as(made.text()).isEqualTo(201);
        long id = made.json().get("id").asLong();
        JsonNode bottom = get("/api/products/%d/panels/bottom", id);
        assertThat(bottom.get("operations").size()).isEqualTo(11);
        assertThat(bottom.at("/clampings/0/up").asString()).isEqualTo("top");
        String left = api.get("/api/products/%d/panels/bottom/faces/left.dxf".formatted(id)).text();
        assertThat(left).contains("HOLE 25");
        assertThat(api.get("/api/products/%d/panels/bottom/faces/under.dxf".formatted(id)).status())
                .isEqualTo(404);
        ApiClient.Answer none =
                api.upload("/api/products", Map.of(), Map.of("a.dxf", files.get("bottom.top.dxf")));
        assertThat(none.status()).isEqualTo(422);
        assertThat(none.detail()).contains("panel.face.dxf");
    }

    @Test
    void aProductWithAnotherMaterialWaitsForItsName() {
        ObjectNode other = (ObjectNode) truth("galley_locker.product.json");
        String oak = other.toString().replace("ply18", "oak18");
        long id = api.post("/api/products", oak).json().get("id").asLong();
        assertThat(panel(id, "kick").get("state").asString()).isEqualTo("no program");
        assertThat(panel(id, "kick").get("sentence").asString()).contains("oak18", "birch plywood");
        api.send("PATCH", "/api/products/" + id, "{\"materials\": {\"oak18\": \"iroko\"}}");
        assertThat(panel(id, "kick").get("sentence").asString()).contains("Top up");
    }

    @Test
    void listsArePrinted() throws IOException {
        long id = locker();
        String csv = api.get("/api/products/%d/cut-list.csv".formatted(id)).text();
        assertThat(csv).startsWith("panel,name,material,length");
        assertThat(csv).contains("side-l,\"Side, port\",ply18,560.0,379.0").doesNotContain("pipe");
        assertThat(api.get("/api/products/%d/mates.csv".formatted(id)).text()).contains("kick/h5");
        PageClient pages = new PageClient(port).signedIn("mira");
        byte[] pdf = pages.bytes("/products/%d/cut-list.pdf".formatted(id));
        try (PDDocument document = Loader.loadPDF(pdf)) {
            String text = new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
            assertThat(text)
                    .contains("Galley locker: cut list", "554 × 494", "8 × Hinge")
                    .doesNotContain("Pipe");
        }
    }

    @Test
    void theWorkOrderHasEveryClampingOnce() throws IOException {
        long id = locker();
        JsonNode rows = get("/api/products/%d/order", id).get("rows");
        // two of side-r and door, one of side-l, bottom (with top), kick and shelf
        assertThat(rows.size()).isEqualTo(8);
        for (JsonNode row : rows) {
            if (row.get("panel").asString().equals("bottom")) {
                assertThat(row.get("count").asInt()).isEqualTo(8);
                assertThat(row.get("up").asString()).isEqualTo("top");
                assertThat(row.get("bands").asString()).isEqualTo("front beech1");
            }
        }
        byte[] pdf =
                new PageClient(port).signedIn("mira").bytes("/products/%d/order.pdf".formatted(id));
        try (PDDocument document = Loader.loadPDF(pdf)) {
            assertThat(new PDFTextStripper().getText(document))
                    .contains(
                            "Galley locker: work order",
                            "clamping 2 of 2",
                            "back left at the stops");
        }
        assertThat(api.get("/api/products/%d/order.csv".formatted(id)).text()).contains("side-r,");
    }

    @Test
    void whoStandsAtTheMachineSaysWhatIsDone() {
        long id = locker();
        PageClient operator = new PageClient(port).signedIn("tove");
        Map<String, String> tick = Map.of("panel", "side-l", "clamping", "1", "done", "3");
        operator.takeToken("/products/%d/order".formatted(id));
        assertThat(operator.post("/products/%d/ticks".formatted(id), tick).statusCode())
                .isEqualTo(302);
        JsonNode row = get("/api/products/%d/order", id).at("/rows/0");
        assertThat(row.get("done").asInt()).isEqualTo(3);
        assertThat(row.get("doneBy").asString()).startsWith("Tove");
        Map<String, String> many = Map.of("panel", "side-l", "clamping", "1", "done", "5");
        assertThat(operator.post("/products/%d/ticks".formatted(id), many).statusCode())
                .isEqualTo(422);
        Map<String, String> none = Map.of("panel", "back", "clamping", "1", "done", "1");
        assertThat(operator.post("/products/%d/ticks".formatted(id), none).statusCode())
                .isEqualTo(404);
        assertThat(
                        operator.post("/products/%d/undo".formatted(id), Map.of("step", "1"))
                                .statusCode())
                .isEqualTo(403);
    }

    @Test
    void whatIsNotThereOrWasChangedMeanwhileIsSaid() {
        long id = locker();
        PageClient pages = new PageClient(port).signedIn("mira");
        for (String path :
                List.of("", "/programs", "/order", "/space", "/cut-list.pdf", "/order.csv")) {
            assertThat(pages.get("/products/999999" + path).statusCode()).as(path).isEqualTo(404);
        }
        assertThat(pages.get("/products/%d/panels/none".formatted(id)).statusCode()).isEqualTo(404);
        assertThat(api.get("/api/products/999999/programs").status()).isEqualTo(404);
        assertThat(api.get("/api/products/%d/programs".formatted(id)).status()).isEqualTo(404);
        pages.takeToken("/products/" + id);
        assertThat(pages.post("/products/%d/undo".formatted(id), Map.of("step", "1")).statusCode())
                .isEqualTo(422);
        assertThat(pages.post("/products/%d/undo".formatted(id), Map.of("step", "7")).statusCode())
                .isEqualTo(409);
        Map<String, String> wish = Map.of("step", "7", "up", "bottom");
        String panel = "/products/%d/panels/side-l".formatted(id);
        assertThat(pages.post(panel, wish).statusCode()).isEqualTo(422);
        assertThat(pages.post(panel, Map.of("step", "1", "up", "left")).body())
                .contains("it is top or bottom");
    }

    @Test
    void inSpaceItsPanelsLieWhereTheFileSays() {
        long id = locker();
        PageClient pages = new PageClient(port).signedIn("mira");
        JsonNode space =
                JsonMapper.shared().readTree(pages.get("/products/%d/space".formatted(id)).body());
        // five have a place; shelf, back, door and pipe have none, the hinge is bought
        assertThat(space.get("bodies").size()).isEqualTo(5);
        assertThat(space.get("without").asInt()).isEqualTo(4);
        JsonNode kick = space.at("/bodies/4");
        assertThat(kick.get("id").asString()).isEqualTo("kick");
        assertThat(kick.at("/z/1").asDouble()).isEqualTo(-1);
        JsonNode one =
                JsonMapper.shared()
                        .readTree(pages.get("/products/%d/panels/door/space".formatted(id)).body());
        assertThat(one.at("/bodies/0/marks").size()).isEqualTo(9);
    }

    @Test
    void otherRulesAreTriedBeforeTheyHold() {
        long id = locker();
        JsonNode rules = get("/api/machines/hazel/rules");
        assertThat(rules.size()).isGreaterThan(10);
        String bored =
                rules.toString().replace("\"operation\":\"drill\"", "\"operation\":\"bore\"");
        ApiClient.Answer tried = api.post("/api/machines/hazel/rules/trial", bored);
        assertThat(tried.status()).as(tried.text()).isEqualTo(200);
        JsonNode changed = tried.json();
        boolean told = false;
        for (JsonNode one : changed) {
            boolean here = one.get("product").asLong() == id;
            told |= here && one.get("panel").asString().equals("side-l");
            assertThat(one.get("panel").asString()).isNotEqualTo("back");
            assertThat(one.get("sentence").asString()).contains("instead of");
        }
        assertThat(told).isTrue();
        assertThat(get("/api/products/%d/panels/side-l", id).at("/operations/0/kind").asString())
                .isEqualTo("drill");
        String none = rules.toString().replace("\"operation\":\"drill\"", "\"operation\":\"knit\"");
        assertThat(api.send("PUT", "/api/machines/hazel/rules", bored).status()).isEqualTo(403);
        ApiClient lead = new ApiClient(port, "anselm");
        ApiClient.Answer wrong = lead.send("PUT", "/api/machines/hazel/rules", none);
        assertThat(wrong.status()).isEqualTo(422);
        assertThat(wrong.detail()).contains("knit");
        assertThat(get("/api/machines/hazel/rules")).isEqualTo(rules);
        assertThat(lead.send("PUT", "/api/machines/hazel/rules", bored).status()).isEqualTo(200);
        assertThat(get("/api/products/%d/panels/side-l", id).at("/operations/0/kind").asString())
                .isEqualTo("bore");
        assertThat(lead.send("PUT", "/api/machines/hazel/rules", rules.toString()).status())
                .isEqualTo(200);
        assertThat(api.get("/api/machines/teasel/rules").status()).isEqualTo(404);
    }

    @Test
    void theFileComesOutAsItWentIn() {
        long id = locker();
        assertThat(get("/api/products/%d/file", id).get("panels").size()).isEqualTo(10);
        ApiClient.Answer again =
                api.send(
                        "PUT",
                        "/api/products/%d/file".formatted(id),
                        text("galley_locker.product.json")
                                .replace("\"quantity\": 4", "\"quantity\": 6"));
        assertThat(again.json().get("quantity").asInt()).isEqualTo(6);
        ApiClient.Answer wrong =
                api.send("PUT", "/api/products/%d/file".formatted(id), "{\"name\": \"x\"}");
        assertThat(wrong.status()).isEqualTo(422);
        assertThat(get("/api/products/%d", id).get("quantity").asInt()).isEqualTo(6);
    }
}
