package dev.oleander.work.router.run;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.plan.stop.Tab;
import dev.oleander.work.router.plan.RouterStop;
import dev.oleander.work.router.way.Leg;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;

/**
 * The way of a tool as people look at it from above: round a contour the last round with its tabs,
 * of a rest its floor, of holes the way from one to the next.
 *
 * @param main one segment after the other
 * @param tabs along it
 */
record ShownWay(List<Segment> main, List<Tab> tabs) {

    private static final double SAME = 1e-6;

    /** Legs in which a tool may leave a wall. */
    private static final int LEAD = 2;

    /** Of a stop that can be done. */
    static ShownWay of(RouterStop stop, boolean closed) {
        if (closed) {
            List<Leg> last = lastOf(stop.legs());
            if (!last.isEmpty()) {
                List<Leg> begun = begunAt(firstCut(stop.legs()), last);
                List<Leg> round = begunBesideTabs(begun, deepest(stop));
                double radius = stop.tool().orElseThrow().diameter() / 2;
                return new ShownWay(segments(round), tabs(round, deepest(stop), radius));
            }
        }
        List<Segment> floor = stop.figures().visits().isEmpty() ? floor(stop) : List.of();
        return new ShownWay(floor.isEmpty() ? visits(stop) : floor, List.of());
    }

    private static double deepest(RouterStop stop) {
        return stop.legs().stream().filter(Leg::cuts).mapToDouble(Leg::lowest).min().orElse(0);
    }

    private static List<Segment> segments(List<Leg> legs) {
        return legs.stream().map(leg -> leg.segment().orElseThrow()).toList();
    }

    /** The last round, or the last before the tool leaves the wall in an arc. */
    private static List<Leg> lastOf(List<Leg> legs) {
        int end = legs.size();
        while (end > 0 && !legs.get(end - 1).cuts()) {
            end--;
        }
        for (int out = 0; out <= LEAD && out < end; out++) {
            List<Leg> round = lastRound(legs.subList(0, end - out));
            if (!round.isEmpty()) {
                return round;
            }
        }
        return List.of();
    }

    /** The last legs that lead back to where they begin; none when there is no such round. */
    private static List<Leg> lastRound(List<Leg> legs) {
        List<Leg> round = new ArrayList<>();
        for (int i = legs.size() - 1; i >= 0; i--) {
            Leg leg = legs.get(i);
            if (leg.segment().isEmpty()) {
                // up and down at a tab, or the way down to the round
                if (!leg.cuts()) {
                    break;
                }
                continue;
            }
            if (!leg.cuts()) {
                break;
            }
            Optional<Leg> last = round.isEmpty() ? Optional.empty() : upTo(leg, round.get(0).to());
            round.add(last.orElse(leg));
            if (last.isPresent()) {
                Collections.reverse(round);
                return round;
            }
        }
        return List.of();
    }

    /** The part of a leg behind a place that it goes through; empty when it does not. */
    private static Optional<Leg> upTo(Leg leg, Point end) {
        Segment way = leg.segment().orElseThrow();
        double t = way.nearest(end);
        boolean through = way.at(t).distance(end) < SAME && t * way.length() < way.length() - SAME;
        if (!through) {
            return Optional.empty();
        }
        if (t * way.length() < SAME) {
            return Optional.of(leg);
        }
        double z = leg.fromZ() + t * (leg.toZ() - leg.fromZ());
        return Optional.of(Leg.along(way.between(t, 1), z, leg.toZ(), leg.pace()));
    }

    /** Where the tool comes down first. */
    private static Point firstCut(List<Leg> legs) {
        return legs.stream().filter(Leg::cuts).findFirst().orElseThrow().from();
    }

    /** Every level begins where its way down ends; people begin it at one place. */
    private static List<Leg> begunAt(Point begin, List<Leg> round) {
        int nearest = 0;
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < round.size(); i++) {
            double off = round.get(i).segment().orElseThrow().distance(begin);
            if (off < least - SAME) {
                least = off;
                nearest = i;
            }
        }
        Leg through = round.get(nearest);
        Segment way = through.segment().orElseThrow();
        double at = way.nearest(begin);
        double z = through.fromZ() + at * (through.toZ() - through.fromZ());
        List<Leg> begun = new ArrayList<>();
        if ((1 - at) * way.length() > SAME) {
            begun.add(Leg.along(way.between(at, 1), z, through.toZ(), through.pace()));
        }
        for (int i = 1; i < round.size(); i++) {
            begun.add(round.get((nearest + i) % round.size()));
        }
        if (at * way.length() > SAME) {
            begun.add(Leg.along(way.between(0, at), through.fromZ(), z, through.pace()));
        }
        return begun;
    }

    /** So that no tab lies across its beginning. */
    private static List<Leg> begunBesideTabs(List<Leg> round, double floor) {
        int first = 0;
        while (first < round.size() && isAbove(round.get(first), floor)) {
            first++;
        }
        List<Leg> begun = new ArrayList<>(round);
        Collections.rotate(begun, -first);
        return begun;
    }

    private static boolean isAbove(Leg leg, double floor) {
        return Math.max(leg.fromZ(), leg.toZ()) > floor + SAME;
    }

    /** Where the tip stays up, but for its radius at both ends: so wide is the tab that stands. */
    private static List<Tab> tabs(List<Leg> round, double floor, double radius) {
        List<Tab> tabs = new ArrayList<>();
        double at = 0;
        double from = -1;
        for (Leg leg : round) {
            boolean up = isAbove(leg, floor) && Math.abs(leg.fromZ() - leg.toZ()) < SAME;
            if (up && from < 0) {
                from = at;
            } else if (!up && from >= 0) {
                add(tabs, from + radius, at - radius);
                from = -1;
            }
            at += leg.segment().orElseThrow().length();
        }
        if (from >= 0) {
            add(tabs, from + radius, at - radius);
        }
        return tabs;
    }

    private static void add(List<Tab> tabs, double from, double to) {
        double middle = (from + to) / 2;
        double half = Math.max(SAME, (to - from) / 2);
        tabs.add(new Tab(Math.max(0, middle - half), middle + half, true));
    }

    /** Cuts at the lowest level, or all of them where every height is another. */
    private static List<Segment> floor(RouterStop stop) {
        double deepest = deepest(stop);
        List<Segment> floor = joined(stop.legs(), deepest + SAME);
        return floor.isEmpty() ? joined(stop.legs(), Double.MAX_VALUE) : floor;
    }

    private static List<Segment> joined(List<Leg> legs, double highest) {
        List<Segment> way = new ArrayList<>();
        for (Leg leg : legs) {
            boolean shown =
                    leg.cuts()
                            && leg.segment().isPresent()
                            && Math.max(leg.fromZ(), leg.toZ()) <= highest;
            if (shown) {
                bridge(way, leg.from());
                way.add(leg.segment().get());
            }
        }
        return way;
    }

    private static void bridge(List<Segment> way, Point to) {
        if (!way.isEmpty() && way.get(way.size() - 1).end().distance(to) > SAME) {
            way.add(new Line(way.get(way.size() - 1).end(), to));
        }
    }

    /** Circles of the tool, and from one to the next. */
    private static List<Segment> visits(RouterStop stop) {
        List<Point> visits = stop.figures().visits();
        List<Segment> way = new ArrayList<>();
        for (Point place : visits.isEmpty() ? List.of(stop.begin()) : visits) {
            Contour circle = Contour.circle(place, stop.tool().orElseThrow().diameter() / 2);
            bridge(way, circle.start());
            way.addAll(circle.segments());
        }
        return way;
    }
}
