package dev.oleander.drawing.bridge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.drawing.letter.LetterCases;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** Islands that would fall, and what holds them. */
class BridgesTest {

    private static List<Contour> contours(JsonNode request) {
        List<Contour> all = new ArrayList<>();
        request.get("contours").forEach(c -> all.add((Contour) LetterCases.chain(c)));
        return all;
    }

    @ParameterizedTest
    @ValueSource(strings = {"letter_o", "word_board", "target", "window_of_five"})
    void asManyBridgesAsIslandsHoldEverything(String name) {
        JsonNode of = LetterCases.of(name);
        JsonNode request = of.get("request");
        JsonNode truth = of.get("truth");
        Optional<Double> direction =
                request.has("direction") ? Optional.of(90.0) : Optional.empty();
        Bridges.Found found =
                Bridges.of(
                        contours(request),
                        BridgeWish.of(request.get("width").asDouble()).along(direction));
        assertThat(found.islands()).isEqualTo(truth.get("islands").asInt());
        assertThat(found.bridges()).hasSize(truth.get("bridges").asInt());
        assertThat(found.keptPieces()).isEqualTo(1);
        assertThat(found.findings()).isEmpty();
        double together = found.bridges().stream().mapToDouble(Bridge::length).sum();
        assertThat(together).isLessThanOrEqualTo(truth.path("mostLength").asDouble(1e9));
        long upright = found.bridges().stream().filter(b -> Math.abs(b.way().x()) < 0.1).count();
        assertThat(upright).isGreaterThanOrEqualTo(truth.path("vertical").asInt(0));
        double after = found.contours().stream().mapToDouble(Contour::area).sum();
        double strips = request.get("width").asDouble() * together;
        assertThat(truth.get("removedBefore").asDouble() - after)
                .isCloseTo(strips, within(0.12 * strips + 1));
    }

    private static Contour box(double x, double y, double width, double height) {
        return Contour.rectangle(Box.of(new Point(x, y), new Point(x + width, y + height)));
    }

    @Test
    void anIslandThatIsTooNarrowIsToldWithWhatWouldFit() {
        Bridges.Found found =
                Bridges.of(List.of(box(0, 0, 60, 40), box(20, 19, 1.8, 1.8)), BridgeWish.of(3));
        assertThat(found.bridges()).isEmpty();
        assertThat(found.keptPieces()).isEqualTo(2);
        assertThat(found.findings())
                .containsExactly(
                        "The island at 20.9, 19.9 is 1.8 mm wide; a bridge of 3 mm does not fit, 1.4 mm would.");
    }

    @Test
    void aLongIslandIsHeldAtBothEnds() {
        List<Contour> ring = List.of(box(0, 0, 300, 100), box(20, 20, 260, 60));
        assertThat(Bridges.of(ring, BridgeWish.of(4)).bridges()).hasSize(1);
        List<Bridge> two = Bridges.of(ring, BridgeWish.of(4).each(2)).bridges();
        assertThat(two).hasSize(2);
        Point first = two.get(0).way();
        Point second = two.get(1).way();
        assertThat(first.x() * second.x() + first.y() * second.y()).isLessThan(-0.5);
    }

    @Test
    void randomIslandsAreAllHeld() {
        Random random = new Random(7);
        for (int round = 0; round < 40; round++) {
            List<Contour> all = new ArrayList<>(List.of(box(0, 0, 400, 300)));
            int islands = 0;
            for (int x = 0; x < 5; x++) {
                for (int y = 0; y < 4; y++) {
                    if (random.nextInt(3) > 0) {
                        double wide = 20 + random.nextInt(40);
                        double high = 20 + random.nextInt(35);
                        all.add(
                                box(
                                        10 + 78 * x + random.nextInt(15),
                                        10 + 72 * y + random.nextInt(15),
                                        wide,
                                        high));
                        islands++;
                    }
                }
            }
            Bridges.Found found = Bridges.of(all, BridgeWish.of(4));
            assertThat(found.findings()).as("round " + round).isEmpty();
            assertThat(found.bridges()).hasSize(islands);
            assertThat(found.keptPieces()).isEqualTo(1);
        }
    }
}
