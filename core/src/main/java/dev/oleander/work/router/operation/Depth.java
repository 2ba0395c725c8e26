package dev.oleander.work.router.operation;

import java.util.Optional;

/**
 * How deep something goes.
 *
 * @param mm below where it begins; empty: through the stock
 */
public record Depth(Optional<Double> mm) {

    public static final Depth THROUGH = new Depth(Optional.empty());

    public static Depth of(double mm) {
        return new Depth(Optional.of(mm));
    }

    public boolean isThrough() {
        return mm.isEmpty();
    }

    /**
     * mm below the top of the stock.
     *
     * @param from depth at which it begins, mm
     * @param through depth of what goes through, mm
     */
    public double below(double from, double through) {
        return mm.map(d -> from + d).orElse(through);
    }
}
