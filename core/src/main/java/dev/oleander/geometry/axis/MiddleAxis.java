package dev.oleander.geometry.axis;

import dev.oleander.geometry.Region;
import java.util.ArrayList;
import java.util.List;

/**
 * The middle axis of regions of lines and arcs: all centres of discs that touch the border at two
 * places or more (D. T. Lee, Medial axis transformation of a planar shape, IEEE PAMI 4, 1982).
 * Every branch is exact; no branch ends at a smooth joint. Regions must not overlap.
 */
public final class MiddleAxis {

    private MiddleAxis() {}

    /** All branches, each once, in the order of the border. */
    public static List<Branch> of(List<Region> regions) {
        if (regions.isEmpty()) {
            return List.of();
        }
        Border border = new Border(regions);
        List<Branch> branches = new ArrayList<>();
        for (int edge = 0; edge < border.size(); edge++) {
            add(border, 2 * edge, branches);
            if (border.turn(edge) > 0) {
                add(border, 2 * edge + 1, branches);
            }
        }
        return List.copyOf(branches);
    }

    /** Each branch is seen from both sides; it is taken from the one with the lower number. */
    private static void add(Border border, int site, List<Branch> to) {
        for (Envelope.Stretch stretch : new Envelope(border, site).stretches()) {
            if (stretch.other() > site) {
                to.add(new Branch(border, stretch));
            }
        }
    }
}
