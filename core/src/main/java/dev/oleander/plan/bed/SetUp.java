package dev.oleander.plan.bed;

import java.util.ArrayList;
import java.util.List;

/**
 * One clamping of stock with copies of the work on it. Sheets that are all alike are one set-up
 * that is done several times; only the copies of the first of them have numbers.
 *
 * @param number from 1, in the order in which they are done
 * @param count how often it is done
 * @param firstCopy number of its first copy; those of later set-ups go on where the earlier end
 * @param copies on one of its sheets
 */
public record SetUp(int number, int count, int firstCopy, int copies) {

    public SetUp {
        if (number < 1 || count < 1 || firstCopy < 1 || copies < 0) {
            throw new IllegalArgumentException(
                    "set-up %d, %d times, copies %d from %d"
                            .formatted(number, count, copies, firstCopy));
        }
    }

    /** All copies that come of it. */
    public int made() {
        return count * copies;
    }

    /**
     * The set-ups for a quantity: as many full sheets as it fills, then one with the rest.
     *
     * @param wanted copies in all
     * @param placed copies on the first sheet; none: nothing fits, and there is that one set-up
     * @param numbered copies that have a number on the first sheet, of single features too
     */
    public static List<SetUp> of(int wanted, int placed, int numbered) {
        int full = placed == 0 ? 1 : Math.max(1, wanted / placed);
        int rest = placed == 0 ? 0 : Math.max(0, wanted - full * placed);
        List<SetUp> all = new ArrayList<>();
        all.add(new SetUp(1, full, 1, placed));
        if (rest > 0) {
            all.add(new SetUp(2, 1, numbered + 1, rest));
        }
        return List.copyOf(all);
    }
}
