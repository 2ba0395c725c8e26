package dev.oleander.geometry.overlay;

import dev.oleander.geometry.GeometryException;
import dev.oleander.geometry.Point;
import java.util.Locale;

/** Regions whose edges could not be told apart; carries where. */
public final class OverlayException extends GeometryException {

    OverlayException(double x, double y, double tolerance) {
        super(
                String.format(
                        Locale.ROOT,
                        "Edges pass each other too closely at (%.3f, %.3f): nearer than %.1e mm.",
                        x,
                        y,
                        tolerance),
                new Point(x, y));
    }
}
