package dev.oleander.work.router.plan;

import dev.oleander.work.router.carve.Stroke;
import dev.oleander.work.router.carve.TipPoint;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Puts strokes in an order in which the tip goes on from one to the next where they meet, and
 * begins where it is shallow: it comes down along its way.
 */
final class StrokeOrder {

    /** mm to which places are told apart. */
    private static final double SAME = 1e-4;

    private record Key(long x, long y) {

        static Key of(TipPoint p) {
            return new Key(Math.round(p.x() / SAME), Math.round(p.y() / SAME));
        }
    }

    private final List<Stroke> strokes;
    private final boolean[] done;
    private final Map<Key, List<Integer>> at = new HashMap<>();
    private final List<Stroke> ordered = new ArrayList<>();

    private StrokeOrder(List<Stroke> strokes) {
        this.strokes = strokes;
        this.done = new boolean[strokes.size()];
        for (int i = 0; i < strokes.size(); i++) {
            at.computeIfAbsent(Key.of(first(strokes.get(i))), k -> new ArrayList<>()).add(i);
            at.computeIfAbsent(Key.of(last(strokes.get(i))), k -> new ArrayList<>()).add(i);
        }
    }

    static List<Stroke> of(List<Stroke> strokes) {
        StrokeOrder order = new StrokeOrder(strokes);
        List<Integer> shallowFirst = new ArrayList<>();
        for (int i = 0; i < strokes.size(); i++) {
            shallowFirst.add(i);
        }
        shallowFirst.sort(Comparator.comparingDouble(i -> shallow(strokes.get(i))));
        shallowFirst.forEach(order::begin);
        return List.copyOf(order.ordered);
    }

    private static TipPoint first(Stroke stroke) {
        return stroke.points().get(0);
    }

    private static TipPoint last(Stroke stroke) {
        return stroke.points().get(stroke.points().size() - 1);
    }

    private static double shallow(Stroke stroke) {
        return Math.min(first(stroke).depth(), last(stroke).depth());
    }

    private void begin(int stroke) {
        int next = stroke;
        TipPoint from = null;
        while (next >= 0 && !done[next]) {
            done[next] = true;
            Stroke own = strokes.get(next);
            boolean turned =
                    from == null
                            ? last(own).depth() < first(own).depth()
                            : !Key.of(first(own)).equals(Key.of(from));
            Stroke there = turned ? reversed(own) : own;
            ordered.add(there);
            from = last(there);
            next = on(from);
        }
    }

    private int on(TipPoint from) {
        return at.getOrDefault(Key.of(from), List.of()).stream()
                .filter(i -> !done[i])
                .findFirst()
                .orElse(-1);
    }

    private static Stroke reversed(Stroke stroke) {
        List<TipPoint> points = new ArrayList<>(stroke.points());
        Collections.reverse(points);
        return new Stroke(points, stroke.alongWall());
    }
}
