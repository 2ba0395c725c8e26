package dev.oleander.web.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.proof.Finding;
import dev.oleander.web.WebTest;
import dev.oleander.web.api.ApiClient;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.document.Scope;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.job.store.Stage;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What is true of the same feature on every sheet is accepted once. */
class AcceptancesTest extends WebTest {

    @Autowired private ValueEdits values;

    /** Every outline runs far over its end, which is a finding on both kinds of sheet. */
    private long overrun(String name) {
        long job = makeThreeSheets(name);
        JobResult first = jobs.view(job).result();
        List<String> outlines =
                first.run().stops().stream()
                        .filter(s -> s.name().equals("Outline"))
                        .map(s -> s.id())
                        .limit(1)
                        .toList();
        jobs.edit(
                job,
                "side",
                values.ofStops(outlines, Scope.ALL, Map.of("side", "inside")),
                person("mira"));
        return job;
    }

    @Test
    void aFindingOfEverySheetIsAcceptedAndTakenBackOnce() {
        long job = overrun("Every sheet");
        JobResult result = jobs.view(job).result();
        List<Finding> here = result.proof().open();
        List<Finding> there = result.on(2).proof().open();
        assertThat(here).isNotEmpty();
        assertThat(there).isNotEmpty();
        assertThat(here.get(0).key()).isNotEqualTo(there.get(0).key());
        assertThat(here.get(0).isLike(there.get(0))).isTrue();
        assertThat(jobs.view(job).stage(Stage.PROOF).needs()).hasSize(here.size() + there.size());
        String key = Acceptances.key(result, "2/" + there.get(0).id());
        assertThat(key).isEqualTo(there.get(0).key());
        var accepted = Acceptances.of(result, result.document(), key, "seen");
        assertThat(accepted.acceptances()).containsOnlyKeys(here.get(0).key(), there.get(0).key());
        var back = Acceptances.of(result, accepted, here.get(0).key(), null);
        assertThat(back.acceptances()).isEmpty();
    }

    @Test
    void aNameThatNoProofKnowsIsRefused() {
        JobResult result = jobs.view(makeThreeSheets("No such finding")).result();
        assertThatThrownBy(() -> Acceptances.key(result, "3/f1"))
                .isInstanceOf(RefusedEditException.class)
                .hasMessage("The proof has no finding \"3/f1\".");
    }

    @Test
    void aReleaseNamesFindingsOfEverySheet() {
        long job = overrun("Not released");
        ApiClient mira = new ApiClient(port, "mira");
        ApiClient.Answer refused =
                mira.prefer("wait=60").post("/api/jobs/%d/releases".formatted(job), "{}");
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.json().get("findings").size())
                .isEqualTo(jobs.view(job).stage(Stage.PROOF).needs().size());
    }
}
