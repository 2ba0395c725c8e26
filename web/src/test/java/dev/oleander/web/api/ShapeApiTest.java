package dev.oleander.web.api;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.web.WebTest;
import dev.oleander.web.api.ApiClient.Answer;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Mending, drawing, new versions and files of drawings over HTTP. */
class ShapeApiTest extends WebTest {

    private ApiClient mira;

    @BeforeEach
    void signIn() {
        mira = new ApiClient(port, "mira");
    }

    private String path(long job) {
        return "/api/jobs/" + job;
    }

    @Test
    void mendingSaysWhatItChanged() {
        long job = makeJob("fairlead_base_gaps", "Mended over HTTP", 1);
        Answer answer = mira.send("POST", path(job) + "/mend", "{\"tolerance\": 2}");
        assertThat(answer.status()).isEqualTo(200);
        JsonNode changes = answer.json().get("changes");
        assertThat(changes).hasSize(13);
        assertThat(changes.get(0).get("kind").asString()).isEqualTo("gap");
        assertThat(changes.get(0).get("place")).hasSize(2);
        assertThat(answer.json().get("reading").get("parts").asInt()).isEqualTo(2);
        assertThat(jobs.view(job).undoLabel()).contains("Mend all");
    }

    @Test
    void onlyWhatIsNamedIsMended() {
        long job = makeJob("fairlead_base_gaps", "Crumbs only", 1);
        Answer answer = mira.send("POST", path(job) + "/mend", "{\"kinds\": [\"crumbs\"]}");
        assertThat(answer.json().get("changes")).isEmpty();
        long open =
                answer.json()
                        .get("reading")
                        .get("contours")
                        .valueStream()
                        .filter(c -> !c.get("closed").asBoolean())
                        .count();
        assertThat(open).as("lines that gaps keep open").isGreaterThan(1);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"tolerance\": -1} | The tolerance is -1",
                "{\"tolerance\": 50} | must lie between 0.001 and 2",
                "{\"kinds\": [\"paint\"]} | \"paint\" is nothing that can be mended"
            })
    void whatCannotBeMendedIsToldAndNothingChanges(String body, String sentence) {
        long job = makeJob("fairlead_base_gaps", "Not mended", 1);
        Answer answer = mira.send("POST", path(job) + "/mend", body);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.detail()).contains(sentence);
        assertThat(jobs.view(job).step()).isEqualTo(1);
    }

    @Test
    void aListWithNothingInOneOfItsPlacesIsAMistakeOfTheCaller() {
        long job = makeJob("fairlead_base_gaps", "Empty place", 1);
        Answer answer = mira.send("POST", path(job) + "/mend", "{\"kinds\": [null]}");
        assertThat(answer.status()).as(answer.text()).isBetween(400, 422);
        assertThat(jobs.view(job).step()).isEqualTo(1);
    }

    @Test
    void aNewVersionKeepsDecisionsAndListsWhatMovedAndWhatIsGone() {
        long job = makeJob("cleat_backing_plate", "Revised over HTTP", 1);
        String first = jobs.view(job).result().run().stops().get(0).id();
        mira.send("PATCH", path(job) + "/run/stops/" + first, "{\"overRun\": 1.5}");
        Answer same =
                mira.upload(
                        "PUT",
                        path(job) + "/drawing",
                        Map.of(),
                        Map.of("second.dxf", sample("cleat_backing_plate")));
        assertThat(same.status()).isEqualTo(200);
        assertThat(same.json().get("kept").asInt()).isEqualTo(8);
        assertThat(same.json().get("stale")).isEmpty();
        assertThat(same.json().get("lost")).isEmpty();
        assertThat(jobs.view(job).result().stops().get(first).overRun()).isEqualTo(1.5);

        String plain =
                "0\nSECTION\n2\nENTITIES\n0\nCIRCLE\n8\nPLATE\n10\n0\n20\n0\n40\n40\n0\nENDSEC\n0\nEOF\n";
        Answer other =
                mira.upload(
                        "PUT",
                        path(job) + "/drawing",
                        Map.of(),
                        Map.of("third.dxf", plain.getBytes(StandardCharsets.UTF_8)));
        assertThat(other.json().get("kept").asInt()).isZero();
        assertThat(other.json().get("lost").size() + other.json().get("stale").size()).isEqualTo(8);
        assertThat(other.json().get("lost").get(0).get("place")).hasSize(2);
        Answer release = mira.send("POST", path(job) + "/releases", "{}");
        assertThat(release.status()).isEqualTo(409);
        assertThat(release.detail()).contains("New version of the drawing");
    }

    @Test
    void aNewVersionThatCannotBeReadChangesNothing() {
        long job = makeJob("cleat_backing_plate", "Bad version", 1);
        Answer answer =
                mira.upload(
                        "PUT",
                        path(job) + "/drawing",
                        Map.of(),
                        Map.of("bad.svg", "<svg><script/></svg>".getBytes(StandardCharsets.UTF_8)));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.detail()).contains("bad.svg is refused", "a script");
        assertThat(jobs.view(job).step()).isEqualTo(1);
    }

    @ParameterizedTest
    @CsvSource({"dxf, image/vnd.dxf", "svg, image/svg+xml"})
    void theDrawingComesBackAsAFileThatReadsTheSame(String form, String type) {
        long job = makeJob("sheave_cheek_plate", "Sent back", 1);
        Answer file = mira.get(path(job) + "/drawing." + form);
        assertThat(file.status()).isEqualTo(200);
        assertThat(file.type()).startsWith(type);
        Map<String, String> order =
                Map.of(
                        "machine", "Teasel",
                        "material", "mild steel",
                        "thickness", "6",
                        "quantity", "1");
        Answer made =
                mira.upload(
                        "/api/jobs",
                        order,
                        Map.of("again." + form, file.text().getBytes(StandardCharsets.UTF_8)));
        assertThat(made.status()).isEqualTo(201);
        JsonNode before = mira.get(path(job) + "/reading").json();
        JsonNode after = mira.get(path(made.json().get("id").asLong()) + "/reading").json();
        assertThat(after.get("keptArea").asDouble())
                .isCloseTo(before.get("keptArea").asDouble(), within(1e-4));
        assertThat(after.get("cutLength").asDouble())
                .isCloseTo(before.get("cutLength").asDouble(), within(1e-4));
    }

    @Test
    void partsAreDrawnAndReadWithTheirForms() {
        long job = makeJob("cleat_backing_plate", "Drawn over HTTP", 1);
        Answer answer =
                mira.send(
                        "POST",
                        path(job) + "/draw",
                        "{\"command\": \"strip\", \"values\": {\"x\": \"500\", \"y\": \"0\", \"slots\": \"2+1\"}}");
        assertThat(answer.status()).isEqualTo(200);
        JsonNode form =
                answer.json()
                        .get("forms")
                        .valueStream()
                        .filter(f -> f.get("count").asInt() == 3)
                        .findFirst()
                        .orElseThrow();
        assertThat(form.get("kind").asString()).isEqualTo("slot");
        assertThat(form.get("length").asDouble()).isCloseTo(24, within(1e-9));
        Answer refused =
                mira.send(
                        "POST",
                        path(job) + "/draw",
                        "{\"command\": \"circle\", \"values\": {\"x\": \"0\", \"y\": \"0\", \"diameter\": \"0\"}}");
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.detail()).isEqualTo("The diameter is 0; it must be more than 0.");
        Answer nothing =
                mira.send("POST", path(job) + "/draw", "{\"command\": \"move\", \"values\": {}}");
        assertThat(nothing.detail()).startsWith("Select what to work on first");
    }

    @Test
    void theReadingTellsCopiesPurposesAndFits() {
        long job = makeJob("flag_socket_islands", "Read in full", 1);
        JsonNode reading = mira.get(path(job) + "/reading").json();
        assertThat(reading.has("copies")).isTrue();
        assertThat(reading.get("purposes").isObject()).isTrue();
        assertThat(reading.get("fits").get("tolerance").asDouble()).isEqualTo(0.01);
        assertThat(reading.get("contours").get(0).get("entities")).isNotEmpty();
    }
}
