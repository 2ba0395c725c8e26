package dev.oleander.dialect;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.Item;
import dev.oleander.motion.Origin;
import dev.oleander.motion.Program;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Small programs that a format has to write and read back before it can be used. */
public final class SamplePrograms {

    /** Values of header and footer, whatever they are for. */
    public static final Map<String, String> FRAME =
            Map.ofEntries(
                    Map.entry("id", "1"),
                    Map.entry("number", "0001"),
                    Map.entry("job", "Sample"),
                    Map.entry("revision", "A"),
                    Map.entry("date", "2026-01-02"),
                    Map.entry("quantity", "1"),
                    Map.entry("material", "mild steel"),
                    Map.entry("thickness", "6"),
                    Map.entry("stockWidth", "1500"),
                    Map.entry("stockHeight", "1000"),
                    Map.entry("data", "mild steel 6 mm"),
                    Map.entry("part", "1"),
                    Map.entry("parts", "1"),
                    Map.entry("run", "1"),
                    Map.entry("runs", "1"),
                    Map.entry("times", "1"),
                    Map.entry("heads", "1 head"));

    private SamplePrograms() {}

    /** Programs by what they show, as far as the format has words for it. */
    public static Map<String, Program> of(Dialect dialect) {
        Map<String, Program> samples = new LinkedHashMap<>();
        samples.put("a plate with a hole", plate());
        samples.put("arcs of all sizes", arcs());
        samples.put("all events", events(dialect));
        samples.put("holes that repeat", repeated());
        if (dialect.motion().twoPlanes()) {
            samples.put("moves in two planes", twoPlanes());
        }
        return samples;
    }

    private static Program plate() {
        Builder b = new Builder();
        b.event(EventKind.DATA, Map.of("row", 1.0, "power", 3400.0, "pressure", 12.0));
        b.rapid(30, 25);
        b.event(EventKind.HEAD_DOWN, Map.of());
        b.event(EventKind.PIERCE, Map.of("kind", 1.0, "seconds", 0.6, "height", 4.0));
        b.line(35, 25).arc(25, 25, 1).arc(35, 25, 1);
        b.event(EventKind.PROCESS_OFF, Map.of());
        b.event(EventKind.HEAD_UP, Map.of());
        b.rapid(-2, 10);
        b.event(EventKind.HEAD_DOWN, Map.of());
        b.event(EventKind.PIERCE, Map.of("kind", 1.0, "seconds", 0.6, "height", 4.0));
        b.line(0, 10).line(0, 50).line(60, 50).line(60, 0).line(0, 0).line(0, 10);
        b.event(EventKind.PROCESS_OFF, Map.of());
        b.event(EventKind.HEAD_UP, Map.of());
        return b.program();
    }

    private static Program arcs() {
        Builder b = new Builder();
        b.rapid(500, 500);
        b.event(EventKind.PIERCE, Map.of("kind", 2.0, "seconds", 0.1, "height", 4.0));
        double quarter = Math.tan(Math.PI / 8);
        b.arc(510, 510, quarter).arc(520, 500, -quarter).arc(520.003, 500.002, 0.5);
        b.arc(540, 500, 1).arc(520, 500, -1.9).arc(520.4, 500.7, 2.5).arc(900, 700, 0.004);
        b.arc(899.5, 700, -0.9).line(899.5, 700.0001).line(123.4567, 7.0005);
        b.event(EventKind.PROCESS_OFF, Map.of());
        return b.program();
    }

    /** Four equal holes, each a stop of its own. */
    private static Program repeated() {
        List<Item> items = new ArrayList<>();
        Point at = Point.ORIGIN;
        for (int k = 0; k < 4; k++) {
            Point start = new Point(20 + 33.333 * k, 15 + 7.7 * k);
            Origin origin = new Origin("h." + (k + 1), 1, 0);
            items.add(new Item.Rapid(at, start, origin));
            items.add(new Item.Event(EventKind.HEAD_DOWN, Map.of(), origin));
            items.add(
                    new Item.Event(
                            EventKind.PIERCE,
                            Map.of("kind", 1.0, "seconds", 0.4, "height", 4.0),
                            origin));
            Point edge = start.plus(new Point(4, 0));
            Point across = start.plus(new Point(-4, 0));
            items.add(new Item.Feed(new Line(start, edge), 900, true, origin));
            items.add(new Item.Feed(new Arc(edge, across, 1), 900, true, origin));
            items.add(new Item.Feed(new Arc(across, edge, 1), 900, true, origin));
            items.add(new Item.Event(EventKind.PROCESS_OFF, Map.of(), origin));
            items.add(new Item.Event(EventKind.HEAD_UP, Map.of(), origin));
            at = edge;
        }
        items.add(new Item.Event(EventKind.END, Map.of(), Origin.FRAME));
        return new Program(items);
    }

    private static Program events(Dialect dialect) {
        Builder b = new Builder();
        Map<String, Double> args =
                Map.ofEntries(
                        Map.entry("row", 2.0),
                        Map.entry("power", 3000.0),
                        Map.entry("pressure", 14.0),
                        Map.entry("seconds", 1.5),
                        Map.entry("kind", 1.0),
                        Map.entry("height", 5.0),
                        Map.entry("register", 3.0),
                        Map.entry("gas", 2.0),
                        Map.entry("tool", 4.0),
                        Map.entry("speed", 18000.0),
                        Map.entry("drills", 5.0),
                        Map.entry("condition", 7.0),
                        Map.entry("tries", 3.0),
                        Map.entry("corner", 2.0),
                        Map.entry("plane", 12.5),
                        Map.entry("turn", 45.0),
                        Map.entry("angle", 1.5));
        for (EventKind kind : EventKind.values()) {
            boolean said = dialect.events().containsKey(kind.word());
            if (said && kind != EventKind.END) {
                b.items.add(new Item.Event(kind, args, "look at it", Origin.FRAME));
                b.rapid(10 + b.items.size(), 20);
            }
        }
        return b.program();
    }

    private static Program twoPlanes() {
        Builder b = new Builder();
        b.event(EventKind.PIERCE, Map.of("kind", 2.0, "seconds", 0.1, "height", 4.0));
        b.both(10, 0, 10.5, 0.2).both(10, 10, 10, 10.4).line(0, 10).both(0, 10, 0, 10);
        b.event(EventKind.PROCESS_OFF, Map.of());
        return b.program();
    }

    /** Puts items one after the other. */
    private static final class Builder {
        private static final double FEED = 1200;
        private final List<Item> items = new ArrayList<>();
        private Point at = Point.ORIGIN;
        private Point lean = Point.ORIGIN;
        private boolean on;

        void event(EventKind kind, Map<String, Double> args) {
            items.add(new Item.Event(kind, args, Origin.FRAME));
            on = kind.isOn() || (on && !kind.isOff());
        }

        void rapid(double x, double y) {
            items.add(new Item.Rapid(at, new Point(x, y), Origin.FRAME));
            at = new Point(x, y);
        }

        Builder line(double x, double y) {
            items.add(new Item.Feed(new Line(at, new Point(x, y)), FEED, on, Origin.FRAME));
            at = new Point(x, y);
            return this;
        }

        Builder arc(double x, double y, double bulge) {
            Point to = new Point(x, y);
            items.add(new Item.Feed(new Arc(at, to, bulge), FEED, on, Origin.FRAME));
            at = to;
            return this;
        }

        Builder both(double x, double y, double upperX, double upperY) {
            Point to = new Point(x, y);
            Point upper = new Point(upperX, upperY);
            if (!to.equals(at) || !upper.equals(at.plus(lean))) {
                Item.Way above = new Item.Way(at.plus(lean), upper);
                items.add(new Item.TwoPlane(new Item.Way(at, to), above, FEED, on, Origin.FRAME));
                at = to;
                lean = upper.minus(to);
            }
            return this;
        }

        Program program() {
            items.add(new Item.Event(EventKind.END, Map.of(), Origin.FRAME));
            return new Program(items);
        }
    }
}
