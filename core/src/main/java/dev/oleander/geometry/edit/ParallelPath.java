package dev.oleander.geometry.edit;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Intersections;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** A path at one distance beside another, whose segments are cut or extended to where they meet. */
public final class ParallelPath {

    private static final double MEETS = 1e-6;

    private ParallelPath() {}

    /**
     * Each segment moved sideways, in the order of the path.
     *
     * @param left mm to the left of the travel; negative: to the right
     * @throws EditException where an arc has no radius left, or neighbours do not meet
     */
    public static Path of(Path path, double left) {
        List<Segment> moved = new ArrayList<>();
        for (Segment segment : path.segments()) {
            Segment next =
                    segment.parallel(left)
                            .orElseThrow(
                                    () ->
                                            new EditException(
                                                    segment.start(),
                                                    "An arc of radius %.3f mm has no parallel %.3f mm inside it.",
                                                    ((Arc) segment).radius(),
                                                    Math.abs(left)));
            if (moved.isEmpty()) {
                moved.add(next);
            } else {
                connect(moved, next, Math.abs(left));
            }
        }
        return new Path(moved);
    }

    private static void connect(List<Segment> moved, Segment next, double distance) {
        int last = moved.size() - 1;
        Segment before = moved.get(last);
        Point from = before.end();
        if (from.distance(next.start()) <= MEETS) {
            moved.add(next.withEnds(from, next.end()));
            return;
        }
        Segment longBefore = longer(before, distance);
        Segment longNext = longer(next.reversed(), distance).reversed();
        Point corner =
                Intersections.of(longBefore, longNext, MEETS).stream()
                        .map(Intersections.Crossing::point)
                        .min(Comparator.comparingDouble(from::distance))
                        .orElseThrow(
                                () ->
                                        new EditException(
                                                from,
                                                "The parallel does not close at (%.2f, %.2f); take a smaller distance.",
                                                from.x(),
                                                from.y()));
        Segment cutBefore = longBefore.between(0, longBefore.nearest(corner));
        Segment cutNext = longNext.between(longNext.nearest(corner), 1);
        moved.set(last, cutBefore.withEnds(cutBefore.start(), corner));
        moved.add(cutNext.withEnds(corner, cutNext.end()));
    }

    /** Long enough for the corner of a turn of 150 degrees. */
    private static Segment longer(Segment segment, double distance) {
        try {
            return ChainCutter.continued(segment, 4 * distance + 1);
        } catch (EditException closes) {
            return segment;
        }
    }
}
