package dev.oleander.web.release;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.drawing.read.Purpose;
import dev.oleander.web.WebTest;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.OrderValues;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class ReleaseServiceTest extends WebTest {

    @Autowired private ReleaseService releases;

    private long releasable(String name) {
        long id = makeJob("cleat_backing_plate", name, 3);
        jobs.edit(id, "unit", b -> OrderValues.UNIT.put(b.document(), "mm"), person("mira"));
        return id;
    }

    @Test
    void aReleaseKeepsEverythingItWasMadeFrom() {
        long id = releasable("Kept inputs");
        Release made = releases.release(id, person("anselm"));
        JsonNode inputs = JsonMapper.shared().readTree(made.inputs());
        assertThat(inputs.get("document").get("order").get("quantity").asInt()).isEqualTo(3);
        assertThat(inputs.get("machine").get("name").asString()).isEqualTo("Teasel");
        assertThat(inputs.get("cutData").get(0).get("kerf").asDouble()).isEqualTo(0.26);
        assertThat(inputs.get("placements")).hasSize(3);
        assertThat(made.dialectVersion()).isEqualTo(1);
        assertThat(made.step()).isEqualTo(jobs.view(id).step());
        assertThat(made.releasedBy().fullName()).isEqualTo("Anselm Byre");
        assertThat(made.sha256()).hasSize(64);
        assertThat(made.previousSha256()).isNull();
        assertThat(made.seconds()).isEqualTo(jobs.view(id).result().timeline().total());
    }

    @Test
    void theProgramSaysWhatItIsFor() {
        long id = releasable("Müller & Söhne (3)");
        Release made = releases.release(id, person("mira"));
        assertThat(made.fileName()).matches("\\d+-mu-ller-so-hne-3-A\\.nc|\\d+-m.*-3-A\\.nc");
        assertThat(made.program()).contains("revision A", "(3 off, mild steel 6 mm");
        assertThat(made.program().chars()).allMatch(c -> c < 128);
    }

    @Test
    void whatWasReleasedStaysWhenTheJobChanges() {
        long id = releasable("Unchanging");
        Release first = releases.release(id, person("mira"));
        String program = first.program();
        jobs.edit(id, "quantity", b -> OrderValues.QUANTITY.put(b.document(), "5"), person("mira"));
        Release second = releases.release(id, person("mira"));
        assertThat(releases.find(first.id()).program()).isEqualTo(program);
        assertThat(second.program()).isNotEqualTo(program);
        assertThat(releases.ofJob(id)).extracting(Release::revision).containsExactly("B", "A");
        assertThat(releases.find(id, "A").id()).isEqualTo(first.id());
        assertThatThrownBy(() -> releases.find(id, "C")).isInstanceOf(NotFoundException.class);
    }

    @Test
    void nothingToCutIsNothingToRelease() {
        long id = releasable("Empty");
        jobs.edit(
                id,
                "ignored",
                b -> b.document().reshaped(s -> s.withLayer("PLATE", Purpose.IGNORE)),
                person("mira"));
        assertThatThrownBy(() -> releases.release(id, person("mira")))
                .isInstanceOf(ReleaseRefusedException.class)
                .hasMessage("There is nothing to cut.");
    }

    @Test
    void findingsForbidARelease() {
        long id = makeJob("fairlead_base_gaps", "Forbidden", 1);
        assertThatThrownBy(() -> releases.release(id, person("mira")))
                .isInstanceOfSatisfying(
                        ReleaseRefusedException.class, e -> assertThat(e.findings()).isNotEmpty())
                .hasMessageContaining("stand against a release");
        assertThat(releases.ofJob(id)).isEmpty();
    }

    @Test
    void releasesMadeAtOnceGetLettersOfTheirOwn() throws Exception {
        long id = releasable("At once");
        ExecutorService threads = Executors.newFixedThreadPool(4);
        try {
            Callable<String> release = () -> releases.release(id, person("mira")).revision();
            for (Future<String> made :
                    threads.invokeAll(List.of(release, release, release, release))) {
                assertThat(made.get()).isIn("A", "B", "C", "D");
            }
        } finally {
            threads.shutdown();
        }
        List<Release> chain = releases.ofJob(id);
        assertThat(chain).extracting(Release::revision).containsExactly("D", "C", "B", "A");
        for (int i = 0; i + 1 < chain.size(); i++) {
            assertThat(chain.get(i).previousSha256()).isEqualTo(chain.get(i + 1).sha256());
        }
    }
}
