package dev.oleander.plan.panel;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.plan.panel.clamping.Clamping;
import dev.oleander.plan.panel.clamping.ClampingPlanner;
import dev.oleander.plan.panel.clamping.ClampingWishes;
import dev.oleander.plan.panel.clamping.Cost;
import dev.oleander.plan.panel.clamping.Decision;
import dev.oleander.plan.panel.clamping.Lying;
import dev.oleander.plan.panel.clamping.PanelMachine;
import dev.oleander.plan.panel.clamping.PanelMachine.SideSpindle;
import dev.oleander.plan.panel.file.ProductReader;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

/** How panels are clamped: never worse than trying all sets, as people wish, with reasons. */
class ClampingTest {

    /** A panel of 600 x 400 x 18 with features. */
    private static Panel panel(String features) {
        return ProductReader.read(
                        ProductReader.parse(
                                """
                                {"name": "Made up", "quantity": 1, "materials": [{"id": "p", "thickness": 18,
                                  "board": {"length": 2500, "width": 1250, "grain": "length"}}],
                                 "panels": [{"id": "a", "quantity": 1, "material": "p", "length": 600, "width": 400,
                                  "thickness": 18, "show": ["top"], "features": [%s]}]}
                                """
                                        .formatted(features)))
                .panels()
                .get(0);
    }

    private static String hole(String id, String face, double u, double v, double d, Object depth) {
        return """
        {"id": "%s", "face": "%s", "kind": "hole", "at": [%s, %s], "diameter": %s, "depth": %s}
        """
                .formatted(id, face, u, v, d, depth);
    }

    private static PanelMachine machine(List<Face> looks) {
        List<SideSpindle> spindles = new ArrayList<>();
        looks.forEach(edge -> spindles.add(new SideSpindle(edge, 8, 40)));
        return new PanelMachine("Hazel", 2500, 1300, 6, 60, spindles, true);
    }

    private static Decision decide(Panel panel, List<Face> looks, ClampingWishes wishes) {
        return ClampingPlanner.decide(panel, machine(looks), wishes);
    }

    // ---- against trying everything

    /** As the rules are written, on its own: which ways a feature can be made. */
    private static boolean can(PanelFeature f, Lying lying, List<Face> looks) {
        if (!f.face().isEdge()) {
            return f.through() || f.face() == lying.up();
        }
        double v = f.middle().y();
        double over = lying.up() == Face.TOP ? v : 18 - v;
        return looks.contains(lying.looks(f.face()))
                && Math.min(v, 18 - v) - f.diameter() / 2 >= 2
                && over >= 6
                && f.diameter() == 8
                && f.depth() <= 40;
    }

    private static int[] best(Panel panel, List<Face> looks) {
        List<Lying> all = Lying.all();
        int[] ways = new int[panel.features().size()];
        for (int f = 0; f < ways.length; f++) {
            for (int i = 0; i < all.size(); i++) {
                ways[f] |= can(panel.features().get(f), all.get(i), looks) ? 1 << i : 0;
            }
        }
        int[] best = {Integer.MAX_VALUE, Integer.MAX_VALUE};
        for (int set = 0; set < 1 << all.size(); set++) {
            if (Integer.bitCount(set) > 3) {
                continue;
            }
            int refused = 0;
            for (int way : ways) {
                refused += (way & set) == 0 ? 1 : 0;
            }
            int count = Integer.bitCount(set);
            if (refused < best[0] || refused == best[0] && count < best[1]) {
                best = new int[] {refused, count};
            }
        }
        return best;
    }

    private static Panel random(SplittableRandom random) {
        List<String> features = new ArrayList<>();
        Face[] faces = Face.values();
        int count = random.nextInt(1, 9);
        for (int i = 0; i < count; i++) {
            Face face = faces[random.nextInt(faces.length)];
            boolean edge = face.isEdge();
            double v = edge ? random.nextInt(2, 17) : random.nextInt(10, 390);
            double d = random.nextInt(5) == 0 ? 5 : 8;
            Object depth =
                    !edge && random.nextInt(3) == 0
                            ? "\"through\""
                            : edge ? random.nextInt(10, 45) : 8;
            // far enough apart that none meets one of the other face
            features.add(hole("h" + i, face.word(), 20 + 40 * i, edge ? v : 20 + 40 * i, d, depth));
        }
        return panel(String.join(",", features));
    }

    @Test
    void neverWorseThanTryingAllSetsAndNothingIsLostOrMadeTwice() {
        SplittableRandom random = new SplittableRandom(23);
        List<List<Face>> machines =
                List.of(
                        Face.edges(),
                        List.of(Face.LEFT),
                        List.of(Face.LEFT, Face.RIGHT),
                        List.of(Face.BACK, Face.RIGHT),
                        List.of());
        for (int n = 0; n < 10_000; n++) {
            Panel panel = random(random);
            List<Face> looks = machines.get(n % machines.size());
            Decision decision = decide(panel, looks, ClampingWishes.NONE);
            int[] best = best(panel, looks);
            assertThat(decision.refused()).hasSize(best[0]);
            assertThat(decision.clampings()).hasSize(best[1]);
            Set<String> made = new HashSet<>();
            for (Clamping clamping : decision.clampings()) {
                for (String id : clamping.features()) {
                    assertThat(made.add(id)).isTrue();
                    assertThat(can(panel.feature(id).orElseThrow(), clamping.lying(), looks))
                            .isTrue();
                }
            }
            assertThat(made.size() + decision.refused().size()).isEqualTo(panel.features().size());
        }
    }

    // ---- turning and turning over

    /** Whatever way it lies, it lies at 0 and looks the same from outside. */
    @Test
    void allWaysToLieAreTurnsOfTheBody() {
        Face.Size size = new Face.Size(600, 400, 18);
        for (Lying lying : Lying.all()) {
            Face.Size on = lying.on(size);
            for (Face face : Face.values()) {
                Spot u = lying.turned(face.u());
                Spot v = lying.turned(face.v());
                assertThat(u.cross(v).distance(lying.turned(face.outward()))).isLessThan(1e-12);
                Spot at = lying.at(face.at(3, 5, 0, size), size);
                assertThat(at.x()).isBetween(0.0, on.length());
                assertThat(at.y()).isBetween(0.0, on.width());
                assertThat(at.z()).isBetween(0.0, on.thickness());
            }
            assertThat(lying.turned(lying.up().outward()).z()).isEqualTo(1);
        }
    }

    @Test
    void turnedOverTheFrontEdgeStays() {
        Spot at = new Lying(Face.BOTTOM, 0).at(new Spot(100, 30, 0), new Face.Size(600, 400, 18));
        assertThat(at).isEqualTo(new Spot(500, 30, 18));
        assertThat(new Lying(Face.BOTTOM, 0).looks(Face.FRONT)).isEqualTo(Face.FRONT);
        assertThat(new Lying(Face.BOTTOM, 0).looks(Face.LEFT)).isEqualTo(Face.RIGHT);
    }

    // ---- wishes

    @Test
    void whatGoesThroughIsMadeWhereTheOthersAre() {
        Panel panel =
                panel(
                        hole("h1", "bottom", 100, 100, 8, 10)
                                + ","
                                + hole("h2", "top", 200, 100, 8, "\"through\""));
        Decision decision = decide(panel, Face.edges(), ClampingWishes.NONE);
        assertThat(decision.clampings()).hasSize(1);
        assertThat(decision.clampings().get(0).lying().up()).isEqualTo(Face.BOTTOM);
        assertThat(decision.why())
                .isEqualTo("Bottom up: 1 of 2 features lie there; 1 goes through. One clamping.");
    }

    @Test
    void aWishHoldsWhateverItCostsAndSaysWhat() {
        Panel panel =
                panel(
                        hole("h1", "bottom", 100, 100, 8, 10)
                                + ","
                                + hole("h2", "top", 200, 100, 8, "\"through\""));
        ClampingWishes top = new ClampingWishes(Optional.of(Face.TOP), Optional.empty(), Map.of());
        Decision decision = decide(panel, Face.edges(), top);
        assertThat(decision.clampings()).hasSize(2);
        assertThat(decision.clampings().get(0).lying().up()).isEqualTo(Face.TOP);
        assertThat(decision.clampings().get(0).features()).containsExactly("h2");
        assertThat(cost(panel, top)).isEqualTo("1 clamping more");
        ClampingWishes wrong =
                new ClampingWishes(Optional.empty(), Optional.empty(), Map.of("h1", Face.TOP));
        assertThat(cost(panel, wrong)).isEqualTo("h1 refused");
    }

    @Test
    void aPanelIsTurnedWhereAUnitLooksOneWayOnly() {
        Panel panel = panel(hole("h1", "front", 100, 9, 8, 20));
        Decision decision = decide(panel, List.of(Face.LEFT), ClampingWishes.NONE);
        Lying lying = decision.clampings().get(0).lying();
        assertThat(lying.looks(Face.FRONT)).isEqualTo(Face.LEFT);
        ClampingWishes straight = new ClampingWishes(Optional.empty(), Optional.of(0), Map.of());
        assertThat(decide(panel, List.of(Face.LEFT), straight).refused().get(0).sentence())
                .isEqualTo("Panel a, hole h1: no unit for the front edge.");
    }

    @Test
    void refusalsSayWhy() {
        assertThat(why(hole("h1", "left", 100, 5, 8, 20)))
                .contains("Ø 8 on the left edge at v = 5 leaves 1 mm to the bottom face (needs 2)");
        assertThat(why(hole("h1", "left", 100, 9, 7, 20))).contains("no tool of 7 mm");
        String stepped =
                hole("h1", "left", 100, 9, 8, 20)
                        .replace(
                                "\"depth\"",
                                "\"steps\": [{\"diameter\": 12, \"depth\": 5}], \"depth\"");
        assertThat(why(stepped)).contains("no unit for a stepped hole in an edge");
        assertThat(why(hole("h1", "left", 100, 9, 8, 50))).contains("50 deep, the unit reaches 40");
    }

    private static String why(String feature) {
        return decide(panel(feature), Face.edges(), ClampingWishes.NONE)
                .refused()
                .get(0)
                .sentence();
    }

    @Test
    void turnedOverTheReferenceEdgesAreKept() {
        Panel panel =
                panel(
                        hole("h1", "top", 550, 380, 8, 10)
                                + ","
                                // near the front left corner, seen from below
                                + hole("h2", "bottom", 20, 390, 8, 5));
        Decision decision = decide(panel, Face.edges(), ClampingWishes.NONE);
        assertThat(decision.clampings())
                .extracting(Clamping::corner)
                .hasSize(2)
                .containsOnly("back right");
    }

    @Test
    void theCornerIsWhereTheEdgesAreGoodAndNear() {
        Panel panel = panel(hole("h1", "top", 550, 380, 8, 10));
        assertThat(decide(panel, Face.edges(), ClampingWishes.NONE).clampings().get(0).corner())
                .isEqualTo("back right");
    }

    private static String cost(Panel panel, ClampingWishes wishes) {
        PanelMachine machine = machine(Face.edges());
        return Cost.of(
                ClampingPlanner.decide(panel, machine, ClampingWishes.NONE),
                ClampingPlanner.decide(panel, machine, wishes));
    }
}
