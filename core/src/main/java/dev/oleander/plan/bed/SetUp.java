package dev.oleander.plan.bed;

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
}
