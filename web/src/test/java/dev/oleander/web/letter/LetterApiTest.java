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
import tools.jackson.databind.node.ObjectNode;

/** Fonts, texts and bridges over HTTP, against figures that were worked out by other code. */
class LetterApiTest extends WebTest {

    private static final Path SAMPLES = Path.of("..", "samples", "lettering");

    private ApiClient api;

    @BeforeEach
    void call() {
        api = new ApiClient(port, "mira");
    }

    private static JsonNode letterCase(String name) throws IOException {
        return JsonMapper.shared()
                .readTree(Files.readAllBytes(SAMPLES.resolve(name + ".case.json")));
    }

    private JsonNode bring() throws IOException {
        byte[] file = Files.readAllBytes(SAMPLES.resolve("slip_block.ttf"));
        ApiClient.Answer brought =
                api.upload("/api/fonts", Map.of(), Map.of("slip_block.ttf", file));
        assertThat(brought.status()).as(brought.text()).isEqualTo(201);
        return brought.json();
    }

    @Test
    void aFontIsBroughtInOnceAndShipsBesideOthers() throws IOException {
        JsonNode font = bring();
        assertThat(font.get("family").asString()).isEqualTo("Slip Block");
        assertThat(font.get("capHeight").asDouble()).isEqualTo(700);
        assertThat(bring().get("sha256")).isEqualTo(font.get("sha256"));
        JsonNode all = api.get("/api/fonts").json();
        assertThat(all.findValuesAsString("family"))
                .contains("Commissioner", "Marking", "Slip Block");
        assertThat(all.findValuesAsString("sha256")).doesNotHaveDuplicates();
        ApiClient.Answer none = api.upload("/api/fonts", Map.of(), Map.of("a.ttf", new byte[40]));
        assertThat(none.status()).isEqualTo(422);
        assertThat(none.detail()).contains("a.ttf is no font");
    }

    @Test
    void aTextIsLaidOut() throws IOException {
        JsonNode of = letterCase("arc_outside_top");
        ObjectNode request = (ObjectNode) of.get("request");
        request.put("font", bring().get("sha256").asString());
        ApiClient.Answer answer = api.post("/api/letter", request.toString());
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        JsonNode laid = answer.json();
        assertThat(laid.get("length").asDouble())
                .isCloseTo(of.at("/truth/length").asDouble(), within(1e-6));
        assertThat(laid.at("/letters/0/char").asString()).isEqualTo("S");
        assertThat(laid.at("/letters/0/at/0").asDouble())
                .isCloseTo(of.at("/truth/letters/0/at/0").asDouble(), within(1e-6));
        for (JsonNode path : laid.get("paths")) {
            assertThat(path.get("closed").asBoolean()).isTrue();
        }
        request.put("text", "HALT \u0416");
        ApiClient.Answer missing = api.post("/api/letter", request.toString());
        assertThat(missing.status()).isEqualTo(422);
        assertThat(missing.detail()).contains("Slip Block has no letter", "U+0416");
        request.put("font", "none");
        assertThat(api.post("/api/letter", request.toString()).status()).isEqualTo(404);
        request.put("font", (String) null);
        assertThat(api.post("/api/letter", request.toString()).detail())
                .contains("A text needs a font");
        request.put("turn", "sideways");
        request.put("font", bring().get("sha256").asString());
        assertThat(api.post("/api/letter", request.toString()).detail())
                .contains("turn is \"sideways\"; known are along, upright, bent");
    }

    @Test
    void everyCopyHasItsText() throws IOException {
        JsonNode of = letterCase("counting_texts");
        JsonNode texts = api.post("/api/letter/texts", of.get("request").toString()).json();
        assertThat(texts.get("texts")).isEqualTo(of.at("/truth/texts"));
        ApiClient.Answer wrong =
                api.post("/api/letter/texts", "{\"text\": \"{serial}\", \"csv\": \"no\\n1\"}");
        assertThat(wrong.status()).isEqualTo(422);
        assertThat(wrong.detail()).contains("no column \"serial\"");
    }

    @Test
    void islandsGetTheirBridges() throws IOException {
        JsonNode of = letterCase("word_board");
        JsonNode found = api.post("/api/bridges", of.get("request").toString()).json();
        assertThat(found.get("islands").asInt()).isEqualTo(6);
        assertThat(found.get("bridges")).hasSize(6);
        assertThat(found.get("keptPieces").asInt()).isEqualTo(1);
        ApiClient.Answer wrong = api.post("/api/bridges", "{\"contours\": [], \"width\": 3}");
        assertThat(wrong.status()).isEqualTo(422);
        assertThat(wrong.detail()).contains("0 contours");
        ObjectNode request = (ObjectNode) of.get("request");
        request.put("direction", "up");
        assertThat(api.post("/api/bridges", request.toString()).detail())
                .contains("direction is \"up\"");
    }

    @Test
    void aStencilHasStripsThroughItsLetters() throws IOException {
        ObjectNode request = (ObjectNode) letterCase("letter_o").get("request");
        request.put("look", "stencil");
        JsonNode found = api.post("/api/bridges", request.toString()).json();
        assertThat(found.get("islands").asInt()).isEqualTo(1);
        assertThat(found.get("bridges")).hasSize(2);
        assertThat(found.get("keptPieces").asInt()).isEqualTo(1);
        request.put("look", "cosy");
        assertThat(api.post("/api/bridges", request.toString()).detail())
                .contains("look is \"cosy\"; it is fewest or stencil");
        request.put("look", "fewest");
        request.put("fillet", 50);
        assertThat(api.post("/api/bridges", request.toString()).detail())
                .contains("Fillets of 50.0 mm");
    }
}
