package dev.oleander.work.router.pocket;

import dev.oleander.geometry.Region;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.geometry.overlay.Overlay;
import java.util.ArrayList;
import java.util.List;

/**
 * Ways round a pocket at equal distances from its walls: C_k = P eroded by R + a + k s (M. Held, On
 * the Computational Geometry of Pocket Machining, LNCS 500, 1991).
 *
 * @param rings what each way is round, the one along the walls first
 * @param between what all of them leave of what the tool reaches, piece by piece; nothing as long
 *     as the step is at most the radius
 */
public record Rings(List<List<Region>> rings, List<Region> between) {

    /**
     * @param allowance mm that is left at the walls
     * @param step from one to the next, mm, above 0 and at most the diameter
     */
    public static Rings of(Reach reach, double allowance, double step) {
        if (!(step > 0 && step <= 2 * reach.radius() && allowance >= 0)) {
            throw new IllegalArgumentException(
                    "rings %s mm apart, %s mm left, of a tool with a radius of %s mm"
                            .formatted(step, allowance, reach.radius()));
        }
        List<List<Region>> rings = new ArrayList<>();
        List<Region> removed = List.of();
        List<Region> ring = within(reach, allowance);
        List<Region> reached = Offsetter.round().offset(ring, reach.radius());
        for (int k = 1; !ring.isEmpty(); k++) {
            rings.add(ring);
            removed = Overlay.union(removed, swath(ring, reach.radius()));
            ring = within(reach, allowance + k * step);
        }
        return new Rings(List.copyOf(rings), Reach.pieces(reached, removed));
    }

    private static List<Region> within(Reach reach, double more) {
        return more == 0 ? reach.centres() : Offsetter.round().offset(reach.centres(), -more);
    }

    /** All that a tool removes whose centre goes round regions. */
    static List<Region> swath(List<Region> round, double radius) {
        List<Region> outer = Offsetter.round().offset(round, radius);
        List<Region> inner = Offsetter.round().offset(round, -radius);
        return Overlay.difference(outer, inner);
    }
}
