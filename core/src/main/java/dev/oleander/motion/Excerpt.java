package dev.oleander.motion;

import dev.oleander.geometry.Point;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;

/**
 * Some stops of a program as a program of their own. What the stops in between had set up for them
 * is set up again where it is needed: the head is up before a travel from elsewhere, the data in
 * use are chosen, the head comes down before it works.
 *
 * @param itemOf for each item its position in the whole program; -1 for what was set up again
 */
public record Excerpt(Program program, List<Integer> itemOf) {

    public Excerpt {
        itemOf = List.copyOf(itemOf);
    }

    /**
     * @param chosen ids of stops
     * @param home whether the head goes back to the zero point in the end
     * @throws IllegalArgumentException when none of the stops is chosen
     */
    public static Excerpt of(Program whole, Predicate<String> chosen, boolean home) {
        Work excerpt = new Work();
        excerpt.take(whole, chosen);
        if (excerpt.items.isEmpty()) {
            throw new IllegalArgumentException("no stop of the program is chosen");
        }
        return excerpt.ended(home);
    }

    /** Ids of the stops of a program in the order of their work. */
    public static List<String> stops(Program program) {
        return program.items().stream()
                .map(item -> item.origin().stop())
                .filter(stop -> !stop.isEmpty())
                .distinct()
                .toList();
    }

    /** Takes items over one by one. */
    private static final class Work {
        private final List<Item> items = new ArrayList<>();
        private final List<Integer> itemOf = new ArrayList<>();
        private Point at = Point.ORIGIN;
        private boolean down;
        private final Map<EventKind, Item.Event> data = new EnumMap<>(EventKind.class);

        private void take(Program whole, Predicate<String> chosen) {
            boolean downThere = false;
            Map<EventKind, Item.Event> dataThere = new EnumMap<>(EventKind.class);
            boolean follows = true;
            for (int i = 0; i < whole.size(); i++) {
                Item item = whole.items().get(i);
                String stop = item.origin().stop();
                boolean wanted = !stop.isEmpty() && chosen.test(stop);
                if (item instanceof Item.Event event && stays(event)) {
                    dataThere.put(event.kind(), event);
                }
                if (wanted) {
                    if (!follows) {
                        enter(dataThere, item);
                    }
                    add(item, downThere, i);
                }
                follows = wanted;
                downThere = MotionItem.isDown(item, downThere);
            }
        }

        /**
         * The first item of a stop that does not follow the one it followed in the whole program.
         */
        private void enter(Map<EventKind, Item.Event> dataThere, Item first) {
            lift(first.origin());
            for (Item.Event event : dataThere.values()) {
                boolean chooses = first instanceof Item.Event e && e.kind() == event.kind();
                if (!event.equals(data.get(event.kind())) && !chooses) {
                    put(
                            new Item.Event(
                                    event.kind(), event.args(), event.text(), first.origin()),
                            -1);
                    data.put(event.kind(), event);
                }
            }
        }

        /** Whether what is chosen holds until something else is. */
        private static boolean stays(Item.Event event) {
            return event.kind() == EventKind.DATA || event.kind() == EventKind.CONDITION;
        }

        private void add(Item item, boolean downThere, int from) {
            if (item instanceof Item.Rapid rapid) {
                if (!rapid.to().equals(at)) {
                    put(new Item.Rapid(at, rapid.to(), rapid.origin()), from);
                    at = rapid.to();
                }
            } else if (item instanceof Item.Event event) {
                event(event, downThere, from);
            } else if (item instanceof Item.AtFeed feed) {
                lower(downThere, feed.origin());
                put(feed, from);
                at = feed.end();
            }
        }

        private void event(Item.Event event, boolean downThere, int from) {
            boolean idle =
                    (event.kind() == EventKind.HEAD_UP && !down)
                            || (event.kind() == EventKind.HEAD_DOWN && down);
            if (idle) {
                return;
            }
            if (event.kind().isOn()) {
                lower(downThere, event.origin());
            }
            if (stays(event)) {
                data.put(event.kind(), event);
            }
            put(event, from);
            down = MotionItem.isDown(event, down);
        }

        private void put(Item item, int from) {
            items.add(item);
            itemOf.add(from);
        }

        private void lower(boolean downThere, Origin origin) {
            if (downThere && !down) {
                put(new Item.Event(EventKind.HEAD_DOWN, Map.of(), origin), -1);
                down = true;
            }
        }

        private void lift(Origin origin) {
            if (down) {
                put(new Item.Event(EventKind.HEAD_UP, Map.of(), origin), -1);
                down = false;
            }
        }

        private Excerpt ended(boolean home) {
            lift(Origin.FRAME);
            if (home && !at.equals(Point.ORIGIN)) {
                put(new Item.Rapid(at, Point.ORIGIN, Origin.FRAME), -1);
            }
            put(new Item.Event(EventKind.END, Map.of(), Origin.FRAME), -1);
            return new Excerpt(new Program(items), itemOf);
        }
    }
}
