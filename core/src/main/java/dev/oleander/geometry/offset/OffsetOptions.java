package dev.oleander.geometry.offset;

/**
 * How parallel curves go round corners and ends.
 *
 * @param join what becomes of a corner on the side that opens
 * @param mitreLimit greatest distance of a mitred corner from its vertex, over the distance of the
 *     curve; sharper corners are rounded. At least 1; 2 mitres corners of 60 degrees and more
 * @param ends what becomes of the ends of an open path
 */
public record OffsetOptions(Join join, double mitreLimit, Ends ends) {

    /** Corners on the side that opens. */
    public enum Join {
        /** An arc about the vertex: every point keeps the distance. */
        ROUND,
        /** The parallel edges are continued until they meet. */
        MITRED
    }

    /** Ends of an open path. */
    public enum Ends {
        /** Half a circle about the end. */
        ROUND,
        /** Straight across the end. */
        FLAT
    }

    public OffsetOptions {
        if (!(mitreLimit >= 1)) {
            throw new IllegalArgumentException("mitre limit must be at least 1: " + mitreLimit);
        }
    }

    public static OffsetOptions defaults() {
        return new OffsetOptions(Join.ROUND, 2, Ends.ROUND);
    }

    public OffsetOptions withMitres(double limit) {
        return new OffsetOptions(Join.MITRED, limit, ends);
    }

    public OffsetOptions withEnds(Ends newEnds) {
        return new OffsetOptions(join, mitreLimit, newEnds);
    }
}
