package dev.oleander.drawing;

import dev.oleander.geometry.Segment;
import java.util.List;

/**
 * One drawn thing that is line work.
 *
 * @param ordinal position among the line work of the file, from 0
 * @param type as the file names it, for example LWPOLYLINE
 * @param line number of the file's line where it begins, from 1
 * @param segments at least one, joined end to start, mm
 * @param closed whether the drawing itself says that it closes (circle, closed polyline)
 */
public record Entity(
        int ordinal,
        String type,
        String layer,
        int line,
        String handle,
        List<Segment> segments,
        boolean closed) {

    public Entity {
        segments = List.copyOf(segments);
    }
}
