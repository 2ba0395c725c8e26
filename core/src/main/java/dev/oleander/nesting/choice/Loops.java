package dev.oleander.nesting.choice;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Intersections;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.SegmentIndex;
import dev.oleander.nesting.NestException;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;

/** Loops as regions. */
public final class Loops {

    /** mm to which crossings are found. */
    private static final double FINE = 1e-7;

    /** mm; segments that meet this near to an end of both only follow each other. */
    private static final double END = 1e-5;

    private Loops() {}

    /**
     * @param loops outer contour, then holes
     * @param what it is, for the sentence: sheet s1
     * @throws NestException when a loop crosses itself or another, or encloses nothing
     */
    public static Region region(List<Loop> loops, String what) {
        List<Contour> contours = new ArrayList<>();
        for (Loop loop : loops) {
            contours.add(loop.contour(what).turning(contours.isEmpty()));
        }
        requireNoCrossing(contours, what);
        return new Region(contours.get(0), contours.subList(1, contours.size()));
    }

    private static void requireNoCrossing(List<Contour> contours, String what) {
        List<Segment> all = contours.stream().flatMap(c -> c.segments().stream()).toList();
        SegmentIndex<Segment> index = SegmentIndex.of(all);
        for (int i = 0; i < all.size(); i++) {
            for (int j : index.positions(all.get(i).box().grown(FINE))) {
                if (j < i) {
                    requireNoCrossing(all.get(j), all.get(i), what);
                }
            }
        }
    }

    private static void requireNoCrossing(Segment a, Segment b, String what) {
        for (Intersections.Crossing crossing : Intersections.of(a, b, FINE)) {
            Point p = crossing.point();
            if (!isEnd(a, p) || !isEnd(b, p)) {
                throw new NestException(
                        "The outline of the %s crosses itself at %s, %s."
                                .formatted(what, Numbers.plain(p.x(), 3), Numbers.plain(p.y(), 3)));
            }
        }
    }

    private static boolean isEnd(Segment segment, Point p) {
        return segment.start().distance(p) <= END || segment.end().distance(p) <= END;
    }
}
