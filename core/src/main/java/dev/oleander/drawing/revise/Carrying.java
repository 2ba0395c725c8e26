package dev.oleander.drawing.revise;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.FeatureKey;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.Transform;
import dev.oleander.quantity.Typed;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.BiFunction;
import java.util.function.Function;

/**
 * Takes what was said about an old drawing over to a new one: what belongs to a feature goes to the
 * one that it became, places along its contour stay where they were though the new contour may
 * begin elsewhere or be drawn the other way round. What cannot be taken over truly makes its
 * feature stale, and so does an open line that goes the other way: what was right of it is left of
 * it.
 */
public final class Carrying {

    /** mm; an element that is the same lies no farther from where it was. */
    private static final double SAME = 0.02;

    /** An old feature, what it became, and what brings the one onto the other. */
    private record Pair(Feature before, Feature after, Transform motion) {

        /** Without turning. */
        static Pair moved(Feature before, Feature after) {
            Point shift = after.chain().box().centre().minus(before.chain().box().centre());
            return new Pair(before, after, Transform.translation(shift));
        }

        Chain was() {
            return before.chain();
        }

        Chain is() {
            return after.chain();
        }

        Point moved(Point old) {
            return motion.apply(old);
        }
    }

    private final Map<String, Pair> pairs = new HashMap<>();
    private final SortedSet<String> stale = new TreeSet<>();

    public Carrying(Reading before, Reading after, ReadingMatch.Match match) {
        stale.addAll(match.changed().values());
        pair(before, after, match.same());
        pair(before, after, match.changed());
    }

    private Carrying(Pair pair) {
        pairs.put(pair.before().id(), pair);
        stale.add(pair.after().id());
    }

    /**
     * Takes what was said about a feature over to an equal one of the same drawing.
     *
     * @param motion brings the one onto the other
     */
    public static Carrying onto(Feature from, Feature to, Transform motion) {
        return new Carrying(new Pair(from, to, motion));
    }

    private void pair(Reading before, Reading after, Map<String, String> ids) {
        Map<String, Feature> old = byId(before);
        Map<String, Feature> now = byId(after);
        ids.forEach(
                (was, is) -> {
                    pairs.put(was, Pair.moved(old.get(was), now.get(is)));
                    if (isTurned(was)) {
                        makeStale(was);
                    }
                });
    }

    private static Map<String, Feature> byId(Reading reading) {
        Map<String, Feature> byId = new HashMap<>();
        reading.features().forEach(f -> byId.put(f.id(), f));
        return byId;
    }

    /** Ids of new features of which something has to be looked at. */
    public SortedSet<String> stale() {
        return new TreeSet<>(stale);
    }

    /** Somebody has to look at what a feature became. */
    public void makeStale(String oldKey) {
        stale.add(required(oldKey).after().id());
    }

    /** Whether a feature is there and nothing of it has to be looked at, as far as is known yet. */
    public boolean isSame(String oldKey) {
        Pair pair = pairs.get(FeatureKey.parse(oldKey).feature());
        return pair != null && !stale.contains(pair.after().id());
    }

    /**
     * The new key of a feature, or of one of its stops: feature, or feature, dot and the rest; c3,
     * c3.2. Empty when the feature is gone.
     */
    public Optional<String> key(String oldKey) {
        FeatureKey key = FeatureKey.parse(oldKey);
        return Optional.ofNullable(pairs.get(key.feature()))
                .map(pair -> key.with(pair.after().id()).text());
    }

    /** Those of them that are still there, in their order. */
    public List<String> keys(Collection<String> oldKeys) {
        return oldKeys.stream().map(this::key).flatMap(Optional::stream).toList();
    }

    /** The same values by new keys; those of what is gone are left out. */
    public <V> Map<String, V> keys(Map<String, V> byOldKey) {
        return keys(byOldKey, (key, value) -> value);
    }

    /**
     * @param carried the new value by the old key and the old value
     */
    public <V> Map<String, V> keys(Map<String, V> byOldKey, BiFunction<String, V, V> carried) {
        Map<String, V> byKey = new HashMap<>();
        // in the same order on every run: what one makes stale another may ask for
        new TreeMap<>(byOldKey)
                .forEach(
                        (old, value) ->
                                key(old).ifPresent(k -> byKey.put(k, carried.apply(old, value))));
        return byKey;
    }

    /** Stretches of stops that stay together; those of one stop are none. */
    public List<List<String>> stretches(List<List<String>> old) {
        return old.stream().map(this::keys).filter(stretch -> stretch.size() > 1).toList();
    }

    /** Moves a place in the drawing with the feature that it belongs to, mm. */
    public Point place(String oldKey, Point old) {
        Pair pair = pairs.get(FeatureKey.parse(oldKey).feature());
        return isSame(oldKey) ? old : pair.moved(old);
    }

    /**
     * Distance along the new contour to where a distance along the old one was, mm.
     *
     * @throws IllegalArgumentException when the feature is gone
     */
    public double along(String oldKey, double distance) {
        Pair pair = required(oldKey);
        Point there = pair.moved(pair.was().stationAt(distance).point());
        return pair.is().distanceAt(pair.is().nearest(there));
    }

    /** The same for a place that was typed; it keeps its formula when it stays. Null stays null. */
    public Typed along(String oldKey, Typed distance) {
        if (distance == null) {
            return null;
        }
        double now = along(oldKey, distance.value());
        return Math.abs(now - distance.value()) <= SAME ? distance : Typed.of(now);
    }

    /** The same for several places; null stays null. */
    public List<Typed> along(String oldKey, List<Typed> distances) {
        return distances == null ? null : distances.stream().map(d -> along(oldKey, d)).toList();
    }

    /**
     * The index of the element of the new contour that an element of the old one became; empty when
     * none lies where it was.
     *
     * @throws IllegalArgumentException when the feature is gone
     */
    public OptionalInt element(String oldKey, int index) {
        Pair pair = required(oldKey);
        if (index >= pair.was().segments().size()) {
            return OptionalInt.empty();
        }
        Segment old = pair.was().segments().get(index);
        Chain.Station at = pair.is().nearest(pair.moved(old.middle()));
        Segment now = at.segment();
        boolean same =
                now.middle().distance(pair.moved(old.middle())) <= SAME
                        && Math.abs(now.length() - old.length()) <= 2 * SAME;
        return same ? OptionalInt.of(at.index()) : OptionalInt.empty();
    }

    /**
     * Values by index of an element; one whose element is no longer there makes the feature stale
     * and is left out.
     */
    public <V> Map<Integer, V> elements(
            String oldKey, Map<Integer, V> byElement, Function<V, V> carried) {
        Map<Integer, V> byNew = new HashMap<>();
        byElement.forEach(
                (old, value) ->
                        element(oldKey, old)
                                .ifPresentOrElse(
                                        now -> byNew.put(now, carried.apply(value)),
                                        () -> makeStale(oldKey)));
        return byNew;
    }

    /** Whether an open line goes the other way now, so that left of it is what was right. */
    public boolean isTurned(String oldKey) {
        Pair pair = required(oldKey);
        if (pair.before().isClosed()) {
            return false;
        }
        List<Double> ends = new ArrayList<>();
        for (Point end : List.of(pair.was().start(), pair.was().end())) {
            ends.add(pair.is().start().distance(pair.moved(end)));
        }
        return ends.get(1) < ends.get(0);
    }

    private Pair required(String oldKey) {
        Pair pair = pairs.get(FeatureKey.parse(oldKey).feature());
        if (pair == null) {
            throw new IllegalArgumentException(oldKey + " is gone");
        }
        return pair;
    }
}
