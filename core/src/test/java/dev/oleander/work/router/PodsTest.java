package dev.oleander.work.router;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.Panels;
import dev.oleander.plan.panel.clamping.Clamping;
import dev.oleander.plan.panel.clamping.ClampingPlanner;
import dev.oleander.plan.panel.clamping.ClampingWishes;
import dev.oleander.proof.Finding;
import dev.oleander.proof.Prover;
import dev.oleander.work.PanelJob;
import dev.oleander.work.router.book.RouterUnit;
import dev.oleander.work.router.choice.RouterChoices;
import dev.oleander.work.router.panel.PanelJobs;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Where pods stand under a panel. */
class PodsTest {

    private static final RouterUnit.Pods PODS = PanelRuns.UNIT.pods();

    private static PanelJob<RouterChoices> job(Panel panel, Clamping clamping) {
        return PanelJobs.of(
                new PanelJob.Wished(panel, clamping, "birch plywood", true, 0, 0, true),
                PanelRuns.UNIT,
                PanelRuns.BOOK);
    }

    private static List<Clamping> clampings(Panel panel) {
        return ClampingPlanner.decide(
                        panel,
                        RouterMilling.ROUTER.panels(RouterJobs.HAZEL, PanelRuns.BOOK).orElseThrow(),
                        ClampingWishes.NONE)
                .clampings();
    }

    @Test
    void panelsOfTheLockerLieOnPodsThatNothingCutsInto() {
        for (Panel panel : Panels.locker().made()) {
            for (Clamping clamping : clampings(panel)) {
                PanelJob<RouterChoices> job = job(panel, clamping);
                assertThat(job.pods()).as(panel.id()).hasSizeGreaterThanOrEqualTo(2);
                assertThat(job.told()).isEmpty();
                assertThat(job.choices().pods()).hasSameSizeAs(job.pods());
                RouterRun run = PanelRuns.run(panel, job);
                assertThat(Prover.withAllRules().prove(run.proofInput(), Map.of()).findings())
                        .extracting(Finding::rule)
                        .doesNotContain("table");
                Box stock = run.run().layout().stock();
                assertThat(job.pods()).allMatch(pod -> stock.contains(pod));
                Box all = Box.around(job.pods());
                assertThat(all.min().x() - stock.min().x()).isLessThanOrEqualTo(PODS.overhang());
                assertThat(stock.max().x() - all.max().x()).isLessThanOrEqualTo(PODS.overhang());
            }
        }
    }

    private static Panel withCutout(double x, double width, double height) {
        String cutout =
                """
                {"id": "c1", "face": "top", "kind": "cutout", "depth": "through",
                 "outline": [[%1$s, 100], [%2$s, 100], [%2$s, %3$s], [%1$s, %3$s]]}
                """
                        .formatted(x, x + width, 100 + height);
        return Panels.product(Panels.panel("a", "", cutout)).made().get(0);
    }

    @Test
    void podsKeepClearOfWhatIsCutThrough() {
        Panel panel = withCutout(20, 130, 200);
        PanelJob<RouterChoices> job = job(panel, clampings(panel).get(0));
        Box cut = Box.of(new Point(20, 100), new Point(150, 300));
        // half of the widest mill, 12 mm, and what is beside it
        assertThat(job.pods()).allMatch(pod -> pod.distance(cut) >= 6 + PODS.clear() - 1e-6);
        RouterRun run = PanelRuns.run(panel, job);
        assertThat(Prover.withAllRules().prove(run.proofInput(), Map.of()).findings())
                .extracting(Finding::rule)
                .doesNotContain("table");
    }

    @Test
    void whatComesFreeOverNothingIsTold() {
        Panel panel = withCutout(180, 240, 200);
        assertThat(job(panel, clampings(panel).get(0)).told())
                .containsExactly("what comes free at 300, 200 has no pods of its own");
    }

    @Test
    void aSliverFindsNone() {
        Panel narrow =
                Panels.product(
                                Panels.panel("a", "", Panels.hole("h1", "top", 50, 20, 8))
                                        .replace("\"width\": 400", "\"width\": 40"))
                        .made()
                        .get(0);
        PanelJob<RouterChoices> job = job(narrow, clampings(narrow).get(0));
        assertThat(job.pods()).isEmpty();
        assertThat(job.told()).containsExactly("no pod finds room under it");
    }
}
