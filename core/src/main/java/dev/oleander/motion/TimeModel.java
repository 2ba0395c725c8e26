package dev.oleander.motion;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Point;
import dev.oleander.machine.Axis;
import dev.oleander.machine.Machine;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * Machine time with trapezoidal speed and look-ahead.
 *
 * <p>Along a line the acceleration is what the axes allow together; on an arc that of one axis.
 * Speed at a corner keeps to v^2 = a R with R = d sin(h) / (1 - sin(h)), where d is the permitted
 * deviation and h half the angle between the segments (straight on = pi): the circle that stays
 * within d of the corner. On an arc also v^2 &lt;= a r. Each run of feed moves starts and ends at
 * rest. Height and turn are axes of their own, see {@link Axis}: no move asks more of one than it
 * gives, and at a joint none changes its speed by more than its jump.
 */
public final class TimeModel {

    /** A tangent joint: its corner circle is so large that the feed is the limit. */
    private static final double STRAIGHT_ON = 1 - 1e-12;

    /** Items from which on all processors are used. */
    private static final int MANY = 20_000;

    private final Machine machine;
    private final AxisShares.Of axes;

    public TimeModel(Machine machine) {
        this.machine = machine;
        this.axes = new AxisShares.Of(machine);
    }

    public Timeline time(Program program) {
        return Timeline.of(List.of(time(program.items())));
    }

    /** Items that begin and end at rest, with speed and time of each. */
    public Timed time(List<Item> items) {
        return new Pass(items).timed();
    }

    /**
     * Items with their times.
     *
     * @param profiles speed over each
     * @param seconds of each
     */
    public record Timed(List<Item> items, Profile[] profiles, Seconds[] seconds) {}

    private final class Pass {
        private final List<Item> items;
        private final Profile[] profiles;

        Pass(List<Item> items) {
            this.items = items;
            this.profiles = new Profile[items.size()];
        }

        Timed timed() {
            plan();
            Seconds[] seconds = new Seconds[items.size()];
            for (int i = 0; i < seconds.length; i++) {
                seconds[i] = seconds(items.get(i), profiles[i]);
            }
            return new Timed(items, profiles, seconds);
        }

        private void plan() {
            List<int[]> runs = new ArrayList<>();
            int i = 0;
            while (i < items.size()) {
                Item item = items.get(i);
                int from = i++;
                if (item instanceof Item.AtFeed) {
                    while (i < items.size() && items.get(i) instanceof Item.AtFeed) {
                        i++;
                    }
                    runs.add(new int[] {from, i});
                } else {
                    profiles[from] = item instanceof Item.Rapid rapid ? rapid(rapid) : Profile.NONE;
                }
            }
            // each begins and ends at rest: none depends on another
            Stream<int[]> all = items.size() > MANY ? runs.parallelStream() : runs.stream();
            all.forEach(run -> planRun(run[0], run[1]));
        }

        private Profile rapid(Item.Rapid rapid) {
            if (rapid.length() == 0) {
                return Profile.NONE;
            }
            AxisShares ways = axes.of(rapid);
            double limit = ways.within(machine.motion().rapid() / 60, Axis::rapidPerSecond);
            double a = ways.within(machine.motion().acceleration(), Axis::acceleration);
            return Profile.fastest(rapid.length(), 0, 0, limit, a);
        }

        /**
         * Speeds at the joints: limited by corners, then by what can be reached and braked from.
         */
        private void planRun(int start, int end) {
            int n = end - start;
            double[] length = new double[n];
            double[] acceleration = new double[n];
            double[] limit = new double[n];
            double[] joint = new double[n + 1];
            Item.AtFeed before = null;
            for (int i = 0; i < n; i++) {
                Item.AtFeed feed = (Item.AtFeed) items.get(start + i);
                length[i] = feed.length();
                acceleration[i] = acceleration(feed);
                limit[i] = speedLimit(feed);
                if (i > 0) {
                    double slower = Math.min(limit[i - 1], limit[i]);
                    joint[i] = Math.min(slower, cornerSpeed(before, feed));
                }
                before = feed;
            }
            for (int i = 0; i < n; i++) {
                double reached = reachable(joint[i], acceleration[i], length[i]);
                joint[i + 1] = Math.min(joint[i + 1], reached);
            }
            for (int i = n - 1; i >= 0; i--) {
                double reached = reachable(joint[i + 1], acceleration[i], length[i]);
                joint[i] = Math.min(joint[i], reached);
            }
            for (int i = 0; i < n; i++) {
                profiles[start + i] =
                        Profile.fastest(
                                length[i], joint[i], joint[i + 1], limit[i], acceleration[i]);
            }
        }

        private static double reachable(double from, double acceleration, double length) {
            return Math.sqrt(from * from + 2 * acceleration * length);
        }

        private Seconds seconds(Item item, Profile profile) {
            if (item instanceof Item.AtFeed feed) {
                return feed.on()
                        ? new Seconds(profile.seconds(), 0, 0, 0)
                        : new Seconds(0, profile.seconds(), 0, 0);
            }
            if (item instanceof Item.Event event) {
                return ofEvent(event);
            }
            return new Seconds(0, profile.seconds(), 0, 0);
        }
    }

    private Seconds ofEvent(Item.Event event) {
        double seconds = event.args().isEmpty() ? 0 : event.args().getOrDefault("seconds", 0.0);
        return switch (event.kind()) {
            case HEAD_DOWN -> new Seconds(0, machine.motion().lowerSeconds(), 0, 0);
            case HEAD_UP -> new Seconds(0, machine.motion().liftSeconds(), 0, 0);
            case HEIGHT -> new Seconds(0, seconds, 0, 0);
            case STOP, OPTIONAL_STOP -> new Seconds(0, 0, 0, seconds);
            default -> seconds == 0 ? Seconds.NONE : new Seconds(0, 0, seconds, 0);
        };
    }

    /** What the axes that the move uses allow together, on an arc those of the plane each alone. */
    private double acceleration(Item.AtFeed feed) {
        double axis = machine.motion().acceleration();
        if (feed instanceof Item.TwoPlane both) {
            Item.Way longer =
                    both.lower().length() < both.upper().length() ? both.upper() : both.lower();
            return axis / AxisShares.larger(longer.to().minus(longer.from()).unit());
        }
        return axes.of(feed, 0.5).within(axis, Axis::acceleration);
    }

    private double speedLimit(Item.AtFeed feed) {
        double limit = feed.feed() / 60;
        if (feed instanceof Item.TwoPlane) {
            return limit;
        }
        AxisShares shares = axes.of(feed, 0.5);
        if (feed instanceof Item.Feed one && one.segment() instanceof Arc arc) {
            double round = Math.sqrt(machine.motion().acceleration() * arc.radius());
            limit = Math.min(limit, round / shares.inPlane());
        }
        return shares.withinOthers(limit, Axis::rapidPerSecond);
    }

    private double cornerSpeed(Item.AtFeed before, Item.AtFeed after) {
        if (before instanceof Item.TwoPlane from && after instanceof Item.TwoPlane to) {
            double lower = cornerSpeed(from.lower(), to.lower());
            return Math.min(lower, cornerSpeed(from.upper(), to.upper()));
        }
        if (before instanceof Item.TwoPlane || after instanceof Item.TwoPlane) {
            // the guides begin or end to move apart
            return 0;
        }
        AxisShares in = axes.of(before, 1);
        AxisShares out = axes.of(after, 0);
        return Math.min(cornerSpeed(in.dot(out), in.acceleration(out)), in.jump(out));
    }

    /** A guide that moves on one side of the joint only has to stop there. */
    private double cornerSpeed(Item.Way before, Item.Way after) {
        if (before.length() == 0 || after.length() == 0) {
            return before.length() == after.length() ? Double.POSITIVE_INFINITY : 0;
        }
        Point in = before.to().minus(before.from()).unit();
        Point out = after.to().minus(after.from()).unit();
        return cornerSpeed(in.dot(out), machine.motion().acceleration());
    }

    /**
     * @param dot of the directions before and after, as units
     */
    private double cornerSpeed(double dot, double acceleration) {
        // the sine of half the angle between the segments is the cosine of half the turn
        double s = Math.sqrt(Math.max(0, (1 + dot) / 2));
        if (s >= STRAIGHT_ON) {
            return Double.POSITIVE_INFINITY;
        }
        double radius = machine.pathDeviation() * s / (1 - s);
        return Math.sqrt(acceleration * radius);
    }
}
