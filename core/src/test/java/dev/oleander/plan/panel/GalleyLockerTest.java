package dev.oleander.plan.panel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.plan.panel.clamping.Clamping;
import dev.oleander.plan.panel.clamping.ClampingPlanner;
import dev.oleander.plan.panel.clamping.ClampingWishes;
import dev.oleander.plan.panel.clamping.Decision;
import dev.oleander.plan.panel.clamping.Lying;
import dev.oleander.plan.panel.whole.CutList;
import dev.oleander.plan.panel.whole.Mates;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The locker against what was worked out by other code. */
class GalleyLockerTest {

    private final Product locker = Panels.locker();
    private final JsonNode truth = Panels.json("galley_locker.truth.json");

    private Decision decided(Panel panel) {
        return ClampingPlanner.decide(panel, Panels.machine(truth), ClampingWishes.NONE);
    }

    @Test
    void eachPanelLiesAsItShould() {
        for (Map.Entry<String, JsonNode> known : truth.path("panels").properties()) {
            JsonNode of = known.getValue();
            if (of.has("clampings")) {
                Decision decision = decided(locker.panel(known.getKey()).orElseThrow());
                assertThat(decision.clampings())
                        .as(known.getKey())
                        .hasSize(of.path("clampings").asInt());
                Set<String> ups = new TreeSet<>();
                decision.clampings().forEach(c -> ups.add(c.lying().up().word()));
                assertThat(sets(of.path("ups"))).as(known.getKey()).contains(ups);
                assertThat(decision.refused().stream().map(Decision.Refused::feature))
                        .as(known.getKey())
                        .containsExactlyInAnyOrderElementsOf(of.path("refused").propertyNames());
            }
        }
    }

    private static List<Set<String>> sets(JsonNode lists) {
        List<Set<String>> sets = new ArrayList<>();
        for (JsonNode list : lists) {
            sets.add(
                    new TreeSet<>(
                            StreamSupport.stream(list.spliterator(), false)
                                    .map(JsonNode::asString)
                                    .toList()));
        }
        return sets;
    }

    @Test
    void eachFeatureIsMadeOnceFromWhereItCanBe() {
        for (Panel panel : locker.made()) {
            JsonNode only = truth.path("panels").path(panel.id()).path("onlyFrom");
            Set<String> made = new HashSet<>();
            Decision decision = decided(panel);
            for (Clamping clamping : decision.clampings()) {
                for (String feature : clamping.features()) {
                    assertThat(made.add(feature)).isTrue();
                    if (only.has(feature)) {
                        assertThat(clamping.lying().up().word())
                                .isEqualTo(only.path(feature).asString());
                    }
                }
            }
            assertThat(made).hasSize(panel.features().size() - decision.refused().size());
        }
    }

    @Test
    void sizesAndPlacesBeforeBanding() {
        for (Map.Entry<String, JsonNode> known : truth.path("panels").properties()) {
            JsonNode of = known.getValue();
            Panel panel = locker.panel(known.getKey()).orElseThrow();
            if (of.has("cut")) {
                assertThat(panel.cut(0).length())
                        .isCloseTo(of.path("cut").get(0).asDouble(), within(1e-9));
                assertThat(panel.cut(0).width())
                        .isCloseTo(of.path("cut").get(1).asDouble(), within(1e-9));
                assertThat(locker.count(panel)).isEqualTo(of.path("count").asInt());
            }
            if (of.has("shifted")) {
                JsonNode shifted = of.path("shifted");
                PanelFeature feature =
                        panel.feature(shifted.path("feature").asString()).orElseThrow();
                Spot before = panel.beforeBanding(panel.spot(feature), 0);
                assertThat(before.x())
                        .isCloseTo(shifted.path("onCutPanel").get(0).asDouble(), within(1e-9));
                assertThat(before.y())
                        .isCloseTo(shifted.path("onCutPanel").get(1).asDouble(), within(1e-9));
            }
            if (of.has("turnedOver")) {
                JsonNode turned = of.path("turnedOver");
                PanelFeature feature =
                        panel.feature(turned.path("feature").asString()).orElseThrow();
                Spot there = new Lying(Face.BOTTOM, 0).at(panel.spot(feature), panel.size());
                assertThat(there.x())
                        .isCloseTo(turned.path("lyingOnTop").get(0).asDouble(), within(1e-9));
                assertThat(there.y())
                        .isCloseTo(turned.path("lyingOnTop").get(1).asDouble(), within(1e-9));
            }
        }
    }

    @Test
    void cutListWithoutHelpersAndWhatIsBought() {
        CutList list = CutList.of(locker, 0);
        JsonNode totals = truth.path("totals");
        assertThat(list.rows()).hasSize(totals.path("panelsInCutList").asInt());
        assertThat(list.rows().stream().mapToInt(CutList.Row::count).sum())
                .isEqualTo(totals.path("pieces").asInt());
        for (JsonNode row : truth.path("cutList")) {
            CutList.Row ours =
                    list.rows().stream()
                            .filter(r -> r.panel().equals(row.path("panel").asString()))
                            .findFirst()
                            .orElseThrow();
            assertThat(ours.length()).isCloseTo(row.path("length").asDouble(), within(1e-9));
            assertThat(ours.width()).isCloseTo(row.path("width").asDouble(), within(1e-9));
            assertThat(ours.count()).isEqualTo(row.path("count").asInt());
            assertThat(ours.grain().word()).isEqualTo(row.path("grain").asString());
        }
        list.totals()
                .forEach(
                        (material, total) -> {
                            assertThat(total.area())
                                    .isCloseTo(
                                            totals.path("area_m2").path(material).asDouble(),
                                            within(1e-6));
                            assertThat(total.mass())
                                    .isCloseTo(
                                            totals.path("mass_kg").path(material).asDouble(),
                                            within(1e-4));
                            assertThat(total.boards())
                                    .isEqualTo(totals.path("boardsAtLeast").path(material).asInt());
                        });
        assertThat(list.bought()).extracting(CutList.Bought::panel).containsExactly("hinge");
    }

    @Test
    void metresOfBand() {
        assertThat(CutList.bands(locker).get("beech1"))
                .isCloseTo(
                        truth.path("totals").path("band_m").path("beech1").asDouble(),
                        within(1e-9));
    }

    @Test
    void holesMeet() {
        Mates mates = Mates.of(locker);
        JsonNode known = truth.path("mates");
        assertThat(mates.pairs()).hasSize(known.path("pairs").asInt());
        assertThat(mates.faults()).hasSize(known.path("faults").size());
        assertThat(mates.faults().get(0).holes().get(0)).hasToString("kick/h5");
    }
}
