package dev.oleander.web.api;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.web.WebTest;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Calls that say which state of a job they were made from. */
class EntityTagTest extends WebTest {

    private ApiClient api;
    private String job;

    @BeforeEach
    void makeJob() {
        api = new ApiClient(port, "mira");
        job = "/api/jobs/" + makeJobInMillimetres("cleat_backing_plate", "Tags", 1);
    }

    private ApiClient.Answer gap(ApiClient client, int mm) {
        return client.send("PUT", job + "/sheet", "{\"gap\": %d}".formatted(mm));
    }

    @Test
    void theTagOfAJobIsItsStepAndGoesOnWithEveryEdit() {
        ApiClient.Answer first = api.get(job);
        assertThat(first.tag()).isEqualTo("\"%d\"".formatted(first.json().get("step").asInt()));
        ApiClient.Answer second = gap(api.ifMatch(first.tag()), 12);
        assertThat(second.status()).isEqualTo(200);
        assertThat(second.tag()).isNotEqualTo(first.tag()).isEqualTo(api.get(job).tag());
        assertThat(gap(api.ifMatch(second.tag()), 13).status()).isEqualTo(200);
        assertThat(gap(api, 14).status()).as("without a tag").isEqualTo(200);
        assertThat(gap(api.ifMatch("*"), 15).status()).isEqualTo(200);
    }

    @Test
    void anOldTagIsRefusedAndNothingChanges() {
        String old = api.get(job).tag();
        gap(new ApiClient(port, "anselm"), 12);
        String now = api.get(job).tag();
        ApiClient late = api.ifMatch(old);
        String stop = api.get(job + "/run").json().get("stops").get(0).get("id").asString();
        ApiClient.Answer[] refused = {
            gap(late, 13),
            late.send("PATCH", job + "/run/stops/" + stop, "{\"overRun\": 1}"),
            late.send("POST", job + "/plan", "{}"),
            late.send("POST", job + "/mend", "{}"),
            late.send("POST", job + "/releases", "{}"),
            late.send(
                    "POST",
                    job + "/draw",
                    "{\"command\": \"circle\", \"values\": {\"x\": \"9\", \"y\": \"9\", \"diameter\": \"4\"}}")
        };
        for (ApiClient.Answer answer : refused) {
            assertThat(answer.status()).as(answer.text()).isEqualTo(412);
            assertThat(answer.detail()).contains("Anselm", "changed this job meanwhile");
        }
        assertThat(api.get(job).tag()).isEqualTo(now);
        assertThat(api.ifMatch(now).send("POST", job + "/releases", "{}").status()).isEqualTo(201);
    }

    @Test
    void aTagThatIsNoneIsTold() {
        for (String tag : new String[] {"7", "\"seven\"", "W/\"7\"", "\"7\", \"8\""}) {
            ApiClient.Answer answer = gap(api.ifMatch(tag), 12);
            assertThat(answer.status()).isEqualTo(422);
            assertThat(answer.detail()).contains("must be the ETag");
        }
    }
}
