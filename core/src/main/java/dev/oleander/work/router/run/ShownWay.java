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

/**
 * The way of a tool as people look at it from above: round a contour the last round with its tabs,
 * of a pocket its floor, of holes the way from one to the next.
 *
 * @param main one segment after the other
 * @param tabs along it
 */
record ShownWay(List<Segment> main, List<Tab> tabs) {

    private static final double SAME = 1e-6;

    /** Of a stop that can be done. */
    static ShownWay of(RouterStop stop, boolean closed) {
        if (closed) {
            List<Leg> round = lastRound(stop.legs());
            if (!round.isEmpty()) {
                return new ShownWay(segments(round), tabs(round, deepest(stop)));
            }
        }
        List<Segment> floor = floor(stop);
        return new ShownWay(floor.isEmpty() ? visits(stop) : floor, List.of());
    }

    private static double deepest(RouterStop stop) {
        return stop.legs().stream().filter(Leg::cuts).mapToDouble(Leg::lowest).min().orElse(0);
    }

    private static List<Segment> segments(List<Leg> legs) {
        return legs.stream().map(leg -> leg.segment().orElseThrow()).toList();
    }

    /** The last legs that lead back to where they begin; none when there is no such round. */
    private static List<Leg> lastRound(List<Leg> legs) {
        List<Leg> round = new ArrayList<>();
        for (int i = legs.size() - 1; i >= 0; i--) {
            Leg leg = legs.get(i);
            if (!leg.cuts() && round.isEmpty()) {
                continue;
            }
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
            round.add(leg);
            Point end = round.get(0).to();
            if (leg.from().distance(end) < SAME) {
                Collections.reverse(round);
                return round;
            }
        }
        return List.of();
    }

    private static List<Tab> tabs(List<Leg> round, double floor) {
        List<Tab> tabs = new ArrayList<>();
        double at = 0;
        double from = -1;
        for (Leg leg : round) {
            boolean above = Math.max(leg.fromZ(), leg.toZ()) > floor + SAME;
            if (above && from < 0) {
                from = at;
            } else if (!above && from >= 0) {
                tabs.add(new Tab(from, at, true));
                from = -1;
            }
            at += leg.segment().orElseThrow().length();
        }
        if (from >= 0 && at > from) {
            tabs.add(new Tab(from, at, true));
        }
        return tabs;
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

    /** From hole to hole; of one hole its circle. */
    private static List<Segment> visits(RouterStop stop) {
        List<Point> visits = stop.figures().visits();
        List<Point> places = visits.isEmpty() ? List.of(stop.begin()) : visits;
        if (places.size() == 1) {
            double radius = stop.tool().orElseThrow().diameter() / 2;
            return Contour.circle(places.get(0), radius).segments();
        }
        List<Segment> way = new ArrayList<>();
        for (int i = 1; i < places.size(); i++) {
            way.add(new Line(places.get(i - 1), places.get(i)));
        }
        return way;
    }
}
