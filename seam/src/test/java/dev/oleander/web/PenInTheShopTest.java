package dev.oleander.web;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.quantity.Typed;
import dev.oleander.web.account.PageClient;
import dev.oleander.web.api.ApiClient;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.source.Upload;
import dev.oleander.web.job.store.Stage;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/**
 * The whole application with a kind of work that it knows nothing of: whatever all kinds share is
 * there for the pen as it is for the others, without a line of the application that is about pens.
 */
class PenInTheShopTest extends WebTest {

    private static final String TEMPLATE =
            "0\nSECTION\n2\nENTITIES\n"
                    + "0\nLWPOLYLINE\n8\n0\n90\n4\n70\n1\n10\n0\n20\n0\n10\n80\n20\n0\n10\n80\n20\n40\n10\n0\n20\n40\n"
                    + "0\nCIRCLE\n8\n0\n10\n20\n20\n20\n40\n4\n0\nENDSEC\n0\nEOF\n";

    private PageClient pages;
    private ApiClient api;

    @BeforeEach
    void signIn() {
        pages = new PageClient(port).signedIn("anselm");
        api = new ApiClient(port, "mira");
    }

    private long template(String name) {
        return jobs.create(
                List.of(new Upload(name + ".dxf", TEMPLATE.getBytes(StandardCharsets.UTF_8))),
                new JobDocument.Order(name, "larkspur", "paper", Typed.of(0.1), 3),
                WebTest::inMillimetres,
                person("mira"));
    }

    private String circle(long job) {
        for (JsonNode stop : run(job).get("stops")) {
            if (stop.get("name").asString().contains("8")) {
                return stop.get("id").asString();
            }
        }
        throw new AssertionError("no circle");
    }

    private JsonNode run(long job) {
        return api.get("/api/jobs/%d/run".formatted(job)).json();
    }

    private double feed(long job, String stop) {
        return jobs.view(job).result().stops().get(stop).passes().get(0).feed();
    }

    @Test
    void everyStageShowsIt() {
        long job = template("Every stage");
        for (Stage stage : Stage.values()) {
            HttpResponse<String> page = pages.get("/jobs/%d/%s".formatted(job, stage.word()));
            assertThat(page.statusCode()).as(stage.word()).isEqualTo(200);
        }
        String slip = pages.get("/jobs/%d/cuts?stop=%s".formatted(job, circle(job))).body();
        assertThat(slip).contains("Speed", "mm/min", "value=\"6000\"", "cut book");
        assertThat(jobs.view(job).stage(Stage.PROOF).isReady()).isTrue();
        assertThat(pages.get("/").body()).contains("Every stage", "Larkspur");
    }

    @Test
    void itsValueIsEditedRefusedTakenBackAndUndone() {
        long job = template("Edited");
        String stop = circle(job);
        assertThat(edit(job, stop, "speed", "2 * 600").statusCode()).isEqualTo(200);
        assertThat(feed(job, stop)).isEqualTo(1200);
        HttpResponse<String> refused = edit(job, stop, "speed", "5");
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("must lie between 100 and 20000");
        edit(job, stop, "speed", "");
        assertThat(feed(job, stop)).as("what is usual").isEqualTo(6000);
        pages.post("/jobs/%d/cuts/undo".formatted(job), Map.of());
        assertThat(feed(job, stop)).isEqualTo(1200);
        ApiClient.Answer patched =
                api.send(
                        "PATCH",
                        "/api/jobs/%d/run/stops/%s".formatted(job, stop),
                        "{\"speed\": 900}");
        assertThat(patched.status()).isEqualTo(200);
        assertThat(feed(job, stop)).isEqualTo(900);
    }

    private HttpResponse<String> edit(long job, String stop, String field, String value) {
        String step = String.valueOf(jobs.view(job).step());
        return pages.post(
                "/jobs/%d/cuts/values".formatted(job),
                Map.of("step", step, "stop", stop, "field", field, "value", value));
    }

    @Test
    void itsRecipeIsKeptForTheShopAndTakenUpByAnotherJob() {
        long job = template("Kept");
        String stop = circle(job);
        edit(job, stop, "speed", "700");
        HttpResponse<String> kept =
                pages.post(
                        "/jobs/%d/cuts/recipes/save".formatted(job),
                        Map.of(
                                "step",
                                String.valueOf(jobs.view(job).step()),
                                "stop",
                                stop,
                                "name",
                                "slow lines",
                                "kind",
                                "true"));
        assertThat(kept.statusCode()).isEqualTo(200);
        assertThat(pages.get("/recipes").body())
                .contains("slow lines", "speed of the pen 700 mm/min");
        long other = template("Taken up");
        pages.post(
                "/jobs/%d/cuts/recipes/use".formatted(other),
                Map.of("step", String.valueOf(jobs.view(other).step()), "name", "slow lines"));
        assertThat(feed(other, circle(other))).isEqualTo(700);
    }

    @Test
    void itIsReleasedReadBackVerifiedAndPrinted() {
        long job = template("Released");
        ApiClient.Answer made = api.post("/api/jobs/%d/releases".formatted(job), "{}");
        assertThat(made.status()).as(made.text()).isEqualTo(201);
        String release = made.header("Location");
        assertThat(api.get(release + "/program").text()).contains("M51", "M56", "M30");
        assertThat(api.get(release + "/verify").json().get("intact").asBoolean()).isTrue();
        assertThat(api.get(release + "/sheet.pdf").text()).startsWith("%PDF");
    }

    @Test
    void aNewVersionOfTheDrawingKeepsWhatWasSet() {
        long job = template("New version");
        String stop = circle(job);
        edit(job, stop, "speed", "800");
        String moved =
                TEMPLATE.replace("CIRCLE\n8\n0\n10\n20\n20\n20", "CIRCLE\n8\n0\n10\n30\n20\n20");
        jobs.revise(
                job,
                jobs.view(job).step(),
                List.of(new Upload("moved.dxf", moved.getBytes(StandardCharsets.UTF_8))),
                person("mira"));
        assertThat(feed(job, circle(job))).isEqualTo(800);
    }

    @Test
    void itsBookIsShownChangedAndTakenOut() {
        String page = pages.get("/machines/larkspur").body();
        assertThat(page).contains("Speed mm/min", "Width mm", "6000", "Rapid");
        assertThat(pages.get("/machines/larkspur/rows/fine").body()).contains("value=\"6000\"");
        long job = template("By the book");
        HttpResponse<String> saved =
                pages.post(
                        "/machines/larkspur/rows/fine",
                        Map.of(
                                "copy",
                                "false",
                                "note",
                                "new pen",
                                "material",
                                "paper",
                                "thickness",
                                "0.1",
                                "speed",
                                "5000",
                                "width",
                                "0.3"));
        assertThat(saved.statusCode()).isEqualTo(302);
        assertThat(feed(job, circle(job))).isEqualTo(5000);
        assertThat(pages.get("/machines/larkspur").body())
                .contains("new pen", "speed 6000.0 to 5000.0");
        assertThat(pages.get("/machines/larkspur/cut-book.csv").body())
                .isEqualTo("material,thickness,speed,width\npaper,0.1,5000,0.3\n");
        assertThat(api.get("/api/cut-book?machine=larkspur").json().get(0).get("speed").asInt())
                .isEqualTo(5000);
        owner().execute("alter table book_change disable trigger user");
        owner().update("delete from book_change");
        owner().execute("alter table book_change enable trigger user");
    }

    @Test
    void machinesAreComparedWithIt() {
        long job = template("Compared");
        JsonNode all = api.prefer("wait=60").get("/api/jobs/%d/estimate".formatted(job)).json();
        assertThat(all).anyMatch(e -> e.get("machine").asString().equals("Larkspur"));
        assertThat(api.get("/api/openapi.json").text()).contains("\"speed\"");
    }
}
