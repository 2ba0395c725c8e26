package dev.oleander.plan.bed;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;

/**
 * Something on the sheet that the head must not hit: a clamp, a stop, a sensor.
 *
 * @param x left edge, mm
 * @param y lower edge, mm
 * @param width mm
 * @param depth mm
 * @param height above the surface of the sheet, mm
 */
public record KeepOut(double x, double y, double width, double depth, double height) {

    public KeepOut {
        if (!(width > 0 && depth > 0 && height > 0)) {
            throw new IllegalArgumentException("width, depth and height must be above 0");
        }
    }

    public Box box() {
        return new Box(new Point(x, y), new Point(x + width, y + depth));
    }
}
