package dev.oleander.work.router.material;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.work.router.tool.ToolKind;

/**
 * Which places a move of a tool can come to: all along the whole line or the whole circle that its
 * way is a part of. Quick to ask, so that only few places need an exact answer.
 */
sealed interface Reached {

    /** By which it may be too much, as a share of all lengths: rounding. */
    double SLACK = 1e-9;

    /** False: surely not. */
    boolean perhaps(double x, double y);

    static Reached by(Piece piece) {
        if (piece.form().kind() == ToolKind.SAW || piece.way().isEmpty()) {
            return new Everywhere();
        }
        double radius = piece.form().radius();
        Segment way = piece.way().get();
        return way instanceof Arc arc ? Ring.of(arc, radius) : Stripe.of((Line) way, radius);
    }

    record Everywhere() implements Reached {

        @Override
        public boolean perhaps(double x, double y) {
            return true;
        }
    }

    /**
     * @param x and {@code y}: of a place on the line
     * @param alongX and {@code alongY}: its direction, of length 1
     * @param half mm to either side
     */
    record Stripe(double x, double y, double alongX, double alongY, double half)
            implements Reached {

        static Stripe of(Line line, double radius) {
            Point along = line.direction(0);
            double slack = SLACK * (line.length() + radius);
            return new Stripe(
                    line.start().x(), line.start().y(), along.x(), along.y(), radius + slack);
        }

        @Override
        public boolean perhaps(double px, double py) {
            return Math.abs((px - x) * alongY - (py - y) * alongX) <= half;
        }
    }

    /**
     * @param x and {@code y}: of the centre
     * @param inner square of the radius within which nothing is touched, mm2; 0: none
     * @param outer square of the radius beyond which nothing is
     */
    record Ring(double x, double y, double inner, double outer) implements Reached {

        static Ring of(Arc arc, double radius) {
            double slack = SLACK * (arc.radius() + radius);
            double in = Math.max(0, arc.radius() - radius - slack);
            double out = arc.radius() + radius + slack;
            return new Ring(arc.centre().x(), arc.centre().y(), in * in, out * out);
        }

        @Override
        public boolean perhaps(double px, double py) {
            double square = (px - x) * (px - x) + (py - y) * (py - y);
            return square >= inner && square <= outer;
        }
    }
}
