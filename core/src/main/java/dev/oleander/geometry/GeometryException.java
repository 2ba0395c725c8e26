package dev.oleander.geometry;

import dev.oleander.geometry.flat.Frame;
import dev.oleander.geometry.flat.KnotException;
import dev.oleander.geometry.flat.TooFarException;
import java.util.Locale;

/** A computation that cannot be done for the given shapes; says why and where. */
public class GeometryException extends RuntimeException {

    private final transient Point place;

    protected GeometryException(String message, Point place) {
        super(message);
        this.place = place;
    }

    public Point place() {
        return place;
    }

    /** The sentence for edges that cannot be told apart. */
    protected static String sentence(KnotException knot) {
        return String.format(
                Locale.ROOT,
                "lines pass each other at (%.3f, %.3f) nearer than %.1e mm and cannot be told apart.",
                knot.x(),
                knot.y(),
                knot.tolerance());
    }

    /** The sentence for a point out of reach. */
    protected static String sentence(TooFarException far) {
        return String.format(
                Locale.ROOT,
                "a point at (%.4g, %.4g) mm lies farther from the origin than %.0f km.",
                far.x(),
                far.y(),
                Frame.FARTHEST / 1e6);
    }
}
