package dev.oleander.work.router.plan;

import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import dev.oleander.plan.order.Heat;
import dev.oleander.plan.order.OrderOptimiser;
import dev.oleander.plan.order.OrderOptions;
import dev.oleander.plan.order.OrderProblem;
import dev.oleander.plan.order.TravelTime;
import dev.oleander.progress.Progress;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.operation.Operation.Bevel;
import dev.oleander.work.router.operation.Operation.Face;
import dev.oleander.work.router.operation.Operation.Round;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.way.Entry;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.BiPredicate;
import java.util.stream.IntStream;

/**
 * Puts stops in order: what must come before what, then the fewest changes of tools, then the
 * shortest ways with each.
 */
public final class RouterOrder {

    /** Different tools up to which the fewest changes are found for certain. */
    private static final int EXACT = 12;

    private final RouterTask task;
    private final List<RouterStop> stops;
    private final List<Set<Integer>> before = new ArrayList<>();
    private final Map<String, Feature> features;

    /**
     * Stops in their order, with what each must wait for.
     *
     * @param order all of them; those that cannot be done are last
     * @param before by id of a stop that can be done, the ids of those that must come before it
     */
    public record Laid(List<RouterStop> order, Map<String, Set<String>> before) {}

    private RouterOrder(RouterTask task, List<RouterStop> stops) {
        this.task = task;
        this.stops = stops;
        this.features = task.reading().byId();
        stops.forEach(s -> before.add(new LinkedHashSet<>()));
        Map<Integer, List<Integer>> byCopy = new TreeMap<>();
        for (int i = 0; i < stops.size(); i++) {
            byCopy.computeIfAbsent(stops.get(i).copy(), c -> new ArrayList<>()).add(i);
        }
        byCopy.values().forEach(copy -> waiting(copy, copy, this::comesBefore));
        // the whole top before anything, what holds parts after everything, on all copies
        List<Integer> all = IntStream.range(0, stops.size()).boxed().toList();
        waiting(all.stream().filter(i -> faces(stops.get(i))).toList(), all, (f, s) -> !faces(s));
        List<Integer> skins = all.stream().filter(i -> stops.get(i).skin()).toList();
        waiting(all, skins, (f, s) -> !f.skin() && !(f.copy() == s.copy() && isWithin(s, f)));
    }

    /**
     * On each copy what has a rank comes after all of a lower one. The last thing to be asked:
     * whatever else says what must wait is stronger, so what waits for a higher rank has that.
     */
    private RouterOrder byRank() {
        if (stops.stream().anyMatch(s -> operation(s).rank() > 0)) {
            Map<Integer, Integer> ranks = new HashMap<>();
            IntStream.range(0, stops.size()).forEach(i -> raise(i, ranks));
            Map<Integer, List<Integer>> byCopy = new TreeMap<>();
            ranks.forEach(
                    (i, r) ->
                            byCopy.computeIfAbsent(stops.get(i).copy(), c -> new ArrayList<>())
                                    .add(i));
            byCopy.values().forEach(copy -> byRank(copy, ranks));
        }
        return this;
    }

    private void byRank(List<Integer> copy, Map<Integer, Integer> ranks) {
        Map<Integer, List<Integer>> byRank = new TreeMap<>();
        copy.stream()
                .filter(i -> ranks.get(i) > 0)
                .forEach(i -> byRank.computeIfAbsent(ranks.get(i), r -> new ArrayList<>()).add(i));
        List<Integer> lower = List.of();
        for (List<Integer> group : byRank.values()) {
            waiting(lower, group, (f, s) -> true);
            lower = group;
        }
    }

    /** The highest rank of it and all that it waits for; nothing waits in a circle. */
    private int raise(int stop, Map<Integer, Integer> ranks) {
        Integer known = ranks.get(stop);
        if (known != null) {
            return known;
        }
        int rank = operation(stops.get(stop)).rank();
        for (int other : before.get(stop)) {
            rank = Math.max(rank, raise(other, ranks));
        }
        ranks.put(stop, rank);
        return rank;
    }

    /** Small parts come free while what lies beside them still holds the sheet down. */
    private RouterOrder smallFirst() {
        // what is left to the end as a skin comes after everything anyhow
        smallFirst(false);
        smallFirst(true);
        return this;
    }

    private void smallFirst(boolean skins) {
        Map<Integer, List<Integer>> bySize = new TreeMap<>();
        for (int i = 0; i < stops.size(); i++) {
            RouterStop stop = stops.get(i);
            boolean outline = stop.features().stream().anyMatch(this::isOutline);
            if (stop.skin() == skins && outline && cutsOut(stop)) {
                bySize.computeIfAbsent(size(stop), s -> new ArrayList<>()).add(i);
            }
        }
        List<Integer> smaller = List.of();
        for (List<Integer> group : bySize.values()) {
            waiting(smaller, group, (f, s) -> true);
            smaller = group;
        }
    }

    private RouterOrder innerFirst(Map<Integer, Transform> places) {
        if (places.isEmpty()) {
            return this;
        }
        for (int i = 0; i < stops.size(); i++) {
            RouterStop opening = stops.get(i);
            for (String feature : opening.features()) {
                Contour drawn = closed(feature);
                if (drawn != null && cutsOut(opening) && !isOutline(feature)) {
                    Contour there = drawn.transformed(places.get(opening.copy()));
                    before.get(i).addAll(within(there, opening.copy()));
                }
            }
        }
        return this;
    }

    /** Stops of other copies that begin there. */
    private List<Integer> within(Contour there, int copy) {
        Box box = there.box();
        return IntStream.range(0, stops.size())
                .filter(j -> stops.get(j).copy() != copy)
                .filter(j -> box.contains(stops.get(j).begin()))
                .filter(j -> there.contains(stops.get(j).begin()))
                .boxed()
                .toList();
    }

    private boolean isOutline(String feature) {
        return features.get(feature).parent().isEmpty();
    }

    /** Parts whose area differs less than twofold mostly have one size. */
    private int size(RouterStop stop) {
        double area =
                stop.features().stream()
                        .map(this::closed)
                        .filter(Objects::nonNull)
                        .mapToDouble(c -> Math.abs(c.area()))
                        .max()
                        .orElse(0);
        return area <= 0 ? Integer.MIN_VALUE : Math.getExponent(area);
    }

    private void waiting(
            List<Integer> first,
            List<Integer> then,
            BiPredicate<RouterStop, RouterStop> comesBefore) {
        for (int i : then) {
            for (int j : first) {
                if (i != j && comesBefore.test(stops.get(j), stops.get(i))) {
                    before.get(i).add(j);
                }
            }
        }
    }

    /**
     * With the fewest changes of tools, then the shortest ways. Refused stops come last.
     *
     * @param all of the drawing, or of all copies
     */
    public static Laid laid(RouterTask task, List<RouterStop> all) {
        List<RouterStop> done = all.stream().filter(RouterStop::isDone).toList();
        RouterOrder order = new RouterOrder(task, done).byRank();
        return order.laid(order.ordered(), all);
    }

    /**
     * The same for parts of several jobs on one sheet: small ones come free first, and what lies in
     * an opening of another before that opening.
     *
     * @param places of the copies, by their number
     */
    public static Laid nested(
            RouterTask task, List<RouterStop> all, Map<Integer, Transform> places) {
        List<RouterStop> done = all.stream().filter(RouterStop::isDone).toList();
        RouterOrder order = new RouterOrder(task, done).smallFirst().innerFirst(places).byRank();
        return order.laid(order.ordered(), all);
    }

    /**
     * The same for one copy after the other; what holds parts is cut after all copies.
     *
     * @param places of the copies, where they are parts of several jobs; else none
     */
    public static Laid copyByCopy(
            RouterTask task, List<RouterStop> all, Map<Integer, Transform> places) {
        List<RouterStop> done = all.stream().filter(RouterStop::isDone).toList();
        Map<Integer, List<RouterStop>> byCopy = new TreeMap<>();
        for (RouterStop stop : done) {
            int group = stop.skin() ? Integer.MAX_VALUE : stop.copy();
            byCopy.computeIfAbsent(group, c -> new ArrayList<>()).add(stop);
        }
        List<RouterStop> ordered = new ArrayList<>();
        byCopy.values().forEach(c -> ordered.addAll(new RouterOrder(task, c).byRank().ordered()));
        return new RouterOrder(task, done).innerFirst(places).byRank().laid(ordered, all);
    }

    private Laid laid(List<RouterStop> ordered, List<RouterStop> all) {
        List<RouterStop> order = new ArrayList<>(ordered);
        all.stream().filter(s -> !s.isDone()).forEach(order::add);
        Map<String, Set<String>> must = new HashMap<>();
        for (int i = 0; i < stops.size(); i++) {
            Set<String> ids = new LinkedHashSet<>();
            before.get(i).forEach(j -> ids.add(stops.get(j).id()));
            must.put(stops.get(i).id(), ids);
        }
        return new Laid(List.copyOf(order), must);
    }

    /** Changes of the tool in an order, without the first one. */
    public static int toolChanges(List<RouterStop> order) {
        int changes = 0;
        Integer tool = null;
        for (RouterStop stop : order) {
            if (stop.isDone()) {
                int own = stop.tool().orElseThrow().number();
                changes += tool != null && tool != own ? 1 : 0;
                tool = own;
            }
        }
        return changes;
    }

    // ---- what must come before what

    private boolean comesBefore(RouterStop first, RouterStop then) {
        return isAskedBy(then, first.operation())
                || isWider(first, then)
                || isWithin(first, then)
                || isEdgeOf(first, then)
                || isStartOf(first, then)
                || first.isAbove(then);
    }

    /** A hole in which the other's tool comes straight down. */
    private boolean isStartOf(RouterStop first, RouterStop then) {
        Tool tool = then.tool().orElseThrow();
        boolean straight =
                operation(then).what().entry().kind().filter(Entry.Kind.PLUNGE::equals).isPresent();
        if (!straight || tool.edges().cutsCentre() || first.figures().visits().isEmpty()) {
            return false;
        }
        return then.cutting().legs().stream()
                .filter(leg -> leg.segment().isEmpty())
                .anyMatch(
                        leg ->
                                first.figures().visits().stream()
                                        .anyMatch(v -> v.distance(leg.to()) < tool.diameter()));
    }

    /** An edge is broken while the part is still held. */
    private boolean isEdgeOf(RouterStop first, RouterStop then) {
        return operation(first).what() instanceof Bevel
                && cutsOut(then)
                && first.features().equals(then.features());
    }

    private Operation operation(RouterStop stop) {
        return task.operation(stop.operation()).orElseThrow();
    }

    private boolean faces(RouterStop stop) {
        return operation(stop).what() instanceof Face;
    }

    /** Its depths count from the other's floor, or it takes the other's rest. */
    private boolean isAskedBy(RouterStop then, String other) {
        return operation(then).asksFor(Operation.nameOf(other));
    }

    /** Of a stepped hole the wide and shallow part. */
    private static boolean isWider(RouterStop first, RouterStop then) {
        return first.operation().equals(then.operation())
                && first.features().size() > 1
                && !first.figures().visits().isEmpty()
                && first.tool().orElseThrow().diameter() > then.tool().orElseThrow().diameter();
    }

    /** The other frees what it lies in: outlines and openings are cut when all within them is. */
    private boolean isWithin(RouterStop first, RouterStop then) {
        if (!cutsOut(then) || first.features().equals(then.features())) {
            return false;
        }
        for (String outer : then.features()) {
            Contour round = closed(outer);
            for (String inner : first.features()) {
                Point p = features.get(inner).chain().start();
                boolean in = round != null && !inner.equals(outer) && round.contains(p);
                if (in && !isRoundOf(first, outer)) {
                    return true;
                }
            }
        }
        return false;
    }

    /** Whether something comes free by it, or would but for tabs; not where a skin is left. */
    private boolean cutsOut(RouterStop stop) {
        boolean round =
                operation(stop).what() instanceof Round of && (stop.skin() || of.skin().isEmpty());
        return round || stop.frees();
    }

    private Contour closed(String id) {
        Feature feature = features.get(id);
        return feature.isClosed() ? feature.contour() : null;
    }

    private static boolean isRoundOf(RouterStop stop, String feature) {
        return stop.features().contains(feature);
    }

    // ---- the fewest changes

    private List<RouterStop> ordered() {
        List<Integer> tools = tools();
        List<RouterStop> ordered = new ArrayList<>();
        BitSet done = new BitSet();
        Map<BitSet, List<Integer>> known = new HashMap<>();
        List<Integer> plan = tools.size() <= EXACT ? fewest(done, -1, tools, known) : greedy(tools);
        Point at = task.stock().min();
        for (int tool : plan) {
            List<Integer> group = possible(done, tool);
            List<Integer> sorted = shortest(group, at);
            sorted.forEach(i -> ordered.add(stops.get(i)));
            sorted.forEach(done::set);
            at = sorted.isEmpty() ? at : stops.get(sorted.get(sorted.size() - 1)).end();
        }
        if (ordered.size() < stops.size()) {
            throw new IllegalStateException("stops that wait for each other");
        }
        return ordered;
    }

    private List<Integer> tools() {
        Set<Integer> tools = new LinkedHashSet<>();
        stops.forEach(s -> tools.add(s.tool().orElseThrow().number()));
        return List.copyOf(tools);
    }

    /** All that can be done with a tool before it must be changed. */
    private List<Integer> possible(BitSet done, int tool) {
        BitSet now = (BitSet) done.clone();
        List<Integer> group = new ArrayList<>();
        boolean more = true;
        while (more) {
            more = false;
            for (int i = 0; i < stops.size(); i++) {
                boolean own = stops.get(i).tool().orElseThrow().number() == tool;
                if (own && !now.get(i) && before.get(i).stream().allMatch(now::get)) {
                    now.set(i);
                    group.add(i);
                    more = true;
                }
            }
        }
        return group;
    }

    /** Tools in the order that changes them least; what is done says all that matters. */
    private List<Integer> fewest(
            BitSet done, int held, List<Integer> tools, Map<BitSet, List<Integer>> known) {
        if (done.cardinality() == stops.size()) {
            return List.of();
        }
        List<Integer> seen = known.get(done);
        if (seen != null) {
            return seen;
        }
        List<Integer> best = null;
        for (int tool : tools) {
            List<Integer> group = tool == held ? List.of() : possible(done, tool);
            if (group.isEmpty()) {
                continue;
            }
            BitSet after = (BitSet) done.clone();
            group.forEach(after::set);
            List<Integer> rest = fewest(after, tool, tools, known);
            if (best == null || rest.size() + 1 < best.size()) {
                best = new ArrayList<>(List.of(tool));
                best.addAll(rest);
            }
        }
        List<Integer> found = best == null ? List.of() : best;
        known.put((BitSet) done.clone(), found);
        return found;
    }

    /** The tool with which most can be done, again and again. */
    private List<Integer> greedy(List<Integer> tools) {
        BitSet done = new BitSet();
        List<Integer> plan = new ArrayList<>();
        while (done.cardinality() < stops.size()) {
            int best = tools.get(0);
            int most = -1;
            for (int tool : tools) {
                int count = possible(done, tool).size();
                if (count > most) {
                    most = count;
                    best = tool;
                }
            }
            if (most <= 0) {
                break;
            }
            possible(done, best).forEach(done::set);
            plan.add(best);
        }
        return plan;
    }

    // ---- the shortest ways

    private List<Integer> shortest(List<Integer> group, Point from) {
        List<OrderProblem.Visit> visits = new ArrayList<>();
        Map<Integer, Integer> places = new HashMap<>();
        group.forEach(i -> places.put(i, places.size()));
        for (int i : group) {
            List<Integer> after =
                    before.get(i).stream().map(places::get).filter(Objects::nonNull).toList();
            RouterStop stop = stops.get(i);
            visits.add(new OrderProblem.Visit(stop.begin(), stop.end(), 0, 0, after));
        }
        int[] first = new int[group.size()];
        for (int i = 0; i < first.length; i++) {
            first[i] = i;
        }
        OrderProblem problem = new OrderProblem(from, visits, TravelTime.byLength(), Heat.NONE);
        int[] order =
                new OrderOptimiser(OrderOptions.forVisits(first.length))
                        .improve(problem, first, Progress.NONE);
        List<Integer> sorted = new ArrayList<>();
        for (int i : order) {
            sorted.add(group.get(i));
        }
        return sorted;
    }
}
