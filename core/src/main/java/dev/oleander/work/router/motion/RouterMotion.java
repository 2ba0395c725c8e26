package dev.oleander.work.router.motion;

import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.HappeningItems;
import dev.oleander.motion.Item;
import dev.oleander.motion.Origin;
import dev.oleander.motion.Pose;
import dev.oleander.motion.Program;
import dev.oleander.motion.Rise;
import dev.oleander.plan.StopEvent;
import dev.oleander.work.router.book.RouterUnit;
import dev.oleander.work.router.plan.RoundStock;
import dev.oleander.work.router.plan.RouterStop;
import dev.oleander.work.router.tool.Feeds;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.way.Leg;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/**
 * Makes the program of a run: tools, spindle, the ways of all stops with their heights, and the
 * turn of the work. Height 0 is the top of the stock.
 */
public final class RouterMotion {

    /** mm */
    private static final double NOTHING = 1e-9;

    private final RouterUnit unit;
    private final Function<RouterStop, Feeds> feeds;
    private final List<Item> items = new ArrayList<>();
    private Function<RouterStop, List<StopEvent>> events;
    private Point at = Point.ORIGIN;
    private double z;
    private double turn;
    private Integer tool;
    private long drills;
    private double speed;

    private RouterMotion(RouterUnit unit, Function<RouterStop, Feeds> feeds) {
        this.unit = unit;
        this.feeds = feeds;
    }

    /**
     * @param stops in their order; those that cannot be done are left out
     * @param feeds of each
     */
    public static Program of(
            List<RouterStop> stops, RouterUnit unit, Function<RouterStop, Feeds> feeds) {
        return of(stops, unit, feeds, stop -> List.of());
    }

    /**
     * @param events what people want to happen at a stop besides
     */
    public static Program of(
            List<RouterStop> stops,
            RouterUnit unit,
            Function<RouterStop, Feeds> feeds,
            Function<RouterStop, List<StopEvent>> events) {
        RouterMotion motion = new RouterMotion(unit, feeds);
        motion.events = events;
        motion.z = unit.heights().clearance();
        motion.items.add(
                new Item.Rapid(
                        Point.ORIGIN,
                        Point.ORIGIN,
                        new Rise(Pose.FLAT, Pose.at(motion.z)),
                        Origin.FRAME));
        stops.stream().filter(RouterStop::isDone).forEach(motion::add);
        motion.end();
        return new Program(motion.items);
    }

    private void add(RouterStop stop) {
        Origin origin = new Origin(stop.id(), 0, -1);
        Feeds own = feeds.apply(stop);
        up(unit.heights().clearance(), origin);
        happens(stop, true, origin);
        take(stop.tool().orElseThrow(), own, origin);
        if (stop.wrap().isPresent()) {
            wrapped(stop, stop.wrap().get(), own, origin);
        } else if (stop.turns().isEmpty()) {
            up(unit.heights().clearance(), origin);
            turnTo(0, origin);
            legs(stop, own, origin);
        }
        for (double degrees : stop.turns()) {
            up(unit.heights().clearance(), origin);
            turnTo(degrees, origin);
            legs(stop, own, origin);
        }
        happens(stop, false, origin);
    }

    /** What people want; before it somebody may stand at the machine, so the tool is up. */
    private void happens(RouterStop stop, boolean before, Origin origin) {
        for (StopEvent event : events.apply(stop)) {
            if (event.before() == before) {
                up(unit.heights().clearance(), origin);
                items.add(HappeningItems.of(event, origin));
            }
        }
    }

    /** Changes the tool where another one is held, and turns the spindle. */
    private void take(Tool next, Feeds own, Origin origin) {
        boolean other = tool == null || tool != next.number();
        if (other && tool != null) {
            items.add(new Item.Event(EventKind.SPINDLE_OFF, Map.of(), origin));
        }
        if (other) {
            Map<String, Double> args =
                    Map.of(
                            "tool", (double) next.number(),
                            "diameter", next.diameter(),
                            "seconds", unit.changeSeconds());
            items.add(new Item.Event(EventKind.TOOL, args, next.name(), origin));
            tool = next.number();
        }
        double turns = Math.rint(own.speed());
        if (other || turns != speed) {
            double runUp = unit.spindle().runUp();
            items.add(
                    new Item.Event(
                            EventKind.SPINDLE_ON,
                            Map.of("speed", turns, "seconds", other ? runUp : 0),
                            origin));
            speed = turns;
        }
    }

    private void legs(RouterStop stop, Feeds own, Origin origin) {
        List<Leg> legs = stop.legs();
        List<Long> strokes = stop.figures().strokes();
        int stroke = 0;
        choose(strokes, stroke, origin);
        travel(legs.get(0).from(), origin);
        up(legs.get(0).fromZ(), origin);
        for (int i = 0; i < legs.size(); i++) {
            Leg leg = legs.get(i);
            Origin at = new Origin(stop.id(), stop.levelOf(leg), i);
            if (leg.segment().isPresent()) {
                // from one stroke to the next
                choose(strokes, ++stroke, at);
            }
            if (leg.pace() != Leg.Pace.BESIDE) {
                leg(leg, own, at);
            }
        }
        if (drills != 0) {
            choose(List.of(0L), 0, origin);
        }
    }

    /** The drills that come down in a stroke. */
    private void choose(List<Long> strokes, int stroke, Origin origin) {
        if (stroke < strokes.size() && strokes.get(stroke) != drills) {
            drills = strokes.get(stroke);
            Map<String, Double> args = Map.of("drills", (double) drills);
            items.add(new Item.Event(EventKind.DRILLS, args, origin));
        }
    }

    private void leg(Leg leg, Feeds own, Origin origin) {
        Rise rise = new Rise(new Pose(leg.fromZ(), turn), new Pose(leg.toZ(), turn));
        at = leg.to();
        z = leg.toZ();
        if (leg.pace() == Leg.Pace.RAPID) {
            items.add(new Item.Rapid(leg.from(), leg.to(), rise, origin));
            return;
        }
        double feed = feed(leg, own);
        items.add(
                leg.segment()
                        .map(s -> (Item) new Item.Feed(s, rise, feed, true, origin))
                        .orElseGet(() -> new Item.Plunge(leg.from(), rise, feed, true, origin)));
    }

    private double feed(Leg leg, Feeds own) {
        return switch (leg.pace()) {
            case PLUNGE -> own.plunge();
            case RAMP -> Math.min(own.full(), own.ramp());
            case FULL -> own.full();
            case LINK -> Math.max(own.feed(), unit.linkFeed());
            default -> own.feed();
        };
    }

    // ---- round the axis

    /** The drawing laid round the stock: the work turns under the tool instead of its y. */
    private void wrapped(RouterStop stop, RoundStock round, Feeds own, Origin origin) {
        List<Leg> legs = stop.legs();
        Leg first = legs.get(0);
        up(unit.heights().clearance(), origin);
        turnTo(round.turn(first.from()), origin);
        travel(round.under(first.from()), origin);
        up(first.fromZ(), origin);
        for (int i = 0; i < legs.size(); i++) {
            Leg leg = legs.get(i);
            round(leg, round, own, new Origin(stop.id(), stop.levelOf(leg), i));
        }
    }

    private void round(Leg leg, RoundStock round, Feeds own, Origin origin) {
        Point from = round.under(leg.from());
        Point to = round.under(leg.to());
        Pose begin = new Pose(leg.fromZ(), round.turn(leg.from()));
        Pose end = new Pose(leg.toZ(), round.turn(leg.to()));
        Rise rise = new Rise(begin, end);
        at = to;
        z = leg.toZ();
        turn = end.turn();
        if (leg.pace() == Leg.Pace.RAPID) {
            items.add(new Item.Rapid(from, to, rise, origin));
            return;
        }
        double feed = feed(leg, own) * share(leg, round, rise);
        boolean along = from.distance(to) > NOTHING;
        items.add(
                along
                        ? new Item.Feed(new Line(from, to), rise, feed, true, origin)
                        : new Item.Plunge(from, rise, feed, true, origin));
    }

    /**
     * What the feed is said of, per mm at the tip: mm of the way along the axis and in height where
     * there is any, else degrees.
     */
    private static double share(Leg leg, RoundStock round, Rise rise) {
        double radius = round.radius() + (leg.fromZ() + leg.toZ()) / 2;
        double turned = Math.toRadians(Math.abs(rise.turn())) * radius;
        double straight = Math.hypot(leg.to().x() - leg.from().x(), rise.z());
        double tip = Math.hypot(straight, turned);
        if (tip < NOTHING) {
            return 1;
        }
        return straight > NOTHING ? straight / tip : Math.abs(rise.turn()) / tip;
    }

    // ---- parts of all

    private void travel(Point to, Origin origin) {
        if (at.distance(to) > NOTHING) {
            Rise level = Rise.level(new Pose(z, turn));
            items.add(new Item.Rapid(at, to, level, origin));
            at = to;
        }
    }

    private void up(double height, Origin origin) {
        if (Math.abs(height - z) > NOTHING) {
            Rise rise = new Rise(new Pose(z, turn), new Pose(height, turn));
            items.add(new Item.Rapid(at, at, rise, origin));
            z = height;
        }
    }

    private void turnTo(double degrees, Origin origin) {
        if (Math.abs(degrees - turn) > NOTHING) {
            Rise rise = new Rise(new Pose(z, turn), new Pose(z, degrees));
            items.add(new Item.Rapid(at, at, rise, origin));
            turn = degrees;
        }
    }

    private void end() {
        up(unit.heights().clearance(), Origin.FRAME);
        if (tool != null) {
            items.add(new Item.Event(EventKind.SPINDLE_OFF, Map.of(), Origin.FRAME));
        }
        items.add(new Item.Event(EventKind.END, Map.of(), Origin.FRAME));
    }
}
