package dev.oleander.geometry;

import java.util.Arrays;
import java.util.List;

/** Places along one chain by their distance from its start, each in about log n steps. */
public final class Stations {

    private final List<Segment> segments;

    /** Distance at the end of each segment, mm. */
    private final double[] ends;

    public Stations(Chain chain) {
        this.segments = chain.segments();
        this.ends = new double[segments.size()];
        double sum = 0;
        for (int i = 0; i < ends.length; i++) {
            sum += segments.get(i).length();
            ends[i] = sum;
        }
    }

    /** Length of the chain, mm. */
    public double length() {
        return ends[ends.length - 1];
    }

    /** The place at a distance, mm, limited to the chain's length. */
    public Chain.Station at(double distance) {
        double within = Math.max(0, Math.min(length(), distance));
        int found = Arrays.binarySearch(ends, within);
        int index = Math.min(found < 0 ? -found - 1 : found + 1, ends.length - 1);
        double begin = index == 0 ? 0 : ends[index - 1];
        Segment segment = segments.get(index);
        return new Chain.Station(index, Math.min(1, (within - begin) / segment.length()), segment);
    }
}
