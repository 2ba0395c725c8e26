package dev.oleander.geometry.overlay;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Regions;
import dev.oleander.geometry.flat.Arrangement;
import dev.oleander.geometry.flat.Edges;
import dev.oleander.geometry.flat.Frame;
import dev.oleander.geometry.flat.KnotException;
import dev.oleander.geometry.flat.TooFarException;
import dev.oleander.geometry.flat.Tracer;
import dev.oleander.geometry.flat.Tries;
import dev.oleander.geometry.flat.Vertices;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.function.Function;
import java.util.function.IntPredicate;

/**
 * Union, intersection, difference and symmetric difference of regions, arcs kept as arcs.
 *
 * <p>All loops of both operands are arranged together; winding numbers tell for every face in which
 * operand it lies, and the border of the chosen faces is the result. Where regions touch along a
 * stretch or overlap, nothing special happens: the stretch is one border with both sides known.
 * Edges closer than about 1e-11 of the size of the shapes count as touching, and what is narrower
 * than that is dropped. O((n + k) log n) for n edges and k crossings.
 */
public final class Overlay {

    private Overlay() {}

    /** Which faces belong to the result. */
    private interface Choice {
        boolean of(boolean inFirst, boolean inSecond);
    }

    /**
     * What lies in at least one of the regions.
     *
     * @throws OverlayException when edges pass each other so closely that they cannot be told apart
     */
    public static List<Region> union(Collection<Region> regions) {
        return run(regions, List.of(), (a, b) -> a);
    }

    /** What lies in a region of the first or of the second list, or both. */
    public static List<Region> union(Collection<Region> first, Collection<Region> second) {
        return run(first, second, (a, b) -> a || b);
    }

    /** What lies in both. */
    public static List<Region> intersection(Collection<Region> first, Collection<Region> second) {
        return run(first, second, (a, b) -> a && b);
    }

    /** What lies in the first but not in the second. */
    public static List<Region> difference(Collection<Region> first, Collection<Region> second) {
        return run(first, second, (a, b) -> a && !b);
    }

    /** What lies in exactly one of them. */
    public static List<Region> symmetricDifference(
            Collection<Region> first, Collection<Region> second) {
        return run(first, second, (a, b) -> a != b);
    }

    /**
     * What contours go round, once or several times, either way; they may cross themselves and each
     * other (the non-zero rule).
     *
     * @throws OverlayException when edges pass each other so closely that they cannot be told apart
     */
    public static List<Region> wound(Collection<Contour> contours) {
        List<Vertices> loops = contours.stream().map(Contour::vertices).toList();
        return tried(loops, loops.size(), arrangement -> c -> arrangement.winding(c, 0) != 0);
    }

    private static List<Region> run(
            Collection<Region> first, Collection<Region> second, Choice choice) {
        List<Vertices> loops = new ArrayList<>(Regions.loops(first));
        int split = loops.size();
        loops.addAll(Regions.loops(second));
        return tried(
                loops,
                split,
                arrangement ->
                        c ->
                                choice.of(
                                        arrangement.winding(c, 0) > 0,
                                        arrangement.winding(c, 1) > 0));
    }

    /** Which faces belong to the result, once they are known. */
    private interface Chosen extends Function<Arrangement, IntPredicate> {}

    private static List<Region> tried(List<Vertices> loops, int split, Chosen choice) {
        try {
            return Tries.in(Frame.around(loops, 0), f -> once(f, loops, split, choice));
        } catch (KnotException tooClose) {
            throw new OverlayException(tooClose);
        } catch (TooFarException far) {
            throw new OverlayException(far);
        }
    }

    private static List<Region> once(Frame frame, List<Vertices> loops, int split, Chosen choice) {
        Edges table = new Edges(2 * loops.stream().mapToInt(Vertices::size).sum());
        int[] layer = new int[loops.size()];
        for (int n = 0; n < loops.size(); n++) {
            int before = table.loops();
            frame.add(loops.get(n), table);
            if (table.loops() > before) {
                layer[before] = n < split ? 0 : 1;
            }
        }
        Arrangement arrangement = Arrangement.of(table, layer, frame.tolerance());
        boolean[] chosen = new boolean[arrangement.cycles()];
        IntPredicate belongs = choice.apply(arrangement);
        for (int c = 0; c < chosen.length; c++) {
            chosen[c] = belongs.test(c);
        }
        List<Vertices> found = new Tracer(arrangement, chosen, frame.tolerance()).loops();
        return Regions.of(found.stream().map(frame::back).toList());
    }
}
