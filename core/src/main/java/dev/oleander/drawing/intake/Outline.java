package dev.oleander.drawing.intake;

import dev.oleander.drawing.Fits;
import dev.oleander.geometry.Segment;
import java.util.List;

/**
 * The segments of one drawn thing.
 *
 * @param segments joined end to start; none when it has no length
 * @param closed whether it says itself that it closes
 * @param curves curves that are neither lines nor arcs, of which some segments were made
 * @param fitted how many segments that are
 */
public record Outline(List<Segment> segments, boolean closed, int curves, int fitted) {

    public static final Outline NOTHING = exact(List.of(), false);

    /** Segments that are exactly what was drawn. */
    public static Outline exact(List<Segment> segments, boolean closed) {
        return new Outline(segments, closed, 0, 0);
    }

    Fits fits(double tolerance) {
        return new Fits(curves, fitted, tolerance);
    }
}
