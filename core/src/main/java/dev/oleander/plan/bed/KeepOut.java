package dev.oleander.plan.bed;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Distances;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import java.util.List;

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

    /** mm from which on the box of a way is near enough to its distance. */
    private static final double FAR = 1000;

    public KeepOut {
        if (!(width > 0 && depth > 0 && height > 0)) {
            throw new IllegalArgumentException("width, depth and height must be above 0");
        }
    }

    public Box box() {
        return new Box(new Point(x, y), new Point(x + width, y + depth));
    }

    /** mm from a way to it; 0 when the way crosses it. */
    public double distance(Segment way) {
        Box box = box();
        if (way.box().distance(box) > FAR) {
            return way.box().distance(box);
        }
        Point b = new Point(box.max().x(), box.min().y());
        Point d = new Point(box.min().x(), box.max().y());
        boolean within = box.contains(way.start()) || box.contains(way.end());
        double least = within ? 0 : Double.POSITIVE_INFINITY;
        for (Line edge :
                List.of(
                        new Line(box.min(), b),
                        new Line(b, box.max()),
                        new Line(box.max(), d),
                        new Line(d, box.min()))) {
            least = Math.min(least, Distances.between(way, edge).distance());
        }
        return least;
    }

    /** mm from a place to it; 0 within. */
    public double distance(Point place) {
        return box().distance(new Box(place, place));
    }
}
