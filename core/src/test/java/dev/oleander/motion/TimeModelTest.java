package dev.oleander.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Samples;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Against closed forms; speeds in mm/s, acceleration of one axis 9000 mm/s2. */
class TimeModelTest {

    private static final double A = Samples.TEASEL.motion().acceleration();
    private static final double DEVIATION = Samples.TEASEL.pathDeviation();

    /** The feed holds along the longer way; guides that begin to move apart begin at rest. */
    @Test
    void twoPlanesMoveTogetherAlongTheLongerWay() {
        Point a = Point.ORIGIN;
        Point b = new Point(30, 0);
        Point c = new Point(40, 0);
        List<Item> items =
                List.of(
                        new Item.TwoPlane(
                                new Item.Way(a, b), new Item.Way(a, c), 6, true, Origin.FRAME),
                        new Item.TwoPlane(
                                new Item.Way(b, b), new Item.Way(c, b), 6, true, Origin.FRAME));
        Timeline timeline = new TimeModel(Samples.TEASEL).time(new Program(items));
        double v = 6 / 60.0;
        double ramp = v / Samples.TEASEL.motion().acceleration();
        assertThat(timeline.ends()[0]).isCloseTo(40 / v + ramp, within(1e-9));
        assertThat(timeline.ends()[1]).isCloseTo(50 / v + 2 * ramp, within(1e-9));
        assertThat(timeline.positionAt(20 / v).x()).isCloseTo(15, within(1e-3));
        assertThat(timeline.positionAt(45 / v)).isEqualTo(b);
    }

    @Test
    void aLongLineFromRestToRest() {
        double v = 3000 / 60.0;
        double length = 300;
        assertThat(seconds(3000, line(0, 0, 300, 0))).isCloseTo(length / v + v / A, within(1e-9));
    }

    @Test
    void aShortLineNeverReachesItsFeed() {
        double length = 0.1;
        assertThat(seconds(30000, line(0, 0, 0.1, 0)))
                .isCloseTo(2 * Math.sqrt(length / A), within(1e-9));
    }

    @Test
    void bothAxesHelpOnADiagonal() {
        double v = 3000 / 60.0;
        double along = A * Math.sqrt(2);
        double length = 100 * Math.sqrt(2);
        assertThat(seconds(3000, line(0, 0, 100, 100)))
                .isCloseTo(length / v + v / along, within(1e-9));
    }

    @Test
    void aSquareSlowsAtItsCorners() {
        double v = 6000 / 60.0;
        // half the angle between the sides is 45 degrees: R = d s / (1 - s)
        double s = Math.sin(Math.PI / 4);
        double corner = Math.sqrt(A * DEVIATION * s / (1 - s));
        double side = 100;
        double atEnds = side / v + ramp(v, 0) + ramp(v, corner);
        double between = side / v + 2 * ramp(v, corner);
        assertThat(corner).isLessThan(v);
        assertThat(
                        seconds(
                                6000,
                                line(0, 0, 100, 0),
                                line(100, 0, 100, 100),
                                line(100, 100, 0, 100),
                                line(0, 100, 0, 0)))
                .isCloseTo(2 * atEnds + 2 * between, within(1e-9));
    }

    /** Time lost against full speed by a ramp between v0 and v: (v - v0)^2 / (2 a v). */
    private static double ramp(double v, double v0) {
        return (v - v0) * (v - v0) / (2 * A * v);
    }

    @Test
    void aSmallCircleIsLimitedByItsRadius() {
        double radius = 0.2;
        double limit = Math.sqrt(A * radius);
        assertThat(limit).isLessThan(60000 / 60.0);
        double length = 2 * Math.PI * radius;
        Point right = new Point(radius, 0);
        Point left = new Point(-radius, 0);
        // v^2 = a r is reached after r / 2 and left r / 2 before the end
        assertThat(seconds(60000, new Arc(right, left, 1), new Arc(left, right, 1)))
                .isCloseTo(length / limit + limit / A, within(1e-9));
    }

    @Test
    void tangentJointsCostNothing() {
        double split = seconds(3000, line(0, 0, 40, 0), line(40, 0, 100, 0));
        assertThat(split).isCloseTo(seconds(3000, line(0, 0, 100, 0)), within(1e-9));
    }

    @Test
    void eventsTakeTheirTimesByKind() {
        Item pierce = new Item.Event(EventKind.PIERCE, Map.of("seconds", 0.6), Origin.FRAME);
        Item down = new Item.Event(EventKind.HEAD_DOWN, Map.of(), Origin.FRAME);
        Timeline timeline = new TimeModel(Samples.TEASEL).time(new Program(List.of(down, pierce)));
        assertThat(timeline.seconds().piercing()).isEqualTo(0.6);
        assertThat(timeline.seconds().travel()).isEqualTo(Samples.TEASEL.motion().lowerSeconds());
    }

    @Test
    void anyMomentIsFound() {
        Program program = program(3000, line(0, 0, 300, 0), line(300, 0, 300, 200));
        Timeline timeline = new TimeModel(Samples.TEASEL).time(program);
        assertThat(timeline.positionAt(0)).isEqualTo(new Point(0, 0));
        assertThat(timeline.positionAt(timeline.total())).isEqualTo(new Point(300, 200));
        double before = 0;
        for (int i = 1; i <= 100; i++) {
            Point at = timeline.positionAt(timeline.total() * i / 100);
            double way = at.x() + at.y();
            assertThat(way).isGreaterThan(before);
            before = way;
        }
    }

    private static double seconds(double feed, Segment... segments) {
        return new TimeModel(Samples.TEASEL).time(program(feed, segments)).total();
    }

    private static Program program(double feed, Segment... segments) {
        List<Item> items = new ArrayList<>();
        for (Segment segment : segments) {
            items.add(new Item.Feed(segment, feed, true, Origin.FRAME));
        }
        return new Program(items);
    }

    private static Line line(double x0, double y0, double x1, double y1) {
        return new Line(new Point(x0, y0), new Point(x1, y1));
    }
}
