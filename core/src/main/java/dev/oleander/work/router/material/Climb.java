package dev.oleander.work.router.material;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.way.Leg;

/**
 * A move that goes up or down along its way, and the floor that a tool leaves by it.
 *
 * @param move along a segment
 */
record Climb(Leg move, Tool.Form form) {

    /** mm between an arc and the lines that stand for it. */
    private static final double FLAT = 1e-4;

    /** Halvings of the stretch in which the lowest place of a line is looked for. */
    private static final int HALVINGS = 60;

    /** Height of the floor at a place; infinite where the tool does not come. */
    double lowest(Point p) {
        Segment way = move.segment().orElseThrow();
        if (way instanceof Line line) {
            return along(line, p);
        }
        Arc arc = (Arc) way;
        return isFlat() ? flat(arc, p) : inLines(arc, p);
    }

    private boolean isFlat() {
        return form.kind().isFlat() && form.cornerRadius() == 0;
    }

    private boolean climbs() {
        return move.toZ() > move.fromZ();
    }

    /** Of the tip, at a share of the way. */
    private double height(double t) {
        return move.fromZ() + t * (move.toZ() - move.fromZ());
    }

    private double height(Line line, double t, Point p) {
        double off = Math.min(form.radius(), line.at(t).distance(p));
        return height(t) + form.rise(off);
    }

    // ---- arcs

    /**
     * Of a flat tool: with d the distance of the place from the centre, the circle of radius R is
     * within r of it as far as the angle a to both sides of its direction, sin^2(a/2) = (r^2 - (R -
     * d)^2) / 4 R d. What lies lowest is an end of that stretch, or of the arc.
     */
    private double flat(Arc arc, Point p) {
        Point from = arc.centre();
        double off = arc.radius() - from.distance(p);
        double square = (form.radius() - off) * (form.radius() + off);
        if (square < 0) {
            return Double.POSITIVE_INFINITY;
        }
        double share = square / (4 * arc.radius() * from.distance(p));
        double half = share < 1 ? 2 * Math.asin(Math.sqrt(share)) : Math.PI;
        double sweep = Math.abs(arc.sweep());
        double turn = p.minus(from).angle() - arc.startAngle();
        double middle = arc.isLeft() ? turn : -turn;
        double lowest =
                climbs() ? sweep - last(sweep - middle, half, sweep) : last(middle, half, sweep);
        return Double.isNaN(lowest) ? Double.POSITIVE_INFINITY : height(lowest / sweep);
    }

    /** The greatest angle of a sweep within so much of a middle; not a number where none is. */
    private static double last(double middle, double half, double sweep) {
        if (Math.abs(Math.IEEEremainder(sweep - middle, 2 * Math.PI)) <= half) {
            return sweep;
        }
        double end = Math.IEEEremainder(middle + half, 2 * Math.PI);
        double angle = end < 0 ? end + 2 * Math.PI : end;
        return angle <= sweep ? angle : Double.NaN;
    }

    /** From the lower end on, until all that follows lies higher. */
    private double inLines(Arc arc, Point p) {
        int count = parts(arc);
        double near = form.radius() + arc.length() / count;
        double lowest = Double.POSITIVE_INFINITY;
        for (int i = 0; i < count; i++) {
            int part = climbs() ? i : count - 1 - i;
            double first = (double) part / count;
            double last = (double) (part + 1) / count;
            if (Math.min(height(first), height(last)) >= lowest) {
                break;
            }
            if (arc.at(first).distance(p) <= near) {
                Line line = new Line(arc.at(first), arc.at(last));
                Leg leg = Leg.along(line, height(first), height(last), move.pace());
                lowest = Math.min(lowest, new Climb(leg, form).along(line, p));
            }
        }
        return lowest;
    }

    private static int parts(Arc arc) {
        double most = 2 * Math.acos(Math.max(0, 1 - FLAT / arc.radius()));
        return (int) Math.max(1, Math.ceil(Math.abs(arc.sweep()) / most));
    }

    // ---- lines

    /** Of a climbing line: height and profile together are convex along it. */
    private double along(Line line, Point p) {
        double nearest = line.nearest(p);
        double off = line.at(nearest).distance(p);
        if (off > form.radius()) {
            return Double.POSITIVE_INFINITY;
        }
        double foot = foot(line, p);
        double away = line.at(foot).distance(p);
        double half =
                Math.sqrt(Math.max(0, form.radius() * form.radius() - away * away)) / line.length();
        double low = Math.max(0, foot - half);
        double high = Math.min(1, foot + half);
        if (low >= high) {
            return height(line, nearest, p);
        }
        if (form.kind().isConical()) {
            return cone(line, p, new double[] {low, high, foot, away});
        }
        if (form.kind().isFlat() && form.cornerRadius() == 0) {
            return height(climbs() ? low : high);
        }
        for (int i = 0; i < HALVINGS; i++) {
            double a = low + (high - low) / 3;
            double b = high - (high - low) / 3;
            if (height(line, a, p) <= height(line, b, p)) {
                high = b;
            } else {
                low = a;
            }
        }
        return height(line, (low + high) / 2, p);
    }

    /**
     * Of a cone, whose height along the line is lowest at an end, where the flat of its tip ends,
     * or where the flank is as steep as the line: u / sqrt(away^2 + u^2) = - slope tan(angle/2), u
     * mm from the foot.
     *
     * @param at the stretch from low to high, the foot and the distance there
     */
    private double cone(Line line, Point p, double[] at) {
        double length = line.length();
        double away = at[3];
        double steep = (move.toZ() - move.fromZ()) / length * form.halfTangent();
        double lowest = Math.min(height(line, at[0], p), height(line, at[1], p));
        double tip = form.tipDiameter() / 2;
        double flat = tip > away ? Math.sqrt(tip * tip - away * away) : 0;
        double even = Math.abs(steep) < 1 ? -away * steep / Math.sqrt(1 - steep * steep) : 0;
        for (double u : new double[] {-flat, flat, even}) {
            double t = Math.min(at[1], Math.max(at[0], at[2] + u / length));
            lowest = Math.min(lowest, height(line, t, p));
        }
        return lowest;
    }

    /** Parameter of the foot of the perpendicular; outside 0 to 1 beyond the ends. */
    static double foot(Line line, Point p) {
        Point along = line.end().minus(line.start());
        Point to = p.minus(line.start());
        double square = along.x() * along.x() + along.y() * along.y();
        return (along.x() * to.x() + along.y() * to.y()) / square;
    }
}
