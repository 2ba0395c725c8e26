package dev.oleander.drawing.draw;

import dev.oleander.drawing.Entity;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Intersections;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.edit.ChainCutter;
import dev.oleander.geometry.edit.EditException;
import dev.oleander.geometry.offset.OffsetOptions;
import dev.oleander.geometry.offset.Offsetter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Parallel lines of closed and open chains. */
final class ParallelLines {

    private static final double MEETS = 1e-6;

    private ParallelLines() {}

    /** Outward or to the left for positive distances; the original stays. */
    static void offset(Sketch sketch, Args args) {
        double distance = args.number("distance");
        Args.require(Math.abs(distance) > 1e-6, "distance", "The distance must not be 0.");
        for (Entity entity : sketch.targets(args.step())) {
            if (entity.chain() instanceof Contour contour) {
                closed(sketch, args, entity, contour, distance);
            } else {
                sketch.copy(args.step(), entity, parallel((Path) entity.chain(), distance));
            }
        }
    }

    private static void closed(
            Sketch sketch, Args args, Entity entity, Contour contour, double distance) {
        Region region = new Region(contour.turning(true), List.of());
        List<Region> moved = new Offsetter(OffsetOptions.defaults()).offset(region, distance);
        if (moved.isEmpty()) {
            throw DrawException.about(
                    "distance",
                    "Nothing is left %s mm inside %s; it is narrower than that."
                            .formatted(Math.abs(distance), entity.key()));
        }
        for (Region one : moved) {
            one.contours().forEach(c -> sketch.copy(args.step(), entity, c));
        }
    }

    /** Each segment moved sideways; neighbours are cut or extended to where they meet. */
    private static Path parallel(Path path, double left) {
        List<Segment> moved = new ArrayList<>();
        for (Segment segment : path.segments()) {
            Optional<Segment> parallel = segment.parallel(left);
            Segment next =
                    parallel.orElseThrow(
                            () ->
                                    DrawException.about(
                                            "distance",
                                            "An arc of radius %.3f mm has no parallel %.3f mm inside it."
                                                    .formatted(
                                                            ((Arc) segment).radius(),
                                                            Math.abs(left))));
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
        Point to = next.start();
        if (from.distance(to) <= MEETS) {
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
                                        DrawException.about(
                                                "distance",
                                                "The parallel does not close at (%.2f, %.2f); take a smaller distance."
                                                        .formatted(from.x(), from.y())));
        double end = longBefore.nearest(corner);
        double start = longNext.nearest(corner);
        Segment cutBefore = longBefore.between(0, end);
        Segment cutNext = longNext.between(start, 1);
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
