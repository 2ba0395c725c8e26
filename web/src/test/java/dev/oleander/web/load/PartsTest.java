package dev.oleander.web.load;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.web.WebTest;
import dev.oleander.web.account.PageClient;
import dev.oleander.web.api.ApiClient;
import java.net.http.HttpResponse;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** Every edit says how long its parts took. */
class PartsTest extends WebTest {

    @AfterEach
    void end() {
        Parts.end();
    }

    @Test
    void outsideOfRequestsNothingIsMeasured() {
        assertThat(Parts.of("work", () -> 3)).isEqualTo(3);
        assertThat(Parts.told()).isEmpty();
    }

    @Test
    void partsOfOneNameAreSummedUpInTheOrderInWhichTheyBegan() {
        Parts.begin();
        Parts.of("read", () -> 1);
        Parts.of("write", () -> 2);
        Parts.of("read", () -> 3);
        assertThat(Parts.told()).matches("read;dur=\\d+\\.\\d, write;dur=\\d+\\.\\d");
    }

    @Test
    void anEditOnThePageTellsItsParts() {
        long job = makeJob("cleat_backing_plate", "Parts of an edit", 1);
        HttpResponse<String> edit =
                new PageClient(port)
                        .signedIn("mira")
                        .post(
                                "/jobs/%d/sheet/sheet-values".formatted(job),
                                Map.of("field", "turn", "value", "90"));
        assertThat(edit.statusCode()).isEqualTo(200);
        assertThat(edit.headers().firstValue("Server-Timing").orElse(""))
                .contains("read;dur=", "edit;dur=", "write;dur=", "plan;dur=", "views;dur=");
    }

    @Test
    void anEditOverHttpTellsThemToo() {
        long job = makeJob("cleat_backing_plate", "Parts over HTTP", 1);
        ApiClient.Answer edit =
                new ApiClient(port, "mira")
                        .send("PUT", "/api/jobs/%d/sheet".formatted(job), "{\"turn\": 90}");
        assertThat(edit.status()).isEqualTo(200);
        assertThat(edit.header("Server-Timing")).contains("plan;dur=");
    }
}
