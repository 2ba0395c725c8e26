package dev.oleander.drawing.bridge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
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
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
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

    /** A letter like B: two counters above each other, and one aside like that of a d. */
    private static final List<Contour> LETTERS =
            List.of(
                    box(0, 0, 40, 100),
                    box(12, 12, 20, 30),
                    box(10, 56, 20, 30),
                    box(60, 0, 40, 60),
                    box(70, 15, 20, 30));

    @Test
    void aStencilHasOneStripThroughTheMiddleOfEachLetter() {
        Bridges.Found found = Bridges.of(LETTERS, BridgeWish.of(4).asStencil(true));
        assertThat(found.findings()).isEmpty();
        assertThat(found.keptPieces()).isEqualTo(1);
        // below, between and above the counters of the first, below and above that of the second
        assertThat(found.bridges()).hasSize(5);
        assertThat(found.bridges())
                .allSatisfy(b -> assertThat(b.from().x()).isCloseTo(b.to().x(), within(1e-9)));
        assertThat(found.bridges())
                .extracting(b -> (double) Math.round(b.from().x()))
                .containsOnly(20.0, 80.0);
        // each letter falls in two
        assertThat(found.contours()).hasSize(4);
    }

    @Test
    void aStencilMayRunLevel() {
        Bridges.Found found =
                Bridges.of(
                        LETTERS.subList(3, 5),
                        BridgeWish.of(4).asStencil(true).along(Optional.of(0.0)));
        assertThat(found.bridges()).hasSize(2);
        assertThat(found.bridges())
                .allSatisfy(b -> assertThat(b.from().y()).isCloseTo(30, within(1e-9)));
    }

    /** A quarter circle of radius r stays in each of four corners: (1 - pi/4) r^2 more each. */
    @Test
    void cornersBesideABridgeAreRounded() {
        List<Contour> ring = List.of(box(0, 0, 60, 60), box(20, 20, 20, 20));
        double sharp = area(Bridges.of(ring, BridgeWish.of(4)));
        double round = area(Bridges.of(ring, BridgeWish.of(4).rounded(1)));
        assertThat(sharp - round).isCloseTo(4 * (1 - Math.PI / 4), within(1e-6));
        assertThatThrownBy(() -> BridgeWish.of(4).rounded(1.1))
                .isInstanceOf(IllegalArgumentException.class);
    }

    private static double area(Bridges.Found found) {
        return found.contours().stream().mapToDouble(c -> Math.abs(c.area())).sum();
    }

    /** Of letters that differ in height, bridges of a word come to lie level with each other. */
    @Test
    void bridgesOfAWordLieLevel() {
        List<Contour> word = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            word.add(box(60 * i, 0, 50, 60));
            // the last one is a little nearer to the upper edge than to the lower one
            word.add(i < 3 ? box(60 * i + 15, 13, 20, 32) : box(60 * i + 15, 14, 20, 32.5));
        }
        Bridges.Found found = Bridges.of(word, BridgeWish.of(3).along(Optional.of(90.0)));
        assertThat(found.bridges()).hasSize(4);
        assertThat(found.bridges()).allMatch(b -> Math.max(b.from().y(), b.to().y()) < 20);
    }

    // ---- islands in islands, judged by a library of polygons

    private static Polygon polygon(Contour contour) {
        List<Coordinate> ring = new ArrayList<>();
        contour.segments().forEach(g -> ring.add(new Coordinate(g.start().x(), g.start().y())));
        ring.add(ring.get(0));
        return new GeometryFactory().createPolygon(ring.toArray(Coordinate[]::new));
    }

    /** What is left of a sheet when all that lies in an odd number of contours is gone. */
    private static Geometry kept(List<Contour> contours) {
        Geometry gone = new GeometryFactory().createPolygon();
        for (Contour contour : contours) {
            gone = gone.symDifference(polygon(contour));
        }
        return polygon(box(-20, -20, 460, 360)).difference(gone);
    }

    /** An opening, an island in it, an opening in that, and again an island. */
    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6})
    void islandsInIslandsHoldTogetherAsOnePiece(int seed) {
        Random random = new Random(seed);
        List<Contour> all = new ArrayList<>();
        int islands = 0;
        for (int i = 0; i < 12; i++) {
            double x = 105 * (i % 4) + random.nextInt(8);
            double y = 105 * (i / 4) + random.nextInt(8);
            int deep = random.nextInt(5);
            for (int d = 0; d < deep; d++) {
                all.add(box(x + 11 * d, y + 10 * d, 90 - 22 * d, 88 - 20 * d));
                islands += d % 2;
            }
        }
        Bridges.Found found = Bridges.of(all, BridgeWish.of(3));
        assertThat(found.findings()).isEmpty();
        assertThat(found.islands()).isEqualTo(islands);
        assertThat(found.bridges()).hasSize(islands);
        assertThat(kept(all).getNumGeometries()).isEqualTo(islands + 1);
        assertThat(kept(found.contours()).getNumGeometries()).isEqualTo(1);
        Bridges.Found stencil = Bridges.of(all, BridgeWish.of(3).asStencil(true));
        assertThat(kept(stencil.contours()).getNumGeometries()).isEqualTo(1);
    }

    /** The stem of a letter, its dot, and an accent beside it with a hole. */
    @Test
    void barsMakeOnePieceOfWhatIsKept() {
        Contour stem = Contour.rectangle(new Box(new Point(0, 0), new Point(6, 30)));
        Contour dot = Contour.circle(new Point(3, 38), 3.5);
        Contour ring = Contour.circle(new Point(20, 15), 8);
        Contour hole = Contour.circle(new Point(20, 15), 4);
        Bridges.Found found = Bridges.bars(List.of(stem, dot, ring, hole), BridgeWish.of(2));
        assertThat(found.islands()).isEqualTo(2);
        assertThat(found.bridges()).hasSize(2);
        assertThat(found.keptPieces()).isEqualTo(1);
        assertThat(found.findings()).isEmpty();
        assertThat(found.contours()).hasSize(2);
        double kept =
                found.contours().stream().mapToDouble(Contour::area).max().orElseThrow()
                        - hole.area();
        double before = stem.area() + dot.area() + ring.area() - hole.area();
        double bars = found.bridges().stream().mapToDouble(b -> b.length() * b.width()).sum();
        assertThat(kept).isBetween(before + 0.9 * bars, before + 1.3 * bars);
    }

    @Test
    void whatNoBarReachesIsTold() {
        Contour stem = Contour.rectangle(new Box(new Point(0, 0), new Point(6, 30)));
        Contour speck = Contour.circle(new Point(3, 38), 0.5);
        Bridges.Found found = Bridges.bars(List.of(stem, speck), BridgeWish.of(2));
        assertThat(found.findings())
                .singleElement()
                .asString()
                .contains("1 mm wide; a bridge of 2 mm does not fit");
    }
}
