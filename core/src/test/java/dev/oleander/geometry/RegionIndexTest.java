package dev.oleander.geometry;

import static dev.oleander.geometry.Shapes.p;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.flat.Vertices;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.algorithm.locate.IndexedPointInAreaLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Location;

class RegionIndexTest {

    @Property(tries = 200)
    void pointsAreWhereAnotherLibraryFindsThem(@ForAll long seed) {
        RandomShapes shapes = new RandomShapes(seed);
        Region region = shapes.withHoles(shapes.contour(1 + shapes.random().nextInt(4)));
        RegionIndex index = RegionIndex.of(region);
        IndexedPointInAreaLocator judge = new IndexedPointInAreaLocator(Judge.flat(region, 1e-6));
        for (int i = 0; i < 100; i++) {
            double x = shapes.between(region.box().min().x() - 1, region.box().max().x() + 1);
            double y = shapes.between(region.box().min().y() - 1, region.box().max().y() + 1);
            if (index.distanceToBorder(x, y) > 1e-5) {
                boolean inside = judge.locate(new Coordinate(x, y)) == Location.INTERIOR;
                assertThat(index.contains(x, y)).isEqualTo(inside);
                assertThat(region.contains(p(x, y))).isEqualTo(inside);
            }
        }
    }

    /** Rays at the height of vertices, tops of arcs and level edges. */
    @Test
    void raysThroughVerticesCountRight() {
        Region disc = RandomShapes.disc(p(0, 4), 2);
        Region plate = new Region(Shapes.rectangle(10, 8), List.of(Contour.circle(p(5, 4), 1)));
        RegionIndex index = RegionIndex.of(List.of(plate));
        assertThat(RegionIndex.of(disc).contains(0.5, 4)).isTrue();
        assertThat(RegionIndex.of(disc).contains(-3, 4)).isFalse();
        assertThat(RegionIndex.of(disc).contains(-3, 6)).isFalse();
        assertThat(index.contains(5, 4)).isFalse();
        assertThat(index.contains(2, 4)).isTrue();
        assertThat(index.contains(2, 5)).isTrue();
        assertThat(index.contains(-1, 0)).isFalse();
        assertThat(index.contains(-1, 8)).isFalse();
    }

    @Test
    void anArcOfNearlyAFullTurnHoldsItsInside() {
        Contour keyhole = Contour.of(Vertices.of(new double[] {0.1, -10, 150, -0.1, -10, 0}, true));
        assertThat(keyhole.contains(p(0, -5))).isTrue();
        assertThat(keyhole.isAnticlockwise()).isTrue();
        double radius = 0.2 * (1 + 150 * 150) / 600;
        assertThat(keyhole.area()).isCloseTo(Math.PI * radius * radius, within(1e-4));
    }

    @Test
    void theBorderIsAsFarAsItIs() {
        RegionIndex index = RegionIndex.of(RandomShapes.disc(p(0, 0), 5));
        assertThat(index.distanceToBorder(3, 0)).isCloseTo(2, within(1e-12));
        assertThat(index.distanceToBorder(0, -9)).isCloseTo(4, within(1e-12));
    }

    @Property(tries = 300)
    void reversingTwiceChangesNothing(@ForAll long seed) {
        RandomShapes shapes = new RandomShapes(seed);
        Contour contour = shapes.contour(0);
        assertThat(contour.reversed().reversed()).isEqualTo(contour);
        assertThat(contour.reversed().signedArea()).isCloseTo(-contour.signedArea(), within(1e-9));
        Path path = new Path(contour.segments().subList(0, contour.segments().size() - 1));
        assertThat(path.reversed().reversed()).isEqualTo(path);
        assertThat(path.reversed().length()).isCloseTo(path.length(), within(1e-9));
    }

    @Property(tries = 200)
    void chainsAreAsFarApartAsTheirNearestSegments(@ForAll long seed) {
        RandomShapes shapes = new RandomShapes(seed);
        Contour a = shapes.contour(0);
        Contour b = shapes.contour(4).transformed(Transform.translation(p(90, 0)));
        double least = Double.POSITIVE_INFINITY;
        for (Segment s : a.segments()) {
            for (Segment t : b.segments()) {
                least = Math.min(least, Distances.between(s, t).distance());
            }
        }
        Distances.Nearest found = Distances.between(a, b);
        assertThat(found.distance()).isCloseTo(least, within(1e-12));
        assertThat(found.onFirst().distance(found.onSecond())).isCloseTo(least, within(1e-9));
    }

    @Test
    void segmentsOnEachOtherShareASpan() {
        Line line = new Line(p(0, 0), p(10, 0));
        List<Intersections.Span> spans =
                Intersections.spans(line, new Line(p(14, 0), p(4, 0)), 1e-9);
        assertThat(spans).hasSize(1);
        assertThat(spans.get(0).from().onFirst()).isCloseTo(0.4, within(1e-12));
        assertThat(spans.get(0).to().onFirst()).isCloseTo(1, within(1e-12));
        // three quarters of a circle and another three quarters, turned by half
        Arc first = Arc.about(p(0, 0), 5, 0, 1.5 * Math.PI);
        Arc second = Arc.about(p(0, 0), 5, Math.PI, 1.5 * Math.PI);
        assertThat(Intersections.spans(first, second, 1e-9)).hasSize(2);
    }
}
