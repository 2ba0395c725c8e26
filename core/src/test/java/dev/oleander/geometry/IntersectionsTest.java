package dev.oleander.geometry;

import static dev.oleander.geometry.Shapes.p;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class IntersectionsTest {

    private static final double TOLERANCE = 1e-7;

    @Test
    void linesCross() {
        assertCrossings(line(0, 0, 10, 10), line(0, 10, 10, 0), p(5, 5));
    }

    @Test
    void lineAndCircleMeetTwiceOnceOrNever() {
        Arc top = Arc.about(p(0, 0), 5, 0, Math.PI);
        assertCrossings(line(-10, 3, 10, 3), top, p(-4, 3), p(4, 3));
        assertCrossings(line(-10, 5, 10, 5), top, p(0, 5));
        assertCrossings(line(-10, 5.001, 10, 5.001), top);
        assertCrossings(line(0, -10, 0, 10), top, p(0, 5));
    }

    @Test
    void circlesMeetTwiceOnceOrNever() {
        Arc a = Arc.about(p(0, 0), 5, -Math.PI / 2, Math.PI);
        assertCrossings(a, Arc.about(p(8, 0), 5, Math.PI / 2, Math.PI), p(4, -3), p(4, 3));
        assertCrossings(a, Arc.about(p(10, 0), 5, Math.PI / 2, Math.PI), p(5, 0));
        assertCrossings(a, Arc.about(p(10.001, 0), 5, Math.PI / 2, Math.PI));
    }

    @Test
    void linesOnEachOtherGiveTheEndsOfTheStretch() {
        assertCrossings(line(0, 0, 10, 0), line(4, 0, 20, 0), p(4, 0), p(10, 0));
    }

    @Test
    void arcsOnEachOtherGiveTheEndsOfTheStretch() {
        Arc a = Arc.about(p(0, 0), 5, 0, Math.PI);
        Arc b = Arc.about(p(0, 0), 5, Math.PI / 2, Math.PI);
        assertCrossings(a, b, p(0, 5), p(-5, 0));
    }

    @Test
    void endsThatTouchCount() {
        assertCrossings(line(0, 0, 10, 0), line(10, 0, 10, 10), p(10, 0));
        assertCrossings(line(0, 0, 10, 0), line(10.001, 0, 10, 10));
    }

    private static Line line(double x0, double y0, double x1, double y1) {
        return new Line(p(x0, y0), p(x1, y1));
    }

    private static void assertCrossings(Segment a, Segment b, Point... expected) {
        for (List<Point> found : List.of(points(a, b), points(b, a))) {
            assertThat(found).hasSize(expected.length);
            for (Point point : expected) {
                assertThat(found).anyMatch(f -> f.distance(point) < 1e-6);
            }
        }
    }

    private static List<Point> points(Segment a, Segment b) {
        return Intersections.of(a, b, TOLERANCE).stream()
                .map(Intersections.Crossing::point)
                .toList();
    }
}
