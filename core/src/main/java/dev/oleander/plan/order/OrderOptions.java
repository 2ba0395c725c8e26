package dev.oleander.plan.order;

/**
 * How long an order is improved.
 *
 * @param kicks disturbances tried per visit; the time grows with it
 * @param seed of the disturbances; the same one gives the same order
 */
public record OrderOptions(int kicks, long seed) {

    public OrderOptions {
        if (kicks < 0) {
            throw new IllegalArgumentException("kicks must not be below 0: " + kicks);
        }
    }

    /** What takes some seconds for thousands of visits. */
    public static OrderOptions defaults() {
        return new OrderOptions(200, 1);
    }

    public OrderOptions withKicks(int value) {
        return new OrderOptions(value, seed);
    }
}
