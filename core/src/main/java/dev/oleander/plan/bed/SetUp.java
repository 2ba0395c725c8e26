package dev.oleander.plan.bed;

import dev.oleander.geometry.Region;
import dev.oleander.quantity.Numbers;

/**
 * One clamping of stock with copies of the work on it. Sheets that are all alike are one set-up
 * that is done several times; only the copies of the first of them have numbers.
 *
 * @param number from 1, in the order in which they are done
 * @param count how often it is done
 * @param firstCopy number of its first copy; those of later set-ups go on where the earlier end
 * @param copies on one of its sheets, as one head cuts them
 * @param heads that cut all of them at once
 * @param begun whether it goes on with sheets that another set-up has begun
 */
public record SetUp(int number, int count, int firstCopy, int copies, Heads heads, boolean begun) {

    /**
     * Heads that cut the same at once, one above the other.
     *
     * @param pitch mm from one to the next; 0 with one head
     */
    public record Heads(int count, double pitch) {

        public static final Heads ONE = new Heads(1, 0);

        /** For people: 2 heads at 480 mm. */
        public String sentence() {
            return count == 1
                    ? "1 head"
                    : "%d heads at %s mm".formatted(count, Numbers.plain(pitch, 3));
        }
    }

    /** By one head. */
    public SetUp(int number, int count, int firstCopy, int copies) {
        this(number, count, firstCopy, copies, Heads.ONE, false);
    }

    public SetUp {
        if (number < 1 || count < 1 || firstCopy < 1 || copies < 0 || heads.count() < 1) {
            throw new IllegalArgumentException(
                    "set-up %d, %d times, copies %d from %d"
                            .formatted(number, count, copies, firstCopy));
        }
    }

    /** All copies that come of it. */
    public int made() {
        return times() * copies;
    }

    /** Sheets that it begins. */
    public int sheets() {
        return begun ? 0 : count;
    }

    /** mm2 of stock that one of it uses, as one head sees the layout. */
    public double stockArea(SheetLayout layout) {
        double width = layout.outline().map(Region::box).orElse(layout.stock()).width();
        return layout.stockArea() + (heads.count() - 1) * heads.pitch() * width;
    }

    /** How many come of each of its copies. */
    public int times() {
        return count * heads.count();
    }
}
