package dev.oleander.geometry.axis;

import dev.oleander.geometry.Region;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * The middle axis of regions of lines and arcs: all centres of discs that touch the border at two
 * places or more (D. T. Lee, Medial axis transformation of a planar shape, IEEE PAMI 4, 1982).
 * Every branch is exact; no branch ends at a smooth joint. Regions must not overlap.
 */
public final class MiddleAxis {

    /** Edges from which on all processors are used. */
    private static final int MANY = 200;

    private MiddleAxis() {}

    /** All branches, each once, in the order of the border. */
    public static List<Branch> of(List<Region> regions) {
        if (regions.isEmpty()) {
            return List.of();
        }
        Border border = new Border(regions);
        IntStream edges = IntStream.range(0, border.size());
        // no edge asks another one what it has found
        return (border.size() > MANY ? edges.parallel() : edges)
                .mapToObj(edge -> seenFrom(border, edge))
                .flatMap(List::stream)
                .toList();
    }

    private static List<Branch> seenFrom(Border border, int edge) {
        List<Branch> branches = new ArrayList<>();
        add(border, 2 * edge, branches);
        if (border.turn(edge) > 0) {
            add(border, 2 * edge + 1, branches);
        }
        return branches;
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
