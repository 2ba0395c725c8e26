package dev.oleander.geometry;

import java.util.ArrayList;
import java.util.List;

/** Cuts segments at parameters. */
public final class SegmentSplitter {

    private SegmentSplitter() {}

    /**
     * The pieces of a segment between the given parameters, in order, ends shared exactly.
     *
     * @param tolerance mm; cuts closer than this to an end or to each other are passed over
     */
    public static List<Segment> split(Segment segment, List<Double> cuts, double tolerance) {
        double least = tolerance / segment.length();
        List<Double> sorted = cuts.stream().sorted().toList();
        List<Double> used = new ArrayList<>();
        used.add(0.0);
        for (double t : sorted) {
            if (t - used.get(used.size() - 1) > least && 1 - t > least) {
                used.add(t);
            }
        }
        if (used.size() == 1) {
            return List.of(segment);
        }
        used.add(1.0);
        List<Segment> pieces = new ArrayList<>(used.size() - 1);
        for (int i = 1; i < used.size(); i++) {
            pieces.add(segment.between(used.get(i - 1), used.get(i)));
        }
        return pieces;
    }
}
