package dev.oleander.web.api;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.nesting.NestCheck;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.web.WebTest;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.nest.Nests;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import tools.jackson.databind.JsonNode;

/** Nests over HTTP: begun, searched, and checked. */
abstract class NestCalls extends WebTest {

    protected ApiClient mira;

    @BeforeEach
    void signIn() {
        mira = new ApiClient(port, "mira");
    }

    protected static ApiClient.Answer good(ApiClient.Answer answer, int status) {
        assertThat(answer.status()).as(answer.text()).isEqualTo(status);
        return answer;
    }

    protected JsonNode get(String path) {
        return good(mira.prefer("wait=60").get(path), 200).json();
    }

    protected String order(long job) {
        JobDocument of = jobs.present(job).document();
        return "\"machine\": \"%s\", \"material\": \"%s\", \"thickness\": %s"
                .formatted(of.machine(), of.material(), of.thickness().value());
    }

    protected long nest(long first, String lines, String more) {
        String body =
                "{\"name\": \"Both\", %s, \"lines\": [%s]%s}".formatted(order(first), lines, more);
        return good(mira.post("/api/nests", body), 201).json().get("id").asLong();
    }

    protected JsonNode searched(long nest, String wish) throws InterruptedException {
        JsonNode begun = good(mira.post("/api/nests/%d/runs".formatted(nest), wish), 202).json();
        String path = "/api/nests/%d/runs/%d".formatted(nest, begun.get("number").asInt());
        until(() -> !List.of("waiting", "running").contains(get(path).get("state").asString()));
        return get(path);
    }

    protected static final String SHORT = "{\"rounds\": 2, \"seed\": 3}";

    protected List<NestedSheet> legal(long nest) {
        JobResult result = jobs.view(nest).result();
        List<NestedSheet> laid = result.document().nest().orElseThrow().choices().laid();
        NestTask task = Nests.task(result);
        assertThat(NestCheck.faults(task, laid)).isEmpty();
        return laid;
    }

    protected String line(long job, int quantity) {
        return "{\"job\": %d, \"quantity\": %d}".formatted(job, quantity);
    }
}
