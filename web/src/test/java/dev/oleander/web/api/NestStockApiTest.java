package dev.oleander.web.api;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.web.job.document.JobDocument;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Remnants that a nest leaves and takes, and its papers, over HTTP. */
class NestStockApiTest extends NestCalls {

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
        assertThat(csv.text().lines())
                .hasSize(4)
                .first()
                .asString()
                .contains("sheet,times,heads,place");
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
