package dev.oleander.web.letter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.web.WebTest;
import dev.oleander.web.api.ApiClient;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Pictures, holes and shapes over HTTP, against figures that were worked out by other code. */
class PictureApiTest extends WebTest {

    private static final Path SAMPLES = Path.of("..", "samples", "lettering");

    private ApiClient api;

    @BeforeEach
    void call() {
        api = new ApiClient(port, "mira");
    }

    private static JsonNode of(String name) throws IOException {
        return JsonMapper.shared()
                .readTree(Files.readAllBytes(SAMPLES.resolve(name + ".case.json")));
    }

    private ApiClient.Answer ask(String path, String picture, JsonNode options) throws IOException {
        byte[] file = Files.readAllBytes(SAMPLES.resolve(picture + ".png"));
        return api.upload(
                path, Map.of("options", options.toString()), Map.of(picture + ".png", file));
    }

    private JsonNode traced(String name) throws IOException {
        ApiClient.Answer answer = ask("/api/trace", name, of(name).at("/request/options"));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    @Test
    void picturesBecomeLineWork() throws IOException {
        JsonNode disc = traced("disc_grey");
        assertThat(disc.get("contours")).hasSize(1);
        assertThat(disc.at("/contours/0/vertices")).hasSize(2);
        assertThat(disc.get("threshold").asDouble()).isBetween(100.0, 160.0);
        assertThat(disc.get("mmPerPixel").asDouble()).isEqualTo(0.1);
        JsonNode gear = traced("gear_24_grey");
        assertThat(gear.get("contours")).hasSize(2);
        assertThat(gear.at("/counts/elements").asInt()).isEqualTo(98);
        assertThat(gear.get("greatestDeviation").asDouble()).isLessThan(0.003);
        JsonNode pen = traced("pen_strokes");
        assertThat(pen.get("contours")).isEmpty();
        assertThat(pen.get("strokes")).hasSize(6);
        assertThat(pen.get("strokeWidth").asDouble()).isCloseTo(0.8, within(0.05));
        assertThat(traced("scan_board").get("contours"))
                .hasSize(of("scan_board").at("/truth/count").asInt());
    }

    @Test
    void whatCannotBeTracedIsSaid() throws IOException {
        JsonNode options = of("disc_grey").at("/request/options");
        assertThat(ask("/api/trace", "blank_picture", options).detail())
                .contains("Nothing is darker");
        assertThat(ask("/api/trace", "cut_off_picture", options).detail()).contains("ends after");
        assertThat(ask("/api/trace", "huge_by_header", options).detail())
                .contains("60,000 x 60,000 pixels; 60 million are allowed");
        JsonNode wrong = JsonMapper.shared().readTree("{\"mode\": \"both\"}");
        ApiClient.Answer refused = ask("/api/trace", "disc_grey", wrong);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.detail()).contains("mode is \"both\"; known are outline, centre");
        JsonNode two =
                JsonMapper.shared().readTree("{\"scale\": {\"width\": 30, \"mmPerPixel\": 0.1}}");
        assertThat(ask("/api/trace", "disc_grey", two).detail()).contains("said in 2 ways");
        JsonNode none = JsonMapper.shared().readTree("{\"levels\": 3}");
        assertThat(ask("/api/trace", "disc_grey", none).status()).isEqualTo(422);
    }

    @Test
    void picturesBecomeHoles() throws IOException {
        JsonNode of = of("even_grey");
        JsonNode made = ask("/api/dots", "even_grey", of.get("request")).json();
        assertThat(made.get("holes")).hasSize(of.at("/truth/holes").asInt());
        assertThat(made.get("openShare").asDouble())
                .isCloseTo(of.at("/truth/openShare").asDouble(), within(0.01));
    }

    @Test
    void shapesShowTheirValues() throws IOException {
        JsonNode of = of("oval_flange");
        JsonNode shape = api.post("/api/shape", of.get("request").toString()).json();
        assertThat(shape.get("contours")).hasSize(of.at("/truth/contours").asInt());
        assertThat(shape.get("shown").findValuesAsString("parameter"))
                .contains("middle", "ends", "centres", "bore", "hole");
        assertThat(api.get("/api/shape").json().findValuesAsString("kind"))
                .contains(
                        "gusset", "saddle", "hingePlate", "keyholePlate", "endCap", "slottedAngle");
        ApiClient.Answer wrong =
                api.post("/api/shape", "{\"kind\": \"frame\", \"values\": {\"border\": \"90\"}}");
        assertThat(wrong.status()).isEqualTo(422);
        assertThat(wrong.detail()).contains("A border of 90 mm leaves no opening");
        assertThat(api.post("/api/shape", "{\"kind\": \"cog\"}").detail())
                .contains("There is no shape \"cog\"");
        assertThat(
                        api.post(
                                        "/api/shape",
                                        "{\"kind\": \"frame\", \"values\": {\"rim\": \"1\"}}")
                                .detail())
                .contains("Frame has no value \"rim\"");
    }
}
