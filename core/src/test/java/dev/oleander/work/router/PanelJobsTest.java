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
import java.util.Optional;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

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
                new PanelJob.Wished(panel, clamping, "birch plywood", true, 0, 0, false),
                PanelRuns.UNIT,
                BOOK);
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
                                bottom,
                                decided(bottom).clampings().get(0),
                                "birch plywood",
                                true,
                                0,
                                0,
                                false),
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
        return Panels.product(Panels.panel("a", "", pocket(depth, more))).made().get(0);
    }

    private static String pocket(double depth, String more) {
        return """
        {"id": "p1", "face": "top", "kind": "pocket", "depth": %s, %s
         "outline": [[100, 100], [300, 100], [300, 200], [100, 200]]}
        """
                .formatted(depth, more);
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
                        .map(r -> PanelRules.with(r, Map.of("values", "any")))
                        .toList();
        assertThat(rules).allMatch(r -> r.rest().isEmpty());
        Panel panel = withPocket(10, "");
        RouterBook plain =
                new RouterBook(BOOK.machine(), BOOK.tools(), BOOK.stations(), rules, BOOK.rows());
        PanelJob.Wished wished =
                new PanelJob.Wished(
                        panel,
                        decided(panel).clampings().get(0),
                        "birch plywood",
                        true,
                        0,
                        0,
                        false);
        assertThat(PanelJobs.of(wished, PanelRuns.UNIT, plain).choices().operations()).hasSize(1);
        assertThat(PanelJobs.of(wished, PanelRuns.UNIT, BOOK).choices().operations()).hasSize(2);
    }

    /** By which rule a pocket of 10 mm in 18 mm plywood is made when one comes first. */
    private static String ruleOf(Panel panel, Map<String, Object> conditions) {
        return jobBy(panel, conditions).made().get(0).rule();
    }

    private static PanelJob<RouterChoices> jobBy(Panel panel, Map<String, Object> conditions) {
        PanelRule pockets =
                BOOK.panelRules().stream().filter(r -> r.number() == 6).findFirst().orElseThrow();
        List<PanelRule> rules = new ArrayList<>(BOOK.panelRules());
        rules.add(0, PanelRules.with(PanelRules.with(pockets, Map.of("name", "ours")), conditions));
        return jobBy(panel, rules);
    }

    private static PanelJob<RouterChoices> jobBy(Panel panel, List<PanelRule> rules) {
        return PanelJobs.of(
                new PanelJob.Wished(
                        panel,
                        decided(panel).clampings().get(0),
                        "birch plywood",
                        true,
                        0,
                        0,
                        false),
                PanelRuns.UNIT,
                new RouterBook(BOOK.machine(), BOOK.tools(), BOOK.stations(), rules, BOOK.rows()));
    }

    @Test
    void rulesAskForDepthStockThicknessAndFace() {
        Panel panel = withPocket(10, "");
        String ours = "6, ours";
        String usual = "6, pockets";
        assertThat(ruleOf(panel, Map.of("depthFrom", 10, "depthTo", 10))).isEqualTo(ours);
        assertThat(ruleOf(panel, Map.of("depthFrom", 10.5))).isEqualTo(usual);
        assertThat(ruleOf(panel, Map.of("depthTo", 9.5))).isEqualTo(usual);
        assertThat(ruleOf(panel, Map.of("stock", "Birch plywood"))).isEqualTo(ours);
        assertThat(ruleOf(panel, Map.of("stock", "oak"))).isEqualTo(usual);
        assertThat(ruleOf(panel, Map.of("thinnest", 18, "thickest", 18))).isEqualTo(ours);
        assertThat(ruleOf(panel, Map.of("thinnest", 19))).isEqualTo(usual);
        assertThat(ruleOf(panel, Map.of("shown", "unseen"))).isEqualTo(ours);
        assertThat(ruleOf(panel, Map.of("shown", "seen"))).isEqualTo(usual);
        assertThat(jobBy(panel, Map.of("stock", "oak")).made().get(0).others())
                .contains("6, ours: it is of birch plywood");
        assertThat(jobBy(panel, Map.of("thinnest", 19)).made().get(0).others())
                .contains("6, ours: the panel's 18 is less than 19");
    }

    /** As it was written down before there were conditions of depth, stock and face, and ranks. */
    @Test
    void aRuleThatWasChangedLongAgoAsksForNothingMore() {
        PanelRule rule = BOOK.panelRules().get(5);
        ObjectNode old = JsonMapper.shared().valueToTree(rule);
        old.remove(
                List.of("depthFrom", "depthTo", "stock", "thinnest", "thickest", "shown", "rank"));
        RouterBook book = (RouterBook) BOOK.changed("rules:6", Optional.of(old));
        assertThat(book.panelRules().get(5)).isEqualTo(rule);
    }

    /** A pocket and a hole beside it. */
    @Test
    void whatHasALowerRankIsMadeBefore() {
        String hole =
                "{\"id\": \"h1\", \"face\": \"top\", \"kind\": \"hole\", \"at\": [400, 150], \"diameter\": 5, \"depth\": 8}";
        Panel panel =
                Panels.product(Panels.panel("a", "", hole + "," + pocket(10, ""))).made().get(0);
        assertThat(deeds(panel, 1, 2)).startsWith("hole-8").endsWith("pocket-10");
        assertThat(deeds(panel, 2, 1)).startsWith("pocket-10").endsWith("hole-8");
        assertThat(deeds(panel, 0, 0)).containsOnlyOnce("hole-8");
    }

    /** Operations in the order in which they are done. */
    private static List<String> deeds(Panel panel, int holes, int pockets) {
        List<PanelRule> rules =
                BOOK.panelRules().stream()
                        .map(r -> r.kind().equals("hole") ? ranked(r, holes) : ranked(r, pockets))
                        .toList();
        RouterRun run = PanelRuns.run(panel, jobBy(panel, rules));
        RouterJobs.requireSound(run);
        return run.plan().done().stream()
                .map(s -> s.operation().replace("-rest", ""))
                .distinct()
                .toList();
    }

    private static PanelRule ranked(PanelRule rule, int rank) {
        return PanelRules.with(rule, Map.of("rank", rank));
    }
}
