package dev.oleander.drawing.picture;

import dev.oleander.geometry.Point;
import java.util.List;

/** Where two elements meet. */
final class Meeting {

    /** How far from where the points turn elements may meet, pixels. */
    private static final double FARTHEST = 12;

    private Meeting() {}

    /** The place nearest to one; where they do not meet near it, half way between them. */
    static Point of(Element first, Element then, Point near) {
        Point best = null;
        for (Point place : all(first, then)) {
            if (best == null || place.distance(near) < best.distance(near)) {
                best = place;
            }
        }
        return best != null && best.distance(near) <= FARTHEST
                ? best
                : first.nearest(near).midpoint(then.nearest(near));
    }

    private static List<Point> all(Element first, Element then) {
        if (first.isLine() && then.isLine()) {
            double across = first.along().cross(then.along());
            if (Math.abs(across) < 1e-6) {
                return List.of();
            }
            double way = then.at().minus(first.at()).cross(then.along()) / across;
            return List.of(first.at().plus(first.along().times(way)));
        }
        if (first.isLine()) {
            return ofLine(first, then);
        }
        return then.isLine() ? ofLine(then, first) : ofCircles(first, then);
    }

    private static List<Point> ofLine(Element line, Element circle) {
        Point foot = line.nearest(circle.at());
        double off = foot.distance(circle.at());
        double half = circle.radius() * circle.radius() - off * off;
        if (half < 0) {
            return List.of();
        }
        Point way = line.along().times(Math.sqrt(half));
        return List.of(foot.plus(way), foot.minus(way));
    }

    private static List<Point> ofCircles(Element a, Element b) {
        double d = a.at().distance(b.at());
        if (d < 1e-9) {
            return List.of();
        }
        double along = (d * d + a.radius() * a.radius() - b.radius() * b.radius()) / (2 * d);
        double half = a.radius() * a.radius() - along * along;
        if (half < 0) {
            return List.of();
        }
        Point way = b.at().minus(a.at()).unit();
        Point middle = a.at().plus(way.times(along));
        Point side = way.left().times(Math.sqrt(half));
        return List.of(middle.plus(side), middle.minus(side));
    }
}
