package dev.oleander.nesting;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Region;
import java.util.Optional;

/**
 * Sheets of one kind that there are, or one remnant.
 *
 * @param region outline and holes, mm
 * @param count how many there are; empty: as many as are needed
 * @param price of one
 * @param grain direction of rolling, degrees; empty: it does not matter
 */
public record SheetStock(
        String id,
        Region region,
        Optional<Integer> count,
        double price,
        Optional<Double> grain,
        boolean remnant) {

    /** mm within which an outline is a rectangle. */
    private static final double STRAIGHT = 1e-9;

    public SheetStock {
        if (count.isPresent() && count.get() < 0 || !(price >= 0)) {
            throw new NestException(
                    "Sheet %s: %s of them at a price of %s; neither may be less than 0."
                            .formatted(id, count.orElse(0), price));
        }
    }

    public double grainOrNone() {
        return grain.orElse(0.0);
    }

    /**
     * Whether it is a rectangle along the axes, without holes: what is left of it is worth most.
     */
    public boolean isPlain() {
        Box box = region.box();
        return region.openings().isEmpty()
                && region.outer().vertices().size() == 4
                && Math.abs(region.area() - box.width() * box.height())
                        <= STRAIGHT * (box.width() + box.height());
    }
}
