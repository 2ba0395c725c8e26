package dev.oleander.drawing.svg;

import dev.oleander.drawing.intake.Collector;
import dev.oleander.drawing.intake.Outline;
import dev.oleander.drawing.intake.OutlinePen;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleFunction;

/** Draws the subpaths of one shape; coordinates come in user units. */
final class PathWriter {

    /** Share of a radius by which half an ellipse may miss it. */
    private static final double HALF = 1e-9;

    private final Collector collector;
    private final Transform map;
    private final double fit;
    private final List<Outline> outlines = new ArrayList<>();
    private OutlinePen pen;
    private Point at = Point.ORIGIN;
    private Point start = Point.ORIGIN;

    PathWriter(Collector collector, Transform map) {
        this.collector = collector;
        this.map = map;
        this.fit = collector.options().fit();
    }

    /** Where the pen is, in user units. */
    double x() {
        return at.x();
    }

    double y() {
        return at.y();
    }

    List<Outline> outlines() {
        end(false);
        return outlines;
    }

    private Point placed(Point p) {
        return collector.checked(map.apply(p));
    }

    void move(double x, double y) {
        end(false);
        at = new Point(x, y);
        start = at;
    }

    private OutlinePen pen() {
        if (pen == null) {
            pen = new OutlinePen(fit);
            pen.start(placed(at));
        }
        return pen;
    }

    void line(double x, double y) {
        OutlinePen here = pen();
        at = new Point(x, y);
        here.lineTo(placed(at));
    }

    /** Ends a subpath with a line to its start, where the next one begins. */
    void closePath() {
        end(true);
        at = start;
    }

    private void end(boolean close) {
        if (pen != null) {
            boolean returned = pen.at().equals(pen.first());
            outlines.add(pen.finish(close || returned));
            pen = null;
        }
    }

    void cubic(double x1, double y1, double x2, double y2, double x, double y) {
        Point a = placed(at);
        Point b = placed(new Point(x1, y1));
        Point c = placed(new Point(x2, y2));
        Point end = new Point(x, y);
        Point d = placed(end);
        OutlinePen here = pen();
        at = end;
        if (isStraight(a, b, c, d)) {
            here.lineTo(d);
            return;
        }
        DoubleFunction<Point> curve =
                t -> {
                    double s = 1 - t;
                    return a.times(s * s * s)
                            .plus(b.times(3 * s * s * t))
                            .plus(c.times(3 * s * t * t))
                            .plus(d.times(t * t * t));
                };
        Point in = first(b.minus(a), c.minus(a), d.minus(a));
        Point out = first(d.minus(c), d.minus(b), d.minus(a));
        here.curve(curve, 0, 1, in, out);
    }

    /** Whether the control points lie on the chord, in its order. */
    private static boolean isStraight(Point a, Point b, Point c, Point d) {
        Point chord = d.minus(a);
        double length = chord.norm();
        if (!(length > 0)) {
            return b.equals(a) && c.equals(a);
        }
        double limit = 1e-9 * length * length;
        double first = chord.dot(b.minus(a));
        double second = chord.dot(c.minus(a));
        return Math.abs(chord.cross(b.minus(a))) <= limit
                && Math.abs(chord.cross(c.minus(a))) <= limit
                && first >= 0
                && second >= first
                && second <= length * length;
    }

    private static Point first(Point... directions) {
        for (Point direction : directions) {
            if (direction.norm() > 1e-9) {
                return direction;
            }
        }
        return new Point(1, 0);
    }

    /**
     * An arc of an ellipse to a place (SVG 1.1, F.6.5 and F.6.6: from the ends to the centre; radii
     * that are too small grow until they reach).
     */
    void ellipticalArc(
            double rx, double ry, double turn, boolean large, boolean sweep, double x, double y) {
        Point end = new Point(x, y);
        double a = Math.abs(rx);
        double b = Math.abs(ry);
        if (a == 0 || b == 0 || end.equals(at)) {
            line(x, y);
            return;
        }
        Transform toEllipse = new Transform(a, 0, 0, b, 0, 0).then(Transform.rotation(turn));
        Transform toCircle = toEllipse.inverse();
        Point from = toCircle.apply(at);
        Point to = toCircle.apply(end);
        Point half = to.minus(from).times(0.5);
        double reach = half.norm();
        if (!(reach > 0 && Double.isFinite(reach))) {
            line(x, y);
            return;
        }
        // half an ellipse but for rounding: the root below would turn 1e-16 into 1e-8
        double radius = reach > 1 - HALF ? reach : 1;
        double rise = Math.sqrt(Math.max(0, radius * radius - reach * reach));
        Point side = half.left().times((large == sweep ? -1 : 1) * rise / reach);
        Point centre = from.midpoint(to).plus(side);
        double start = from.minus(centre).angle();
        double angle = to.minus(centre).angle() - start;
        if (sweep && angle <= 0) {
            angle += 2 * Math.PI;
        } else if (!sweep && angle >= 0) {
            angle -= 2 * Math.PI;
        }
        boolean usable = Math.abs(angle) >= 1e-9 && Math.abs(angle) <= 2 * Math.PI - 1e-9;
        if (!usable) {
            line(x, y);
            return;
        }
        Arc arc = Arc.about(centre, radius, start, angle);
        arcOf(toEllipse, arc);
        at = end;
    }

    /** A stretch of an ellipse: an arc before its map; it starts where the pen is. */
    void arcOf(Transform toEllipse, Arc arc) {
        OutlinePen here = pen();
        Transform whole = toEllipse.then(map);
        collector.checked(whole.apply(arc.start()));
        collector.checked(whole.apply(arc.end()));
        at = toEllipse.apply(arc.end());
        if (whole.apply(arc.start()).equals(whole.apply(arc.end()))) {
            return;
        }
        if (whole.isSimilarity()) {
            here.arc(arc.transformed(whole));
        } else {
            here.curve(
                    t -> whole.apply(arc.at(t)),
                    0,
                    1,
                    whole.applyToVector(arc.direction(0)),
                    whole.applyToVector(arc.direction(1)));
        }
    }
}
