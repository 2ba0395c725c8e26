package dev.oleander.geometry;

import dev.oleander.geometry.flat.BoxTree;
import java.util.List;

/**
 * Finds the place of one chain nearest to a point: segment by segment while few ask, then by a tree
 * of their boxes, in about log n steps.
 */
final class NearestFinder {

    /** Chains of fewer segments are gone through. */
    private static final int MANY = 48;

    /** Questions after which a tree has paid for itself. */
    private static final int OFTEN = 3;

    private final Chain chain;

    /** Counts and tree are only made, never changed: a race makes the tree twice. */
    private int asked;

    private volatile BoxTree tree;

    NearestFinder(Chain chain) {
        this.chain = chain;
    }

    Chain.Station nearest(Point p) {
        List<Segment> segments = chain.segments();
        if (segments.size() < MANY || (tree == null && ++asked <= OFTEN)) {
            return oneByOne(segments, p);
        }
        int nearest =
                tree(segments)
                        .nearest(
                                p.x(),
                                p.y(),
                                Double.POSITIVE_INFINITY,
                                i -> {
                                    Segment s = segments.get(i);
                                    return s.at(s.nearest(p)).distance(p);
                                });
        Segment segment = segments.get(nearest);
        return new Chain.Station(nearest, segment.nearest(p), segment);
    }

    private BoxTree tree(List<Segment> segments) {
        if (tree == null) {
            double[] boxes = new double[BoxTree.room(segments.size())];
            for (int i = 0; i < segments.size(); i++) {
                segments.get(i).box().writeTo(boxes, 4 * i);
            }
            tree = BoxTree.of(boxes, segments.size());
        }
        return tree;
    }

    private static Chain.Station oneByOne(List<Segment> segments, Point p) {
        Chain.Station best = null;
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < segments.size(); i++) {
            double t = segments.get(i).nearest(p);
            double distance = segments.get(i).at(t).distance(p);
            if (distance < least) {
                least = distance;
                best = new Chain.Station(i, t, segments.get(i));
            }
        }
        return best;
    }
}
