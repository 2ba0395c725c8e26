package dev.oleander.work.router.material;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Point;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.tool.ToolKind;
import dev.oleander.work.router.way.Leg;
import dev.oleander.work.router.way.Leg.Pace;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** The floor under arcs that go up and down, against many places of the tool along them. */
class ClimbTest {

    private static final int PLACES = 20_000;
    private static final double RADIUS = 3;
    private static final Tool.Form FLAT = new Tool.Form(ToolKind.STRAIGHT, 2 * RADIUS, 0, 0, 0, 0);

    /** Infinite where no place of the tool touches it. */
    private static double lowestOfMany(Arc arc, double from, double to, Point p) {
        double lowest = Double.POSITIVE_INFINITY;
        for (int i = 0; i <= PLACES; i++) {
            double t = (double) i / PLACES;
            if (arc.at(t).distance(p) <= RADIUS) {
                lowest = Math.min(lowest, from + t * (to - from));
            }
        }
        return lowest;
    }

    @Test
    void isThatOfTheLowestPlaceThatTouches() {
        Random random = new Random(11);
        int touched = 0;
        for (int n = 0; n < 400; n++) {
            Point end = new Point(random.nextDouble(-12, 12), random.nextDouble(-12, 12));
            // from nearly straight to nearly closed
            double bulge = (random.nextBoolean() ? 1 : -1) * Math.exp(random.nextDouble(-6, 2));
            Arc arc = new Arc(Point.ORIGIN, end, bulge);
            double from = -random.nextDouble(0, 5);
            double to = -random.nextDouble(0, 5);
            Point p = arc.at(random.nextDouble()).plus(Point.polar(4 * random.nextDouble(), n));
            double found = new Climb(Leg.along(arc, from, to, Pace.RAMP), FLAT).lowest(p);
            double many = lowestOfMany(arc, from, to, p);
            if (Double.isInfinite(many)) {
                // between two places of the many it may just touch
                assertThat(arc.distance(p)).isGreaterThan(RADIUS - 1e-3);
            } else {
                touched++;
                double step = Math.abs(to - from) / PLACES;
                assertThat(found).as("%s at %s", arc, p).isCloseTo(many, within(2 * step + 1e-9));
            }
        }
        assertThat(touched).isGreaterThan(200);
    }

    @Test
    void aTurnSmallerThanTheToolIsLowestAtItsEnd() {
        Arc half = Arc.about(Point.ORIGIN, 1, 0, Math.PI);
        Climb down = new Climb(Leg.along(half, 0, -2, Pace.RAMP), FLAT);
        Climb up = new Climb(Leg.along(half, -2, 0, Pace.CUT), FLAT);
        for (Point p : List.of(Point.ORIGIN, new Point(1, 0), new Point(0.2, -1.5))) {
            assertThat(down.lowest(p)).isEqualTo(-2);
            assertThat(up.lowest(p)).isEqualTo(-2);
        }
        // 3 mm from a place of the way at an angle only: law of cosines
        Point beside = new Point(3.5, 0);
        double angle = Math.acos((1 + 3.5 * 3.5 - 9) / (2 * 3.5));
        assertThat(down.lowest(beside)).isCloseTo(-2 * angle / Math.PI, within(1e-12));
        assertThat(up.lowest(beside)).isEqualTo(-2);
        assertThat(down.lowest(new Point(4.001, 0))).isInfinite();
    }
}
