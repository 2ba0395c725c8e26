package dev.oleander.geometry.offset;

import dev.oleander.geometry.GeometryException;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.flat.KnotException;
import dev.oleander.geometry.flat.TooFarException;

/** A parallel curve that cannot be made; says why and where. */
public final class OffsetException extends GeometryException {

    private static final String CANNOT = "The parallel curve cannot be made: ";

    OffsetException(KnotException knot) {
        super(CANNOT + sentence(knot), new Point(knot.x(), knot.y()));
    }

    OffsetException(TooFarException far) {
        super(CANNOT + sentence(far), new Point(far.x(), far.y()));
    }
}
