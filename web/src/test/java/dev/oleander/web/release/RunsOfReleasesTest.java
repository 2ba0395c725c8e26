package dev.oleander.web.release;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.motion.Excerpt;
import dev.oleander.plan.stop.Stop;
import dev.oleander.web.WebTest;
import dev.oleander.web.api.ApiClient;
import dev.oleander.web.job.StageView;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.job.store.Stage;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Releases of jobs that take several sheets. */
class RunsOfReleasesTest extends WebTest {

    @Autowired private ReleaseService releases;
    @Autowired private Verifier verifier;
    @Autowired private Resuming resuming;

    private Release release(long job, Integer... runs) {
        return releases.release(
                job, new ReleaseWish(Map.of(), List.of(), List.of(runs)), person("mira"));
    }

    private StageView stage(long job) {
        return jobs.view(job).stage(Stage.RELEASE);
    }

    @Test
    void aReleaseHoldsTheProgramOfEveryRunWithItsCount() {
        long job = makeThreeSheets("All sheets");
        Release made = release(job);
        List<Release> all = releases.together(made.id());
        assertThat(all).extracting(Release::run).containsExactly(1, 2);
        assertThat(all).extracting(Release::times).containsExactly(2, 1);
        assertThat(all).extracting(Release::revision).containsOnly("A");
        assertThat(all).extracting(Release::title).containsExactly("A sheet 1", "A sheet 2");
        assertThat(all).extracting(Release::fileName).doesNotHaveDuplicates();
        assertThat(all.get(1).fileName()).contains("-sheet2.");
        JobResult rest = jobs.view(job).result().on(2);
        assertThat(Excerpt.stops(new KeptMotion(all.get(1)).program()))
                .containsExactlyElementsOf(rest.run().stops().stream().map(Stop::id).toList());
        assertThat(all.get(0).seconds()).isGreaterThan(all.get(1).seconds());
        assertThat(stage(job).isReady()).isTrue();
        assertThat(stage(job).sentence()).isEqualTo("revision A");
        assertThat(all).allSatisfy(r -> assertThat(r.sheet()).isNotEmpty());
    }

    @Test
    void allOfThemAreSealedOneAfterTheOther() {
        Release made = release(makeThreeSheets("Sealed"));
        List<Release> all = releases.together(made.id());
        assertThat(all.get(1).previousSha256()).isEqualTo(all.get(0).sha256());
        Verification verification = verifier.release(made.id());
        assertThat(verification.intact()).isTrue();
        assertThat(verification.checks())
                .extracting(Verification.Check::revision)
                .containsExactly("A sheet 2", "A sheet 1");
    }

    @Test
    void chosenSheetsAreReleasedAndTheRestIsAskedFor() {
        long job = makeThreeSheets("Chosen");
        release(job, 2);
        assertThat(stage(job).isReady()).isFalse();
        assertThat(stage(job).sentence()).isEqualTo("revision A, not sheet 1");
        Release next = release(job, 1);
        assertThat(next.revision()).isEqualTo("B");
        assertThat(stage(job).isReady()).isTrue();
        assertThatThrownBy(() -> release(job, 3))
                .isInstanceOf(RefusedEditException.class)
                .hasMessage("The job has no sheet 3 to release; it has 2.");
        assertThatThrownBy(() -> releases.find(job, "B", 2))
                .isInstanceOf(NotFoundException.class)
                .hasMessageContaining("no sheet 2");
    }

    /** A sheet whose program was written with other data or in another format is not released. */
    @Test
    void programsOfTheSameStepCountOnlyWhenTheyAreMadeOfTheSame() {
        long job = makeThreeSheets("Other data");
        Release first = release(job, 1);
        release(job, 2);
        assertThat(stage(job).isReady()).isTrue();
        JdbcTemplate owner = owner();
        owner.execute("alter table release disable trigger user");
        String change = "update release set inputs = ? where id = ?";
        try {
            String other =
                    first.inputs().replace("\"dataFingerprint\":\"", "\"dataFingerprint\":\"0");
            owner.update(change, other, first.id());
            assertThat(stage(job).sentence()).isEqualTo("revision B, not sheet 1");
        } finally {
            owner.update(change, first.inputs(), first.id());
            owner.execute("alter table release enable trigger user");
        }
    }

    @Test
    void aTrialOfStopsOfTheLastSheetIsOfThatSheetOnly() {
        long job = makeThreeSheets("Trial");
        String stop = jobs.view(job).result().on(2).run().stops().get(0).id();
        Release trial =
                releases.release(job, new ReleaseWish(Map.of(), List.of(stop)), person("mira"));
        assertThat(releases.together(trial.id())).hasSize(1);
        assertThat(trial.run()).isEqualTo(2);
        assertThat(trial.revision()).isEqualTo("T1");
        assertThat(Excerpt.stops(new KeptMotion(trial).program())).containsExactly(stop);
        assertThat(trial.program()).contains("revision T1 sheet 2 trial of 1 stop");
        ReleaseWish other = new ReleaseWish(Map.of(), List.of(stop), List.of(1));
        assertThatThrownBy(() -> releases.release(job, other, person("mira")))
                .hasMessage("None of these stops is on the sheets to release.");
    }

    @Test
    void everyRunIsBegunAgainAndComparedByItself() {
        long job = makeThreeSheets("Again");
        Release last = releases.together(release(job).id()).get(1);
        List<Resuming.Start> starts = resuming.starts(last);
        assertThat(starts).hasSize(8);
        assertThat(resuming.from(last, starts.get(3).stop()))
                .contains("revision A sheet 2 from stop 4");
        jobs.edit(
                job,
                "thickness",
                b -> b.document().withOrder(b.document().order().withName("Again, renamed")),
                person("mira"));
        Release renamed = releases.together(release(job).id()).get(1);
        RevisionChanges changes = new RevisionChanges(last, renamed);
        assertThat(changes.stops()).isEmpty();
        assertThat(changes.lines()).isNotEmpty();
    }

    @Test
    void aReleaseOfBeforeThereWereSeveralSheetsIsNotStaleForThat() {
        long job = makeOnSmallSheets("Before", 1);
        Release made = release(job);
        String now = ",\"restAround\":null,\"parts\":{}";
        assertThat(made.inputs()).contains(now);
        JdbcTemplate owner = owner();
        owner.execute("alter table release disable trigger user");
        try {
            String then = made.inputs().replace(now, "");
            owner.update("update release set inputs = ? where id = ?", then, made.id());
            assertThat(jobs.view(job).stage(Stage.RELEASE).sentence()).isEqualTo("revision A");
        } finally {
            owner.update("update release set inputs = ? where id = ?", made.inputs(), made.id());
            owner.execute("alter table release enable trigger user");
        }
    }

    @Test
    void theFilesAreListedOverHttpWithRunAndCount() {
        long job = makeThreeSheets("Files");
        ApiClient mira = new ApiClient(port, "mira");
        ApiClient.Answer made =
                mira.prefer("wait=60").post("/api/jobs/%d/releases".formatted(job), "{}");
        assertThat(made.status()).as(made.text()).isEqualTo(201);
        String at = "/api/releases/" + made.json().get("id").asLong();
        JsonNode programs = mira.get(at + "/programs").json();
        assertThat(programs.size()).isEqualTo(2);
        assertThat(programs.get(0).get("count").asInt()).isEqualTo(2);
        assertThat(programs.get(1).get("run").asInt()).isEqualTo(2);
        assertThat(programs.get(1).get("number").asInt()).isEqualTo(2);
        assertThat(mira.get(at + "/programs/2").text()).contains("revision A sheet 2");
        assertThat(mira.get(at + "/program").status()).isEqualTo(409);
        List<Release> all = releases.together(made.json().get("id").asLong());
        assertThat(made.json().get("seconds").asDouble())
                .isEqualTo(2 * all.get(0).seconds() + all.get(1).seconds());
        ApiClient.Answer chosen =
                mira.post("/api/jobs/%d/releases".formatted(job), "{\"runs\": [2]}");
        assertThat(chosen.json().get("revision").asString()).isEqualTo("B");
        ApiClient.Answer none =
                mira.post("/api/jobs/%d/releases".formatted(job), "{\"runs\": [7]}");
        assertThat(none.status()).isBetween(400, 499);
        assertThat(none.detail()).contains("no sheet 7");
    }
}
