package dev.oleander.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Samples;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.machine.Axis;
import dev.oleander.machine.Machine;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

/** Heights and a rotary axis: kept as JSON, and timed against a slow walk along a fine grid. */
class DepthTest {

    private static final Axis Z = new Axis(Axis.Name.Z, -60, 120, 6000, 1500, 2);
    private static final Axis ROTARY = new Axis(Axis.Name.ROTARY, -3600, 3600, 7200, 600, 5);
    private static final Machine MACHINE = Samples.TEASEL.with(List.of(Z, ROTARY));
    private static final int STEPS = 3000;

    private static double seconds(Item... items) {
        return new TimeModel(MACHINE).time(new Program(List.of(items))).total();
    }

    private static Rise rise(double fromZ, double toZ) {
        return new Rise(Pose.at(fromZ), Pose.at(toZ));
    }

    private static Rise turn(double degrees) {
        return new Rise(Pose.FLAT, new Pose(0, degrees));
    }

    /** A move from rest to rest: v / a + L / v where the speed is reached. */
    private static double trapezoid(double length, double speed, double acceleration) {
        return speed / acceleration + length / speed;
    }

    @Test
    void aPlungeKeepsToTheFeedAndToTheAxis() {
        Item slow = new Item.Plunge(Point.ORIGIN, rise(0, -20), 600, true, Origin.FRAME);
        assertThat(seconds(slow)).isCloseTo(trapezoid(20, 10, 1500), within(1e-9));
        Item fast = new Item.Plunge(Point.ORIGIN, rise(0, -50), 60_000, true, Origin.FRAME);
        assertThat(seconds(fast)).isCloseTo(trapezoid(50, 100, 1500), within(1e-9));
    }

    @Test
    void travelInSpaceWaitsForTheSlowestAxis() {
        Point far = new Point(30, 0);
        Item level = new Item.Rapid(Point.ORIGIN, far, rise(5, 5), Origin.FRAME);
        Item climbing = new Item.Rapid(Point.ORIGIN, far, rise(5, 45), Origin.FRAME);
        // 50 mm in space, of which 4 in 5 are upwards: 100 and 1500 of the axis along 0.8
        assertThat(seconds(climbing)).isCloseTo(trapezoid(50, 125, 1875), within(1e-9));
        assertThat(seconds(climbing)).isGreaterThan(seconds(level));
        Item turning = new Item.Rapid(Point.ORIGIN, Point.ORIGIN, turn(-180), Origin.FRAME);
        assertThat(seconds(turning)).isCloseTo(trapezoid(180, 120, 600), within(1e-9));
    }

    @Test
    void aRampIsAsLongAsItIsInSpace() {
        Segment way = new Line(Point.ORIGIN, new Point(40, 0));
        Item.Feed ramp = new Item.Feed(way, rise(0, -30), 600, true, Origin.FRAME);
        assertThat(ramp.length()).isCloseTo(50, within(1e-12));
        assertThat(seconds(ramp)).isGreaterThan(50 / 10.0);
        Item.Feed round = new Item.Feed(way, turn(-720), 60_000, true, Origin.FRAME);
        assertThat(round.length()).isEqualTo(40);
        // 18 degrees a mm: the rotary axis allows 120 / 18 mm/s and 600 / 18 mm/s2
        assertThat(seconds(round)).isCloseTo(trapezoid(40, 120 / 18.0, 600 / 18.0), within(1e-9));
    }

    @Test
    void whereTheTurnBeginsTheSpeedIsWhatTheAxisMayJump() {
        Segment first = new Line(Point.ORIGIN, new Point(100, 0));
        Segment second = new Line(new Point(100, 0), new Point(200, 0));
        Item.Feed straight = new Item.Feed(first, Rise.FLAT, 6000, true, Origin.FRAME);
        Item.Feed turned = new Item.Feed(second, turn(100), 6000, true, Origin.FRAME);
        Profile[] profiles =
                new TimeModel(MACHINE).time(List.of((Item) straight, turned)).profiles();
        // 1 degree a mm, 5 degrees/s at once
        assertThat(profiles[0].exit()).isCloseTo(5, within(1e-9));
        assertThat(profiles[1].entry()).isCloseTo(5, within(1e-9));
    }

    @Test
    void aMachineWithoutTheAxisCannotTurn() {
        Item turning = new Item.Plunge(Point.ORIGIN, turn(90), 600, false, Origin.FRAME);
        assertThatThrownBy(() -> new TimeModel(Samples.TEASEL).time(new Program(List.of(turning))))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("has no rotary axis");
        assertThatThrownBy(() -> new Item.Plunge(Point.ORIGIN, Rise.FLAT, 1, true, Origin.FRAME))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Axis(Axis.Name.Z, 5, 5, 1, 1, 1))
                .isInstanceOf(IllegalArgumentException.class);
    }

    // ---- round trip

    @Property(tries = 100)
    void aProgramIsTheSameAfterItWasKept(@ForAll long seed) throws IOException {
        Program program = new Program(DepthPrograms.random(new SplittableRandom(seed), 30, true));
        ByteArrayOutputStream kept = new ByteArrayOutputStream();
        MotionJson.write(program, kept);
        Program read = MotionJson.read(new ByteArrayInputStream(kept.toByteArray()));
        assertThat(read.items()).isEqualTo(program.items());
    }

    @Test
    void flatProgramsSayNothingOfHeights() throws IOException {
        ByteArrayOutputStream kept = new ByteArrayOutputStream();
        Item.Feed flat =
                new Item.Feed(new Line(Point.ORIGIN, new Point(1, 0)), 100, true, Origin.FRAME);
        MotionJson.write(new Program(List.of(flat)), kept);
        assertThat(kept.toString()).doesNotContain("\"z\"", "turn");
    }

    // ---- time

    @Property(tries = 60)
    void itAgreesWithWalkingAlongAFineGrid(@ForAll long seed) {
        List<Item.AtFeed> moves = new ArrayList<>();
        for (Item item : DepthPrograms.random(new SplittableRandom(seed), 25, true)) {
            if (item instanceof Item.AtFeed move) {
                moves.add(move);
            }
        }
        double modelled =
                new TimeModel(MACHINE).time(new Program(new ArrayList<Item>(moves))).total();
        assertThat(modelled).isCloseTo(walked(moves), within(3e-3 * modelled + 1e-9));
    }

    /** x, y, z, turn after a share of a move. */
    private static double[] place(Item.AtFeed move, double share) {
        Point p =
                move instanceof Item.Feed feed
                        ? feed.segment() instanceof Arc arc
                                ? onArc(arc, share)
                                : onLine(feed, share)
                        : move.end();
        Pose pose = move.rise().at(share);
        return new double[] {p.x(), p.y(), pose.z(), pose.turn()};
    }

    private static Point onLine(Item.Feed feed, double share) {
        Point from = feed.segment().start();
        return from.plus(feed.segment().end().minus(from).times(share));
    }

    private static Point onArc(Arc arc, double share) {
        double begin =
                Math.atan2(arc.start().y() - arc.centre().y(), arc.start().x() - arc.centre().x());
        return arc.centre().plus(Point.polar(arc.radius(), begin + share * arc.sweep()));
    }

    /** How fast every axis goes along the way, by differences of places; and length of the step. */
    private static double[] rates(Item.AtFeed move, double from, double to) {
        double[] a = place(move, from);
        double[] b = place(move, to);
        double[] d = new double[5];
        for (int i = 0; i < 4; i++) {
            d[i] = b[i] - a[i];
        }
        double step = Math.sqrt(d[0] * d[0] + d[1] * d[1] + d[2] * d[2]);
        d[4] = step > 1e-12 ? step : Math.abs(d[3]);
        for (int i = 0; i < 4; i++) {
            d[i] /= d[4];
        }
        return d;
    }

    private static double walked(List<Item.AtFeed> moves) {
        List<double[]> grid = new ArrayList<>();
        for (int i = 0; i < moves.size(); i++) {
            Item.AtFeed move = moves.get(i);
            for (int k = 0; k < STEPS; k++) {
                double[] r = rates(move, (double) k / STEPS, (k + 1.0) / STEPS);
                double limit = limit(move, r);
                if (k == 0) {
                    limit = i == 0 ? 0 : Math.min(limit, joint(moves.get(i - 1), move));
                }
                grid.add(new double[] {limit, move.length() / STEPS, acceleration(move, r)});
            }
        }
        return GridWalk.seconds(grid);
    }

    private static double limit(Item.AtFeed move, double[] r) {
        double limit = move.feed() / 60;
        limit = Math.min(limit, Z.rapidPerSecond() / Math.abs(r[2]));
        limit = Math.min(limit, ROTARY.rapidPerSecond() / Math.abs(r[3]));
        if (move instanceof Item.Feed feed && feed.segment() instanceof Arc arc) {
            // v^2 / r of the speed in the plane
            double plane = Math.hypot(r[0], r[1]);
            limit = Math.min(limit, Math.sqrt(axis() * arc.radius()) / plane);
        }
        return limit;
    }

    private static double acceleration(Item.AtFeed move, double[] r) {
        boolean arc = move instanceof Item.Feed feed && feed.segment() instanceof Arc;
        double plane = arc ? Math.hypot(r[0], r[1]) : Math.max(Math.abs(r[0]), Math.abs(r[1]));
        double most = axis() / plane;
        most = Math.min(most, Z.acceleration() / Math.abs(r[2]));
        return Math.min(most, ROTARY.acceleration() / Math.abs(r[3]));
    }

    private static double axis() {
        return MACHINE.motion().acceleration();
    }

    private static double joint(Item.AtFeed before, Item.AtFeed after) {
        double small = 1e-6;
        double[] in = rates(before, 1 - small, 1);
        double[] out = rates(after, 0, small);
        double jump = ROTARY.jump() / Math.abs(in[3] - out[3]);
        jump = Math.min(jump, Z.jump() / Math.abs(in[2] - out[2]));
        boolean some = Math.hypot(Math.hypot(in[0], in[1]), in[2]) < 1e-9;
        boolean other = Math.hypot(Math.hypot(out[0], out[1]), out[2]) < 1e-9;
        if (some || other) {
            return some && other ? jump : 0;
        }
        double dot = in[0] * out[0] + in[1] * out[1] + in[2] * out[2];
        double half = (Math.PI - Math.acos(Math.max(-1, Math.min(1, dot)))) / 2;
        double sine = Math.sin(half);
        double radius = MACHINE.pathDeviation() * sine / Math.max(1e-15, 1 - sine);
        boolean depth = Math.abs(in[2]) > 1e-12 || Math.abs(out[2]) > 1e-12;
        double a = depth ? Math.min(axis(), Z.acceleration()) : axis();
        return Math.min(jump, Math.sqrt(a * radius));
    }
}
