package dev.oleander.work.router.pocket;

import dev.oleander.geometry.Region;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.geometry.overlay.Overlay;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Ways round a pocket at equal distances from its walls: C_k = P eroded by R + a + k s (M. Held, On
 * the Computational Geometry of Pocket Machining, LNCS 500, 1991).
 *
 * @param rings what each way is round, the one along the walls first
 * @param between what all of them leave of what the tool reaches, piece by piece; nothing as long
 *     as the step is at most the radius
 */
public record Rings(List<List<Region>> rings, List<Region> between) {

    /** Rings that are found at once; each from the one that is so many further out. */
    private static final int AT_ONCE = 2;

    /**
     * @param allowance mm that is left at the walls
     * @param step from one to the next, mm, above 0 and at most the diameter
     */
    public static Rings of(Reach reach, double allowance, double step) {
        return of(reach, allowance, step, reach.radius());
    }

    /**
     * @param fills mm from a ring within which nothing is to be left: the radius, or of a ball as
     *     much as its crests allow
     */
    public static Rings of(Reach reach, double allowance, double step, double fills) {
        if (!(step > 0 && step <= 2 * reach.radius() && allowance >= 0)) {
            throw new IllegalArgumentException(
                    "rings %s mm apart, %s mm left, of a tool with a radius of %s mm"
                            .formatted(step, allowance, reach.radius()));
        }
        List<List<Region>> rings = new ArrayList<>();
        for (int from = 0; rings.size() == from; from += AT_ONCE) {
            IntStream.range(from, from + AT_ONCE)
                    .parallel()
                    .mapToObj(
                            k ->
                                    k < AT_ONCE
                                            ? within(reach.centres(), allowance + k * step)
                                            : within(rings.get(k - AT_ONCE), AT_ONCE * step))
                    .toList()
                    .stream()
                    .takeWhile(ring -> !ring.isEmpty())
                    .forEach(rings::add);
        }
        boolean close = step <= fills;
        return new Rings(List.copyOf(rings), close ? List.of() : between(fills, rings));
    }

    private static List<Region> between(double radius, List<List<Region>> rings) {
        if (rings.isEmpty()) {
            return List.of();
        }
        List<Region> reached = Offsetter.round().offset(rings.get(0), radius);
        List<Region> removed = List.of();
        for (List<Region> ring : rings) {
            removed = Overlay.union(removed, swath(ring, radius));
        }
        return Reach.pieces(reached, removed);
    }

    private static List<Region> within(List<Region> regions, double more) {
        return more == 0 ? regions : Offsetter.round().offset(regions, -more);
    }

    /** All that a tool removes whose centre goes round regions. */
    static List<Region> swath(List<Region> round, double radius) {
        List<Region> outer = Offsetter.round().offset(round, radius);
        List<Region> inner = Offsetter.round().offset(round, -radius);
        return Overlay.difference(outer, inner);
    }
}
