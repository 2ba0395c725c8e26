package dev.oleander.geometry;

import static dev.oleander.geometry.Shapes.p;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class ContourTest {

    @Test
    void areaAndLengthAreExactForArcs() {
        Contour circle = Contour.circle(p(4e6, -2e6), 3);
        assertThat(circle.area()).isCloseTo(9 * Math.PI, within(1e-8));
        assertThat(circle.length()).isCloseTo(6 * Math.PI, within(1e-8));
        Contour rounded = Shapes.rounded(100, 60, 10);
        assertThat(rounded.signedArea()).isCloseTo(100 * 60 - (4 - Math.PI) * 100, within(1e-9));
        assertThat(rounded.reversed().signedArea()).isNegative();
    }

    @Test
    void containsPointsByTheTrueCurve() {
        Contour rounded = Shapes.rounded(100, 60, 10);
        assertThat(rounded.contains(p(50, 30))).isTrue();
        assertThat(rounded.contains(p(2.9, 2.9))).isFalse();
        assertThat(rounded.contains(p(3.0, 3.0))).isTrue();
        assertThat(rounded.contains(p(-5, 10))).isFalse();
        assertThat(rounded.contains(p(101, 50))).isFalse();
    }

    @Test
    void contoursRayHitsCornersOnce() {
        Contour diamond = Shapes.polygon(10, 0, 0, 10, -10, 0, 0, -10);
        assertThat(diamond.contains(p(-20, 0))).isFalse();
        assertThat(diamond.contains(p(0, 0))).isTrue();
        assertThat(diamond.contains(p(-20, 10))).isFalse();
    }

    @Test
    void beginsAnywhereAndStaysTheSame() {
        Contour rounded = Shapes.rounded(100, 60, 10);
        Contour moved = rounded.startedAt(rounded.stationAt(123.4));
        assertThat(moved.area()).isCloseTo(rounded.area(), within(1e-9));
        assertThat(moved.length()).isCloseTo(rounded.length(), within(1e-9));
        assertThat(moved.start().distance(rounded.stationAt(123.4).point())).isLessThan(1e-12);
    }

    @Test
    void leavesACornerAlongTheNextSegment() {
        Contour square = Shapes.rectangle(10, 10);
        Chain.Station corner = new Chain.Station(0, 1, square.segments().get(0));
        assertThat(square.departure(corner)).isEqualTo(p(0, 1));
        assertThat(square.departure(square.stationAt(5))).isEqualTo(p(1, 0));
    }

    @Test
    void losesOnlyWhatIsTooShortForItsNewPlace() {
        double tiny = 1e-15;
        Contour crumbed = Shapes.polygon(0, 0, 10, 0, 10, 10, tiny, 10, 0, 10 - tiny, 0, 5);
        Contour moved = crumbed.transformed(Transform.translation(p(4000, 4000)));
        assertThat(moved.segments()).hasSizeLessThan(crumbed.segments().size());
        assertThat(moved.area()).isCloseTo(100, within(1e-9));
    }

    @Test
    void knowsACircleOfPieces() {
        assertThat(Contour.circle(p(1, 2), 4.5).circleDiameter(0.01).orElseThrow())
                .isCloseTo(9, within(1e-9));
        assertThat(Shapes.rounded(20, 20, 9).circleDiameter(0.01)).isEmpty();
    }

    @Test
    void refusesOpenChains() {
        List<Segment> open = List.of(new Line(p(0, 0), p(1, 0)), new Line(p(1, 0), p(1, 1)));
        assertThatThrownBy(() -> new Contour(open)).hasMessageContaining("open");
        List<Segment> torn = List.of(new Line(p(0, 0), p(1, 0)), new Line(p(2, 0), p(0, 0)));
        assertThatThrownBy(() -> new Contour(torn)).hasMessageContaining("starts at");
    }

    @Test
    void theCentreOfHalfADiscLiesFourThirdsOverPiRadiiUp() {
        Contour half =
                new Contour(List.of(new Arc(p(5, 0), p(-5, 0), 1), new Line(p(-5, 0), p(5, 0))));
        Contour moved = half.transformed(Transform.translation(p(100, 200)));
        assertThat(moved.centroid().distance(p(100, 200 + 20 / (3 * Math.PI)))).isLessThan(1e-12);
        assertThat(moved.reversed().centroid().distance(moved.centroid())).isLessThan(1e-12);
        Region ring = new Region(Contour.circle(p(0, 0), 3), List.of(Contour.circle(p(1, 0), 1)));
        assertThat(ring.centroid().distance(p(-1 / 8.0, 0))).isLessThan(1e-12);
    }

    @Property(tries = 300)
    void centresAgreeWithAnotherLibrary(@ForAll long seed) {
        Contour contour = new RandomShapes(seed).contour((int) Math.floorMod(seed, 7L));
        if (contour.area() > 1) {
            double flat = 1e-6;
            var judge = Judge.flat(new Region(contour, List.of()), flat).getCentroid();
            Point centre = contour.centroid();
            // what flattening takes, at the farthest; lobes of opposite turn throw the centre far
            // out
            double far = centre.distance(contour.box().centre()) + contour.length();
            double limit = flat * contour.length() * far / contour.area() + 1e-9;
            assertThat(centre.distance(p(judge.getX(), judge.getY()))).isLessThan(limit);
        }
    }
}
