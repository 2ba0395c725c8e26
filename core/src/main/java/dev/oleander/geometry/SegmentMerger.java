package dev.oleander.geometry;

import dev.oleander.geometry.flat.ChainWriter;
import dev.oleander.geometry.flat.Vertices;

/** Puts neighbouring segments that continue one line or one circle back into one. */
public final class SegmentMerger {

    private final double tolerance;

    /**
     * @param tolerance mm; how far the merged segment may pass from the joint; segments shorter
     *     than this are passed over
     */
    public SegmentMerger(double tolerance) {
        this.tolerance = tolerance;
    }

    /** The same contour with as few segments as possible; a circle keeps two arcs. */
    public Contour merge(Contour contour) {
        Vertices merged = written(contour.vertices()).close();
        // what is narrower than the tolerance stays as it is
        return merged == null ? contour : Contour.of(merged);
    }

    /** The same chain with as few segments as possible. */
    public Path merge(Path path) {
        Vertices merged = written(path.vertices()).open();
        return merged == null ? path : Path.of(merged);
    }

    private ChainWriter written(Vertices chain) {
        ChainWriter writer = new ChainWriter(tolerance);
        for (int i = 0; i < chain.edges(); i++) {
            int j = chain.endOf(i);
            writer.add(chain.x(i), chain.y(i), chain.x(j), chain.y(j), chain.bulge(i));
        }
        return writer;
    }
}
