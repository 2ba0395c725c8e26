package dev.oleander.geometry.fit;

import dev.oleander.geometry.GeometryException;
import dev.oleander.geometry.Point;

/** A curve that cannot be fitted within its limits. */
public final class FitException extends GeometryException {

    FitException(Point place, String sentence) {
        super(sentence, place);
    }
}
