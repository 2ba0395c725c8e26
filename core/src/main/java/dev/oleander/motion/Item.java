package dev.oleander.motion;

import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** One entry of a motion program. Positions are of the head's centre, mm. */
public sealed interface Item permits Item.Rapid, Item.AtFeed, Item.Event {

    Origin origin();

    /**
     * A straight travel at the rapid speed. Of machines without depth events say whether the head
     * is up.
     */
    record Rapid(Point from, Point to, Rise rise, Origin origin) implements Item {

        /** In the plane. */
        public Rapid(Point from, Point to, Origin origin) {
            this(from, to, Rise.FLAT, origin);
        }

        @Override
        public Rapid of(Origin other) {
            return new Rapid(from, to, rise, other);
        }

        /** mm; degrees when nothing but a rotary axis moves. */
        public double length() {
            double way = Math.hypot(from.distance(to), rise.z());
            return way > 0 ? way : Math.abs(rise.turn());
        }
    }

    /** Height and turn along it. */
    default Rise rise() {
        return Rise.FLAT;
    }

    /** The same, made for another stop. */
    Item of(Origin other);

    /** A move at a programmed feed. */
    sealed interface AtFeed extends Item permits Feed, TwoPlane, Plunge {

        /** Where the head, or the lower guide, is at the end. */
        Point end();

        /** What the feed is measured along, mm. */
        double length();

        /** mm/min */
        double feed();

        /** Whether the process works on the way. */
        boolean on();

        /** The way of the head or of the lower guide; empty when only the upper one moves. */
        Optional<Segment> way();
    }

    /**
     * A move along a way in the plane; the upper guide, where there is one, moves alike.
     *
     * @param rise height and turn, which change evenly along the way
     * @param feed mm/min along the way in space
     * @param on whether the process works on the way
     */
    record Feed(Segment segment, Rise rise, double feed, boolean on, Origin origin)
            implements AtFeed {

        /** In the plane. */
        public Feed(Segment segment, double feed, boolean on, Origin origin) {
            this(segment, Rise.FLAT, feed, on, origin);
        }

        @Override
        public Feed of(Origin other) {
            return new Feed(segment, rise, feed, on, other);
        }

        @Override
        public Point end() {
            return segment.end();
        }

        @Override
        public double length() {
            return rise.z() == 0 ? segment.length() : Math.hypot(segment.length(), rise.z());
        }

        @Override
        public Optional<Segment> way() {
            return Optional.of(segment);
        }
    }

    /**
     * A move at one place: down or up, or the work turns under the tool.
     *
     * @param feed mm/min; degrees/min when nothing but a rotary axis moves
     */
    record Plunge(Point at, Rise rise, double feed, boolean on, Origin origin) implements AtFeed {

        public Plunge {
            if (rise.isLevel()) {
                throw new IllegalArgumentException("nothing moves at " + at);
            }
        }

        @Override
        public Plunge of(Origin other) {
            return new Plunge(at, rise, feed, on, other);
        }

        @Override
        public Point end() {
            return at;
        }

        @Override
        public double length() {
            return rise.z() != 0 ? Math.abs(rise.z()) : Math.abs(rise.turn());
        }

        @Override
        public Optional<Segment> way() {
            return Optional.empty();
        }
    }

    /**
     * Straight ways of two guides that begin and end together: a wire that leans.
     *
     * @param lower way of the lower guide
     * @param upper way of the upper guide
     * @param feed along the longer of the two, mm/min
     */
    record TwoPlane(Way lower, Way upper, double feed, boolean on, Origin origin)
            implements AtFeed {

        public TwoPlane {
            if (lower.length() == 0 && upper.length() == 0) {
                throw new IllegalArgumentException("neither guide moves at " + lower.from());
            }
        }

        @Override
        public TwoPlane of(Origin other) {
            return new TwoPlane(lower, upper, feed, on, other);
        }

        @Override
        public Point end() {
            return lower.to();
        }

        @Override
        public double length() {
            return Math.max(lower.length(), upper.length());
        }

        @Override
        public Optional<Segment> way() {
            return lower.length() == 0
                    ? Optional.empty()
                    : Optional.of(new Line(lower.from(), lower.to()));
        }

        /** How far the upper guide is off the lower one at the end, mm. */
        public Point lean() {
            return upper.to().minus(lower.to());
        }
    }

    /** A straight way, of no length when nothing moves. */
    record Way(Point from, Point to) {

        public double length() {
            return from.distance(to);
        }
    }

    /**
     * Something that happens at a place.
     *
     * @param args numbers by name
     * @param text for people; the machine does nothing with it
     */
    record Event(EventKind kind, Map<String, Double> args, String text, Origin origin)
            implements Item {

        public Event {
            args = Collections.unmodifiableMap(new TreeMap<>(args));
        }

        public Event(EventKind kind, Map<String, Double> args, Origin origin) {
            this(kind, args, "", origin);
        }

        @Override
        public Event of(Origin other) {
            return new Event(kind, args, text, other);
        }
    }
}
