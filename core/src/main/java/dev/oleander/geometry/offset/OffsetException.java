package dev.oleander.geometry.offset;

import dev.oleander.geometry.GeometryException;
import dev.oleander.geometry.Point;
import java.util.Locale;

/** A parallel curve that could not be told from itself; carries where. */
public final class OffsetException extends GeometryException {

    OffsetException(double x, double y, double tolerance) {
        super(
                String.format(
                        Locale.ROOT,
                        "The parallel curve passes itself too closely at (%.3f, %.3f): nearer than %.1e mm.",
                        x,
                        y,
                        tolerance),
                new Point(x, y));
    }
}
