package dev.oleander.geometry;

import dev.oleander.geometry.flat.BoxTree;
import dev.oleander.geometry.flat.Vertices;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;

/** Sorts simple loops into regions. */
public final class Regions {

    private Regions() {}

    /** The loops of regions, material to their left: outer contours anticlockwise, openings not. */
    public static List<Vertices> loops(Collection<Region> regions) {
        List<Vertices> loops = new ArrayList<>();
        for (Region region : regions) {
            loops.add(region.outer().turning(true).vertices());
            region.openings().forEach(o -> loops.add(o.turning(false).vertices()));
        }
        return loops;
    }

    /**
     * Regions of loops that do not cross: anticlockwise ones are outer contours, clockwise ones
     * openings of the smallest outer contour round them.
     *
     * @return the largest outer contour first
     */
    public static List<Region> of(List<Vertices> loops) {
        if (loops.size() == 1) {
            return List.of(new Region(Contour.of(loops.get(0)), List.of()));
        }
        List<Contour> outers = new ArrayList<>();
        List<Contour> openings = new ArrayList<>();
        for (Vertices loop : loops) {
            Contour contour = Contour.of(loop);
            (contour.isAnticlockwise() ? outers : openings).add(contour);
        }
        outers.sort(Comparator.comparingDouble(Contour::area).reversed());
        if (openings.isEmpty()) {
            return outers.stream().map(o -> new Region(o, List.of())).toList();
        }
        List<List<Contour>> inside = new ArrayList<>();
        outers.forEach(o -> inside.add(new ArrayList<>()));
        BoxTree tree = tree(outers);
        for (Contour opening : openings) {
            int owner = owner(opening, outers, tree);
            if (owner >= 0) {
                inside.get(owner).add(opening);
            }
        }
        List<Region> regions = new ArrayList<>(outers.size());
        for (int i = 0; i < outers.size(); i++) {
            regions.add(new Region(outers.get(i), inside.get(i)));
        }
        return regions;
    }

    private static BoxTree tree(List<Contour> outers) {
        double[] boxes = new double[BoxTree.room(outers.size())];
        for (int i = 0; i < outers.size(); i++) {
            outers.get(i).box().writeTo(boxes, 4 * i);
        }
        return BoxTree.of(boxes, outers.size());
    }

    /** Outers come by falling area, so the last one round the opening is the smallest. */
    private static int owner(Contour opening, List<Contour> outers, BoxTree tree) {
        if (outers.size() == 1) {
            return 0;
        }
        Segment longest = opening.longestSegment();
        Box box = longest.box();
        int[] last = {-1};
        tree.touching(
                box.min().x(),
                box.min().y(),
                box.max().x(),
                box.max().y(),
                i -> {
                    if (i > last[0] && isWithin(longest, outers.get(i))) {
                        last[0] = i;
                    }
                    return true;
                });
        return last[0];
    }

    /** An opening may touch its outer contour, so that one place alone does not tell. */
    private static boolean isWithin(Segment segment, Contour outer) {
        int inside = 0;
        for (double t : new double[] {0.31, 0.5, 0.77}) {
            inside += outer.contains(segment.at(t)) ? 1 : 0;
        }
        return inside >= 2;
    }
}
