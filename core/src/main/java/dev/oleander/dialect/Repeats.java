package dev.oleander.dialect;

import dev.oleander.drawing.read.FeatureKey;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Point;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.Item;
import dev.oleander.motion.Program;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Stretches of stops that are the same but for their place, so that one subprogram can say them:
 * all that a stop does once the head is where it begins.
 *
 * @param calls by the position of their first item
 * @param bodies the stretch that each subprogram is written from
 */
record Repeats(Map<Integer, Call> calls, List<Body> bodies) {

    static final Repeats NONE = new Repeats(Map.of(), List.of());

    /** Share of a step by which two of them may differ; the first is written for both. */
    private static final double TOLERANCE = 0.2;

    /** These are said where they happen. */
    private static final Set<EventKind> OWN =
            Set.of(
                    EventKind.STOP,
                    EventKind.OPTIONAL_STOP,
                    EventKind.COMMENT,
                    EventKind.DATA,
                    EventKind.END);

    /**
     * A stretch of items.
     *
     * @param from its first item
     * @param to the item after its last
     * @param start where the head is before it
     */
    record Body(int from, int to, Point start) {}

    /**
     * A stretch that a subprogram says.
     *
     * @param sub position of the subprogram
     */
    record Call(Body body, int sub) {}

    static Repeats of(Program program, Dialect dialect) {
        if (dialect.subprograms() == null) {
            return NONE;
        }
        return new Search(program, dialect).found();
    }

    private static final class Search {
        private final List<Item> items;
        private final int least;
        private final double tolerance;
        private final Map<String, List<List<Body>>> alike = new LinkedHashMap<>();

        Search(Program program, Dialect dialect) {
            this.items = program.items();
            this.least = dialect.subprograms().least();
            this.tolerance = TOLERANCE * dialect.resolution();
        }

        Repeats found() {
            int from = 0;
            while (from < items.size()) {
                String stop = items.get(from).origin().stop();
                int to = from + 1;
                while (to < items.size() && items.get(to).origin().stop().equals(stop)) {
                    to++;
                }
                if (!stop.isEmpty()) {
                    add(stop, from, to);
                }
                from = to;
            }
            return repeated();
        }

        private void add(String stop, int from, int to) {
            int begin = -1;
            for (int i = from; i < to && !(items.get(i) instanceof Item.AtFeed); i++) {
                begin = items.get(i) instanceof Item.Rapid ? i + 1 : begin;
            }
            boolean sayable = begin >= 0 && to - begin >= least;
            for (int i = Math.max(from, begin); i < to && sayable; i++) {
                boolean own = items.get(i) instanceof Item.Event e && OWN.contains(e.kind());
                sayable = !own && !(items.get(i) instanceof Item.TwoPlane);
            }
            if (!sayable) {
                return;
            }
            Body body = new Body(begin, to, ((Item.Rapid) items.get(begin - 1)).to());
            String feature = FeatureKey.parse(stop).feature();
            List<List<Body>> groups = alike.computeIfAbsent(feature, f -> new ArrayList<>());
            for (List<Body> group : groups) {
                if (isSame(group.get(0), body)) {
                    group.add(body);
                    return;
                }
            }
            groups.add(new ArrayList<>(List.of(body)));
        }

        private boolean isSame(Body a, Body b) {
            if (a.to() - a.from() != b.to() - b.from()) {
                return false;
            }
            for (int k = 0; k < a.to() - a.from(); k++) {
                Item one = items.get(a.from() + k);
                Item other = items.get(b.from() + k);
                if (!isSame(one, a.start(), other, b.start())) {
                    return false;
                }
            }
            return true;
        }

        private boolean isSame(Item one, Point oneStart, Item other, Point otherStart) {
            if (one instanceof Item.Event a && other instanceof Item.Event b) {
                return a.kind() == b.kind() && a.args().equals(b.args());
            }
            if (one instanceof Item.Rapid a && other instanceof Item.Rapid b) {
                return a.rise().equals(b.rise())
                        && isNear(a.to().minus(oneStart), b.to().minus(otherStart));
            }
            if (one instanceof Item.Feed a && other instanceof Item.Feed b) {
                boolean alike =
                        a.feed() == b.feed() && a.on() == b.on() && a.rise().equals(b.rise());
                boolean ends = isNear(a.end().minus(oneStart), b.end().minus(otherStart));
                return alike && ends && isSameForm(a, oneStart, b, otherStart);
            }
            return one instanceof Item.Plunge a
                    && other instanceof Item.Plunge b
                    && a.feed() == b.feed()
                    && a.on() == b.on()
                    && a.rise().equals(b.rise());
        }

        private boolean isSameForm(Item.Feed a, Point aStart, Item.Feed b, Point bStart) {
            if (a.segment() instanceof Arc one && b.segment() instanceof Arc other) {
                return one.isLeft() == other.isLeft()
                        && isNear(one.centre().minus(aStart), other.centre().minus(bStart));
            }
            return a.segment().getClass() == b.segment().getClass();
        }

        private boolean isNear(Point a, Point b) {
            return a.distance(b) <= tolerance;
        }

        private Repeats repeated() {
            Map<Integer, Call> calls = new HashMap<>();
            List<Body> bodies = new ArrayList<>();
            for (List<List<Body>> groups : alike.values()) {
                for (List<Body> group : groups) {
                    if (group.size() > 1) {
                        group.forEach(b -> calls.put(b.from(), new Call(b, bodies.size())));
                        bodies.add(group.get(0));
                    }
                }
            }
            return new Repeats(Map.copyOf(calls), List.copyOf(bodies));
        }
    }
}
