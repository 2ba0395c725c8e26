package dev.oleander.web.work.wire;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Point;
import dev.oleander.plan.bed.Placement;
import dev.oleander.plan.stop.Stop;
import dev.oleander.web.WebTest;
import dev.oleander.web.bench.Unattended;
import dev.oleander.web.job.ValueEdits;
import dev.oleander.web.job.Wires;
import dev.oleander.web.job.document.Scope;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.work.wire.plan.WirePlan;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What the table and the view in space draw of a wire's work, and how long it runs alone. */
class WireTableTest extends WebTest {

    @Autowired private ValueEdits edits;

    private JobResult set(long job, String stop, String word, String text) {
        return jobs.edit(
                        job,
                        "x",
                        edits.ofStops(List.of(stop), Scope.ALL, Map.of(word, text)),
                        person("mira"))
                .result();
    }

    private static Stop first(JobResult result) {
        return result.run().stops().get(0);
    }

    @Test
    void whatWaitsAtOnceDoesNotClaimToRunAlone() {
        assertThat(new Unattended(0, 3, 6293, 9000).sentence())
                .isEqualTo("Waits for people at once, 3 times in all; runs 1:44:53 alone at most.");
        assertThat(new Unattended(90, 1, 90, 9000).sentence())
                .isEqualTo("Runs 1:30 alone, then waits once for people.");
    }

    @Test
    void theTableDrawsEveryPassAndHole() {
        long job = makeWireJob("shim_punch_die", "Drawn", 40);
        WirePlan plan = Wires.plan(jobs.view(job).result()).orElseThrow();
        WireScene scene = WireScene.of(plan);
        int cuts = plan.visits().values().stream().mapToInt(v -> v.cuts().size()).sum();
        assertThat(scene.passes()).hasSize(cuts);
        assertThat(scene.holes()).hasSameSizeAs(plan.holes());
        assertThat(scene.kept()).as("the work and its opening").hasSize(2);
        assertThat(scene.upper()).as("all stands upright").isEmpty();
    }

    @Test
    void repeatedContoursAreDrawnAndStandInSpace() {
        long job = makeWireJob("shim_punch_die", "Repeated", 40);
        String stop = first(jobs.view(job).result()).id();
        int bodies = SolidView.of(jobs.view(job).result()).bodies().size();
        JobResult result = set(job, stop, "columns", "3");
        WireScene scene = WireScene.of(Wires.plan(result).orElseThrow());
        assertThat(scene.kept()).hasSize(4);
        assertThat(scene.holes()).hasSize(3);
        List<Placement> copies = result.plan().copies();
        assertThat(copies).hasSize(3);
        assertThat(x(copies.get(2)) - x(copies.get(1)))
                .isCloseTo(x(copies.get(1)) - x(copies.get(0)), within(1e-9));
        assertThat(SolidView.of(result).bodies()).hasSize(bodies + 2);
    }

    private static double x(Placement copy) {
        return copy.transform().apply(Point.ORIGIN).x();
    }
}
