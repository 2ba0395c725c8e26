package dev.oleander.drawing.dxf;

import dev.oleander.drawing.intake.OutlinePen;
import dev.oleander.geometry.Point;
import java.util.List;
import org.hipparchus.analysis.interpolation.SplineInterpolator;
import org.hipparchus.analysis.polynomials.PolynomialSplineFunction;

/**
 * A curve through points: the cubic spline over the length of its chords, without bend at open ends
 * and going round where it closes.
 */
final class FittedSpline implements Spline {

    /** Points that a closed curve is continued by on either side of its seam. */
    private static final int ROUND = 4;

    private final PolynomialSplineFunction x;
    private final PolynomialSplineFunction y;
    private final double[] at;
    private final int first;
    private final int last;
    private final boolean closed;
    private final double size;

    /**
     * @param points at least three; neighbours differ, and so do first and last when it closes
     */
    FittedSpline(List<Point> points, boolean closed) {
        this.closed = closed;
        int n = points.size();
        this.first = closed ? ROUND : 0;
        this.last = closed ? ROUND + n : n - 1;
        int total = closed ? n + 1 + 2 * ROUND : n;
        this.at = new double[total];
        double[] xs = new double[total];
        double[] ys = new double[total];
        double most = 0;
        for (int i = 0; i < total; i++) {
            Point p = points.get(Math.floorMod(i - first, n));
            xs[i] = p.x();
            ys[i] = p.y();
            at[i] = i == 0 ? 0 : at[i - 1] + Math.hypot(xs[i] - xs[i - 1], ys[i] - ys[i - 1]);
            most = Math.max(most, Math.max(Math.abs(p.x()), Math.abs(p.y())));
        }
        this.size = most;
        SplineInterpolator interpolator = new SplineInterpolator();
        this.x = interpolator.interpolate(at, xs);
        this.y = interpolator.interpolate(at, ys);
    }

    @Override
    public double from() {
        return at[first];
    }

    @Override
    public Point at(double t) {
        return new Point(x.value(t), y.value(t));
    }

    @Override
    public boolean closed() {
        return closed;
    }

    @Override
    public double size() {
        return size;
    }

    @Override
    public void draw(OutlinePen pen) {
        PolynomialSplineFunction dx = x.polynomialSplineDerivative();
        PolynomialSplineFunction dy = y.polynomialSplineDerivative();
        for (int i = first; i < last; i++) {
            double from = at[i];
            double to = at[i + 1];
            pen.curve(
                    this::at,
                    from,
                    to,
                    new Point(dx.value(from), dy.value(from)),
                    new Point(dx.value(to), dy.value(to)));
        }
    }
}
