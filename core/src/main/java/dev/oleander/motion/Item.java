package dev.oleander.motion;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import java.util.Collections;
import java.util.Map;
import java.util.TreeMap;

/** One entry of a motion program. Positions are of the head's centre, mm. */
public sealed interface Item permits Item.Rapid, Item.Feed, Item.Event {

    Origin origin();

    /** A straight travel at the rapid speed; events say whether the head is up. */
    record Rapid(Point from, Point to, Origin origin) implements Item {}

    /**
     * A move at a programmed feed.
     *
     * @param feed mm/min
     * @param on whether the process works on the way
     */
    record Feed(Segment segment, double feed, boolean on, Origin origin) implements Item {}

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
    }
}
