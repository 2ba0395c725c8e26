package dev.oleander.dialect;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Point;

/**
 * The radius to write for an arc whose ends are rounded. Near half a turn a chord that is longer by
 * a step lets the middle of an arc of the same radius leave by several; such an arc is said with
 * the radius that keeps its height over the chord.
 */
final class SaidRadius {

    private SaidRadius() {}

    /**
     * @param start as written
     * @param end as written
     * @param step mm; the middle may be off by this
     * @return mm, more than 0
     */
    static double of(Arc arc, Point start, Point end, double step) {
        double chord = start.distance(end);
        if (chord == 0 || read(arc, start, end).middle().distance(arc.middle()) <= step) {
            return arc.radius();
        }
        double height = arc.bulge() * arc.start().distance(arc.end()) / 2;
        return new Arc(start, end, 2 * height / chord).radius();
    }

    /** The arc that its own radius makes between other ends. */
    private static Arc read(Arc arc, Point start, Point end) {
        double half = start.distance(end) / 2;
        double radius = Math.max(arc.radius(), half);
        double apart = Math.sqrt(radius * radius - half * half);
        double height = Math.abs(arc.bulge()) > 1 ? radius + apart : radius - apart;
        return new Arc(start, end, Math.copySign(height / half, arc.bulge()));
    }
}
