package dev.oleander.web.api;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.web.WebTest;
import dev.oleander.web.account.PageClient;
import java.net.http.HttpResponse;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Control characters are refused wherever text comes in, and nothing breaks. */
class ControlCharactersTest extends WebTest {

    @ParameterizedTest
    @ValueSource(strings = {"\u0000", "\u0001", "\u001b", "\u0085", "\u007f"})
    void formsAndAddressesRefuseThem(String control) {
        long job = makeJob("cleat_backing_plate", "Plain", 1);
        PageClient mira = new PageClient(port).signedIn("mira");
        HttpResponse<String> edit =
                mira.post(
                        "/jobs/%d/cuts/order-values".formatted(job),
                        Map.of("field", "name", "value", "Cleat" + control));
        assertThat(edit.statusCode()).isEqualTo(400);
        assertThat(edit.body()).contains("value", "control character");
        assertThat(mira.get("/?text=" + PageClient.encoded(control)).statusCode()).isEqualTo(400);
        assertThat(jobs.view(job).document().name()).isEqualTo("Plain");
    }

    @Test
    void aNameIsOneLine() {
        long job = makeJob("cleat_backing_plate", "One line", 1);
        PageClient mira = new PageClient(port).signedIn("mira");
        HttpResponse<String> edit =
                mira.post(
                        "/jobs/%d/cuts/order-values".formatted(job),
                        Map.of("field", "name", "value", "Cleat\n} @page { size: A5"));
        assertThat(edit.statusCode()).isEqualTo(422);
        assertThat(edit.body()).contains("must be one line of text");
        ApiClient api = new ApiClient(port, "mira");
        Map<String, String> fields =
                Map.of(
                        "machine", "teasel",
                        "material", "mild steel",
                        "thickness", "6",
                        "quantity", "1",
                        "name", "two\r\nlines");
        ApiClient.Answer made =
                api.upload("/api/jobs", fields, Map.of("plate.dxf", sample("cleat_backing_plate")));
        assertThat(made.status()).isEqualTo(422);
        assertThat(made.detail()).contains("one line of text");
    }

    @ParameterizedTest
    @ValueSource(strings = {"\\u0000", "\\u0007", "\\b", "\\\\\\u001f", "\\u009F"})
    void bodiesRefuseThem(String escaped) {
        long job = makeJob("cleat_backing_plate", "Bodies", 1);
        ApiClient api = new ApiClient(port, "mira");
        String body = "{\"acceptances\": {\"f1\": \"because" + escaped + "\"}}";
        ApiClient.Answer answer = api.send("POST", "/api/jobs/%d/releases".formatted(job), body);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.detail()).contains("control character");
    }

    @Test
    void lineBreaksTabsAndReverseSolidiAreText() {
        long job = makeJob("cleat_backing_plate", "Text", 1);
        ApiClient api = new ApiClient(port, "mira");
        String body = "{\"acceptances\": {\"f99\": \"tab\\tline\\n\\\\u0000 \\u00e5\"}}";
        ApiClient.Answer answer = api.send("POST", "/api/jobs/%d/releases".formatted(job), body);
        assertThat(answer.detail()).contains("has no finding");
    }
}
