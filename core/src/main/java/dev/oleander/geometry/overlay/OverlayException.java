package dev.oleander.geometry.overlay;

import dev.oleander.geometry.GeometryException;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.flat.KnotException;
import dev.oleander.geometry.flat.TooFarException;

/** Regions that cannot be combined; says why and where. */
public final class OverlayException extends GeometryException {

    private static final String CANNOT = "The regions cannot be combined: ";

    OverlayException(KnotException knot) {
        super(CANNOT + sentence(knot), new Point(knot.x(), knot.y()));
    }

    OverlayException(TooFarException far) {
        super(CANNOT + sentence(far), new Point(far.x(), far.y()));
    }
}
