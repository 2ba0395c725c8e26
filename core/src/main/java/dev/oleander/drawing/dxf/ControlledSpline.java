package dev.oleander.drawing.dxf;

import dev.oleander.drawing.intake.OutlinePen;
import dev.oleander.geometry.Point;

/**
 * A B-spline, rational when its weights differ, evaluated by repeated interpolation (C. de Boor, On
 * calculating with B-splines, Journal of Approximation Theory 6, 1972, in homogeneous coordinates).
 */
final class ControlledSpline implements Spline {

    private final int degree;
    private final double[] knots;

    /** Control points, each x w, y w, w. */
    private final double[][] control;

    private final boolean closed;

    /**
     * @param knots not falling, as many as control points and degree + 1 together
     * @param weights greater than 0
     */
    ControlledSpline(int degree, double[] knots, Point[] points, double[] weights, boolean closed) {
        this.degree = degree;
        this.knots = knots;
        this.closed = closed;
        this.control = new double[points.length][];
        for (int i = 0; i < points.length; i++) {
            double w = weights[i];
            control[i] = new double[] {points[i].x() * w, points[i].y() * w, w};
        }
    }

    @Override
    public double from() {
        return knots[degree];
    }

    private double to() {
        return knots[control.length];
    }

    @Override
    public boolean closed() {
        return closed;
    }

    @Override
    public double size() {
        double size = 0;
        for (double[] c : control) {
            size = Math.max(size, Math.max(Math.abs(c[0] / c[2]), Math.abs(c[1] / c[2])));
        }
        return size;
    }

    @Override
    public Point at(double t) {
        int span = degree;
        while (span < control.length - 1 && knots[span + 1] <= t) {
            span++;
        }
        return at(span, t);
    }

    @Override
    public void draw(OutlinePen pen) {
        for (int span = degree; span < control.length; span++) {
            double from = knots[span];
            double to = knots[span + 1];
            if (to - from > 1e-12 * (to() - from())) {
                int k = span;
                pen.curve(t -> at(k, t), from, to, direction(k, from, to), back(k, from, to));
            }
        }
    }

    private Point direction(int span, double from, double to) {
        Point slope = slope(span, from);
        return slope.norm() > 0 ? slope : at(span, from + 1e-4 * (to - from)).minus(at(span, from));
    }

    private Point back(int span, double from, double to) {
        Point slope = slope(span, to);
        return slope.norm() > 0 ? slope : at(span, to).minus(at(span, to - 1e-4 * (to - from)));
    }

    private Point at(int span, double t) {
        double[] d = triangle(span, t, degree)[degree];
        return new Point(d[0] / d[2], d[1] / d[2]);
    }

    /** First derivative, of the quotient of the homogeneous coordinates. */
    private Point slope(int span, double t) {
        double[][] last = triangle(span, t, degree - 1);
        double[] a = last[degree - 1];
        double[] b = last[degree];
        double width = knots[span + 1] - knots[span];
        double share = (t - knots[span]) / width;
        double w = a[2] + share * (b[2] - a[2]);
        double x = (a[0] + share * (b[0] - a[0])) / w;
        double y = (a[1] + share * (b[1] - a[1])) / w;
        double factor = degree / (width * w);
        double dw = b[2] - a[2];
        return new Point(factor * (b[0] - a[0] - x * dw), factor * (b[1] - a[1] - y * dw));
    }

    /** The points of a span after some rounds of interpolation; the last are the newest. */
    private double[][] triangle(int span, double t, int rounds) {
        double[][] d = new double[degree + 1][];
        for (int j = 0; j <= degree; j++) {
            d[j] = control[span - degree + j].clone();
        }
        for (int r = 1; r <= rounds; r++) {
            for (int j = degree; j >= r; j--) {
                double low = knots[span - degree + j];
                double high = knots[span + 1 + j - r];
                double share = high > low ? (t - low) / (high - low) : 0;
                for (int i = 0; i < 3; i++) {
                    d[j][i] = (1 - share) * d[j - 1][i] + share * d[j][i];
                }
            }
        }
        return d;
    }
}
