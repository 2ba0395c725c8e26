package dev.oleander.nesting;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;

/**
 * Where a part lies: mirrored (x to -x), then turned about its origin, then shifted.
 *
 * @param line id of the order line
 * @param angle degrees, anticlockwise; whole quarters are exact
 * @param locked whether a person has fixed it
 */
public record NestPlacement(String line, Point at, double angle, boolean mirrored, boolean locked) {

    /** The same, fixed or not. */
    public NestPlacement locked(boolean value) {
        return new NestPlacement(line, at, angle, mirrored, value);
    }

    /** From the part's own place to the one on the sheet. */
    public Transform transform() {
        Transform turn = Transform.rotation(Math.toRadians(angle));
        Transform flat = mirrored ? Transform.mirror().then(turn) : turn;
        return flat.then(Transform.translation(at));
    }
}
