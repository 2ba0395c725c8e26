package dev.oleander.drawing.dxf;

import dev.oleander.drawing.intake.Collector;
import dev.oleander.drawing.intake.UnreadableException;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** Reads the numbers of a spline and checks that they make one. */
final class SplineRecord {

    private static final int HIGHEST_DEGREE = 25;
    private static final int CLOSED = 1;

    private final List<Double> knots = new ArrayList<>();
    private final List<Double> weights = new ArrayList<>();
    private final List<Point> control = new ArrayList<>();
    private final List<Point> through = new ArrayList<>();
    private final DxfRecord record;

    private SplineRecord(DxfRecord record) {
        this.record = record;
        Double x = null;
        for (int i = 0; i < record.size(); i++) {
            switch (record.code(i)) {
                case 40 -> knots.add(record.numberAt(i));
                case 41 -> weights.add(record.numberAt(i));
                case 10, 11 -> x = record.numberAt(i);
                case 20 -> control.add(new Point(x == null ? 0 : x, record.numberAt(i)));
                case 21 -> through.add(new Point(x == null ? 0 : x, record.numberAt(i)));
                default -> {
                    // tangents, tolerances and heights are not needed
                }
            }
        }
    }

    /**
     * @throws UnreadableException when counts, knots, weights or places are not usable
     */
    static Spline read(DxfRecord record, Transform map, Collector collector) {
        SplineRecord read = new SplineRecord(record);
        boolean closed = (record.integer(70, 0) & CLOSED) != 0;
        if (read.control.isEmpty()) {
            return read.throughPoints(map, collector, closed);
        }
        return read.controlled(map, collector, closed);
    }

    private Spline controlled(Transform map, Collector collector, boolean closed) {
        int degree = record.integer(71, 3);
        if (degree < 1 || degree > HIGHEST_DEGREE) {
            throw new UnreadableException(
                    "its degree is %d; 1 to %d can be read".formatted(degree, HIGHEST_DEGREE));
        }
        int needed = control.size() + degree + 1;
        if (control.size() <= degree || knots.size() != needed) {
            throw new UnreadableException(
                    "%d control points of degree %d need %d knots, it has %d"
                            .formatted(control.size(), degree, needed, knots.size()));
        }
        double[] k = knots.stream().mapToDouble(Double::doubleValue).toArray();
        for (int i = 1; i < k.length; i++) {
            if (k[i] < k[i - 1]) {
                throw new UnreadableException(
                        "its knots fall from %s to %s".formatted(k[i - 1], k[i]));
            }
        }
        if (!(k[control.size()] > k[degree])) {
            throw new UnreadableException("its knots span nothing");
        }
        Point[] points =
                control.stream().map(p -> collector.checked(map.apply(p))).toArray(Point[]::new);
        return new ControlledSpline(degree, k, points, weights(), closed);
    }

    private double[] weights() {
        double[] w = new double[control.size()];
        Arrays.fill(w, 1);
        if (weights.isEmpty()) {
            return w;
        }
        if (weights.size() != w.length) {
            throw new UnreadableException(
                    "it has %d control points and %d weights".formatted(w.length, weights.size()));
        }
        for (int i = 0; i < w.length; i++) {
            w[i] = weights.get(i);
            if (!(w[i] > 0)) {
                throw new UnreadableException("a weight of it is %s".formatted(w[i]));
            }
        }
        return w;
    }

    private Spline throughPoints(Transform map, Collector collector, boolean closed) {
        List<Point> points = new ArrayList<>();
        for (Point p : through) {
            Point placed = collector.checked(map.apply(p));
            if (points.isEmpty() || placed.distance(points.get(points.size() - 1)) > 1e-9) {
                points.add(placed);
            }
        }
        boolean repeats =
                points.size() > 1 && points.get(0).distance(points.get(points.size() - 1)) <= 1e-9;
        boolean round = closed || repeats;
        if (repeats) {
            points.remove(points.size() - 1);
        }
        if (points.size() < 3) {
            throw new UnreadableException(
                    "it has no control points and %d points to go through; 3 are needed"
                            .formatted(points.size()));
        }
        return new FittedSpline(points, round);
    }
}
