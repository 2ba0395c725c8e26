package dev.oleander.plan.panel;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.plan.panel.clamping.Clamping;
import dev.oleander.plan.panel.clamping.ClampingPlanner;
import dev.oleander.plan.panel.clamping.ClampingWishes;
import dev.oleander.plan.panel.clamping.Decision;
import dev.oleander.plan.panel.clamping.Lying;
import dev.oleander.plan.panel.clamping.OnBoards;
import dev.oleander.plan.panel.clamping.PanelMachine;
import dev.oleander.plan.panel.whole.ClampingChecks;
import dev.oleander.plan.panel.whole.PanelChecks.Finding;
import dev.oleander.plan.panel.whole.Twins;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What is told of how panels lie, and what is done to them on a board. */
class ClampingChecksTest {

    private static final PanelMachine HAZEL = Panels.hazel();

    private static PanelMachine tearing() {
        return new PanelMachine(
                HAZEL.name(),
                HAZEL.length(),
                HAZEL.width(),
                HAZEL.lowest(),
                HAZEL.highest(),
                HAZEL.spindles(),
                true);
    }

    private static Map<String, Decision> decided(
            Product product, PanelMachine machine, ClampingWishes wishes) {
        Map<String, Decision> all = new HashMap<>();
        product.panels().forEach(p -> all.put(p.id(), ClampingPlanner.decide(p, machine, wishes)));
        return all;
    }

    private static List<Finding> found(
            Product product, PanelMachine machine, Map<String, Decision> decisions) {
        return ClampingChecks.of(product, decisions, machine, Twins.of(product));
    }

    @Test
    void nothingIsToldOfTheLocker() {
        Product locker = Panels.locker();
        assertThat(found(locker, HAZEL, decided(locker, HAZEL, ClampingWishes.NONE))).isEmpty();
    }

    @Test
    void aFaceThatIsSeenAndTornIsTold() {
        Product locker = Panels.locker();
        ClampingWishes top = new ClampingWishes(Optional.of(Face.TOP), Optional.empty(), Map.of());
        List<Finding> found = found(locker, tearing(), decided(locker, tearing(), top));
        assertThat(found).isNotEmpty().allMatch(f -> f.rule().equals("face"));
        assertThat(found.get(0).sentence()).contains("its top will be seen and lies up");
        assertThat(found(locker, HAZEL, decided(locker, HAZEL, top))).isEmpty();
    }

    @Test
    void mirrorImagesInUnequalNumbersAreTold() {
        String right = Panels.panel("b", "", Panels.hole("h1", "top", 550, 50, 8));
        Product product =
                Panels.product(
                        Panels.panel("a", "", Panels.hole("h1", "top", 50, 50, 8))
                                + ","
                                + right.replace("\"quantity\": 1", "\"quantity\": 2"));
        assertThat(found(product, HAZEL, decided(product, HAZEL, ClampingWishes.NONE)))
                .singleElement()
                .satisfies(
                        f ->
                                assertThat(f.sentence())
                                        .isEqualTo(
                                                "Panel b: it is the mirror image of a; there are 2 of it and 1 of the other."));
    }

    @Test
    void otherEdgesAtTheStopsLetTheSizeIn() {
        String precise =
                Panels.hole("h1", "top", 50, 50, 8).strip().replace("}", ", \"tolerance\": 0.05}");
        Product product = Panels.product(Panels.panel("a", "", precise));
        Lying lying = new Lying(Face.TOP, 0);
        Clamping first = new Clamping(lying, List.of(Face.LEFT, Face.FRONT), List.of(), "");
        Clamping then = new Clamping(lying, List.of(Face.RIGHT, Face.FRONT), List.of("h1"), "");
        Map<String, Decision> decisions = decided(product, HAZEL, ClampingWishes.NONE);
        decisions.put("a", new Decision(List.of(first, then), List.of(), ""));
        assertThat(found(product, HAZEL, decisions))
                .singleElement()
                .satisfies(
                        f -> {
                            assertThat(f.rule()).isEqualTo("reference");
                            assertThat(f.feature()).isEqualTo("h1");
                            assertThat(f.sentence())
                                    .contains("made from the front right corner")
                                    .contains("others from the front left");
                        });
    }

    @Test
    void onABoardComesWhatLiesUpAndGoesThroughTheRestLater() {
        Product locker = Panels.locker();
        for (Panel panel : locker.made()) {
            Product.Board board = locker.materials().get(panel.material()).board();
            Decision decision = OnBoards.decide(panel, board, HAZEL, ClampingWishes.NONE);
            Clamping first = decision.clampings().get(0);
            assertThat(first.onBoard()).isTrue();
            assertThat(first.corner()).isEmpty();
            assertThat(first.features())
                    .allSatisfy(
                            id -> {
                                PanelFeature f = panel.feature(id).orElseThrow();
                                assertThat(f.face().isEdge()).isFalse();
                                assertThat(f.face() == first.lying().up() || f.belongsToNone())
                                        .isTrue();
                            });
            long made = decision.clampings().stream().mapToLong(c -> c.features().size()).sum();
            assertThat(made + decision.refused().size()).isEqualTo(panel.features().size());
            assertThat(decision.clampings().stream().skip(1)).noneMatch(Clamping::onBoard);
        }
    }

    @Test
    void theGrainOfAPanelRunsAlongThatOfItsBoard() {
        Panel side = Panels.locker().panel("side-l").orElseThrow();
        assertThat(side.grain()).isNotEqualTo(Grain.NONE);
        Grain other = side.grain() == Grain.LENGTH ? Grain.WIDTH : Grain.LENGTH;
        assertThat(turn(side, side.grain())).isZero();
        assertThat(turn(side, other)).isEqualTo(90);
        assertThat(turn(side, Grain.NONE)).isZero();
    }

    private static int turn(Panel panel, Grain board) {
        Product.Board of = new Product.Board(2440, 1220, board);
        return OnBoards.decide(panel, of, HAZEL, ClampingWishes.NONE)
                .clampings()
                .get(0)
                .lying()
                .turn();
    }

    @Test
    void anEdgeThatWasCutBeforeIsTold() {
        String rebate =
                """
                {"id": "r1", "face": "top", "kind": "rebate", "depth": 5,
                 "outline": [[0, 0], [40, 0], [40, 400], [0, 400]]}
                """;
        Product product = Panels.product(Panels.panel("a", "", rebate));
        List<Face> corner = List.of(Face.LEFT, Face.FRONT);
        Clamping first = new Clamping(new Lying(Face.TOP, 0), corner, List.of("r1"), "");
        Clamping then = new Clamping(new Lying(Face.BOTTOM, 0), corner, List.of(), "");
        Map<String, Decision> decisions =
                Map.of("a", new Decision(List.of(first, then), List.of(), ""));
        assertThat(found(product, HAZEL, decisions))
                .extracting(Finding::sentence)
                .contains(
                        "Panel a: its left edge lies at the stops with the bottom up; it was cut before.");
    }
}
