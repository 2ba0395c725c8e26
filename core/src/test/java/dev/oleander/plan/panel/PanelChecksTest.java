package dev.oleander.plan.panel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.plan.panel.whole.Overlaps;
import dev.oleander.plan.panel.whole.PanelChecks;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What is to be looked at in a product. */
class PanelChecksTest {

    private static String box(String id, String face, double x, double y, double depth) {
        return """
        {"id": "%s", "face": "%s", "kind": "pocket", "depth": %s,
         "outline": [[%s, %s], [%s, %s], [%s, %s], [%s, %s]]}
        """
                .formatted(id, face, depth, x, y, x + 50, y, x + 50, y + 40, x, y + 40);
    }

    private static List<String> rules(String more, String features) {
        return PanelChecks.of(Panels.product(Panels.panel("a", more, features))).stream()
                .map(f -> f.rule() + " " + f.feature())
                .toList();
    }

    @Test
    void aThinSkinIsTold() {
        String top = box("p1", "top", 100, 100, 9);
        assertThat(rules("", top + "," + box("p2", "bottom", 100, 260, 8)))
                .containsExactly("skin-thickness p1");
        assertThat(rules("", top + "," + box("p2", "bottom", 100, 260, 7))).isEmpty();
        assertThat(rules("", top + "," + box("p2", "bottom", 300, 260, 8))).isEmpty();
    }

    @Test
    void anotherThicknessThanThatOfTheMaterialIsTold() {
        Product planed =
                Panels.product(
                        Panels.panel("a", "", "")
                                .replace("\"thickness\": 18", "\"thickness\": 17"));
        assertThat(PanelChecks.of(planed).get(0).sentence())
                .isEqualTo("Panel a is 17 mm thick; its material p has 18 mm.");
    }

    @Test
    void whatABandClosesIsTold() {
        String banded = ", \"band\": {\"left\": \"beech\", \"back\": \"beech\"}";
        assertThat(rules(banded, Panels.hole("h1", "left", 50, 9, 20))).containsExactly("band h1");
        assertThat(rules(banded, box("p1", "top", 0, 100, 5))).containsExactly("band p1");
        assertThat(rules(banded, box("p1", "top", 1, 100, 5))).isEmpty();
        assertThat(
                        rules(
                                banded + ", \"machined\": \"after\"",
                                Panels.hole("h1", "left", 50, 9, 20)))
                .isEmpty();
    }

    @Test
    void holesThatRunIntoSomethingAreTold() {
        // left (u, v): u runs from the back to the front
        assertThat(
                        rules(
                                "",
                                Panels.hole("h1", "left", 280, 9, 30)
                                        + ","
                                        + box("p1", "top", 20, 100, 8)))
                .containsExactly("edge h1");
        assertThat(
                        rules(
                                "",
                                Panels.hole("h1", "left", 280, 9, 15)
                                        + ","
                                        + box("p1", "top", 20, 100, 8)))
                .isEmpty();
        assertThat(
                        rules(
                                "",
                                Panels.hole("h1", "left", 390, 9, 20)
                                        + ","
                                        + Panels.hole("h2", "front", 10, 9, 20)))
                .containsExactly("edge h2");
    }

    private static String placed(double x, String features) {
        return Panels.panel(
                x == 0 ? "a" : "b",
                ", \"placed\": {\"origin\": [%s, 0, %s], \"x\": [1, 0, 0], \"y\": [0, 1, 0]}"
                        .formatted(x, x == 0 ? 0 : 13),
                features);
    }

    @Test
    void panelsThatFillTheSameRoomAreTold() {
        // 50 x 400 x 5
        assertThat(
                        Overlaps.of(Panels.product(placed(0, "") + "," + placed(550, "")))
                                .get(0)
                                .volume())
                .isCloseTo(100_000, within(1e-6));
        String rebate =
                """
                {"id": "r1", "face": "top", "kind": "rebate", "depth": 5,
                 "outline": [[550, 0], [600, 0], [600, 400], [550, 400]]}
                """;
        assertThat(Overlaps.of(Panels.product(placed(0, rebate) + "," + placed(550, ""))))
                .isEmpty();
        assertThat(Overlaps.of(Panels.product(placed(0, "") + "," + placed(600, "")))).isEmpty();
    }

    @Test
    void theLockerHasNothingOfIt() {
        assertThat(PanelChecks.of(Panels.locker())).isEmpty();
    }
}
