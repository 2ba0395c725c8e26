package dev.oleander.plan.sheet;

import dev.oleander.plan.Stop;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;

/**
 * Stops gathered into units by what is pinned, with what must come before what among them.
 *
 * @param units in an order that is permitted
 * @param after for each unit, numbers of those that must come before it
 */
record Units(List<Unit> units, List<List<Integer>> after) {

    /**
     * @param stops in a permitted order; all with a path
     * @param pins stretches of ids; those of stops that are not there are passed over
     */
    static Units of(List<Stop> stops, List<List<String>> pins, Precedence precedence) {
        List<Unit> pinned = pinned(stops, pins);
        List<List<Integer>> after = after(pinned, stops, precedence);
        List<Integer> order = permitted(after);
        if (order.size() < pinned.size()) {
            // pins that contradict each other bind nothing; they are refused when they are set
            List<Unit> single = stops.stream().map(s -> new Unit(List.of(s))).toList();
            return new Units(single, after(single, stops, precedence));
        }
        return inOrder(pinned, after, order);
    }

    /** Whether pins can be kept together with what must come before what. */
    static boolean areConsistent(List<Stop> stops, List<List<String>> pins, Precedence precedence) {
        List<Unit> pinned = pinned(stops, pins);
        return permitted(after(pinned, stops, precedence)).size() == pinned.size();
    }

    private static List<Unit> pinned(List<Stop> stops, List<List<String>> pins) {
        Map<String, Stop> byId = new HashMap<>();
        stops.forEach(s -> byId.put(s.id(), s));
        Map<String, Unit> stretches = new HashMap<>();
        for (List<String> pin : pins) {
            List<Stop> there = pin.stream().filter(byId::containsKey).map(byId::get).toList();
            boolean alike =
                    there.stream().map(s -> s.kind() == Stop.Kind.MARK).distinct().count() == 1;
            if (there.size() > 1 && alike) {
                there.forEach(s -> stretches.putIfAbsent(s.id(), new Unit(there)));
            }
        }
        List<Unit> units = new ArrayList<>();
        for (Stop stop : stops) {
            Unit stretch = stretches.get(stop.id());
            if (stretch == null) {
                units.add(new Unit(List.of(stop)));
            } else if (stretch.stops().get(0).id().equals(stop.id())) {
                units.add(stretch);
            }
        }
        return units;
    }

    private static List<List<Integer>> after(
            List<Unit> units, List<Stop> stops, Precedence precedence) {
        Map<String, Integer> numbers = new HashMap<>();
        List<List<Integer>> after = new ArrayList<>();
        for (Unit unit : units) {
            unit.stops().forEach(s -> numbers.put(s.id(), after.size()));
            after.add(new ArrayList<>());
        }
        Map<String, List<Stop>> enclosing = precedence.enclosing(stops);
        for (Stop stop : stops) {
            // those farther out come after the nearest one
            List<Stop> outer = enclosing.get(stop.id());
            if (!outer.isEmpty()) {
                int inside = numbers.get(stop.id());
                int around = numbers.get(outer.get(0).id());
                if (inside != around) {
                    after.get(around).add(inside);
                }
            }
        }
        return after;
    }

    /** A permitted order, as near to the given one as can be; shorter when there is none. */
    private static List<Integer> permitted(List<List<Integer>> after) {
        int[] waits = new int[after.size()];
        List<List<Integer>> later = new ArrayList<>();
        after.forEach(a -> later.add(new ArrayList<>()));
        for (int i = 0; i < waits.length; i++) {
            for (int earlier : after.get(i)) {
                waits[i]++;
                later.get(earlier).add(i);
            }
        }
        PriorityQueue<Integer> ready = new PriorityQueue<>();
        for (int i = 0; i < waits.length; i++) {
            if (waits[i] == 0) {
                ready.add(i);
            }
        }
        List<Integer> order = new ArrayList<>(waits.length);
        while (!ready.isEmpty()) {
            int next = ready.poll();
            order.add(next);
            for (int i : later.get(next)) {
                if (--waits[i] == 0) {
                    ready.add(i);
                }
            }
        }
        return order;
    }

    private static Units inOrder(List<Unit> units, List<List<Integer>> after, List<Integer> order) {
        int[] place = new int[units.size()];
        for (int i = 0; i < place.length; i++) {
            place[order.get(i)] = i;
        }
        List<Unit> sorted = new ArrayList<>();
        List<List<Integer>> sortedAfter = new ArrayList<>();
        for (int unit : order) {
            sorted.add(units.get(unit));
            sortedAfter.add(after.get(unit).stream().map(i -> place[i]).toList());
        }
        return new Units(sorted, sortedAfter);
    }
}
