package dev.oleander.proof;

import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.motion.Item;
import dev.oleander.motion.Pose;
import dev.oleander.motion.Program;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Compares a program with the one read back from its text, item by item. */
public final class ProgramComparison {

    private static final int MOST_DIFFERENCES = 20;

    /** mm/min; feeds are written without decimals. */
    private static final double FEED_ROUNDING = 0.51;

    /** Numbers of events are written with two decimals, or with four digits when they are large. */
    private static final double ROUNDING = 0.0051;

    private static final double RELATIVE_ROUNDING = 5e-4;

    /** Degrees by which turns may differ. */
    private static final double TURN_ROUNDING = 0.001;

    /** Items that may be missing or too many at one place before they are passed over. */
    private static final int FARTHEST = 200;

    /** Places at which that is tried: two quite different programs have no end of them. */
    private static final int MOST_TRIES = 500;

    /** Items that have to be the same again after them. */
    private static final int AGREEING = 3;

    /** mm; moves that end farther apart are not the same move. */
    private static final double SAME_PLACE = 0.01;

    private final double resolution;

    /**
     * @param resolution mm; moves that are shorter may be missing from the text
     */
    public ProgramComparison(double resolution) {
        this.resolution = resolution;
    }

    /**
     * What differs.
     *
     * @param deviation greatest distance between places at equal shares of equal moves, mm
     * @param differences sentences; the first twenty
     */
    public record Result(double deviation, List<String> differences) {

        /** Whether the text does what was planned, within a limit in mm. */
        public boolean isEqual(double limit) {
            return differences.isEmpty() && deviation <= limit;
        }
    }

    public Result compare(Program planned, Program read) {
        List<Item> left = planned.items().stream().filter(this::isWritten).toList();
        List<Item> right = read.items().stream().filter(this::isWritten).toList();
        return new Pairing(left, right).result();
    }

    /** Goes through both programs side by side, and past what only one of them has. */
    private static final class Pairing {
        private final List<Item> planned;
        private final List<Item> read;
        private final List<String> differences = new ArrayList<>();
        private double deviation;
        private int i;
        private int j;
        private int tries;

        Pairing(List<Item> planned, List<Item> read) {
            this.planned = planned;
            this.read = read;
        }

        Result result() {
            if (planned.size() != read.size()) {
                told("The plan has %d items, the text %d.".formatted(planned.size(), read.size()));
            }
            while (i < planned.size() && j < read.size() && !isFull()) {
                Item a = planned.get(i);
                Item b = read.get(j);
                String difference = difference(a, b);
                boolean apart = difference != null || endsApart(a, b) > SAME_PLACE;
                if (apart && stepOver()) {
                    continue;
                }
                if (difference == null) {
                    deviation = Math.max(deviation, ProgramComparison.deviation(a, b));
                } else {
                    told("Item %d: %s".formatted(i + 1, difference));
                }
                i++;
                j++;
            }
            if (!isFull()) {
                only(planned.size() - i, read.size() - j);
            }
            return new Result(deviation, List.copyOf(differences));
        }

        /** Whether some items of one of both are followed by what the other one has here. */
        private boolean stepOver() {
            if (++tries > MOST_TRIES) {
                return false;
            }
            for (int far = 1; far <= FARTHEST; far++) {
                if (goesOn(i + far, j)) {
                    only(far, 0);
                    i += far;
                    return true;
                }
                if (goesOn(i, j + far)) {
                    only(0, far);
                    j += far;
                    return true;
                }
            }
            return false;
        }

        /** Whether the next items are the same, and in the same places. */
        private boolean goesOn(int from, int with) {
            int k = 0;
            while (k < AGREEING
                    && from + k < planned.size()
                    && with + k < read.size()
                    && isSame(planned.get(from + k), read.get(with + k))) {
                k++;
            }
            boolean both = from + k == planned.size() && with + k == read.size();
            return k == AGREEING || (k > 0 && both);
        }

        private static boolean isSame(Item a, Item b) {
            return difference(a, b) == null && endsApart(a, b) < SAME_PLACE;
        }

        private void only(int ofPlan, int ofText) {
            if (ofPlan > 0) {
                told(
                        "Item %d: %s missing from the text, beginning with %s."
                                .formatted(i + 1, count(ofPlan), kind(planned.get(i))));
            }
            if (ofText > 0) {
                told(
                        "Item %d: the text has %s more, beginning with %s."
                                .formatted(i + 1, items(ofText), kind(read.get(j))));
            }
        }

        private static String count(int items) {
            return items == 1 ? "1 item is" : items + " items are";
        }

        private static String items(int items) {
            return items == 1 ? "1 item" : items + " items";
        }

        private boolean isFull() {
            return differences.size() >= MOST_DIFFERENCES;
        }

        private void told(String difference) {
            if (!isFull()) {
                differences.add(difference);
            }
        }
    }

    /** A move whose ends are the same when written is left out of the text. */
    private boolean isWritten(Item item) {
        if (item instanceof Item.Event event) {
            return event.kind().isDone();
        }
        if (item instanceof Item.TwoPlane both) {
            // what is written of the upper guide is how far it is off the lower one
            Point before = both.upper().from().minus(both.lower().from());
            return !isSame(both.lower().from(), both.lower().to()) || !isSame(before, both.lean());
        }
        if (item instanceof Item.Plunge) {
            return rises(item);
        }
        if (item instanceof Item.Feed feed) {
            return !isSame(feed.segment().start(), feed.segment().end()) || rises(item);
        }
        return !(item instanceof Item.Rapid rapid)
                || !isSame(rapid.from(), rapid.to())
                || rises(item);
    }

    /** Whether height or turn change, as they are written. */
    private boolean rises(Item item) {
        Pose from = item.rise().from();
        Pose to = item.rise().to();
        return !isSame(new Point(from.z(), from.turn()), new Point(to.z(), to.turn()));
    }

    private boolean isSame(Point a, Point b) {
        return Math.rint(a.x() / resolution) == Math.rint(b.x() / resolution)
                && Math.rint(a.y() / resolution) == Math.rint(b.y() / resolution);
    }

    private static String difference(Item planned, Item read) {
        if (planned.getClass() != read.getClass()) {
            return "planned %s, read %s.".formatted(kind(planned), kind(read));
        }
        if (planned instanceof Item.Event a && read instanceof Item.Event b) {
            return eventDifference(a, b);
        }
        if (planned instanceof Item.AtFeed a && read instanceof Item.AtFeed b) {
            return feedDifference(a, b);
        }
        return turnDifference(planned, read);
    }

    private static String feedDifference(Item.AtFeed planned, Item.AtFeed read) {
        if (planned instanceof Item.Feed a
                && read instanceof Item.Feed b
                && a.segment().getClass() != b.segment().getClass()) {
            return "planned %s, read %s."
                    .formatted(
                            a.segment().getClass().getSimpleName(),
                            b.segment().getClass().getSimpleName());
        }
        if (planned.on() != read.on()) {
            return "process planned %s, read %s.".formatted(onOff(planned.on()), onOff(read.on()));
        }
        if (Math.abs(planned.feed() - read.feed()) > FEED_ROUNDING) {
            return "feed planned %s, read %s mm/min."
                    .formatted(Numbers.plain(planned.feed(), 2), Numbers.plain(read.feed(), 2));
        }
        return turnDifference(planned, read);
    }

    /** Degrees by which the turn may differ; it is written in steps like places. */
    private static String turnDifference(Item planned, Item read) {
        double from = planned.rise().from().turn() - read.rise().from().turn();
        double to = planned.rise().to().turn() - read.rise().to().turn();
        double off = Math.abs(from) > Math.abs(to) ? from : to;
        return Math.abs(off) <= TURN_ROUNDING
                ? null
                : "turn of the rotary axis differs by %s°.".formatted(Numbers.plain(off, 3));
    }

    private static String eventDifference(Item.Event a, Item.Event b) {
        if (a.kind() != b.kind()) {
            return "planned %s, read %s.".formatted(a.kind().word(), b.kind().word());
        }
        for (String name : a.args().keySet()) {
            double planned = a.args().get(name);
            Double read = b.args().get(name);
            double allowed = Math.max(ROUNDING, RELATIVE_ROUNDING * Math.abs(planned));
            if (read == null || !(Math.abs(read - planned) <= allowed)) {
                return "%s: %s planned %s, read %s."
                        .formatted(a.kind().word(), name, planned, read);
            }
        }
        return null;
    }

    /** mm between the ends of two moves of one kind; 0 for events. */
    private static double endsApart(Item planned, Item read) {
        double height = planned.rise().to().z() - read.rise().to().z();
        if (planned instanceof Item.Rapid a && read instanceof Item.Rapid b) {
            return Math.hypot(a.to().distance(b.to()), height);
        }
        return planned instanceof Item.AtFeed a && read instanceof Item.AtFeed b
                ? Math.hypot(a.end().distance(b.end()), height)
                : 0;
    }

    private static double deviation(Item planned, Item read) {
        double from = planned.rise().from().z() - read.rise().from().z();
        double to = planned.rise().to().z() - read.rise().to().z();
        return Math.hypot(inPlane(planned, read), Math.max(Math.abs(from), Math.abs(to)));
    }

    private static double inPlane(Item planned, Item read) {
        if (planned instanceof Item.Rapid a && read instanceof Item.Rapid b) {
            return Math.max(a.from().distance(b.from()), a.to().distance(b.to()));
        }
        if (planned instanceof Item.Feed a && read instanceof Item.Feed b) {
            Segment one = a.segment();
            Segment other = b.segment();
            double ends =
                    Math.max(one.start().distance(other.start()), one.end().distance(other.end()));
            return one instanceof Line
                    ? ends
                    : Math.max(ends, one.middle().distance(other.middle()));
        }
        if (planned instanceof Item.Plunge a && read instanceof Item.Plunge b) {
            return a.at().distance(b.at());
        }
        if (planned instanceof Item.TwoPlane a && read instanceof Item.TwoPlane b) {
            return Math.max(deviation(a.lower(), b.lower()), deviation(a.upper(), b.upper()));
        }
        return 0;
    }

    private static double deviation(Item.Way planned, Item.Way read) {
        return Math.max(planned.from().distance(read.from()), planned.to().distance(read.to()));
    }

    private static String kind(Item item) {
        return item instanceof Item.Event event
                ? event.kind().word()
                : item.getClass().getSimpleName().toLowerCase(Locale.ROOT);
    }

    private static String onOff(boolean on) {
        return on ? "on" : "off";
    }
}
