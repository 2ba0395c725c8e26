package dev.oleander.motion;

import com.fasterxml.jackson.annotation.JsonInclude;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import java.util.AbstractList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * One item of a motion program as it stands in JSON; what does not apply to a type is left out.
 *
 * @param i position in the program, from 0
 * @param type rapid, line, arc, sync (two planes), plunge (at one place), dwell or event
 * @param to where the head, or the lower guide, is at the end, mm
 * @param z height at the end, mm; left out on machines without depth
 * @param turn of the rotary axis at the end, degrees; likewise
 * @param upper where the upper guide is at the end, mm
 * @param centre of an arc, mm
 * @param ccw whether an arc goes anticlockwise
 * @param bulge of an arc: the tangent of a quarter of its sweep, above 0 anticlockwise
 * @param feed mm/min
 * @param on whether the process works on the way
 * @param head up or down
 * @param event word of its kind
 * @param text for people
 * @param t machine time at its end, s
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record MotionItem(
        int i,
        String type,
        double[] to,
        Double z,
        Double turn,
        double[] upper,
        double[] centre,
        Boolean ccw,
        Double bulge,
        Double feed,
        Boolean on,
        String head,
        String event,
        Map<String, Double> args,
        String text,
        String stop,
        Integer pass,
        Integer segment,
        Double t) {

    private static final Map<String, EventKind> KINDS = new HashMap<>();

    static {
        for (EventKind kind : EventKind.values()) {
            KINDS.put(kind.word(), kind);
        }
    }

    /**
     * @param down whether the head is down at its end
     * @param t null when nothing was timed
     */
    static MotionItem of(int i, Item item, boolean down, Double t) {
        Origin origin = item.origin();
        String head = down ? "down" : "up";
        String stop = origin.stop().isEmpty() ? null : origin.stop();
        Integer pass = origin.pass() == 0 ? null : origin.pass();
        Integer segment = origin.segment() < 0 ? null : origin.segment();
        if (item instanceof Item.Event event) {
            String type = event.kind() == EventKind.DWELL ? "dwell" : "event";
            String word = event.kind().word();
            String text = event.text().isEmpty() ? null : event.text();
            return new MotionItem(
                    i,
                    type,
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    head,
                    word,
                    event.args(),
                    text,
                    stop,
                    pass,
                    segment,
                    t);
        }
        boolean depth = !item.rise().equals(Rise.FLAT);
        Arc arc = item instanceof Item.Feed f && f.segment() instanceof Arc a ? a : null;
        Item.AtFeed feed = item instanceof Item.AtFeed f ? f : null;
        return new MotionItem(
                i,
                type(item),
                place(item instanceof Item.Rapid rapid ? rapid.to() : feed.end()),
                depth ? item.rise().to().z() : null,
                depth ? item.rise().to().turn() : null,
                item instanceof Item.TwoPlane both ? place(both.upper().to()) : null,
                arc == null ? null : place(arc.centre()),
                arc == null ? null : arc.isLeft(),
                arc == null ? null : arc.bulge(),
                feed == null ? null : feed.feed(),
                feed != null && feed.on(),
                head,
                null,
                null,
                null,
                stop,
                pass,
                segment,
                t);
    }

    private static String type(Item item) {
        if (item instanceof Item.Rapid) {
            return "rapid";
        }
        if (item instanceof Item.TwoPlane) {
            return "sync";
        }
        if (item instanceof Item.Plunge) {
            return "plunge";
        }
        return ((Item.Feed) item).segment() instanceof Arc ? "arc" : "line";
    }

    private static double[] place(Point p) {
        return new double[] {p.x(), p.y()};
    }

    /**
     * The item again.
     *
     * @param at where the one before ends
     * @param lean how far the upper guide is off the lower one there
     * @param pose height and turn there
     * @throws IllegalArgumentException when it is of no known type
     */
    Item item(Point at, Point lean, Pose pose) {
        Origin origin =
                stop == null
                        ? Origin.FRAME
                        : new Origin(stop, pass == null ? 0 : pass, segment == null ? -1 : segment);
        return switch (type) {
            case "rapid" -> new Item.Rapid(at, end(), rise(pose), origin);
            case "line" -> feed(new Line(at, end()), pose, origin);
            case "arc" -> feed(new Arc(at, end(), bulge), pose, origin);
            case "plunge" -> new Item.Plunge(at, rise(pose), feed, on, origin);
            case "sync" ->
                    new Item.TwoPlane(
                            new Item.Way(at, end()),
                            new Item.Way(at.plus(lean), new Point(upper[0], upper[1])),
                            feed,
                            on,
                            origin);
            case "dwell", "event" -> new Item.Event(kind(), args, text == null ? "" : text, origin);
            default -> throw new IllegalArgumentException("an item of the type " + type);
        };
    }

    private EventKind kind() {
        EventKind kind = KINDS.get(event);
        if (kind == null) {
            throw new IllegalArgumentException("an event of the kind " + event);
        }
        return kind;
    }

    private Item.Feed feed(Segment way, Pose pose, Origin origin) {
        return new Item.Feed(way, rise(pose), feed, on, origin);
    }

    private Rise rise(Pose before) {
        Pose after = z == null ? Pose.FLAT : new Pose(z, turn == null ? 0 : turn);
        return before.equals(Pose.FLAT) && after.equals(Pose.FLAT)
                ? Rise.FLAT
                : new Rise(before, after);
    }

    private Point end() {
        return new Point(to[0], to[1]);
    }

    /**
     * All items of a program, each made when it is asked for: a text of some kilobytes can be a
     * program of millions.
     *
     * @param ends times of their ends, or null
     */
    public static List<MotionItem> all(Program program, double[] ends) {
        List<Item> items = program.items();
        BitSet downs = new BitSet(items.size());
        boolean down = false;
        for (int i = 0; i < items.size(); i++) {
            down = isDown(items.get(i), down);
            downs.set(i, down);
        }
        return new AbstractList<>() {
            @Override
            public MotionItem get(int i) {
                return of(i, items.get(i), downs.get(i), ends == null ? null : ends[i]);
            }

            @Override
            public int size() {
                return items.size();
            }
        };
    }

    static boolean isDown(Item item, boolean before) {
        if (item instanceof Item.Event event) {
            return event.kind().isDownAfter(before);
        }
        return before;
    }
}
