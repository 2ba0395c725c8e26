package dev.oleander.drawing.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Drawn;
import dev.oleander.drawing.Fault;
import dev.oleander.drawing.mend.MendOptions;
import dev.oleander.geometry.Point;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Forms of contours, equal parts, start holes, sides, larger gaps, chopped curves. */
class FormsAndCopiesTest {

    private static Reading read(Drawn drawn, ReadOptions options) {
        return new DrawingReading(options).read(drawn.drawing());
    }

    private static String label(Drawn drawn) {
        return drawn.reading().features().get(0).form().orElseThrow().label();
    }

    /** Points of a polygon, turned about the origin. */
    private static double[] turned(double degrees, double... xy) {
        double[] out = new double[xy.length];
        for (int i = 0; i < xy.length; i += 2) {
            Point p = new Point(xy[i], xy[i + 1]).rotated(Math.toRadians(degrees));
            out[i] = p.x();
            out[i + 1] = p.y();
        }
        return out;
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, 30, 90, 137})
    void formsAreNamedHoweverTheyAreTurned(double turn) {
        assertThat(label(new Drawn().closed(turned(turn, 0, 0, 40, 0, 40, 25, 0, 25))))
                .isEqualTo("Rectangle 40 × 25");
        double[] hexagon = new double[12];
        for (int i = 0; i < 6; i++) {
            Point p = Point.polar(10, Math.PI * i / 3);
            hexagon[2 * i] = p.x();
            hexagon[2 * i + 1] = p.y();
        }
        assertThat(label(new Drawn().closed(turned(turn, hexagon))))
                .isEqualTo("Hexagon 17.32 across flats");
        assertThat(label(new Drawn().closed(turned(turn, 0, 0, 40, 0, 50, 25, 0, 25))))
                .doesNotStartWith("Rectangle");
    }

    @Test
    void keyholesAndSlotsAreToldApart() {
        // a head of radius 10 about the origin, a slot 8 wide that ends at x = 30
        double x = Math.sqrt(100 - 16);
        double sweep = 2 * Math.PI - 2 * Math.asin(0.4);
        Drawn keyhole =
                new Drawn()
                        .line(x, -4, 26, -4)
                        .arc(26, -4, 26, 4, 1)
                        .line(26, 4, x, 4)
                        .arc(x, 4, x, -4, Math.tan(sweep / 4));
        assertThat(label(keyhole)).isEqualTo("Keyhole Ø 20 to 8, 40 long");
        Drawn slot =
                new Drawn()
                        .line(0, -4, 26, -4)
                        .arc(26, -4, 26, 4, 1)
                        .line(26, 4, 0, 4)
                        .arc(0, 4, 0, -4, 1);
        assertThat(label(slot)).isEqualTo("Slot 34 × 8");
        assertThat(new Drawn().rectangle(-50, -50, 100, 100).circle(0, 0, 3).reading().forms())
                .isEmpty();
    }

    /** A bracket that is not equal to its mirror image, with a hole. */
    private static Drawn bracket(Drawn drawn, double turn, boolean over, double dx, double dy) {
        double side = over ? -1 : 1;
        double[] xy = turned(turn, 0, 0, 60 * side, 0, 60 * side, 20, 25 * side, 20, 0, 45);
        for (int i = 0; i < xy.length; i += 2) {
            xy[i] += dx;
            xy[i + 1] += dy;
        }
        Point hole = new Point(12 * side, 10).rotated(Math.toRadians(turn));
        return drawn.closed(xy).circle(hole.x() + dx, hole.y() + dy, 4);
    }

    @Test
    void equalPartsAreFoundTurnedAndTurnedOver() {
        Drawn drawn = new Drawn();
        bracket(drawn, 0, false, 0, 0);
        bracket(drawn, 90, false, 300, 0);
        bracket(drawn, 33, true, 600, 100);
        drawn.closed(900, 0, 960, 0, 960, 20, 925, 20, 900, 45).circle(930, 10, 4);
        List<Part> parts = drawn.reading().parts();
        assertThat(parts).hasSize(4);
        assertThat(parts.get(0).copyOf()).isEmpty();
        assertThat(parts.get(1).copyOf()).contains("p1");
        assertThat(parts.get(1).mirrored()).isFalse();
        assertThat(parts.get(2).copyOf()).contains("p1");
        assertThat(parts.get(2).mirrored()).isTrue();
        assertThat(parts.get(3).copyOf()).as("the hole lies elsewhere").isEmpty();
    }

    @Test
    void roundPartsAreComparedByTheirHoles() {
        Drawn drawn = new Drawn();
        for (double[] ring : new double[][] {{0, 0}, {200, 0.7}, {400, 0}}) {
            drawn.circle(ring[0], 0, 50);
            for (int i = 0; i < 3; i++) {
                Point p = Point.polar(35, ring[1] + i * (ring[0] == 400 ? 1.8 : 2 * Math.PI / 3));
                drawn.circle(ring[0] + p.x(), p.y(), 4);
            }
        }
        List<Part> parts = drawn.reading().parts();
        assertThat(parts.get(1).copyOf()).contains("p1");
        assertThat(parts.get(2).copyOf()).isEmpty();
    }

    @Test
    void startHolesBelongToTheirContours() {
        Drawn drawn =
                new Drawn()
                        .rectangle(0, 0, 100, 100)
                        .rectangle(30, 30, 40, 40)
                        .circle(50, 50, 1)
                        .circle(-6, 50, 1)
                        .circle(85, 85, 5);
        ReadOptions options =
                ReadOptions.defaults()
                        .withRules(PurposeRules.NONE.withStartDiameters(List.of(2.0)));
        Map<String, Feature> byId = read(drawn, options).byId();
        assertThat(byId.get("c3").place().startOf()).contains("c2");
        assertThat(byId.get("c4").place().startOf()).contains("c1");
        assertThat(byId.get("c5").purpose()).isEqualTo(Purpose.CUT);
        assertThat(byId.get("c1").kind()).isEqualTo(Feature.Kind.OUTLINE);
    }

    @Test
    void purposesGoByLayerThenColourThenLineType() {
        Drawn drawn = new Drawn().rectangle(0, 0, 100, 100).on("X").line(10, 10, 50, 10);
        PurposeRules byColour =
                PurposeRules.NONE.with(PurposeRules.By.COLOUR, "black", Purpose.MARK);
        Reading reading = read(drawn, ReadOptions.defaults().withRules(byColour));
        assertThat(reading.features()).allMatch(f -> f.purpose() == Purpose.MARK);
        PurposeRules both = byColour.with(PurposeRules.By.LAYER, "X", Purpose.FOLD);
        reading = read(drawn, ReadOptions.defaults().withRules(both));
        assertThat(reading.byId().get("c2").purpose()).isEqualTo(Purpose.FOLD);
        PurposeRules back = both.with(PurposeRules.By.COLOUR, "black", null);
        assertThat(read(drawn, ReadOptions.defaults().withRules(back)).byId().get("c1").purpose())
                .isEqualTo(Purpose.CUT);
        PurposeRules byType =
                PurposeRules.NONE.with(PurposeRules.By.LINE_TYPE, "continuous", Purpose.IGNORE);
        assertThat(read(drawn, ReadOptions.defaults().withRules(byType)).cut()).isEmpty();
    }

    @Test
    void theSideOfOneContourCanBeTurned() {
        Drawn drawn = new Drawn().rectangle(0, 0, 100, 100).circle(50, 50, 20);
        Reading turned = read(drawn, ReadOptions.defaults().withTurned(Set.of("c2")));
        assertThat(turned.byId().get("c2").kind()).isEqualTo(Feature.Kind.OUTLINE);
        assertThat(turned.parts()).hasSize(2);
    }

    @Test
    void facingEndsOverALargerGapAreToldOnceWithBothPlaces() {
        Drawn drawn = new Drawn().lines(0, 0, 100, 0, 100, 50, 0, 50, 0, 0.8);
        Reading reading = drawn.reading();
        assertThat(reading.openFaults())
                .singleElement()
                .satisfies(
                        f -> {
                            assertThat(f.kind()).isEqualTo(Fault.Kind.GAP);
                            assertThat(f.size()).isCloseTo(0.8, within(1e-9));
                            assertThat(f.ends()).hasSize(2);
                        });
        String key = reading.openFaults().get(0).key();
        assertThat(read(drawn, ReadOptions.defaults().withSettled(Set.of(key))).openFaults())
                .isEmpty();
    }

    @Test
    void choppedCurvesAreFoundAndFittedWhenWanted() {
        Drawn drawn = new Drawn();
        double[] xy = new double[2 * 72];
        for (int i = 0; i < 72; i++) {
            Point p = Point.polar(11, 2 * Math.PI * i / 72);
            xy[2 * i] = p.x();
            xy[2 * i + 1] = p.y();
        }
        drawn.rectangle(-50, -50, 100, 100).closed(xy);
        Reading before = drawn.reading();
        assertThat(before.holes()).isEmpty();
        assertThat(before.faults())
                .singleElement()
                .satisfies(
                        f ->
                                assertThat(f.sentence())
                                        .contains("72 short lines", "could be 1 curve"));
        Reading after =
                read(
                        drawn,
                        ReadOptions.defaults()
                                .withMend(MendOptions.defaults().withSteps(MendOptions.ALL)));
        assertThat(after.holes())
                .singleElement()
                .satisfies(h -> assertThat(h.diameter()).isCloseTo(22, within(1e-6)));
        assertThat(after.changes()).hasSize(1);
    }

    @Test
    void nothingIsMendedThatIsNotWanted() {
        Drawn drawn = new Drawn().lines(0, 0, 100, 0, 100, 50, 0, 50, 0, 0.04);
        MendOptions nothing = MendOptions.defaults().withSteps(Set.of());
        Reading reading = read(drawn, ReadOptions.defaults().withMend(nothing));
        assertThat(reading.parts()).isEmpty();
        assertThat(reading.changes()).isEmpty();
    }

    @Test
    void aToleranceThatIsFarTooLargeIsToldNotFollowed() {
        Drawn drawn = new Drawn();
        for (int i = 0; i < 60; i++) {
            for (int j = 0; j < 60; j++) {
                drawn.line(0.01 * i, 0.01 * j, 0.01 * i + 0.004, 0.01 * j);
            }
        }
        Reading reading =
                read(drawn, ReadOptions.defaults().withMend(MendOptions.defaults().withGap(2)));
        assertThat(reading.faults())
                .anyMatch(f -> f.sentence().contains("most of the line work is finer"));
    }
}
