package dev.oleander.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Samples;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.machine.Machine;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/**
 * The time model against a slow one that knows no trapezoids: the speed is limited at every point
 * of a fine grid, then by what can be reached from the point before and braked to the one after,
 * and the time is summed up along the grid.
 */
class TimeIntegrationTest {

    private static final Machine MACHINE = Samples.TEASEL;
    private static final int STEPS = 4000;

    @Property(tries = 60)
    void itAgreesWithWalkingAlongAFineGrid(@ForAll long seed) {
        List<Item.Feed> feeds = chain(new SplittableRandom(seed));
        List<Item> items = new ArrayList<>(feeds);
        double modelled = new TimeModel(MACHINE).time(new Program(items)).total();
        assertThat(modelled).isCloseTo(walked(feeds), within(2e-3 * modelled));
    }

    private static List<Item.Feed> chain(SplittableRandom random) {
        List<Item.Feed> feeds = new ArrayList<>();
        Point at = Point.ORIGIN;
        for (int i = 0; i < 12; i++) {
            double size = Math.pow(10, -1 + 3 * random.nextDouble());
            Point to = at.plus(Point.polar(size, 2 * Math.PI * random.nextDouble()));
            double bulge = (0.2 + random.nextDouble()) * (random.nextBoolean() ? 1 : -1);
            Segment segment = random.nextBoolean() ? new Line(at, to) : new Arc(at, to, bulge);
            double feed = 200 + 20_000 * random.nextDouble();
            feeds.add(new Item.Feed(segment, feed, true, Origin.FRAME));
            at = to;
        }
        return feeds;
    }

    private static double walked(List<Item.Feed> feeds) {
        List<double[]> grid = new ArrayList<>();
        for (int i = 0; i < feeds.size(); i++) {
            Item.Feed feed = feeds.get(i);
            double step = feed.segment().length() / STEPS;
            for (int k = 0; k < STEPS; k++) {
                double limit = k > 0 ? limit(feed) : i == 0 ? 0 : joint(feeds.get(i - 1), feed);
                grid.add(new double[] {limit, step, acceleration(feed.segment())});
            }
        }
        return GridWalk.seconds(grid);
    }

    private static double limit(Item.Feed feed) {
        double limit = feed.feed() / 60;
        return feed.segment() instanceof Arc arc
                ? Math.min(limit, Math.sqrt(MACHINE.motion().acceleration() * arc.radius()))
                : limit;
    }

    /** v^2 = a R at the circle that leaves the corner by the permitted deviation. */
    private static double joint(Item.Feed before, Item.Feed after) {
        double turn =
                Math.acos(
                        Math.max(
                                -1,
                                Math.min(
                                        1,
                                        before.segment()
                                                .direction(1)
                                                .dot(after.segment().direction(0)))));
        double half = (Math.PI - turn) / 2;
        double radius =
                MACHINE.pathDeviation() * Math.sin(half) / Math.max(1e-15, 1 - Math.sin(half));
        double corner = Math.sqrt(MACHINE.motion().acceleration() * radius);
        return Math.min(corner, Math.min(limit(before), limit(after)));
    }

    private static double acceleration(Segment segment) {
        double axis = MACHINE.motion().acceleration();
        if (segment instanceof Arc) {
            return axis;
        }
        Point unit = segment.direction(0);
        return axis / Math.max(Math.abs(unit.x()), Math.abs(unit.y()));
    }
}
