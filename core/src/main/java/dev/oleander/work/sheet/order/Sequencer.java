package dev.oleander.work.sheet.order;

import dev.oleander.geometry.Point;
import dev.oleander.plan.stop.CutPath;
import dev.oleander.plan.stop.Stop;
import dev.oleander.progress.Progress;
import dev.oleander.work.sheet.choice.OrderRule;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;

/**
 * Puts stops in order: first the nearest next of those that may come next, then {@link
 * OrderImprover}.
 */
public final class Sequencer {

    private final Precedence precedence;
    private final Point begin;
    private final OrderImprover improver;

    /**
     * @param pins stretches of ids that stay together
     */
    public Sequencer(Precedence precedence, OrderCosts costs, List<List<String>> pins) {
        this.precedence = precedence;
        this.begin = costs.loosening().begin();
        this.improver = new OrderImprover(precedence, costs, pins);
    }

    /** All stops, numbered from 1. */
    public List<Stop> order(
            List<Stop> stops, OrderRule rule, List<String> sequence, Progress progress) {
        List<Stop> ordered =
                switch (rule) {
                    case SHORTEST -> improver.overall(new Run(stops, false).order(), progress);
                    case PART_BY_PART ->
                            improver.groupByGroup(new Run(stops, true).order(), progress);
                    case ROW_BY_ROW -> improver.rowByRow(new Run(stops, true).order(), progress);
                    case CORNER_TO_CORNER ->
                            improver.cornerToCorner(new Run(stops, true).order(), progress);
                    case BY_HAND -> byHand(new Run(stops, true).order(), sequence);
                };
        return numbered(ordered);
    }

    /**
     * The same of stops that are in order already, and of which only the leads have moved a little.
     */
    public List<Stop> again(
            List<Stop> stops, OrderRule rule, List<String> sequence, Progress progress) {
        return switch (rule) {
            case SHORTEST -> numbered(improver.again().overall(stops, progress));
            case PART_BY_PART -> numbered(improver.again().groupByGroup(stops, progress));
            default -> order(stops, rule, sequence, progress);
        };
    }

    private static List<Stop> numbered(List<Stop> ordered) {
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

    /** Stops that may come next: marks before cuts, those without a path at the end. */
    private static final class Ready {
        private final List<Stop> stops;
        private final NearestFinder marks;
        private final NearestFinder cuts;
        private final TreeSet<Integer> pathless = new TreeSet<>();

        /**
         * @param points of the stops' pierces by number; null where a stop never comes or has none
         */
        Ready(List<Stop> stops, Point[] points) {
            this.stops = stops;
            this.marks = new NearestFinder(only(points, true));
            this.cuts = new NearestFinder(only(points, false));
        }

        private Point[] only(Point[] points, boolean ofMarks) {
            Point[] chosen = points.clone();
            for (int i = 0; i < chosen.length; i++) {
                if (isMark(i) != ofMarks) {
                    chosen[i] = null;
                }
            }
            return chosen;
        }

        private boolean isMark(int i) {
            return stops.get(i).kind() == Stop.Kind.MARK;
        }

        void add(int i) {
            if (stops.get(i).path().isEmpty()) {
                pathless.add(i);
            } else {
                (isMark(i) ? marks : cuts).add(i);
            }
        }

        void remove(int i) {
            NearestFinder finder = isMark(i) ? marks : cuts;
            if (!pathless.remove(i) && finder.has(i)) {
                finder.remove(i);
            }
        }

        /** Number of the best next stop; -1 when none is ready. */
        int next(Point at) {
            int mark = marks.nearest(at);
            int found = mark >= 0 ? mark : cuts.nearest(at);
            return found >= 0 || pathless.isEmpty() ? found : pathless.first();
        }
    }

    private final class Run {
        private final List<Stop> stops;
        private final boolean groupByGroup;
        private final Map<String, Integer> numbers = new HashMap<>();
        private final Map<String, List<Stop>> enclosing;
        private final int[] insideLeft;
        private final Point[] points;
        private final Map<String, List<Integer>> groups = new HashMap<>();
        private final boolean[] taken;
        private final Ready all;

        /** Place of each stop in the list of its group. */
        private final int[] local;

        private List<Integer> members = List.of();
        private Ready ofGroup = new Ready(List.of(), new Point[0]);
        private Point at = begin;

        Run(List<Stop> stops, boolean groupByGroup) {
            this.stops = stops;
            this.groupByGroup = groupByGroup;
            this.enclosing = precedence.enclosing(stops);
            this.insideLeft = new int[stops.size()];
            this.taken = new boolean[stops.size()];
            this.points = new Point[stops.size()];
            this.local = new int[stops.size()];
            for (int i = 0; i < stops.size(); i++) {
                Stop stop = stops.get(i);
                numbers.put(stop.id(), i);
                points[i] = stop.path().map(CutPath::pierce).orElse(null);
                List<Integer> group =
                        groups.computeIfAbsent(precedence.groupOf(stop), g -> new ArrayList<>());
                local[i] = group.size();
                group.add(i);
            }
            enclosing
                    .values()
                    .forEach(outer -> outer.forEach(o -> insideLeft[numbers.get(o.id())]++));
            this.all = new Ready(stops, points);
        }

        public List<Stop> order() {
            for (int i = 0; i < stops.size(); i++) {
                if (insideLeft[i] == 0) {
                    all.add(i);
                }
            }
            List<Stop> ordered = new ArrayList<>(stops.size());
            while (ordered.size() < stops.size()) {
                int inGroup = ofGroup.next(at);
                int next = inGroup >= 0 ? members.get(inGroup) : all.next(at);
                if (inGroup < 0 && groupByGroup) {
                    enterGroupOf(next);
                }
                take(next);
                ordered.add(stops.get(next));
            }
            return ordered;
        }

        private void enterGroupOf(int stop) {
            members = groups.get(precedence.groupOf(stops.get(stop)));
            ofGroup =
                    new Ready(
                            members.stream().map(stops::get).toList(),
                            members.stream().map(i -> points[i]).toArray(Point[]::new));
            for (int i : members) {
                if (!taken[i] && insideLeft[i] == 0) {
                    ofGroup.add(local[i]);
                }
            }
        }

        private void take(int stop) {
            taken[stop] = true;
            all.remove(stop);
            if (groupByGroup) {
                ofGroup.remove(local[stop]);
            }
            at = stops.get(stop).path().map(CutPath::end).orElse(at);
            for (Stop outer : enclosing.get(stops.get(stop).id())) {
                int i = numbers.get(outer.id());
                if (--insideLeft[i] == 0) {
                    all.add(i);
                    if (groupByGroup) {
                        ofGroup.add(local[i]);
                    }
                }
            }
        }
    }
}
