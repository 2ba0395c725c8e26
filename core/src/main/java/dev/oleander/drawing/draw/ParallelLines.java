package dev.oleander.drawing.draw;

import dev.oleander.drawing.Entity;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.edit.EditException;
import dev.oleander.geometry.edit.ParallelPath;
import dev.oleander.geometry.offset.OffsetOptions;
import dev.oleander.geometry.offset.Offsetter;
import java.util.List;

/** Parallel lines of closed and open chains. */
final class ParallelLines {

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

    private static Path parallel(Path path, double left) {
        try {
            return ParallelPath.of(path, left);
        } catch (EditException closes) {
            throw DrawException.about("distance", closes.getMessage());
        }
    }
}
