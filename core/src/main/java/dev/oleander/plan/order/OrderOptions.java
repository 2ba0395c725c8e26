package dev.oleander.plan.order;

/**
 * How long an order is improved.
 *
 * @param kicks disturbances tried; the time grows with it
 * @param seed of the disturbances; the same one gives the same order
 * @param leastGain share of its cost that an order has to gain over so many disturbances as a
 *     quarter of its visits, or no more are tried; 0 tries all
 */
public record OrderOptions(int kicks, long seed, double leastGain) {

    /**
     * On rows of equal holes the search has found nearly all after the first few thousand; among
     * places at random, where it gains ten times as much, it goes on.
     */
    private static final double LEAST_GAIN = 5e-4;

    private static final int PER_VISIT = 4;
    private static final int LEAST = 1000;

    /** Few visits have few orders. */
    private static final int PER_FEW = 40;

    private static final int MOST = 17_000;

    public OrderOptions {
        if (kicks < 0) {
            throw new IllegalArgumentException("kicks must not be below 0: " + kicks);
        }
    }

    /**
     * Enough to come within about one percent of what ten times as many find; for 5,000 visits some
     * seconds.
     */
    public static OrderOptions forVisits(int visits) {
        int least = Math.min(LEAST, PER_FEW * visits);
        return new OrderOptions(Math.max(least, Math.min(MOST, PER_VISIT * visits)), 1, LEAST_GAIN);
    }

    public OrderOptions withKicks(int value) {
        return new OrderOptions(value, seed, leastGain);
    }

    /** Tries all disturbances, however little they gain. */
    public OrderOptions patient() {
        return new OrderOptions(kicks, seed, 0);
    }
}
