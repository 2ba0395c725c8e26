package dev.oleander.plan.stop;

import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.Transform;
import java.util.ArrayList;
import java.util.List;

/**
 * The way of the head for one stop, in stretches that may be empty, each starting where the one
 * before ends.
 *
 * @param main round the contour or along the line
 * @param overRun past the closing point
 */
public record CutPath(
        List<Segment> leadIn, List<Segment> main, List<Segment> overRun, List<Segment> leadOut) {

    public CutPath {
        leadIn = List.copyOf(leadIn);
        main = List.copyOf(main);
        overRun = List.copyOf(overRun);
        leadOut = List.copyOf(leadOut);
    }

    /** Where the process begins. */
    public Point pierce() {
        return leadIn.isEmpty() ? start() : leadIn.get(0).start();
    }

    /** Where the lead-in meets the path. */
    public Point start() {
        return main.get(0).start();
    }

    public Point end() {
        List<Segment> all = all();
        return all.get(all.size() - 1).end();
    }

    /** All stretches in order. */
    public List<Segment> all() {
        List<Segment> all = new ArrayList<>(leadIn);
        all.addAll(main);
        all.addAll(overRun);
        all.addAll(leadOut);
        return all;
    }

    public CutPath transformed(Transform transform) {
        return new CutPath(
                transformed(leadIn, transform),
                transformed(main, transform),
                transformed(overRun, transform),
                transformed(leadOut, transform));
    }

    private static List<Segment> transformed(List<Segment> segments, Transform transform) {
        return segments.isEmpty() ? segments : new Path(segments).transformed(transform).segments();
    }
}
