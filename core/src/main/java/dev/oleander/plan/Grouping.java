package dev.oleander.plan;

import dev.oleander.plan.stop.Stop;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;

/**
 * Stops gathered into groups by what is kept together, with what must come before what among them.
 *
 * @param groups in a possible order, as near to the given one as can be
 * @param after for each group, numbers of those that must come before it
 * @param isKept whether all stretches could be kept together
 */
public record Grouping(List<List<Stop>> groups, List<List<Integer>> after, boolean isKept) {

    /**
     * @param stops in the order that is wished
     * @param pins stretches of ids; those of stops that are not there are passed over. Stretches
     *     that contradict each other bind nothing
     */
    public static Grouping of(List<Stop> stops, List<List<String>> pins, RunRules rules) {
        List<List<Stop>> pinned = pinned(stops, pins, rules);
        List<List<Integer>> after = after(pinned, rules);
        List<Integer> order = possible(after);
        if (order.size() == pinned.size() && areInOrder(pinned, rules)) {
            return inOrder(pinned, after, order, true);
        }
        List<List<Stop>> single = stops.stream().map(List::of).toList();
        List<List<Integer>> afterSingle = after(single, rules);
        return inOrder(single, afterSingle, possible(afterSingle), false);
    }

    private static List<List<Stop>> pinned(
            List<Stop> stops, List<List<String>> pins, RunRules rules) {
        Map<String, Stop> byId = new HashMap<>();
        stops.forEach(s -> byId.put(s.id(), s));
        Map<String, List<Stop>> stretches = new HashMap<>();
        for (List<String> pin : pins) {
            List<Stop> there = pin.stream().filter(byId::containsKey).map(byId::get).toList();
            if (there.size() > 1 && rules.areAlike(there)) {
                there.forEach(s -> stretches.putIfAbsent(s.id(), there));
            }
        }
        List<List<Stop>> groups = new ArrayList<>();
        for (Stop stop : stops) {
            List<Stop> stretch = stretches.get(stop.id());
            if (stretch == null) {
                groups.add(List.of(stop));
            } else if (stretch.get(0).id().equals(stop.id())) {
                groups.add(stretch);
            }
        }
        return groups;
    }

    private static boolean areInOrder(List<List<Stop>> groups, RunRules rules) {
        return groups.stream().allMatch(g -> g.size() == 1 || rules.breach(g).isEmpty());
    }

    private static List<List<Integer>> after(List<List<Stop>> groups, RunRules rules) {
        Map<String, Integer> numbers = new HashMap<>();
        for (int i = 0; i < groups.size(); i++) {
            for (Stop stop : groups.get(i)) {
                numbers.put(stop.id(), i);
            }
        }
        List<List<Integer>> after = new ArrayList<>();
        for (int i = 0; i < groups.size(); i++) {
            List<Integer> earlier = new ArrayList<>();
            for (Stop stop : groups.get(i)) {
                for (String must : rules.before(stop)) {
                    Integer other = numbers.get(must);
                    if (other != null && other != i) {
                        earlier.add(other);
                    }
                }
            }
            after.add(earlier.stream().distinct().sorted().toList());
        }
        return after;
    }

    /** A possible order, as near to the given one as can be; shorter when there is none. */
    private static List<Integer> possible(List<List<Integer>> after) {
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

    private static Grouping inOrder(
            List<List<Stop>> groups,
            List<List<Integer>> after,
            List<Integer> order,
            boolean isKept) {
        int[] place = new int[groups.size()];
        for (int i = 0; i < order.size(); i++) {
            place[order.get(i)] = i;
        }
        List<List<Stop>> sorted = new ArrayList<>();
        List<List<Integer>> sortedAfter = new ArrayList<>();
        for (int group : order) {
            sorted.add(groups.get(group));
            sortedAfter.add(after.get(group).stream().map(i -> place[i]).toList());
        }
        return new Grouping(sorted, sortedAfter, isKept);
    }
}
