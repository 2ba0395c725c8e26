package dev.oleander.motion;

import dev.oleander.geometry.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * Some stops of a program as a program of their own. What the stops in between had set up for them
 * is set up again where it is needed: the head is up before a travel from elsewhere, the data in
 * use are chosen, the head comes down before it works.
 */
public final class Excerpt {

    private final List<Item> items = new ArrayList<>();
    private Point at = Point.ORIGIN;
    private boolean down;
    private Optional<Item.Event> data = Optional.empty();

    private Excerpt() {}

    /**
     * @param chosen ids of stops
     * @param home whether the head goes back to the zero point in the end
     * @throws IllegalArgumentException when none of the stops is chosen
     */
    public static Program of(Program whole, Predicate<String> chosen, boolean home) {
        Excerpt excerpt = new Excerpt();
        excerpt.take(whole, chosen);
        if (excerpt.items.isEmpty()) {
            throw new IllegalArgumentException("no stop of the program is chosen");
        }
        return excerpt.ended(home);
    }

    private void take(Program whole, Predicate<String> chosen) {
        boolean downThere = false;
        Optional<Item.Event> dataThere = Optional.empty();
        boolean follows = true;
        for (Item item : whole.items()) {
            String stop = item.origin().stop();
            boolean wanted = !stop.isEmpty() && chosen.test(stop);
            if (item instanceof Item.Event event && event.kind() == EventKind.DATA) {
                dataThere = Optional.of(event);
            }
            if (wanted) {
                if (!follows) {
                    enter(dataThere, item);
                }
                add(item, downThere);
            }
            follows = wanted;
            downThere = MotionItem.isDown(item, downThere);
        }
    }

    /** The first item of a stop that does not follow the one it followed in the whole program. */
    private void enter(Optional<Item.Event> dataThere, Item first) {
        lift(first.origin());
        boolean chooses = first instanceof Item.Event e && e.kind() == EventKind.DATA;
        if (dataThere.isPresent() && !dataThere.equals(data) && !chooses) {
            Item.Event event = dataThere.get();
            items.add(new Item.Event(event.kind(), event.args(), event.text(), first.origin()));
            data = dataThere;
        }
    }

    private void add(Item item, boolean downThere) {
        if (item instanceof Item.Rapid rapid) {
            if (!rapid.to().equals(at)) {
                items.add(new Item.Rapid(at, rapid.to(), rapid.origin()));
                at = rapid.to();
            }
        } else if (item instanceof Item.Event event) {
            event(event, downThere);
        } else if (item instanceof Item.AtFeed feed) {
            lower(downThere, feed.origin());
            items.add(feed);
            at = feed.end();
        }
    }

    private void event(Item.Event event, boolean downThere) {
        boolean idle =
                (event.kind() == EventKind.HEAD_UP && !down)
                        || (event.kind() == EventKind.HEAD_DOWN && down);
        if (idle) {
            return;
        }
        if (event.kind().isOn()) {
            lower(downThere, event.origin());
        }
        if (event.kind() == EventKind.DATA) {
            data = Optional.of(event);
        }
        items.add(event);
        down = MotionItem.isDown(event, down);
    }

    private void lower(boolean downThere, Origin origin) {
        if (downThere && !down) {
            items.add(new Item.Event(EventKind.HEAD_DOWN, Map.of(), origin));
            down = true;
        }
    }

    private void lift(Origin origin) {
        if (down) {
            items.add(new Item.Event(EventKind.HEAD_UP, Map.of(), origin));
            down = false;
        }
    }

    private Program ended(boolean home) {
        lift(Origin.FRAME);
        if (home && !at.equals(Point.ORIGIN)) {
            items.add(new Item.Rapid(at, Point.ORIGIN, Origin.FRAME));
        }
        items.add(new Item.Event(EventKind.END, Map.of(), Origin.FRAME));
        return new Program(items);
    }

    /** Ids of the stops of a program in the order of their work. */
    public static List<String> stops(Program program) {
        return program.items().stream()
                .map(item -> item.origin().stop())
                .filter(stop -> !stop.isEmpty())
                .distinct()
                .toList();
    }
}
