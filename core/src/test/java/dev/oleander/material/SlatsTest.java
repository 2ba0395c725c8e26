package dev.oleander.material;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.Shapes;
import dev.oleander.geometry.Transform;
import dev.oleander.geometry.enclose.SmallestWidth;
import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

class SlatsTest {

    private static final GeometryFactory JTS = new GeometryFactory();
    private static final Slats SLATS = new Slats(60);

    private static Region at(Contour contour, double x, double y) {
        return new Region(contour.transformed(Transform.translation(new Point(x, y))), List.of());
    }

    @Test
    void whatLiesBetweenTwoSlatsFalls() {
        assertThat(SLATS.under(at(Contour.circle(Point.ORIGIN, 20), 90, 0))).isEqualTo(Rest.FALLS);
        assertThat(SLATS.under(at(Shapes.rectangle(59, 500), 0.5, 0))).isEqualTo(Rest.FALLS);
    }

    @Test
    void onOneSlatOnlyWhatIsBalancedStays() {
        Contour disc = Contour.circle(Point.ORIGIN, 20);
        assertThat(SLATS.under(at(disc, 60.3, 0))).isEqualTo(Rest.RESTS);
        assertThat(SLATS.under(at(disc, 65, 0))).isEqualTo(Rest.TIPS);
    }

    @Test
    void onTwoSlatsWhatReachesFarBeyondThemTips() {
        // an L whose foot alone lies on a second slat: its weight is beside the hull
        Contour foot =
                Shapes.polygon(
                        50, 0, 125, 0, 125, 10, 119, 10, 119, 400, 110, 400, 110, 10, 50, 10);
        assertThat(SLATS.under(new Region(foot, List.of()))).isEqualTo(Rest.TIPS);
        assertThat(SLATS.under(at(Shapes.rectangle(140, 60), 50, 0))).isEqualTo(Rest.RESTS);
    }

    @Test
    void onAPlaneEverythingRests() {
        assertThat(new Slats(0).under(at(Contour.circle(Point.ORIGIN, 1), 30, 0)))
                .isEqualTo(Rest.RESTS);
    }

    /** Judged with the hull of the slats' cuts through a flattened shape. */
    @Property(tries = 300)
    void itAgreesWithTheHullOfTheTouchingPlaces(
            @ForAll @DoubleRange(min = 5, max = 90) double a,
            @ForAll @DoubleRange(min = 5, max = 90) double b,
            @ForAll @DoubleRange(min = 5, max = 90) double c,
            @ForAll @DoubleRange(min = -0.8, max = 0.8) double bulge,
            @ForAll @DoubleRange(min = 0, max = 60) double x) {
        Contour star = Shapes.star(new double[] {a, b, c, a, b}, bulge == 0 ? 0.1 : bulge);
        Region region = at(star, x, 0);
        Geometry flat = flat(region);
        if (!flat.isValid()) {
            return;
        }
        List<Coordinate> touched = new ArrayList<>();
        for (double slat = -240; slat <= 240; slat += 60) {
            Geometry line =
                    JTS.createLineString(
                            new Coordinate[] {
                                new Coordinate(slat, -900), new Coordinate(slat, 900)
                            });
            touched.addAll(List.of(flat.intersection(line).getCoordinates()));
        }
        Rest rest = SLATS.under(region);
        if (touched.isEmpty()) {
            assertThat(rest).isEqualTo(Rest.FALLS);
            return;
        }
        Geometry hull =
                JTS.createMultiPointFromCoords(touched.toArray(new Coordinate[0])).convexHull();
        double off = hull.distance(flat.getCentroid());
        // near the limit the flattening decides
        if (Math.abs(off - 0.5) > 0.05) {
            assertThat(rest).isEqualTo(off > 0.5 ? Rest.TIPS : Rest.RESTS);
        }
    }

    private static Geometry flat(Region region) {
        List<Coordinate> corners = new ArrayList<>();
        for (Segment segment : region.outer().segments()) {
            for (int k = 0; k < 200; k++) {
                Point p = segment.at(k / 200.0);
                corners.add(new Coordinate(p.x(), p.y()));
            }
        }
        corners.add(corners.get(0));
        return JTS.createPolygon(corners.toArray(new Coordinate[0]));
    }

    /** Measured between parallel lines in very many directions. */
    @Property(tries = 100)
    void noDirectionIsNarrowerThanTheSmallestWidth(
            @ForAll @DoubleRange(min = 5, max = 90) double a,
            @ForAll @DoubleRange(min = 5, max = 90) double b,
            @ForAll @DoubleRange(min = 5, max = 90) double c) {
        Region region = at(Shapes.star(new double[] {a, b, c, b, a + 1}, 0.3), 0, 0);
        Coordinate[] corners = flat(region).getCoordinates();
        double least = Double.POSITIVE_INFINITY;
        for (int d = 0; d < 3600; d++) {
            Point way = Point.polar(1, Math.PI * d / 3600);
            double low = Double.POSITIVE_INFINITY;
            double high = Double.NEGATIVE_INFINITY;
            for (Coordinate corner : corners) {
                double along = corner.x * way.x() + corner.y * way.y();
                low = Math.min(low, along);
                high = Math.max(high, along);
            }
            least = Math.min(least, high - low);
        }
        assertThat(SmallestWidth.of(region.outer())).isCloseTo(least, within(0.15));
    }

    @Test
    void widthsOfKnownShapes() {
        assertThat(SmallestWidth.of(Shapes.rectangle(80, 30))).isCloseTo(30, within(1e-9));
        assertThat(SmallestWidth.of(Contour.circle(Point.ORIGIN, 10))).isCloseTo(20, within(0.01));
    }
}
