package dev.oleander.motion;

import dev.oleander.geometry.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.function.Predicate;

/**
 * Some stops of a program as a program of their own. What the stops in between had set up for them
 * is set up again where it is needed: the head is up before a travel from elsewhere, all that a
 * machine keeps as it was told ({@link ModalGroup}) is told again, the head comes down before it
 * works.
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
        private Pose pose = Pose.FLAT;
        private boolean down;
        private final ModalState state = new ModalState();

        private void take(Program whole, Predicate<String> chosen) {
            boolean downThere = false;
            ModalState there = new ModalState();
            boolean follows = true;
            for (int i = 0; i < whole.size(); i++) {
                Item item = whole.items().get(i);
                String stop = item.origin().stop();
                boolean wanted = !stop.isEmpty() && chosen.test(stop);
                if (wanted && !follows) {
                    enter(whole, i, there);
                }
                there.take(item);
                if (wanted) {
                    add(item, downThere, there, i);
                }
                follows = wanted;
                downThere = MotionItem.isDown(item, downThere);
            }
        }

        /** Sets up what the first stop after a gap finds set up in the whole program. */
        private void enter(Program whole, int first, ModalState there) {
            Origin origin = whole.items().get(first).origin();
            lift(origin);
            if (items.isEmpty()) {
                turnBack(whole, there, origin);
            }
            for (ModalGroup group : ModalGroup.values()) {
                if (group.isBeforeTravel() && !decides(whole, first, group)) {
                    setUp(group, there, origin);
                }
            }
        }

        /**
         * Nobody knows where a rotary axis stands when a program was broken off: it is turned to
         * its zero even where the whole program has not turned it yet.
         */
        private void turnBack(Program whole, ModalState there, Origin origin) {
            if (there.held(ModalGroup.INDEX).isPresent()) {
                return;
            }
            OptionalDouble seconds =
                    whole.items().stream()
                            .filter(i -> i instanceof Item.Event e && e.kind() == EventKind.INDEX)
                            .mapToDouble(i -> ((Item.Event) i).args().getOrDefault("seconds", 0.0))
                            .max();
            if (seconds.isPresent()) {
                Map<String, Double> args = Map.of("turn", 0.0, "seconds", seconds.getAsDouble());
                put(new Item.Event(EventKind.INDEX, args, origin), -1);
            }
        }

        /** Whether a stop decides about a group by itself before it works. */
        private static boolean decides(Program whole, int first, ModalGroup group) {
            for (int i = first; i < whole.size(); i++) {
                Item item = whole.items().get(i);
                if (isWork(item)) {
                    return false;
                }
                if (item instanceof Item.Event event && group.isDecidedBy(event.kind())) {
                    return true;
                }
            }
            return false;
        }

        private static boolean isWork(Item item) {
            return item instanceof Item.AtFeed
                    || (item instanceof Item.Event event && event.kind().isOn());
        }

        private void setUp(ModalGroup group, ModalState there, Origin origin) {
            if (!there.held(group).equals(state.held(group))) {
                Item.Event event = there.event(group).orElseThrow();
                put(new Item.Event(event.kind(), event.args(), event.text(), origin), -1);
            }
        }

        private void add(Item item, boolean downThere, ModalState there, int from) {
            if (isWork(item)) {
                lower(downThere, item.origin());
                for (ModalGroup group : ModalGroup.values()) {
                    if (!group.isBeforeTravel()) {
                        setUp(group, there, item.origin());
                    }
                }
            }
            if (item instanceof Item.Rapid rapid) {
                travel(rapid, from);
            } else if (item instanceof Item.Event event) {
                event(event, from);
            } else if (item instanceof Item.AtFeed feed) {
                put(feed, from);
                at = feed.end();
                pose = feed.rise().to();
            }
        }

        /**
         * From where the tool is now. What it was above in the whole program may be in its way
         * here: it goes up first, then over, then down.
         */
        private void travel(Item.Rapid rapid, int from) {
            Pose end = rapid.rise().to();
            boolean asPlanned = at.equals(rapid.from()) && pose.equals(rapid.rise().from());
            if (asPlanned) {
                way(rapid.to(), end, rapid.origin(), from);
                return;
            }
            double high = Math.max(pose.z(), Math.max(rapid.rise().from().z(), end.z()));
            way(at, new Pose(high, rapid.rise().from().turn()), rapid.origin(), -1);
            way(rapid.to(), new Pose(high, end.turn()), rapid.origin(), from);
            way(rapid.to(), end, rapid.origin(), from);
        }

        private void way(Point to, Pose end, Origin origin, int from) {
            if (to.equals(at) && end.equals(pose)) {
                return;
            }
            Rise rise =
                    pose.equals(Pose.FLAT) && end.equals(Pose.FLAT)
                            ? Rise.FLAT
                            : new Rise(pose, end);
            put(new Item.Rapid(at, to, rise, origin), from);
            at = to;
            pose = end;
        }

        /** The greatest height that it travels at, with the turn there is now. */
        private Pose highest() {
            double z =
                    items.stream()
                            .filter(Item.Rapid.class::isInstance)
                            .mapToDouble(i -> i.rise().to().z())
                            .max()
                            .orElse(0);
            return new Pose(z, pose.turn());
        }

        private void event(Item.Event event, int from) {
            boolean idle =
                    (event.kind() == EventKind.HEAD_UP && !down)
                            || (event.kind() == EventKind.HEAD_DOWN && down);
            if (!idle) {
                put(event, from);
                down = MotionItem.isDown(event, down);
            }
        }

        private void put(Item item, int from) {
            items.add(item);
            itemOf.add(from);
            state.take(item);
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
                way(at, highest(), Origin.FRAME, -1);
                way(Point.ORIGIN, pose, Origin.FRAME, -1);
            }
            put(new Item.Event(EventKind.END, Map.of(), Origin.FRAME), -1);
            return new Excerpt(new Program(items), itemOf);
        }
    }
}
