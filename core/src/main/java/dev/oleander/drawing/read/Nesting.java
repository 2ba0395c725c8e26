package dev.oleander.drawing.read;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.SegmentIndex;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/** Which contour lies in which. Contours may touch but not cross. */
final class Nesting {

    /** Places along a segment, as shares of it, that are tried in turn. */
    private static final double[] TRIED = {0.5, 0, 0.25};

    /** Keeps a half circle from missing its own ends by rounding. */
    private static final double ROUNDING = 1 + 1e-9;

    private final List<Contour> contours;
    private final int[] parent;
    private final int[] depth;
    private final List<Box> boxes;
    private final double touch;
    private final SegmentIndex<Box> index;

    /**
     * @param touch mm; places nearer than this to the other contour do not tell inside from outside
     */
    Nesting(List<Contour> contours, double touch) {
        this.contours = contours;
        this.touch = touch;
        this.boxes = contours.stream().map(Contour::box).toList();
        this.parent = new int[contours.size()];
        this.depth = new int[contours.size()];
        double[] areas = contours.stream().mapToDouble(Contour::area).toArray();
        List<Integer> largestFirst =
                IntStream.range(0, contours.size())
                        .boxed()
                        .sorted(Comparator.comparingDouble((Integer i) -> areas[i]).reversed())
                        .toList();
        this.index = SegmentIndex.ofBoxes(boxes);
        int[] rank = new int[contours.size()];
        for (int k = 0; k < rank.length; k++) {
            rank[largestFirst.get(k)] = k;
        }
        for (int i : largestFirst) {
            parent[i] = innermostRound(i, rank);
            depth[i] = parent[i] < 0 ? 0 : depth[parent[i]] + 1;
        }
    }

    /** Index of the innermost contour round contour i, or -1. */
    int parent(int i) {
        return parent[i];
    }

    int depth(int i) {
        return depth[i];
    }

    /** Index of the innermost contour round a point, or -1. */
    int around(Point p) {
        int best = -1;
        for (int i : index.positions(new Box(p, p))) {
            boolean deeper = best < 0 || depth[i] > depth[best];
            if (deeper && contours.get(i).contains(p)) {
                best = i;
            }
        }
        return best;
    }

    /** Of the contours round it the smallest; only larger ones can be. */
    private int innermostRound(int i, int[] rank) {
        int below = rank[i];
        int candidate = smallestRound(i, rank, below);
        while (candidate >= 0 && !isInside(i, candidate)) {
            below = rank[candidate];
            candidate = smallestRound(i, rank, below);
        }
        return candidate;
    }

    /** Of the contours larger than a rank whose box is round that of i, the smallest; or -1. */
    private int smallestRound(int i, int[] rank, int below) {
        Box own = boxes.get(i);
        int[] best = {-1};
        index.visit(
                new Box(own.min(), own.min()).grown(touch),
                k -> {
                    boolean nearer = best[0] < 0 || rank[k] > rank[best[0]];
                    if (rank[k] < below && nearer && surrounds(boxes.get(k), own)) {
                        best[0] = k;
                    }
                });
        return best[0];
    }

    /** A contour that touches from within may stick out a little. */
    private boolean surrounds(Box outer, Box inner) {
        return inner.min().x() >= outer.min().x() - touch
                && inner.min().y() >= outer.min().y() - touch
                && inner.max().x() <= outer.max().x() + touch
                && inner.max().y() <= outer.max().y() + touch;
    }

    private boolean isInside(int inner, int outer) {
        Contour round = contours.get(outer);
        for (Segment segment : contours.get(inner).segments()) {
            for (double t : TRIED) {
                Point p = segment.at(t);
                if (!comesNear(round, p)) {
                    return round.contains(p);
                }
            }
        }
        return false;
    }

    private boolean comesNear(Contour round, Point p) {
        for (Segment segment : round.segments()) {
            if (reaches(segment, p) && segment.distance(p) <= touch) {
                return true;
            }
        }
        return false;
    }

    /** A line, or an arc up to a half circle, lies within the circle over its chord. */
    private boolean reaches(Segment segment, Point p) {
        double chord = segment.start().distance(segment.end());
        double away = segment.start().midpoint(segment.end()).distance(p);
        return Math.abs(segment.bulge()) > 1 || away <= chord / 2 * ROUNDING + touch;
    }
}
