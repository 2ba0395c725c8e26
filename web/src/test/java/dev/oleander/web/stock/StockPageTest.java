package dev.oleander.web.stock;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.web.WebTest;
import dev.oleander.web.account.PageClient;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

class StockPageTest extends WebTest {

    @LocalServerPort private int port;
    private PageClient pages;

    @BeforeEach
    void signIn() {
        pages = new PageClient(port).signedIn("mira");
    }

    private HttpResponse<String> add(String field, String value) {
        Map<String, String> typed = new HashMap<>();
        typed.put("material", "bronze");
        typed.put("thickness", "4");
        typed.put("width", "640");
        typed.put("height", "25 + 15");
        typed.put("place", "rack 7");
        typed.put(field, value);
        return pages.post("/stock", typed);
    }

    @Test
    void aPlainRemnantIsAddedAndFound() {
        assertThat(add("place", "rack 7").statusCode()).isEqualTo(302);
        assertThat(pages.get("/stock?text=bronze").body()).contains("640 × 40").contains("rack 7");
    }

    @Test
    void whatIsMissingOrWrongIsSaidAndNothingIsAdded() {
        int before = pages.get("/stock?all=true").body().split("<tr id").length;
        assertRefused(add("width", ""), "The width of the remnant is missing");
        assertRefused(add("thickness", ""), "The thickness of the remnant is missing");
        assertRefused(add("material", " "), "needs a material");
        assertRefused(add("height", "-3"), "The height of the remnant is -3 mm");
        assertRefused(add("height", "tall"), "tall");
        assertThat(pages.get("/stock?all=true").body().split("<tr id")).hasSize(before);
    }

    private static void assertRefused(HttpResponse<String> answer, String sentence) {
        assertThat(answer.statusCode()).as(sentence).isEqualTo(422);
        assertThat(answer.body()).contains(sentence);
    }
}
