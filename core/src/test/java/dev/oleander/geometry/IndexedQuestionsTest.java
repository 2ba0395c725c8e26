package dev.oleander.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

/** Answers by an index are those that going through everything gives. */
class IndexedQuestionsTest {

    private static Contour star(SplittableRandom random, int corners) {
        return star(random, corners, 0.2);
    }

    /**
     * @param most of the bulges: where they are large, an arc may cross the segment beside it
     */
    private static Contour star(SplittableRandom random, int corners, double most) {
        List<Segment> segments = new ArrayList<>();
        List<Point> points = new ArrayList<>();
        for (int i = 0; i < corners; i++) {
            double r = 50 + 40 * random.nextDouble();
            points.add(Point.polar(r, 2 * Math.PI * i / corners));
        }
        for (int i = 0; i < corners; i++) {
            Point a = points.get(i);
            Point b = points.get((i + 1) % corners);
            double bulge = random.nextInt(3) == 0 ? most * (2 * random.nextDouble() - 1) : 0;
            segments.add(Segment.of(a, b, bulge));
        }
        return new Contour(segments);
    }

    @Property(tries = 40)
    void theNearestPlaceIsThatOfAllSegments(@ForAll long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        Contour contour = star(random, 60 + random.nextInt(200));
        for (int k = 0; k < 30; k++) {
            Point p = new Point(240 * random.nextDouble() - 120, 240 * random.nextDouble() - 120);
            Chain.Station found = contour.nearest(p);
            int first = 0;
            for (int i = 1; i < contour.segments().size(); i++) {
                if (off(contour, i, p) < off(contour, first, p)) {
                    first = i;
                }
            }
            // where two segments meet the rounding of a box may decide between them
            int apart = Math.floorMod(found.index() - first, contour.segments().size());
            assertThat(apart).isIn(0, 1, contour.segments().size() - 1);
            assertThat(found.point().distance(p)).isCloseTo(off(contour, first, p), within(1e-12));
        }
    }

    private static double off(Contour contour, int segment, Point p) {
        Segment s = contour.segments().get(segment);
        return s.at(s.nearest(p)).distance(p);
    }

    @Property(tries = 40)
    void stationsAreThoseOfTheChain(@ForAll long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        Contour contour = star(random, 5 + random.nextInt(100));
        Stations stations = new Stations(contour);
        assertThat(stations.length()).isCloseTo(contour.length(), within(1e-9));
        for (int k = 0; k < 30; k++) {
            double at = contour.length() * (1.2 * random.nextDouble() - 0.1);
            Point expected = contour.stationAt(at).point();
            assertThat(stations.at(at).point().distance(expected)).isLessThan(1e-9);
        }
        assertThat(stations.at(-1).point().distance(contour.start())).isLessThan(1e-12);
    }

    @Property(tries = 40)
    void insideIsInsideTheRegion(@ForAll long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        Region region =
                new Region(
                        // inside is said of what does not cross itself
                        star(random, 120, 0.02),
                        List.of(Contour.circle(new Point(5, 3), 10 + 10 * random.nextDouble())));
        RegionInside inside = new RegionInside(region);
        for (int k = 0; k < 60; k++) {
            Point p = new Point(200 * random.nextDouble() - 100, 200 * random.nextDouble() - 100);
            assertThat(inside.contains(p)).isEqualTo(region.contains(p));
        }
    }

    @Test
    void fewSegmentsAreGoneThrough() {
        Contour square = Contour.rectangle(new Box(Point.ORIGIN, new Point(10, 10)));
        for (int i = 0; i < 5; i++) {
            assertThat(square.nearest(new Point(5, -3)).point()).isEqualTo(new Point(5, 0));
        }
    }
}
