package dev.oleander.work.router.material;

import dev.oleander.geometry.Region;
import dev.oleander.geometry.Transform;
import java.util.List;

/**
 * What the drawing asks an operation to take away, whatever its tool and its settings do.
 *
 * @param regions seen from above
 * @param depth to which, mm below the top of the stock
 * @param kept what is to stand within it below a height: tabs
 */
public record Wanted(List<Region> regions, double depth, List<Kept> kept) {

    public static final Wanted NOTHING = new Wanted(List.of(), 0, List.of());

    /**
     * A tab.
     *
     * @param around where not all is asked for: the tab and the slopes beside it
     * @param core what must stand
     * @param below mm below the top of the stock
     */
    public record Kept(Region around, Region core, double below) {}

    public Wanted {
        regions = List.copyOf(regions);
        kept = List.copyOf(kept);
    }

    public static Wanted of(List<Region> regions, double depth) {
        return new Wanted(regions, depth, List.of());
    }

    /** Carried to another place. */
    public Wanted transformed(Transform to) {
        return new Wanted(
                regions.stream().map(r -> r.transformed(to)).toList(),
                depth,
                kept.stream()
                        .map(
                                k ->
                                        new Kept(
                                                k.around().transformed(to),
                                                k.core().transformed(to),
                                                k.below()))
                        .toList());
    }
}
