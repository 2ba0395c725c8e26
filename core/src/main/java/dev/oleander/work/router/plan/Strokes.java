package dev.oleander.work.router.plan;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.flat.DisjointSets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.Set;
import java.util.TreeMap;

/**
 * The fewest strokes of a bank that drill holes, each once: a set cover, taken greedily, and below
 * 20 holes by branch and bound (Chvatal, Math. Oper. Res. 4 (1979) 233-235).
 */
final class Strokes {

    /** mm within which a drill stands over a hole. */
    static final double SAME = 0.02;

    /** Holes from which on it is taken greedily. */
    private static final int EXACT = 20;

    /** Looks into branches that the exact cover may cost. */
    private static final int MOST_LOOKS = 200_000;

    private final List<Point> holes;
    private final Map<Integer, Point> drills;
    private final Map<List<Long>, List<Integer>> grid = new HashMap<>();

    /**
     * Holes that are drilled together.
     *
     * @param holes by slot of the drill, the first slot first
     */
    record Stroke(TreeMap<Integer, Integer> holes) {

        /** As {@link dev.oleander.work.router.book.Bank} says it. */
        long choice() {
            return holes.keySet().stream().mapToLong(slot -> 1L << slot).sum();
        }

        Stroke without(boolean[] done) {
            TreeMap<Integer, Integer> left = new TreeMap<>(holes);
            left.values().removeIf(hole -> done[hole]);
            return new Stroke(left);
        }

        int size() {
            return holes.size();
        }
    }

    private Strokes(List<Point> holes, Map<Integer, Point> drills) {
        this.holes = holes;
        this.drills = drills;
        for (int i = 0; i < holes.size(); i++) {
            grid.computeIfAbsent(cell(holes.get(i), 0, 0), c -> new ArrayList<>()).add(i);
        }
    }

    /**
     * @param holes their middles
     * @param drills places of drills, by slot
     */
    static List<Stroke> of(List<Point> holes, Map<Integer, Point> drills) {
        Strokes strokes = new Strokes(holes, drills);
        List<Stroke> taken = new ArrayList<>();
        for (List<Stroke> some : strokes.apart(strokes.possible())) {
            List<Stroke> greedy = strokes.greedy(some);
            Set<Integer> of = new HashSet<>();
            some.forEach(s -> of.addAll(s.holes().values()));
            taken.addAll(of.size() < EXACT ? strokes.new Exact(some, of, greedy).best : greedy);
        }
        return taken;
    }

    /** Parts of them that have no hole in common. */
    private Iterable<List<Stroke>> apart(List<Stroke> all) {
        DisjointSets together = new DisjointSets(holes.size());
        for (Stroke stroke : all) {
            int first = stroke.holes().firstEntry().getValue();
            stroke.holes().values().forEach(hole -> together.unite(first, hole));
        }
        Map<Integer, List<Stroke>> parts = new LinkedHashMap<>();
        for (Stroke stroke : all) {
            int part = together.leader(stroke.holes().firstEntry().getValue());
            parts.computeIfAbsent(part, p -> new ArrayList<>()).add(stroke);
        }
        return parts.values();
    }

    private static List<Long> cell(Point p, int right, int up) {
        return List.of((long) Math.floor(p.x()) + right, (long) Math.floor(p.y()) + up);
    }

    /** Every hole under every drill, with all that the others then stand over. */
    private List<Stroke> possible() {
        Map<Map<Integer, Integer>, Stroke> all = new LinkedHashMap<>();
        List<Point> sorted = holes.stream().sorted(RouterStop.BY_PLACE).toList();
        for (Point hole : sorted) {
            for (Point drill : drills.values()) {
                Point bank = hole.minus(drill);
                TreeMap<Integer, Integer> under = new TreeMap<>();
                drills.forEach((slot, place) -> at(bank.plus(place), slot, under));
                all.putIfAbsent(under, new Stroke(under));
            }
        }
        return List.copyOf(all.values());
    }

    private void at(Point place, int slot, Map<Integer, Integer> under) {
        for (int right = -1; right <= 1; right++) {
            for (int up = -1; up <= 1; up++) {
                for (int i : grid.getOrDefault(cell(place, right, up), List.of())) {
                    if (holes.get(i).distance(place) <= SAME && !under.containsValue(i)) {
                        under.putIfAbsent(slot, i);
                    }
                }
            }
        }
    }

    /**
     * Always the one that drills most of what is left; of several the first, so rows are filled.
     */
    private List<Stroke> greedy(List<Stroke> all) {
        record Worth(Stroke stroke, int number, int most) {}
        PriorityQueue<Worth> queue =
                new PriorityQueue<>(
                        Comparator.comparingInt((Worth w) -> -w.most())
                                .thenComparingInt(Worth::number));
        all.forEach(s -> queue.add(new Worth(s, queue.size(), s.size())));
        boolean[] done = new boolean[holes.size()];
        List<Stroke> taken = new ArrayList<>();
        while (!queue.isEmpty()) {
            Worth first = queue.poll();
            Stroke left = first.stroke().without(done);
            if (left.size() == first.most()) {
                taken.add(left);
                left.holes().values().forEach(hole -> done[hole] = true);
            } else if (left.size() > 0) {
                queue.add(new Worth(first.stroke(), first.number(), left.size()));
            }
        }
        return taken;
    }

    /** Branches over the strokes that drill the first hole that is left. */
    private final class Exact {

        private final List<Stroke> all;
        private final List<Integer> of;
        private List<Stroke> best;
        private int looks;

        Exact(List<Stroke> all, Set<Integer> of, List<Stroke> greedy) {
            this.all = all;
            this.of = List.copyOf(of);
            this.best = greedy;
            branch(new ArrayList<>(), new boolean[holes.size()], of.size());
        }

        private void branch(List<Stroke> taken, boolean[] done, int left) {
            if (left == 0) {
                best = List.copyOf(taken);
                return;
            }
            int bound = taken.size() + (left + drills.size() - 1) / drills.size();
            if (bound >= best.size() || looks++ > MOST_LOOKS) {
                return;
            }
            int first = of.stream().filter(hole -> !done[hole]).findFirst().orElseThrow();
            for (Stroke stroke : drilling(first, done)) {
                boolean[] then = done.clone();
                stroke.holes().values().forEach(hole -> then[hole] = true);
                taken.add(stroke);
                branch(taken, then, left - stroke.size());
                taken.remove(taken.size() - 1);
            }
        }

        private List<Stroke> drilling(int hole, boolean[] done) {
            return all.stream()
                    .filter(s -> s.holes().containsValue(hole))
                    .map(s -> s.without(done))
                    .sorted(Comparator.comparingInt(s -> -s.size()))
                    .toList();
        }
    }
}
