package dev.oleander.geometry;

import java.util.Locale;

/** A parallel curve that could not be closed; carries where. */
public final class OffsetException extends RuntimeException {

    private final transient Point place;

    OffsetException(Point place) {
        super(
                String.format(
                        Locale.ROOT,
                        "The parallel curve does not close at (%.3f, %.3f).",
                        place.x(),
                        place.y()));
        this.place = place;
    }

    public Point place() {
        return place;
    }
}
