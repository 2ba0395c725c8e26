package dev.oleander.web.product;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.web.WebTest;
import dev.oleander.web.api.ApiClient;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import org.junit.jupiter.api.BeforeEach;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The locker over HTTP, for tests of products. */
abstract class ProductTest extends WebTest {

    static final Path SAMPLES = Path.of("..", "samples", "router", "panels");
    private static final Duration LONG = Duration.ofSeconds(120);

    ApiClient api;

    @BeforeEach
    void call() {
        api = new ApiClient(port, "mira");
    }

    static String text(String name) {
        try {
            return Files.readString(SAMPLES.resolve(name));
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    static JsonNode truth(String name) {
        return JsonMapper.shared().readTree(text(name));
    }

    long locker() {
        ApiClient.Answer made = api.post("/api/products", text("galley_locker.product.json"));
        assertThat(made.status()).as(made.text()).isEqualTo(201);
        assertThat(made.header("Location")).startsWith("/api/products/");
        return made.json().get("id").asLong();
    }

    JsonNode get(String path, Object... with) {
        ApiClient.Answer answer = api.get(path.formatted(with));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    JsonNode panel(long id, String name) {
        for (JsonNode panel : get("/api/products/%d", id).get("panels")) {
            if (panel.get("id").asString().equals(name)) {
                return panel;
            }
        }
        throw new AssertionError("no panel " + name);
    }

    /** Makes, lays or releases them, and waits. */
    void programs(long id, String what) {
        ApiClient.Answer begun = api.post("/api/products/%d/%s".formatted(id, what), "{}");
        assertThat(begun.status()).as(begun.text()).isEqualTo(202);
        done(id);
    }

    void done(long id) {
        long until = System.nanoTime() + LONG.toNanos();
        String phase = "";
        while (!phase.equals("done")) {
            assertThat(System.nanoTime()).as(phase).isLessThan(until);
            phase = get("/api/products/%d/programs", id).get("phase").asString();
            assertThat(phase).isIn("waiting", "running", "done");
        }
    }
}
