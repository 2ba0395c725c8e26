package dev.oleander.work.router;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.book.BookFile;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.Panels;
import dev.oleander.plan.panel.Product;
import dev.oleander.plan.panel.clamping.Clamping;
import dev.oleander.plan.panel.clamping.ClampingPlanner;
import dev.oleander.plan.panel.clamping.ClampingWishes;
import dev.oleander.plan.panel.clamping.Decision;
import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.Finding;
import dev.oleander.proof.Prover;
import dev.oleander.work.PanelJob;
import dev.oleander.work.router.book.PanelRule;
import dev.oleander.work.router.book.RouterBook;
import dev.oleander.work.router.book.RuleTable;
import dev.oleander.work.router.choice.RouterChoices;
import dev.oleander.work.router.panel.PanelJobs;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Clampings of panels as jobs: planned, proved, written and read back. */
class PanelJobsTest {

    private static final RouterBook BOOK = PanelRuns.BOOK;
    private final Product locker = Panels.locker();

    private static Decision decided(Panel panel) {
        return ClampingPlanner.decide(
                panel,
                RouterMilling.ROUTER.panels(RouterJobs.HAZEL, BOOK).orElseThrow(),
                ClampingWishes.NONE);
    }

    private static PanelJob<RouterChoices> job(Panel panel, Clamping clamping) {
        return PanelJobs.of(
                new PanelJob.Wished(panel, clamping, true, 0, 0, false), PanelRuns.UNIT, BOOK);
    }

    /** Where something of one layer lies on the machine. */
    private static List<Box> boxes(PanelJob<RouterChoices> job, String layer) {
        return job.drawing().stream()
                .filter(w -> w.layer().equals(layer))
                .map(w -> w.chain().box())
                .toList();
    }

    /** The door lies on its top before its edges are banded: 1 mm all round. */
    @Test
    void whatLiesTurnedOverLiesWhereItShould() {
        Panel door = locker.panel("door").orElseThrow();
        Clamping below = decided(door).clampings().get(0);
        assertThat(below.lying().up()).isEqualTo(Face.BOTTOM);
        PanelJob<RouterChoices> job = job(door, below);
        assertThat(boxes(job, "OUTLINE").get(0).max()).isEqualTo(new Point(554, 494));
        // (100, 473.5) of the finished panel
        assertThat(boxes(job, "HOLE 12.5").get(0).centre().distance(new Point(455, 472.5)))
                .isLessThan(1e-9);
    }

    @Test
    void holesInEdgesBeginAtTheEdgeAndWhatOpensThereGoesBeyond() {
        Panel bottom = locker.panel("bottom").orElseThrow();
        PanelJob<RouterChoices> job = job(bottom, decided(bottom).clampings().get(0));
        List<Box> bores = boxes(job, "EDGE 8 Z9");
        assertThat(bores).hasSize(10);
        assertThat(bores).allMatch(b -> b.min().x() == 0 || b.max().x() == 464);
        assertThat(bores).allMatch(b -> Math.abs(b.width() - 25) < 1e-9);
        Box groove = boxes(job, "GROOVE 8").get(0);
        assertThat(groove.min().x()).isEqualTo(-20);
        assertThat(groove.max().x()).isEqualTo(484);
        assertThat(job.marks()).containsExactlyInAnyOrder("EDGE 8 Z9", "GROOVE 8");
    }

    @Test
    void eachFeatureNamesItsRuleAndThoseThatNearlyFit() {
        Panel door = locker.panel("door").orElseThrow();
        PanelJob<RouterChoices> job = job(door, decided(door).clampings().get(0));
        PanelJob.Made cup =
                job.made().stream().filter(m -> m.feature().equals("h1")).findFirst().orElseThrow();
        assertThat(cup.rule()).isEqualTo("3, other holes");
        assertThat(cup.others())
                .containsExactly(
                        "1, holes in edges: it lies on the bottom",
                        "2, holes for a drill: there is no drill of 35 mm");
    }

    /** What ships can be changed by people, and comes back as it was. */
    @Test
    void rulesThatShipAreRowsLikeAnyOther() {
        RuleTable rules = (RuleTable) BOOK.beside().get("rules");
        assertThat(rules.rows()).hasSize(12);
        String csv = new BookFile<>(rules.form()).write(rules.rows());
        assertThat(new BookFile<>(rules.form()).read(csv)).hasSameSizeAs(rules.rows());
        for (PanelRule rule : rules.rows()) {
            assertThat(rules.with(rule).rows()).isEqualTo(rules.rows());
        }
    }

    @Test
    void aFeatureWithoutARuleIsSaid() {
        Panel bottom = locker.panel("bottom").orElseThrow();
        RouterBook none =
                new RouterBook(
                        BOOK.machine(), BOOK.tools(), BOOK.stations(), List.of(), BOOK.rows());
        PanelJob<RouterChoices> job =
                PanelJobs.of(
                        new PanelJob.Wished(
                                bottom, decided(bottom).clampings().get(0), true, 0, 0, false),
                        PanelRuns.UNIT,
                        none);
        assertThat(job.without()).hasSize(11);
        assertThat(job.without().get(0).sentence())
                .isEqualTo("Panel bottom, hole h1: no rule fits.");
    }

    @Test
    void allOfTheLockerIsMadeAsItIsDrawn() {
        List<String> wrong = new ArrayList<>();
        for (Panel panel : locker.made()) {
            for (Clamping clamping : decided(panel).clampings()) {
                PanelJob<RouterChoices> job = job(panel, clamping);
                assertThat(job.without()).isEmpty();
                RouterRun run = PanelRuns.run(panel, job);
                for (Stop refused : run.run().refused()) {
                    wrong.add(panel.id() + " " + refused.refusalSentence().orElseThrow());
                }
                for (Finding finding :
                        Prover.withAllRules().prove(run.proofInput(), Map.of()).open()) {
                    wrong.add(panel.id() + " " + finding.rule() + ": " + finding.sentence());
                }
            }
        }
        assertThat(wrong).allMatch(w -> w.contains("inner corners keep"));
    }

    private static Panel withPocket(double depth, String more) {
        String pocket =
                """
                {"id": "p1", "face": "top", "kind": "pocket", "depth": %s, %s
                 "outline": [[100, 100], [300, 100], [300, 200], [100, 200]]}
                """
                        .formatted(depth, more);
        return Panels.product(Panels.panel("a", "", pocket)).made().get(0);
    }

    private static List<Integer> tools(Panel panel) {
        RouterRun run = PanelRuns.run(panel, job(panel, decided(panel).clampings().get(0)));
        RouterJobs.requireSound(run);
        return run.plan().done().stream().map(s -> s.tool().orElseThrow().number()).toList();
    }

    /** A corner keeps (4 - pi) r2 / 4: 30.9 mm2 of all four by 12 mm, 7.7 by 6, 1.9 by 3. */
    @Test
    void aPocketOfWhichAWideToolLeavesMuchIsCutWithTwo() {
        assertThat(tools(withPocket(10, ""))).containsExactly(1, 4);
        // the narrowest is 12 mm long
        assertThat(tools(withPocket(14, ""))).containsExactly(1, 3);
        assertThat(tools(withPocket(10, "\"tag\": \"sharp corners\","))).containsExactly(1, 4);
    }

    @Test
    void aRuleThatLeavesWhatItLikesUsesOneTool() {
        List<PanelRule> rules =
                BOOK.panelRules().stream()
                        .map(
                                r ->
                                        new PanelRule(
                                                r.number(),
                                                r.name(),
                                                r.kind(),
                                                r.face(),
                                                r.tag(),
                                                r.from(),
                                                r.to(),
                                                r.depth(),
                                                r.form(),
                                                r.operation(),
                                                r.tool(),
                                                "any"))
                        .toList();
        assertThat(rules).allMatch(r -> r.rest().isEmpty());
        Panel panel = withPocket(10, "");
        RouterBook plain =
                new RouterBook(BOOK.machine(), BOOK.tools(), BOOK.stations(), rules, BOOK.rows());
        PanelJob.Wished wished =
                new PanelJob.Wished(panel, decided(panel).clampings().get(0), true, 0, 0, false);
        assertThat(PanelJobs.of(wished, PanelRuns.UNIT, plain).choices().operations()).hasSize(1);
        assertThat(PanelJobs.of(wished, PanelRuns.UNIT, BOOK).choices().operations()).hasSize(2);
    }
}
