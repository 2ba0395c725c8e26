package dev.oleander.motion;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.machine.Machine;
import java.util.ArrayList;
import java.util.List;

/**
 * Machine time with trapezoidal speed and look-ahead.
 *
 * <p>Along a line the acceleration is what the axes allow together; on an arc that of one axis.
 * Speed at a corner keeps to v^2 = a R with R = d sin(h) / (1 - sin(h)), where d is the permitted
 * deviation and h half the angle between the segments (straight on = pi): the circle that stays
 * within d of the corner. On an arc also v^2 &lt;= a r. Each run of feed moves starts and ends at
 * rest.
 */
public final class TimeModel {

    /** A tangent joint: its corner circle is so large that the feed is the limit. */
    private static final double STRAIGHT_ON = 1 - 1e-12;

    private final Machine machine;

    public TimeModel(Machine machine) {
        this.machine = machine;
    }

    public Timeline time(Program program) {
        return Timeline.of(List.of(time(program.items())));
    }

    /** Items that begin and end at rest, with speed and time of each. */
    Timed time(List<Item> items) {
        return new Pass(items).timed();
    }

    /**
     * Items with their times.
     *
     * @param profiles speed over each
     * @param seconds of each
     */
    record Timed(List<Item> items, Profile[] profiles, Seconds[] seconds) {}

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
            List<Integer> run = new ArrayList<>();
            for (int i = 0; i < items.size(); i++) {
                Item item = items.get(i);
                if (item instanceof Item.AtFeed) {
                    run.add(i);
                } else {
                    planRun(run);
                    run.clear();
                    profiles[i] = item instanceof Item.Rapid rapid ? rapid(rapid) : Profile.NONE;
                }
            }
            planRun(run);
        }

        private Profile rapid(Item.Rapid rapid) {
            Point way = rapid.to().minus(rapid.from());
            double limit = machine.motion().rapid() / 60;
            double share = share(way.unit());
            double a = machine.motion().acceleration();
            return Profile.fastest(way.norm(), 0, 0, limit / share, a / share);
        }

        /**
         * Speeds at the joints: limited by corners, then by what can be reached and braked from.
         */
        private void planRun(List<Integer> run) {
            int n = run.size();
            double[] joint = new double[n + 1];
            for (int i = 1; i < n; i++) {
                joint[i] = cornerSpeed(feed(run.get(i - 1)), feed(run.get(i)));
            }
            for (int i = 0; i < n; i++) {
                joint[i + 1] = Math.min(joint[i + 1], reachable(joint[i], feed(run.get(i))));
            }
            for (int i = n - 1; i >= 0; i--) {
                joint[i] = Math.min(joint[i], reachable(joint[i + 1], feed(run.get(i))));
            }
            for (int i = 0; i < n; i++) {
                Item.AtFeed feed = feed(run.get(i));
                profiles[run.get(i)] =
                        Profile.fastest(
                                feed.length(),
                                joint[i],
                                joint[i + 1],
                                speedLimit(feed),
                                acceleration(feed));
            }
        }

        private Item.AtFeed feed(int index) {
            return (Item.AtFeed) items.get(index);
        }

        private double reachable(double from, Item.AtFeed feed) {
            return Math.sqrt(from * from + 2 * acceleration(feed) * feed.length());
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
        double seconds = event.args().getOrDefault("seconds", 0.0);
        return switch (event.kind()) {
            case HEAD_DOWN -> new Seconds(0, machine.motion().lowerSeconds(), 0, 0);
            case HEAD_UP -> new Seconds(0, machine.motion().liftSeconds(), 0, 0);
            case HEIGHT, TOOL -> new Seconds(0, seconds, 0, 0);
            case STOP, OPTIONAL_STOP -> new Seconds(0, 0, 0, seconds);
            default -> new Seconds(0, 0, seconds, 0);
        };
    }

    /** Both axes have the same limits: the one that does the larger share of the way decides. */
    private static double share(Point unit) {
        return Math.max(Math.abs(unit.x()), Math.abs(unit.y()));
    }

    private double acceleration(Item.AtFeed feed) {
        double axis = machine.motion().acceleration();
        if (feed instanceof Item.TwoPlane both) {
            Item.Way longer =
                    both.lower().length() < both.upper().length() ? both.upper() : both.lower();
            return axis / share(longer.to().minus(longer.from()).unit());
        }
        Segment segment = ((Item.Feed) feed).segment();
        return segment instanceof Line line ? axis / share(line.direction(0)) : axis;
    }

    private double speedLimit(Item.AtFeed feed) {
        double limit = feed.feed() / 60;
        if (feed instanceof Item.Feed one && one.segment() instanceof Arc arc) {
            return Math.min(limit, Math.sqrt(machine.motion().acceleration() * arc.radius()));
        }
        return limit;
    }

    private double cornerSpeed(Item.AtFeed before, Item.AtFeed after) {
        double limit = Math.min(speedLimit(before), speedLimit(after));
        if (before instanceof Item.Feed from && after instanceof Item.Feed to) {
            Point in = from.segment().direction(1);
            return Math.min(limit, cornerSpeed(in, to.segment().direction(0)));
        }
        if (before instanceof Item.TwoPlane from && after instanceof Item.TwoPlane to) {
            double lower = cornerSpeed(from.lower(), to.lower());
            return Math.min(limit, Math.min(lower, cornerSpeed(from.upper(), to.upper())));
        }
        // the guides begin or end to move apart
        return 0;
    }

    /** A guide that moves on one side of the joint only has to stop there. */
    private double cornerSpeed(Item.Way before, Item.Way after) {
        if (before.length() == 0 || after.length() == 0) {
            return before.length() == after.length() ? Double.POSITIVE_INFINITY : 0;
        }
        return cornerSpeed(
                before.to().minus(before.from()).unit(), after.to().minus(after.from()).unit());
    }

    private double cornerSpeed(Point in, Point out) {
        // the sine of half the angle between the segments is the cosine of half the turn
        double s = Math.sqrt(Math.max(0, (1 + in.dot(out)) / 2));
        if (s >= STRAIGHT_ON) {
            return Double.POSITIVE_INFINITY;
        }
        double radius = machine.pathDeviation() * s / (1 - s);
        return Math.sqrt(machine.motion().acceleration() * radius);
    }
}
