package dev.oleander.drawing;

import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Segment;
import java.util.List;

/**
 * One drawn thing that is line work.
 *
 * @param ordinal position among the line work of the drawing, from 0
 * @param key what it is called as long as the drawing lives: its number in the file, or the step
 *     that drew it
 * @param type as the file names it, for example LWPOLYLINE
 * @param line number of the file's line where it begins, from 1; 0 when no file holds it
 * @param handle as the file gives it; empty when it does not
 * @param segments at least one, joined end to start, mm
 * @param closed whether the drawing itself says that it closes (circle, closed polyline)
 */
public record Entity(
        int ordinal,
        String key,
        String type,
        Style style,
        int line,
        String handle,
        List<Segment> segments,
        boolean closed) {

    /** Type of what is of a letter. */
    public static final String TEXT = "TEXT";

    public Entity {
        segments = List.copyOf(segments);
        if (segments.isEmpty()) {
            throw new IllegalArgumentException("entity " + key + " has no segment");
        }
    }

    public String layer() {
        return style.layer();
    }

    public Chain chain() {
        return closed ? new Contour(segments) : new Path(segments);
    }

    public Entity at(int newOrdinal) {
        return new Entity(newOrdinal, key, type, style, line, handle, segments, closed);
    }

    public Entity called(String newKey) {
        return new Entity(ordinal, newKey, type, style, line, handle, segments, closed);
    }

    public Entity styled(Style newStyle) {
        return new Entity(ordinal, key, type, newStyle, line, handle, segments, closed);
    }

    public Entity shaped(Chain chain) {
        return new Entity(
                ordinal,
                key,
                type,
                style,
                line,
                handle,
                chain.segments(),
                chain instanceof Contour);
    }
}
