package dev.oleander.drawing.read;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/** Which contour lies in which. Contours may touch but not cross. */
final class Nesting {

    private final List<Contour> contours;
    private final int[] parent;
    private final int[] depth;
    private final List<Box> boxes;
    private final double touch;

    /**
     * @param touch mm; places nearer than this to the other contour do not tell inside from outside
     */
    Nesting(List<Contour> contours, double touch) {
        this.contours = contours;
        this.touch = touch;
        this.boxes = contours.stream().map(Contour::box).toList();
        this.parent = new int[contours.size()];
        this.depth = new int[contours.size()];
        List<Integer> largestFirst =
                IntStream.range(0, contours.size())
                        .boxed()
                        .sorted(
                                Comparator.comparingDouble((Integer i) -> contours.get(i).area())
                                        .reversed())
                        .toList();
        List<Integer> placed = new ArrayList<>();
        for (int i : largestFirst) {
            parent[i] = innermostRound(i, placed);
            depth[i] = parent[i] < 0 ? 0 : depth[parent[i]] + 1;
            placed.add(i);
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
        for (int i = 0; i < contours.size(); i++) {
            boolean deeper = best < 0 || depth[i] > depth[best];
            if (deeper && boxes.get(i).contains(p) && contours.get(i).contains(p)) {
                best = i;
            }
        }
        return best;
    }

    private int innermostRound(int i, List<Integer> larger) {
        for (int k = larger.size() - 1; k >= 0; k--) {
            int other = larger.get(k);
            if (boxes.get(other).grown(touch).contains(boxes.get(i)) && isInside(i, other)) {
                return other;
            }
        }
        return -1;
    }

    private boolean isInside(int inner, int outer) {
        Contour round = contours.get(outer);
        for (Segment segment : contours.get(inner).segments()) {
            for (Point p : List.of(segment.middle(), segment.start(), segment.at(0.25))) {
                if (round.nearest(p).point().distance(p) > touch) {
                    return round.contains(p);
                }
            }
        }
        return false;
    }
}
