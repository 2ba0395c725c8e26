package dev.oleander.dialect;

import dev.oleander.dialect.Dialect.OverHalf;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.Item;
import dev.oleander.motion.Program;
import dev.oleander.motion.Rise;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What a program comes to in a dialect: arcs in pieces that one block can say, events with the
 * values that are written, and none of those for which nothing is written.
 *
 * @param itemOf for each item its position in the program it came from
 * @param deviation mm by which chords in the place of arcs leave the program
 */
record Expressible(Program program, List<Integer> itemOf, double deviation) {

    /** Degrees from which on two ends no longer say which way round an arc is. */
    private static final double NEARLY_WHOLE = 350;

    /** Degrees between which a radius does not say well enough where the centre is. */
    private static final double WELL_BELOW_HALF = 150;

    private static final double WELL_OVER_HALF = 210;

    /** Degrees; an arc that was read from a text may be longer by its rounding. */
    private static final double ROUNDED = 0.01;

    /** Steps; of shorter arcs the ends, when written, may lie the wrong way round. */
    private static final double SHORTEST = 16;

    /**
     * @throws DialectException when the dialect has no words for an event
     */
    static Expressible of(Program program, Dialect dialect) {
        return new Work(dialect).express(program);
    }

    private static final class Work {
        private final Dialect dialect;
        private final EventWords events;
        private final List<Item> items = new ArrayList<>();
        private final List<Integer> itemOf = new ArrayList<>();
        private double deviation;
        private boolean marks;

        /** Bulge up to which an arc needs no more than a block. */
        private final double inOneBlock;

        Work(Dialect dialect) {
            this.dialect = dialect;
            double most = Math.min(WELL_BELOW_HALF, dialect.arcs().largestSweep());
            this.inOneBlock = Math.tan(Math.toRadians(most) / 4);
            this.events = new EventWords(dialect);
        }

        Expressible express(Program program) {
            for (int i = 0; i < program.size(); i++) {
                Item item = program.items().get(i);
                requireSayable(item);
                if (item instanceof Item.Event event) {
                    event(event, i);
                } else if (item instanceof Item.Feed feed && feed.segment() instanceof Arc arc) {
                    arc(feed, arc, i);
                } else if (item instanceof Item.TwoPlane both) {
                    twoPlane(both, i);
                } else {
                    add(item, i);
                }
            }
            return new Expressible(new Program(items), itemOf, deviation);
        }

        private void requireSayable(Item item) {
            if (item.rise() == Rise.FLAT || item instanceof Item.Event) {
                return;
            }
            boolean table = dialect.language() == Dialect.Language.TABLE;
            if (!dialect.motion().depth() && !table) {
                throw new DialectException(
                        dialect.title() + " cannot say heights; its head is up or down.");
            }
            boolean turns = item.rise().from().turn() != 0 || item.rise().to().turn() != 0;
            if (turns && !dialect.motion().rotary() && !table) {
                throw new DialectException(
                        dialect.title() + " cannot say the turn of a rotary axis.");
            }
        }

        private void add(Item item, int from) {
            items.add(item);
            itemOf.add(from);
        }

        private void event(Item.Event happening, int from) {
            Item.Event event = asMarking(happening);
            if (!events.isWritten(event.kind())) {
                return;
            }
            if (dialect.language() == Dialect.Language.TABLE) {
                add(event, from);
                return;
            }
            Map<String, Double> written = new HashMap<>(event.args());
            written.keySet().retainAll(events.names(event.kind()));
            boolean all = written.size() == event.args().size();
            add(
                    all
                            ? event
                            : new Item.Event(event.kind(), written, event.text(), event.origin()),
                    from);
        }

        /** Marking ends with its own word where there is one. */
        private Item.Event asMarking(Item.Event event) {
            boolean ends = marks && event.kind() == EventKind.PROCESS_OFF;
            marks = event.kind() == EventKind.MARK_ON || (marks && !event.kind().isOn() && !ends);
            String word = dialect.events().get(EventKind.MARK_OFF.word());
            boolean own = ends && word != null && !word.isBlank();
            return own
                    ? new Item.Event(EventKind.MARK_OFF, event.args(), event.text(), event.origin())
                    : event;
        }

        /** Where the guides stay as far apart as before, as written, they move alike. */
        private void twoPlane(Item.TwoPlane both, int from) {
            if (!dialect.motion().twoPlanes()) {
                throw new DialectException(dialect.title() + " cannot say moves in two planes.");
            }
            Point before = both.upper().from().minus(both.lower().from());
            boolean alike = isSame(before, both.lean());
            if (!alike || dialect.language() == Dialect.Language.TABLE) {
                add(both, from);
            } else if (!isSame(both.lower().from(), both.end())) {
                Line way = new Line(both.lower().from(), both.end());
                add(new Item.Feed(way, both.feed(), both.on(), both.origin()), from);
            }
        }

        private boolean isSame(Point a, Point b) {
            NumberForm form = dialect.words().coordinate();
            return form.steps(a.x()) == form.steps(b.x()) && form.steps(a.y()) == form.steps(b.y());
        }

        private void arc(Item.Feed feed, Arc arc, int from) {
            double step = dialect.resolution();
            double largest = dialect.arcs().largestRadius();
            boolean flat = feed.rise().isLevel() || dialect.motion().helix();
            boolean near = arc.start().distance(arc.end()) < SHORTEST * step;
            if (near && arc.length() < SHORTEST * step) {
                pieces(feed, new Line(arc.start(), arc.end()), 1, from);
            } else if (!flat || (largest > 0 && arc.radius() > largest)) {
                chords(feed, arc, step / 2, from);
            } else if (Math.abs(arc.bulge()) <= inOneBlock) {
                add(feed, from);
            } else {
                pieces(feed, arc, count(Math.toDegrees(Math.abs(arc.sweep()))), from);
            }
        }

        private int count(double sweep) {
            Dialect.Arcs arcs = dialect.arcs();
            double most = Math.min(NEARLY_WHOLE, arcs.largestSweep());
            if (arcs.by() == Dialect.By.RADIUS) {
                boolean negative =
                        arcs.overHalf() == OverHalf.NEGATIVE
                                && sweep >= WELL_OVER_HALF
                                && sweep <= 2 * WELL_BELOW_HALF;
                most = negative ? most : Math.min(most, WELL_BELOW_HALF);
            }
            return Math.max(1, (int) Math.ceil((sweep - ROUNDED) / most));
        }

        private void pieces(Item.Feed feed, Segment segment, int count, int from) {
            Point at = segment.start();
            for (int k = 1; k <= count; k++) {
                Point to = k == count ? segment.end() : segment.at((double) k / count);
                Segment piece =
                        segment instanceof Arc arc && count > 1
                                ? new Arc(at, to, Math.tan(arc.sweep() / count / 4))
                                : segment;
                add(part(feed, piece, k, count), from);
                at = to;
            }
        }

        /** One of equal parts of a move, from 1. */
        private static Item.Feed part(Item.Feed of, Segment segment, int number, int count) {
            Rise rise =
                    of.rise() == Rise.FLAT
                            ? Rise.FLAT
                            : of.rise().between((number - 1.0) / count, (double) number / count);
            return new Item.Feed(segment, rise, of.feed(), of.on(), of.origin());
        }

        private void chords(Item.Feed feed, Arc arc, double tolerance, int from) {
            double radius = arc.radius();
            double widest = 2 * Math.acos(Math.max(0, 1 - tolerance / radius));
            int count = (int) Math.max(1, Math.ceil(Math.abs(arc.sweep()) / widest));
            deviation =
                    Math.max(deviation, radius * (1 - Math.cos(Math.abs(arc.sweep()) / count / 2)));
            Point at = arc.start();
            for (int k = 1; k <= count; k++) {
                Point to = k == count ? arc.end() : arc.at((double) k / count);
                add(part(feed, new Line(at, to), k, count), from);
                at = to;
            }
        }
    }
}
