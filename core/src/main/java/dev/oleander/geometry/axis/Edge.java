package dev.oleander.geometry.axis;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;

/** A line or an arc of the border, the region to its left. */
abstract class Edge {

    final double x0;
    final double y0;
    final double x1;
    final double y1;

    Edge(Segment segment) {
        this.x0 = segment.start().x();
        this.y0 = segment.start().y();
        this.x1 = segment.end().x();
        this.y1 = segment.end().y();
    }

    static Edge of(Segment segment) {
        if (segment instanceof Arc arc) {
            double sagitta = segment.start().distance(segment.end()) * Math.abs(arc.bulge()) / 2;
            if (sagitta > Border.SAME) {
                return new Round(arc);
            }
        }
        return new Straight(segment);
    }

    /**
     * @param s 0 at the start to 1 at the end
     */
    abstract void foot(double s, Foot to);

    /** Radius beyond which no disc that touches here lies in the region, whatever else there is. */
    abstract double most();

    /**
     * Radius of the disc that touches at a foot and this edge between its ends, from whatever side
     * it comes, mm; infinite when none does.
     */
    abstract double touching(Foot foot);

    /** mm, of a point from the edge. */
    abstract double distance(double x, double y);

    /** Of a point from the nearer end. */
    final double distanceOfEnds(double x, double y) {
        return Math.min(Math.hypot(x - x0, y - y0), Math.hypot(x - x1, y - y1));
    }

    private static final class Straight extends Edge {

        private final double ux;
        private final double uy;
        private final double length;

        Straight(Segment segment) {
            super(segment);
            this.length = Math.hypot(x1 - x0, y1 - y0);
            this.ux = (x1 - x0) / length;
            this.uy = (y1 - y0) / length;
        }

        @Override
        void foot(double s, Foot to) {
            to.set(x0 + s * (x1 - x0), y0 + s * (y1 - y0), -uy, ux);
        }

        @Override
        double most() {
            return Double.POSITIVE_INFINITY;
        }

        /** The centre is as far from the line as from the foot: linear in the radius. */
        @Override
        double touching(Foot f) {
            double above = ux * (f.y - y0) - uy * (f.x - x0);
            double rises = ux * f.ny - uy * f.nx;
            // the line is met from the side on which the foot lies
            double slower = above > 0 ? 1 - rises : 1 + rises;
            double r = Math.abs(above) / slower;
            if (!(Math.abs(above) > Border.ON && slower > 0)) {
                return Double.POSITIVE_INFINITY;
            }
            double along = ux * (f.centreX(r) - x0) + uy * (f.centreY(r) - y0);
            return along >= 0 && along <= length ? r : Double.POSITIVE_INFINITY;
        }

        @Override
        double distance(double x, double y) {
            double along = ux * (x - x0) + uy * (y - y0);
            return along >= 0 && along <= length
                    ? Math.abs(ux * (y - y0) - uy * (x - x0))
                    : distanceOfEnds(x, y);
        }
    }

    private static final class Round extends Edge {

        private final double cx;
        private final double cy;
        private final double radius;
        private final double from;
        private final double sweep;

        Round(Arc arc) {
            super(arc);
            Point centre = arc.centre();
            this.cx = centre.x();
            this.cy = centre.y();
            this.radius = arc.radius();
            this.from = arc.startAngle();
            this.sweep = arc.sweep();
        }

        private boolean isHollow() {
            return sweep > 0;
        }

        @Override
        void foot(double s, Foot to) {
            double angle = from + s * sweep;
            double ex = Math.cos(angle);
            double ey = Math.sin(angle);
            double in = isHollow() ? -1 : 1;
            double x = s == 0 ? x0 : s == 1 ? x1 : cx + radius * ex;
            double y = s == 0 ? y0 : s == 1 ? y1 : cy + radius * ey;
            to.set(x, y, in * ex, in * ey);
        }

        /** Discs in a hollow arc are no larger than it. */
        @Override
        double most() {
            return isHollow() ? radius : Double.POSITIVE_INFINITY;
        }

        /**
         * The centre is radius - r away from that of the arc when the foot lies in its circle, else
         * radius + r: the square of r falls out, and what is left is linear.
         */
        @Override
        double touching(Foot f) {
            double wx = f.x - cx;
            double wy = f.y - cy;
            double ahead = wx * f.nx + wy * f.ny;
            double square = wx * wx + wy * wy - radius * radius;
            double r =
                    square < 0 ? -square / (2 * (ahead + radius)) : square / (2 * (radius - ahead));
            // a foot on the circle itself is no contact
            if (!(r > 0 && Math.abs(square) > 2 * Border.ON * radius)) {
                return Double.POSITIVE_INFINITY;
            }
            double dx = f.centreX(r) - cx;
            double dy = f.centreY(r) - cy;
            double scale = radius / Math.hypot(dx, dy);
            return isOn(cx + dx * scale, cy + dy * scale) ? r : Double.POSITIVE_INFINITY;
        }

        /** Whether a point of the circle lies on the arc: on its side of the chord. */
        private boolean isOn(double x, double y) {
            double side = (x1 - x0) * (y - y0) - (y1 - y0) * (x - x0);
            return isHollow() ? side <= 0 : side >= 0;
        }

        @Override
        double distance(double x, double y) {
            double dx = x - cx;
            double dy = y - cy;
            double far = Math.hypot(dx, dy);
            if (far > 0 && isOn(cx + dx * radius / far, cy + dy * radius / far)) {
                return Math.abs(far - radius);
            }
            return far > 0 ? distanceOfEnds(x, y) : radius;
        }
    }
}
