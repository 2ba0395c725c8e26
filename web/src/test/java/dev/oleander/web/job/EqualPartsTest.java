package dev.oleander.web.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.plan.stop.Stop;
import dev.oleander.web.WebTest;
import dev.oleander.web.account.PageClient;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.document.Scope;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What is set for one contour, copied to the same one of equal parts. */
class EqualPartsTest extends WebTest {

    @Autowired private ValueEdits edits;

    @Test
    void aStartIsCopiedToTheSamePlaceOfEqualParts() {
        long job = makeJob("sheave_cheek_plate", "Equal parts", 1);
        Stop first = stop(job, "Outline");
        jobs.edit(
                job,
                "x",
                edits.ofStops(
                        List.of(first.id()), Scope.ALL, Map.of("start", "40", "overRun", "1.5")),
                person("mira"));
        PageClient pages = new PageClient(port).signedIn("mira");
        assertThat(pages.get("/jobs/%d/cuts?stop=%s".formatted(job, first.id())).body())
                .contains("Copy to the same contour of an equal part");
        JobView copied = jobs.edit(job, "x", edits.copyToEqual(first.id()), person("mira"));
        List<Stop> same =
                copied.result().run().stops().stream()
                        .filter(s -> s.name().equals("Outline") && s.overRun() == 1.5)
                        .toList();
        assertThat(same).hasSize(2);
        assertThat(copied.result().run().refused()).isEmpty();
        // both leads lie at the same distance from the middle of their part
        assertThat(reach(copied, same.get(0))).isCloseTo(reach(copied, same.get(1)), within(0.1));
    }

    private static double reach(JobView job, Stop stop) {
        var feature = job.result().reading().byId().get(stop.feature());
        var placed =
                feature.contour()
                        .transformed(job.result().run().layout().placements().get(0).transform());
        return placed.centroid().distance(stop.path().orElseThrow().start());
    }

    private Stop stop(long job, String name) {
        return jobs.view(job).result().run().stops().stream()
                .filter(s -> s.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void nothingSetIsNothingToCopy() {
        long job = makeJob("sheave_cheek_plate", "Nothing to copy", 1);
        String id = stop(job, "Outline").id();
        assertThatThrownBy(() -> jobs.edit(job, "x", edits.copyToEqual(id), person("mira")))
                .isInstanceOf(RefusedEditException.class)
                .hasMessageContaining("Nothing is set");
    }
}
