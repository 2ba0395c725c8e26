package dev.oleander.work.sheet.order;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.plan.order.Heat;
import dev.oleander.plan.order.OrderOptimiser;
import dev.oleander.plan.order.OrderOptions;
import dev.oleander.plan.order.OrderProblem;
import dev.oleander.plan.order.OrderProblem.Visit;
import dev.oleander.plan.stop.CutPath;
import dev.oleander.plan.stop.Stop;
import dev.oleander.progress.Progress;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/**
 * Makes an order of stops quicker: marks first, then cuts, either over the whole sheet or one group
 * of stops after the other. Stops without a path come last.
 */
final class OrderImprover {

    /** Disturbances for all groups together; each gets its share by the stops in it. */
    private static final int KICKS_OF_GROUPS = 25_000;

    private static final int KICKS_PER_STOP = 30;

    /** Groups whose ends have moved a little are not put in order from the beginning. */
    private static final int KICKS_AGAIN = 4;

    private final Precedence precedence;
    private final OrderCosts costs;
    private final List<List<String>> pins;

    /** By how many the usual disturbances are divided. */
    private final int less;

    /**
     * @param pins stretches of ids that stay together
     */
    OrderImprover(Precedence precedence, OrderCosts costs, List<List<String>> pins) {
        this(precedence, costs, pins, 1);
    }

    private OrderImprover(
            Precedence precedence, OrderCosts costs, List<List<String>> pins, int less) {
        this.precedence = precedence;
        this.costs = costs;
        this.pins = pins;
        this.less = less;
    }

    /** One for stops that are in a good order already. */
    OrderImprover again() {
        return new OrderImprover(precedence, costs, pins, KICKS_AGAIN);
    }

    /** What is to be less, and how many disturbances are tried. */
    private record Effort(OrderCosts costs, int kicks) {}

    /** Stops that hang together, in their order. */
    private record Group(List<Stop> stops) {

        Point begin() {
            return stops.get(0).path().orElseThrow().pierce();
        }

        Point end() {
            return endOf(stops);
        }

        Box box() {
            return Box.around(
                    stops.stream()
                            .flatMap(s -> s.path().orElseThrow().main().stream())
                            .map(Segment::box)
                            .toList());
        }
    }

    private static Point endOf(List<Stop> stops) {
        return stops.get(stops.size() - 1).path().map(CutPath::end).orElseThrow();
    }

    /** The quickest order found over the whole sheet. */
    List<Stop> overall(List<Stop> first, Progress progress) {
        List<Stop> cut = first.stream().filter(s -> s.path().isPresent()).toList();
        List<Stop> ordered =
                improved(
                        cut,
                        Point.ORIGIN,
                        new Effort(costs, OrderOptions.forVisits(cut.size()).kicks() / less),
                        progress);
        return withRefused(ordered, first);
    }

    private static List<Stop> withRefused(List<Stop> ordered, List<Stop> all) {
        List<Stop> whole = new ArrayList<>(ordered);
        all.stream().filter(s -> s.path().isEmpty()).forEach(whole::add);
        return whole;
    }

    /** One group after the other, in the order that is quickest. */
    List<Stop> groupByGroup(List<Stop> first, Progress progress) {
        List<Group> groups = groups(first);
        int kicks = OrderOptions.forVisits(groups.size()).kicks() / less;
        groups = quickest(groups, kicks, progress.within(0, 0.3));
        groups = inner(groups, first.size(), progress.within(0.3, 0.6));
        if (groups.size() == 1) {
            // there is no other group whose place could change what is best within it
            return flat(groups, first);
        }
        List<Group> again = quickest(groups, kicks / KICKS_AGAIN, progress.within(0.6, 0.7));
        if (again.equals(groups)) {
            // each is entered from where it was
            return flat(groups, first);
        }
        return flat(inner(again, first.size(), progress.within(0.7, 1)), first);
    }

    /** One group after the other, to and fro in rows from the bottom to the top. */
    List<Stop> rowByRow(List<Stop> first, Progress progress) {
        List<Group> waiting = new ArrayList<>(groups(first));
        waiting.sort(Comparator.comparingDouble(g -> g.box().min().y()));
        List<Group> ordered = new ArrayList<>();
        boolean rightwards = true;
        while (!waiting.isEmpty()) {
            double top = waiting.get(0).box().max().y();
            List<Group> row =
                    new ArrayList<>(
                            waiting.stream().filter(g -> g.box().centre().y() <= top).toList());
            waiting.removeAll(row);
            Comparator<Group> byX = Comparator.comparingDouble(g -> g.box().centre().x());
            row.sort(rightwards ? byX : byX.reversed());
            ordered.addAll(row);
            rightwards = !rightwards;
        }
        return flat(inner(ordered, first.size(), progress), first);
    }

    /** One group after the other, from the corner of the zero point to the one across. */
    List<Stop> cornerToCorner(List<Stop> first, Progress progress) {
        List<Group> ordered = new ArrayList<>(groups(first));
        ordered.sort(Comparator.comparingDouble(g -> g.box().centre().x() + g.box().centre().y()));
        return flat(inner(ordered, first.size(), progress), first);
    }

    /** Groups that a pinned stretch joins are one. */
    private List<Group> groups(List<Stop> stops) {
        Map<String, String> joined = joined();
        Map<String, List<Stop>> groups = new LinkedHashMap<>();
        for (Stop stop : stops) {
            if (stop.path().isPresent()) {
                String own = precedence.groupOf(stop);
                groups.computeIfAbsent(root(joined, own), g -> new ArrayList<>()).add(stop);
            }
        }
        return groups.values().stream().map(Group::new).toList();
    }

    /** By group, the group it is joined to by a pinned stretch. */
    private Map<String, String> joined() {
        Map<String, String> joined = new HashMap<>();
        for (List<String> pin : pins) {
            List<String> groups = pin.stream().map(precedence::groupOf).distinct().toList();
            for (String group : groups) {
                String from = root(joined, group);
                String to = root(joined, groups.get(0));
                if (!from.equals(to)) {
                    joined.put(from, to);
                }
            }
        }
        return joined;
    }

    private static String root(Map<String, String> joined, String group) {
        String at = group;
        while (joined.containsKey(at)) {
            at = joined.get(at);
        }
        return at;
    }

    private static List<Stop> flat(List<Group> groups, List<Stop> all) {
        return withRefused(groups.stream().flatMap(g -> g.stops().stream()).toList(), all);
    }

    private List<Group> quickest(List<Group> groups, int kicks, Progress progress) {
        List<Visit> visits = groups.stream().map(this::visit).toList();
        int[] order =
                optimised(
                        new OrderProblem(Point.ORIGIN, visits, costs.travel(), Heat.NONE),
                        kicks,
                        progress);
        return IntStream.of(order).mapToObj(groups::get).toList();
    }

    private Visit visit(Group group) {
        double loosens = costs.loosening().of(group.stops());
        return new Visit(group.begin(), group.end(), 0, loosens, List.of());
    }

    /** Each group improved in itself, from where the one before ends. */
    private List<Group> inner(List<Group> groups, int stops, Progress progress) {
        List<Group> improved = new ArrayList<>(groups.size());
        Point at = Point.ORIGIN;
        for (Group group : groups) {
            progress.at((double) improved.size() / groups.size(), "Ordering the stops");
            int size = group.stops().size();
            long share = (long) KICKS_OF_GROUPS * size / Math.max(1, stops);
            int kicks = (int) Math.min((long) KICKS_PER_STOP * size, share) / less;
            Effort effort = new Effort(costs.amongMany(), kicks);
            Group better = new Group(improved(group.stops(), at, effort, Progress.NONE));
            improved.add(better);
            at = better.end();
        }
        return improved;
    }

    /** Marks, then the others. */
    private List<Stop> improved(List<Stop> stops, Point from, Effort effort, Progress progress) {
        List<Stop> marks = only(stops, true);
        List<Stop> ordered = new ArrayList<>(sorted(marks, from, effort, progress.within(0, 0.2)));
        Point at = ordered.isEmpty() ? from : endOf(ordered);
        ordered.addAll(sorted(only(stops, false), at, effort, progress.within(0.2, 1)));
        return ordered;
    }

    private static List<Stop> only(List<Stop> stops, boolean marks) {
        return stops.stream().filter(s -> (s.kind() == Stop.Kind.MARK) == marks).toList();
    }

    private List<Stop> sorted(List<Stop> stops, Point from, Effort effort, Progress progress) {
        OrderCosts costs = effort.costs();
        Units units = Units.of(stops, pins, precedence);
        List<Visit> visits = new ArrayList<>(units.units().size());
        for (Unit unit : units.units()) {
            double seconds = costs.heat().matters() ? unit.seconds(costs.travel()) : 0;
            double loosens = costs.loosening().of(unit.stops());
            List<Integer> after = units.after().get(visits.size());
            visits.add(new Visit(unit.begin(), unit.end(), seconds, loosens, after));
        }
        OrderProblem problem = new OrderProblem(from, visits, costs.travel(), costs.heat());
        return IntStream.of(optimised(problem, effort.kicks(), progress))
                .mapToObj(units.units()::get)
                .flatMap(unit -> unit.stops().stream())
                .toList();
    }

    private static int[] optimised(OrderProblem problem, int kicks, Progress progress) {
        int[] first = IntStream.range(0, problem.visits().size()).toArray();
        return new OrderOptimiser(OrderOptions.forVisits(first.length).withKicks(kicks))
                .improve(problem, first, progress);
    }
}
