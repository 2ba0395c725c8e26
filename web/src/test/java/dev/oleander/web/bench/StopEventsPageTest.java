package dev.oleander.web.bench;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.plan.StopEvent;
import dev.oleander.web.WebTest;
import dev.oleander.web.account.PageClient;
import dev.oleander.web.api.ApiClient;
import dev.oleander.web.job.document.OrderValues;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.release.Release;
import dev.oleander.web.release.ReleaseFiles;
import dev.oleander.web.release.ReleaseService;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What happens at stops besides their cuts: set on the slip, told on paper. */
class StopEventsPageTest extends WebTest {

    @Autowired private ReleaseService releases;

    private PageClient pages;
    private long job;

    @BeforeEach
    void makeJob() {
        pages = new PageClient(port).signedIn("mira");
        job = makeJob("cleat_backing_plate", "Stops for people", 2);
        jobs.edit(job, "unit", b -> OrderValues.UNIT.put(b.document(), "mm"), person("mira"));
    }

    private HttpResponse<String> add(String kind, String amount, String text, String scope) {
        return post("events", kind, amount, text, scope);
    }

    private HttpResponse<String> post(
            String path, String kind, String amount, String text, String scope) {
        Map<String, String> fields = new HashMap<>();
        fields.put("stop", "c1.1");
        fields.put("kind", kind);
        fields.put("when", "before");
        fields.put("amount", amount);
        fields.put("text", text);
        fields.put("scope", scope);
        fields.put("step", String.valueOf(jobs.view(job).step()));
        return pages.post("/jobs/%d/cuts/%s".formatted(job, path), fields);
    }

    private JobResult result() {
        return jobs.view(job).result();
    }

    @Test
    void aStopForPeopleIsSetTimedShownReleasedAndTakenAway() throws Exception {
        HttpResponse<String> added = add("stop", "90", "Turn the plate", "copy");
        assertThat(added.statusCode()).isEqualTo(200);
        assertThat(added.body())
                .contains("Stop before the cut, about 1:30: Turn the plate", "waits");
        assertThat(result().timeline().seconds().people()).isEqualTo(90);
        String scene = pages.get("/jobs/%d/scene".formatted(job)).body();
        assertThat(scene).contains("\"halts\":1");
        String run = new ApiClient(port, "mira").get("/api/jobs/%d/run".formatted(job)).text();
        assertThat(run)
                .contains(
                        "\"events\":[{\"kind\":\"stop\",\"when\":\"before\",\"amount\":90.0,\"text\":\"Turn the plate\"}]");

        Release made = releases.release(job, person("mira"));
        assertThat(made.program()).contains(" M0 (Turn the plate)");
        try (PDDocument sheet = Loader.loadPDF(ReleaseFiles.sheet(made).getBody())) {
            assertThat(new PDFTextStripper().getText(sheet))
                    .contains("Turn the plate", "always", "Outline", "Stops for people 1:30");
        }

        HttpResponse<String> gone = post("events/remove", "stop", "90", "Turn the plate", "copy");
        assertThat(gone.body()).doesNotContain("Turn the plate");
        assertThat(result().run().events()).isEmpty();
        assertThat(jobs.undo(job, person("mira")).result().run().events()).hasSize(1);
    }

    @Test
    void forAllCopiesItHappensOnEach() {
        add("dwell", "1.5+1", "", "all");
        assertThat(result().run().events().keySet()).containsExactlyInAnyOrder("c1.1", "c1.2");
        StopEvent wait = result().run().events().get("c1.2").get(0);
        assertThat(wait).isEqualTo(new StopEvent(StopEvent.Kind.DWELL, true, 2.5, ""));
        add("optionalStop", "", "Look", "all");
        assertThat(result().run().events().get("c1.1").get(1).amount()).isEqualTo(60);
    }

    @Test
    void anotherGasIsPostedAndHasToBeAccepted() {
        assertThat(add("gas", "14", "nitrogen", "copy").statusCode()).isEqualTo(200);
        assertThat(add("condition", "7", "", "copy").body())
                .contains(
                        "Gas before the cut, 14 bar: nitrogen",
                        "Condition before the cut number 7");
        assertThat(result().proof().findings())
                .filteredOn(f -> f.rule().equals("data"))
                .extracting(f -> f.sentence())
                .anyMatch(s -> s.contains("is cut with nitrogen at 14 bar by hand"))
                .anyMatch(s -> s.contains("is cut with condition 7 by hand"));
    }

    @Test
    void whatIsMissingOrTooMuchIsSaidInPlace() {
        assertSaid(add("stop", "10", " ", "all"), "Say why it stops");
        assertSaid(add("comment", "", "", "all"), "A comment needs a text");
        assertSaid(
                add("dwell", "-1", "", "all"), "Wait is -1 s; a value from 0 to 3600 is possible.");
        assertSaid(add("dwell", "soon", "", "all"), "soon");
        assertSaid(add("comment", "", "x".repeat(51), "all"), "has 51 characters, 50 fit");
        assertSaid(add("gas", "12", "", "all"), "Say which gas: oxygen, nitrogen, air, argon.");
        assertSaid(add("gas", "12", "steam", "all"), "There is no gas");
        assertSaid(add("gas", "", "air", "all"), "Say the pressure of the gas, bar.");
        assertSaid(add("condition", "7.5", "", "all"), "a whole number from 0 to 999");
        assertSaid(add("condition", "", "", "all"), "Say the number of the condition.");
        assertSaid(add("dance", "", "x", "all"), "There is no event");
        for (int i = 0; i < 8; i++) {
            add("comment", "", "line " + i, "all");
        }
        assertSaid(add("comment", "", "one more", "all"), "8 events at most");
        assertThat(result().run().events().get("c1.1")).hasSize(8);
    }

    private static void assertSaid(HttpResponse<String> answer, String sentence) {
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains(sentence);
    }
}
