package dev.oleander.web.bench;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.plan.stop.Stop;
import dev.oleander.web.WebTest;
import dev.oleander.web.account.PageClient;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/** What edits answer, as htmx asks for them. */
class FragmentsTest extends WebTest {

    @Autowired private JdbcTemplate sql;

    private PageClient pages;
    private long job;
    private String outline;

    @BeforeEach
    void openJob() {
        pages = new PageClient(port).signedIn("mira");
        job = makeJob("cleat_backing_plate", "Fragments", 2);
        outline =
                jobs.view(job).result().run().stops().stream()
                        .filter(s -> s.name().equals("Outline"))
                        .map(Stop::id)
                        .findFirst()
                        .orElseThrow();
    }

    private HttpResponse<String> edit(String path, Map<String, String> fields) {
        return pages.post("/jobs/%d/%s".formatted(job, path), fields);
    }

    @Test
    void anEditAnswersEveryRegionAndTheNewStep() {
        HttpResponse<String> answer =
                edit(
                        "cuts/values",
                        Map.of(
                                "step", "1", "stop", outline, "scope", "all", "field", "overRun",
                                "value", "2"));
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(answer.headers().firstValue("HX-Trigger"))
                .contains("{\"sceneChanged\":{\"step\":2}}");
        for (String region :
                List.of("rail", "run-line", "slip", "foot", "bench-state", "job-title")) {
            assertThat(answer.body()).contains("id=\"" + region + "\"");
        }
        assertThat(answer.body()).contains("hx-swap-oob=\"true\"");
        assertThat(jobs.view(job).result().stops().get(outline).overRun()).isEqualTo(2);
    }

    @Test
    void aRefusedEditKeepsWhatWasTyped() {
        HttpResponse<String> answer =
                edit(
                        "cuts/values",
                        Map.of(
                                "step", "1", "stop", outline, "field", "overRun", "value",
                                "<b>far"));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body())
                .contains("value=\"&lt;b&gt;far\"", "field-error")
                .doesNotContain("<b>far");
        assertThat(jobs.view(job).step()).isEqualTo(1);
    }

    @Test
    void anOldStepIsAConflict() {
        edit("cuts/order-values", Map.of("step", "1", "field", "quantity", "value", "3"));
        HttpResponse<String> late =
                edit("cuts/order-values", Map.of("step", "1", "field", "quantity", "value", "9"));
        assertThat(late.statusCode()).isEqualTo(409);
        assertThat(late.body()).contains("Mira Rosvold changed this job meanwhile: quantity");
        assertThat(jobs.view(job).document().quantity()).isEqualTo(3);
    }

    @Test
    void aSheetIsFilledOnce() {
        assertThat(pages.get("/jobs/%d/sheet/slip".formatted(job)).body())
                .contains("Fill the sheet: ");
        assertStatus(200, "sheet/full-sheet", Map.of("step", "1"));
        int copies = jobs.view(job).result().run().layout().placements().size();
        assertThat(copies).isGreaterThan(1);
        assertThat(pages.get("/jobs/%d/sheet/slip".formatted(job)).body())
                .doesNotContain("Fill the sheet: ");
        assertStatus(422, "sheet/full-sheet", Map.of("step", "2"));
    }

    @Test
    void oddRequestsAreNoServerError() {
        assertStatus(404, "cuts/values", Map.of("stop", outline, "field", "colour", "value", "x"));
        assertStatus(404, "cuts/values", Map.of("stop", "c99.1", "field", "side", "value", "on"));
        assertStatus(422, "cuts/values", Map.of("stop", "", "field", "side", "value", "on"));
        assertStatus(422, "cuts/values", Map.of("stop", outline, "field", "side", "value", "up"));
        assertStatus(400, "cuts/values", Map.of("stop", outline));
        assertStatus(400, "cuts/values", Map.of("step", "x", "field", "side"));
        assertStatus(404, "cuts/order", Map.of("moved", outline, "before", "c99.1"));
        assertStatus(422, "cuts/order", Map.of("moved", ""));
        assertStatus(422, "shape/purposes", Map.of("layer", "PLATE", "purpose", "eat"));
        assertStatus(404, "sheet/sheet-values", Map.of("field", "colour", "value", "x"));
        assertStatus(422, "sheet/sheet-values", Map.of("field", "anchor", "value", "x"));
        assertStatus(404, "cuts/order-values", Map.of("field", "colour", "value", "x"));
        assertThat(pages.get("/jobs/%d/groups/99".formatted(job)).statusCode()).isEqualTo(404);
        assertThat(pages.get("/jobs/%d/program?revision=Q".formatted(job)).statusCode())
                .isEqualTo(404);
        assertThat(pages.get("/releases/999999/program").statusCode()).isEqualTo(404);
        assertThat(jobs.view(job).step()).isEqualTo(1);
    }

    private void assertStatus(int status, String path, Map<String, String> fields) {
        assertThat(edit(path, fields).statusCode()).as("%s %s", path, fields).isEqualTo(status);
    }

    @Test
    void everyStageOpensWithAndWithoutASelection() {
        for (String stage : List.of("shape", "cuts", "sheet", "proof", "release")) {
            String path = "/jobs/%d/%s".formatted(job, stage);
            assertThat(pages.get(path).statusCode()).isEqualTo(200);
            assertThat(pages.get(path + "?stop=" + outline + ",nonsense").statusCode())
                    .isEqualTo(200);
            HttpResponse<String> slip = pages.fragment(path + "/slip?stop=" + outline);
            assertThat(slip.body()).contains("slip-head").doesNotContain("<html");
        }
        HttpResponse<String> opened = pages.get("/jobs/" + job);
        assertThat(opened.headers().firstValue("Location").orElseThrow()).endsWith("/shape");
    }

    @Test
    void aGroupsStopsAreFetched() {
        String rows = pages.fragment("/jobs/%d/groups/0".formatted(job)).body();
        assertThat(rows.split("class=\"stop\"")).hasSizeGreaterThan(8);
    }

    @Test
    void aLongLineComesInTwoParts() {
        long many = makeJob("cleat_backing_plate", "Many", 45);
        String page = pages.get("/jobs/%d/cuts".formatted(many)).body();
        assertThat(count(page, "class=\"line-group\"")).isEqualTo(40);
        assertThat(count(page, "class=\"stop\"")).as("all are folded").isZero();
        assertThat(page)
                .contains("data-rows=\"/jobs/%d/groups?from=40&amp;run=1\"".formatted(many));
        String rest = pages.fragment("/jobs/%d/groups?from=40".formatted(many)).body();
        assertThat(count(rest, "class=\"line-group\"")).isEqualTo(5);
        assertThat(rest)
                .contains(
                        "id=\"group-44\"",
                        "data-rows=\"/jobs/%d/groups/44?run=1\"".formatted(many));
        assertThat(pages.fragment("/jobs/%d/groups?from=99".formatted(many)).body())
                .doesNotContain("line-group");
        assertThat(pages.get("/jobs/%d/groups?from=-1".formatted(many)).statusCode())
                .isEqualTo(400);
        String last = jobs.view(many).result().run().stops().get(45 * 8 - 1).id();
        String selected = pages.get("/jobs/%d/cuts?stop=%s".formatted(many, last)).body();
        assertThat(count(selected, "class=\"line-group\"")).as("up to the selected").isEqualTo(45);
        assertThat(selected).contains("data-stop=\"" + last + "\"").doesNotContain("line-rest");
    }

    private static int count(String text, String part) {
        return text.split(Pattern.quote(part), -1).length - 1;
    }

    @Test
    void theProgramIsServedWithItsItems() {
        String json = pages.get("/jobs/%d/program".formatted(job)).body();
        assertThat(json).contains("\"revision\":\"A\"", "\"current\":true", "G21 G90");
    }

    @Test
    void purposesAndUndoGoThroughPagesToo() {
        HttpResponse<String> ignored =
                edit(
                        "shape/purposes",
                        Map.of("step", "1", "stop", "c1", "feature", "c1", "purpose", "ignore"));
        assertThat(ignored.statusCode()).isEqualTo(200);
        assertThat(jobs.view(job).result().reading().byId().get("c1").onPurpose()).isTrue();
        assertThat(edit("shape/undo", Map.of()).statusCode()).isEqualTo(200);
        assertThat(jobs.view(job).document().shape().features()).isEmpty();
        assertThat(edit("shape/redo", Map.of()).statusCode()).isEqualTo(200);
        assertThat(jobs.view(job).document().shape().features()).hasSize(1);
    }

    @Test
    void manyEditsAtOnceLoseNothingThatWasAnswered() throws Exception {
        ExecutorService threads = Executors.newFixedThreadPool(6);
        try {
            List<Callable<Integer>> edits =
                    IntStream.rangeClosed(1, 24)
                            .mapToObj(
                                    i ->
                                            (Callable<Integer>)
                                                    () ->
                                                            edit(
                                                                            "cuts/order-values",
                                                                            Map.of(
                                                                                    "field",
                                                                                    "quantity",
                                                                                    "value",
                                                                                    String.valueOf(
                                                                                            i
                                                                                                    + 10)))
                                                                    .statusCode())
                            .toList();
            int taken = 0;
            for (Future<Integer> answer : threads.invokeAll(edits)) {
                assertThat(answer.get()).isEqualTo(200);
                taken++;
            }
            Integer steps =
                    sql.queryForObject(
                            "select count(*) from job_step where job_id = ?", Integer.class, job);
            assertThat(steps).isEqualTo(taken + 1);
            assertThat(jobs.view(job).step()).isEqualTo(taken + 1);
        } finally {
            threads.shutdown();
        }
    }
}
