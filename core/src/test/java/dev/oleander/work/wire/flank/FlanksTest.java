package dev.oleander.work.wire.flank;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Drawn;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.quantity.Typed;
import dev.oleander.work.wire.choice.CornerTaper;
import dev.oleander.work.wire.choice.EntryChoice;
import dev.oleander.work.wire.choice.Matching;
import dev.oleander.work.wire.choice.SlugChoice;
import dev.oleander.work.wire.choice.SlugHandling;
import dev.oleander.work.wire.choice.TaperChoice;
import dev.oleander.work.wire.choice.UpperChoice;
import dev.oleander.work.wire.choice.WireChoice;
import dev.oleander.work.wire.choice.WireChoices;
import dev.oleander.work.wire.cut.RefusedException;
import dev.oleander.work.wire.cut.Ruling;
import dev.oleander.work.wire.plan.WirePlan;
import dev.oleander.work.wire.plan.WireSamples;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Flanks against closed forms. */
class FlanksTest {

    private static final double EXACT = 1e-9;

    private static ElementChain chain(Contour contour) {
        return ElementChain.of(contour, true, 0, List.of());
    }

    private static Flanks leaning(Contour contour, TaperChoice taper, double height) {
        return Flanks.leaning(chain(contour), true, false, taper, new Flanks.Planes(0, height));
    }

    private static TaperChoice angle(double degrees) {
        return TaperChoice.NOTHING.withAngle(Typed.of(degrees));
    }

    @Test
    void aConeHasTheRadiusOfItsHeight() {
        Flanks cone = leaning(Contour.circle(new Point(3, 4), 10), angle(2), 40);
        double radius = 10 + 40 * Math.tan(Math.toRadians(2));
        for (Segment segment : cone.upper()) {
            Arc arc = (Arc) segment;
            assertThat(arc.radius()).isCloseTo(radius, within(EXACT));
            assertThat(arc.centre().distance(new Point(3, 4))).isLessThan(EXACT);
        }
        // the wire touches the flank at o / cos a from it in every level plane
        double offset = 0.2 / Math.cos(Math.toRadians(2));
        for (Flanks.Way way : cone.way(0.2, 1)) {
            Ruling ruling = way.ruling();
            assertThat(((Arc) ruling.lower()).radius()).isCloseTo(10 - offset, within(EXACT));
            assertThat(((Arc) ruling.upper()).radius()).isCloseTo(radius - offset, within(EXACT));
        }
    }

    @Test
    void aPyramidHasItsCornersOnTheDiagonals() {
        Contour square = Contour.rectangle(new Box(new Point(0, 0), new Point(20, 20)));
        double by = 30 * Math.tan(Math.toRadians(-4));
        Flanks pyramid = leaning(square, angle(-4), 30);
        List<Point> corners = pyramid.upper().stream().map(Segment::start).toList();
        assertNear(corners.get(0), -by, -by);
        assertNear(corners.get(1), 20 + by, -by);
        assertNear(corners.get(2), 20 + by, 20 + by);
        assertNear(corners.get(3), -by, 20 + by);
    }

    private static void assertNear(Point p, double x, double y) {
        assertThat(p.distance(new Point(x, y))).isLessThan(EXACT);
    }

    @Test
    void oneUprightFlankOfAPyramidStays() {
        Contour square = Contour.rectangle(new Box(new Point(0, 0), new Point(20, 20)));
        double by = 30 * Math.tan(Math.toRadians(3));
        Flanks flanks = leaning(square, angle(3).withElement(0, Typed.of(0)), 30);
        List<Point> corners = flanks.upper().stream().map(Segment::start).toList();
        assertNear(corners.get(0), -by, 0);
        assertNear(corners.get(1), 20 + by, 0);
        assertNear(corners.get(2), 20 + by, 20 + by);
        assertNear(corners.get(3), -by, 20 + by);
    }

    /** A rectangle with the corner radius 4. */
    private static Contour rounded() {
        double b = Math.tan(Math.PI / 8);
        List<Segment> s = new ArrayList<>();
        s.add(new Line(p(4, 0), p(36, 0)));
        s.add(new Arc(p(36, 0), p(40, 4), b));
        s.add(new Line(p(40, 4), p(40, 26)));
        s.add(new Arc(p(40, 26), p(36, 30), b));
        s.add(new Line(p(36, 30), p(4, 30)));
        s.add(new Arc(p(4, 30), p(0, 26), b));
        s.add(new Line(p(0, 26), p(0, 4)));
        s.add(new Arc(p(0, 4), p(4, 0), b));
        return new Contour(s);
    }

    private static Point p(double x, double y) {
        return new Point(x, y);
    }

    @Test
    void cornersChangeTheirRadiusOrKeepIt() {
        double by = 20 * Math.tan(Math.toRadians(5));
        Flanks conical = leaning(rounded(), angle(5), 20);
        Arc opened = (Arc) conical.upper().get(1);
        assertThat(opened.radius()).isCloseTo(4 + by, within(EXACT));
        assertThat(opened.centre().distance(p(36, 4))).isLessThan(EXACT);

        TaperChoice one = angle(5).withCornerOf(1, CornerTaper.CYLINDRICAL);
        Flanks mixed = leaning(rounded(), one, 20);
        Arc kept = (Arc) mixed.upper().get(1);
        assertThat(kept.radius()).isCloseTo(4, within(EXACT));
        assertThat(kept.centre().distance(p(36 + by, 4 - by))).isLessThan(EXACT);
        assertThat(kept.start().distance(p(36 + by, -by))).isLessThan(EXACT);
        assertThat(((Arc) mixed.upper().get(3)).radius()).isCloseTo(4 + by, within(EXACT));

        Flanks all = leaning(rounded(), angle(-5).withCorners(CornerTaper.CYLINDRICAL), 20);
        assertThat(((Arc) all.upper().get(5)).radius()).isCloseTo(4, within(EXACT));
        assertThat(((Arc) all.upper().get(5)).centre().distance(p(4 + by, 26 - by)))
                .isLessThan(EXACT);
    }

    @Test
    void aLandLiesInThePlaneOfTheProfile() {
        Contour circle = Contour.circle(p(0, 0), 10);
        TaperChoice relief = angle(-1);
        Flanks flanks =
                Flanks.leaning(chain(circle), true, false, relief, new Flanks.Planes(32, 40));
        double slope = Math.tan(Math.toRadians(1));
        assertThat(((Arc) flanks.lower().get(0)).radius())
                .isCloseTo(10 + 32 * slope, within(EXACT));
        assertThat(((Arc) flanks.upper().get(0)).radius()).isCloseTo(10 - 8 * slope, within(EXACT));
    }

    @Test
    void aTaperThatClosesTheContourIsToldWithPlaceAndFigures() {
        assertThatThrownBy(() -> leaning(rounded(), angle(-15), 20))
                .isInstanceOf(RefusedException.class)
                .hasMessageContaining("the taper of -15° closes the upper contour")
                .hasMessageContaining("the radius of 4 mm")
                .hasMessageContaining("5.36 mm");
        Contour narrow = Contour.rectangle(new Box(p(0, 0), p(40, 6)));
        assertThatThrownBy(() -> leaning(narrow, angle(-10), 20))
                .isInstanceOf(RefusedException.class)
                .hasMessageContaining("an element of 6 mm has no length left");
    }

    @Test
    void anAngleThatChangesOnASmoothJointIsTold() {
        TaperChoice change = angle(5).withElement(0, Typed.of(0));
        assertThatThrownBy(() -> leaning(rounded(), change, 20))
                .isInstanceOf(RefusedException.class)
                .hasMessageContaining("where two elements meet smoothly");
    }

    @Test
    void aRadiusThatIsTooSmallNamesItsPass() {
        double b = Math.tan(Math.PI / 8);
        List<Segment> s = new ArrayList<>();
        s.add(new Line(p(0.1, 0), p(20, 0)));
        s.add(new Line(p(20, 0), p(20, 20)));
        s.add(new Line(p(20, 20), p(0, 20)));
        s.add(new Line(p(0, 20), p(0, 0.1)));
        s.add(new Arc(p(0, 0.1), p(0.1, 0), b));
        Flanks upright = Flanks.upright(chain(new Contour(s)), true);
        assertThatThrownBy(() -> upright.way(0.205, 1))
                .isInstanceOf(RefusedException.class)
                .hasMessageContaining("the radius of 0.1 mm at X 0.029, Y 0.029")
                .hasMessageContaining("offset of 0.205 mm of pass 1 (rough)");
        assertThat(upright.way(0.09, 4)).hasSize(5);
    }

    // ---- four axes

    /** Squares of which the upper one is turned by 45 degrees, with the same corners in order. */
    private static Reading twisted() {
        double r = 20 * Math.sqrt(2) / 2;
        return new Drawn()
                .closed(-10, -10, 10, -10, 10, 10, -10, 10)
                .on("CUT2")
                .closed(0, -r, r, 0, 0, r, -r, 0)
                .reading();
    }

    @Test
    void aTwistedSquareIsRuledFromCornerToCorner() {
        Reading reading = twisted();
        String lower = feature(reading, new Point(-10, -10));
        String upper = feature(reading, new Point(0, -20 * Math.sqrt(2) / 2));
        UpperChoice above = new UpperChoice(upper, Matching.CORNERS, List.of(), Typed.of(0));
        WireChoice choice =
                WireChoice.NOTHING
                        .withUpper(above)
                        .withEntry(
                                EntryChoice.NOTHING.withStart(Typed.of(0)).withOverlap(Typed.of(0)))
                        .withSlug(SlugChoice.NOTHING.withHandling(SlugHandling.DROP));
        WirePlan plan = WireSamples.plan(reading, 40, WireChoices.NOTHING.withStop(lower, choice));
        assertThat(plan.run().stops()).hasSize(1);
        assertThat(plan.run().refused()).isEmpty();
        List<Ruling> surface = plan.surfaces().get(lower + ".1");
        assertThat(surface).hasSize(4);
        double r = 20 * Math.sqrt(2) / 2;
        Point shift = surface.get(0).lower().start().minus(new Point(-10, -10));
        for (int i = 0; i < 4; i++) {
            Point below = new Point(-10, -10).rotated(i * Math.PI / 2);
            Point over = new Point(0, -r).rotated(i * Math.PI / 2);
            Ruling ruling = surface.get(i);
            assertThat(ruling.lower().start().minus(shift).distance(below)).isLessThan(1e-6);
            assertThat(ruling.upper().start().minus(shift).distance(over)).isLessThan(1e-6);
        }
        // at half the height every side is the line between the middles of the corners' ways
        Segment low = surface.get(0).lower();
        Segment high = surface.get(0).upper();
        Point middle = low.at(0.5).midpoint(high.at(0.5)).minus(shift);
        Point expected = new Point(-5, -5 - r / 2).midpoint(new Point(5 + r / 2, -5));
        assertThat(middle.distance(expected)).isLessThan(1e-6);
    }

    private static String feature(Reading reading, Point corner) {
        return reading.features().stream()
                .filter(
                        f ->
                                f.chain().segments().stream()
                                        .anyMatch(s -> s.start().distance(corner) < 1e-6))
                .findFirst()
                .orElseThrow()
                .id();
    }

    /** Two horseshoes, open to opposite sides: half way up their slots meet. */
    @Test
    void aSurfaceThatCrossesItselfIsTold() {
        Reading reading =
                new Drawn()
                        .closed(0, 0, 20, 0, 20, 20, 11, 20, 11, 4, 9, 4, 9, 20, 0, 20)
                        .on("CUT2")
                        .closed(0, 1, 9, 1, 9, 17, 11, 17, 11, 1, 20, 1, 20, 21, 0, 21)
                        .reading();
        String lower = feature(reading, new Point(20, 20));
        String upper = feature(reading, new Point(20, 21));
        UpperChoice above = new UpperChoice(upper, Matching.LENGTH, List.of(), null);
        WireChoice choice =
                WireChoice.NOTHING
                        .withUpper(above)
                        .withSlug(SlugChoice.NOTHING.withHandling(SlugHandling.DROP));
        WirePlan plan = WireSamples.plan(reading, 80, WireChoices.NOTHING.withStop(lower, choice));
        assertThat(WireSamples.refusal(plan)).contains("crosses itself at");
    }

    @Test
    void moreThanTheMachineCanLeanIsTold() {
        Reading reading = new Drawn().rectangle(0, 0, 60, 60).reading();
        WireChoice choice = WireChoice.NOTHING.withTaper(angle(31));
        WirePlan plan = WireSamples.plan(reading, 20, WireSamples.all(choice));
        assertThat(WireSamples.refusal(plan))
                .contains("the machine can 30°")
                .contains("the wire leans by");
    }
}
