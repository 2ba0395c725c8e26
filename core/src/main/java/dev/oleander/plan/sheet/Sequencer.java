package dev.oleander.plan.sheet;

import dev.oleander.geometry.Point;
import dev.oleander.plan.CutPath;
import dev.oleander.plan.OrderRule;
import dev.oleander.plan.Stop;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Puts stops in order: the nearest next of those that may come next. */
final class Sequencer {

    private final Precedence precedence;

    Sequencer(Precedence precedence) {
        this.precedence = precedence;
    }

    /** All stops, numbered from 1. */
    List<Stop> order(List<Stop> stops, OrderRule rule, List<String> sequence) {
        List<Stop> ordered =
                switch (rule) {
                    case SHORTEST -> new Run(stops, false).order();
                    case PART_BY_PART -> new Run(stops, true).order();
                    case BY_HAND -> byHand(new Run(stops, true).order(), sequence);
                };
        List<Stop> numbered = new ArrayList<>(ordered.size());
        for (Stop stop : ordered) {
            numbered.add(stop.numbered(numbered.size() + 1));
        }
        return numbered;
    }

    /**
     * The given sequence as far as it names stops that still exist. New stops go before the contour
     * that surrounds them, or to the end.
     */
    private List<Stop> byHand(List<Stop> computed, List<String> sequence) {
        Map<String, Stop> byId = new LinkedHashMap<>();
        computed.forEach(s -> byId.put(s.id(), s));
        List<Stop> ordered = new ArrayList<>();
        for (String id : sequence) {
            Stop known = byId.remove(id);
            if (known != null) {
                ordered.add(known);
            }
        }
        for (Stop added : byId.values()) {
            int before = ordered.size();
            for (int i = ordered.size() - 1; i >= 0; i--) {
                before = precedence.isWithin(added, ordered.get(i)) ? i : before;
            }
            ordered.add(before, added);
        }
        return ordered;
    }

    private final class Run {
        private final List<Stop> waiting;
        private final boolean groupByGroup;
        private final Map<String, List<Stop>> enclosing;
        private final Map<String, Integer> insideLeft = new HashMap<>();
        private final Map<String, String> groups = new HashMap<>();
        private Point at = Point.ORIGIN;
        private String group;

        Run(List<Stop> stops, boolean groupByGroup) {
            this.waiting = new ArrayList<>(stops);
            this.groupByGroup = groupByGroup;
            this.enclosing = precedence.enclosing(stops);
            enclosing
                    .values()
                    .forEach(
                            outer -> outer.forEach(o -> insideLeft.merge(o.id(), 1, Integer::sum)));
            stops.forEach(s -> groups.put(s.id(), precedence.groupOf(s)));
        }

        List<Stop> order() {
            List<Stop> ordered = new ArrayList<>(waiting.size());
            while (!waiting.isEmpty()) {
                Stop next = nearest(groupByGroup && group != null);
                if (next == null) {
                    next = nearest(false);
                }
                waiting.remove(next);
                ordered.add(next);
                group = groups.get(next.id());
                at = next.path().map(CutPath::end).orElse(at);
                enclosing
                        .get(next.id())
                        .forEach(outer -> insideLeft.merge(outer.id(), -1, Integer::sum));
            }
            return ordered;
        }

        /** Marks come before cuts; among equals the nearest wins, among these the first. */
        private Stop nearest(boolean sameGroup) {
            Stop best = null;
            double least = Double.POSITIVE_INFINITY;
            for (Stop stop : waiting) {
                if (isReady(stop) && (!sameGroup || groups.get(stop.id()).equals(group))) {
                    double distance =
                            stop.path().map(p -> p.pierce().distance(at)).orElse(Double.MAX_VALUE);
                    boolean better =
                            best == null
                                    || (isMark(stop) == isMark(best)
                                            ? distance < least
                                            : isMark(stop));
                    if (better) {
                        least = distance;
                        best = stop;
                    }
                }
            }
            return best;
        }

        private boolean isReady(Stop stop) {
            return insideLeft.getOrDefault(stop.id(), 0) == 0;
        }

        private static boolean isMark(Stop stop) {
            return stop.kind() == Stop.Kind.MARK;
        }
    }
}
