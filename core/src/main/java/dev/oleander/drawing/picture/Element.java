package dev.oleander.drawing.picture;

import dev.oleander.geometry.Point;

/**
 * A straight line or a circle without ends, fitted to points in a row; pixels.
 *
 * @param at a point of the line, or the middle of the circle
 * @param along unit vector in which the line is gone; of a circle null
 * @param radius of the circle; 0: a line
 * @param left whether the circle is gone anticlockwise
 * @param from number of the first point
 * @param to number of the last one
 * @param greatest distance of a point
 * @param squares sum of the squares of all distances
 */
record Element(
        Point at,
        Point along,
        double radius,
        boolean left,
        int from,
        int to,
        double greatest,
        double squares) {

    boolean isLine() {
        return along != null;
    }

    /** Of a point: above 0 on the left of the way. */
    double offset(double x, double y) {
        if (isLine()) {
            return along.x() * (y - at.y()) - along.y() * (x - at.x());
        }
        double out = Math.hypot(x - at.x(), y - at.y()) - radius;
        return left ? -out : out;
    }

    /** The nearest point of it. */
    Point nearest(Point p) {
        if (isLine()) {
            return at.plus(along.times(p.minus(at).dot(along)));
        }
        Point out = p.minus(at);
        return out.norm() < 1e-12 ? p : at.plus(out.unit().times(radius));
    }

    /** Its direction there. */
    Point direction(Point p) {
        if (isLine()) {
            return along;
        }
        Point out = p.minus(at).unit().left();
        return left ? out : out.times(-1);
    }

    /** The same with what its distances from points are. */
    Element judged(Loop points) {
        double most = 0;
        double sum = 0;
        for (int i = from; i <= to; i++) {
            double off = offset(points.x(i), points.y(i));
            most = Math.max(most, Math.abs(off));
            sum += off * off;
        }
        return new Element(at, along, radius, left, from, to, most, sum);
    }
}
