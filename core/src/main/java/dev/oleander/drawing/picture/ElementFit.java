package dev.oleander.drawing.picture;

import dev.oleander.geometry.Point;

/**
 * The line or circle nearest to points in a row: lines by total least squares, circles by the
 * method of I. Kasa (1976) and then by Gauss and Newton's steps on the distances themselves.
 */
final class ElementFit {

    /** Points that are looked at of many; all of them are judged. */
    private static final int SAMPLES = 96;

    private static final int STEPS = 4;

    /** A circle that turns by less, radians, is a line. */
    private static final double STRAIGHT = 0.01;

    private final Loop points;

    ElementFit(Loop points) {
        this.points = points;
    }

    /** The line if it is near enough, else the circle if that is; null: neither. */
    Element within(int from, int to, double tolerance) {
        Element line = line(from, to);
        if (line.greatest() <= tolerance || to - from < 3) {
            return line.greatest() <= tolerance ? line : null;
        }
        Element circle = circle(from, to);
        return circle != null && circle.greatest() <= tolerance ? circle : null;
    }

    /** Whichever of both is clearly nearer; a line where it is good enough and about as near. */
    Element nearest(int from, int to, double tolerance) {
        Element line = line(from, to);
        if (to - from < 3) {
            return line;
        }
        Element circle = circle(from, to);
        if (circle == null) {
            return line;
        }
        boolean straight = line.greatest() <= tolerance && line.squares() <= 2 * circle.squares();
        return straight ? line : circle;
    }

    private int step(int from, int to) {
        return Math.max(1, (to - from + 1) / SAMPLES);
    }

    private Point middle(int from, int to, int step) {
        double n = 0;
        double x = 0;
        double y = 0;
        for (int i = from; i <= to; i += step) {
            x += points.x(i);
            y += points.y(i);
            n++;
        }
        return new Point(x / n, y / n);
    }

    Element line(int from, int to) {
        int step = step(from, to);
        Point middle = middle(from, to, step);
        double mx = middle.x();
        double my = middle.y();
        double xx = 0;
        double xy = 0;
        double yy = 0;
        for (int i = from; i <= to; i += step) {
            double x = points.x(i) - mx;
            double y = points.y(i) - my;
            xx += x * x;
            xy += x * y;
            yy += y * y;
        }
        double angle = Math.atan2(2 * xy, xx - yy) / 2;
        Point along = Point.polar(1, angle);
        Point ends = new Point(points.x(to) - points.x(from), points.y(to) - points.y(from));
        Point way = along.dot(ends) < 0 ? along.times(-1) : along;
        return new Element(middle, way, 0, true, from, to, 0, 0).judged(points);
    }

    /** Null when there is none, or none that is gone once at most. */
    Element circle(int from, int to) {
        double[] circle = kasa(from, to);
        if (circle == null) {
            return null;
        }
        for (int i = 0; i < STEPS; i++) {
            if (!improve(circle, from, to)) {
                return null;
            }
        }
        return element(circle, from, to);
    }

    private Element element(double[] circle, int from, int to) {
        int middle = (from + to) / 2;
        double ax = points.x(middle) - points.x(from);
        double ay = points.y(middle) - points.y(from);
        double bx = points.x(to) - points.x(middle);
        double by = points.y(to) - points.y(middle);
        boolean left = ax * by - ay * bx > 0;
        double length = Math.hypot(ax, ay) + Math.hypot(bx, by);
        if (!(length > STRAIGHT * circle[2])) {
            return null;
        }
        Point centre = new Point(circle[0], circle[1]);
        return new Element(centre, null, circle[2], left, from, to, 0, 0).judged(points);
    }

    private double[] kasa(int from, int to) {
        int step = step(from, to);
        Point middle = middle(from, to, step);
        double mx = middle.x();
        double my = middle.y();
        double uu = 0;
        double uv = 0;
        double vv = 0;
        double pu = 0;
        double pv = 0;
        for (int i = from; i <= to; i += step) {
            double u = points.x(i) - mx;
            double v = points.y(i) - my;
            double square = u * u + v * v;
            uu += u * u;
            uv += u * v;
            vv += v * v;
            pu += u * square / 2;
            pv += v * square / 2;
        }
        double det = uu * vv - uv * uv;
        if (!(det > 1e-12 * (uu + vv) * (uu + vv))) {
            return null;
        }
        double cu = (pu * vv - pv * uv) / det;
        double cv = (pv * uu - pu * uv) / det;
        double radius = Math.sqrt(cu * cu + cv * cv + (uu + vv) / ((to - from) / step + 1));
        return new double[] {mx + cu, my + cv, radius};
    }

    /** One step; false when it leads nowhere. */
    private boolean improve(double[] circle, int from, int to) {
        double[][] a = new double[3][4];
        int step = step(from, to);
        for (int i = from; i <= to; i += step) {
            double dx = points.x(i) - circle[0];
            double dy = points.y(i) - circle[1];
            double d = Math.hypot(dx, dy);
            if (d < 1e-9) {
                return false;
            }
            double[] row = {-dx / d, -dy / d, -1, -(d - circle[2])};
            for (int r = 0; r < 3; r++) {
                for (int c = 0; c < 4; c++) {
                    a[r][c] += row[r] * row[c];
                }
            }
        }
        double[] by = Equations.solved(a);
        if (by == null) {
            return false;
        }
        for (int k = 0; k < 3; k++) {
            circle[k] += by[k];
        }
        return Double.isFinite(circle[2]) && circle[2] > 0;
    }
}
