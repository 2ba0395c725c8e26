package dev.oleander.work.router.carve;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.axis.AxisPoint;
import dev.oleander.geometry.axis.Branch;
import dev.oleander.work.router.tool.Tool;
import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleFunction;

/** Ways of the tip as straight pieces, none of which leaves the true one by more than allowed. */
final class Flattening {

    /** Pieces of each branch that are looked at: a branch that ends as it begins is no point. */
    private static final int PIECES = 4;

    private static final int DEEPEST = 24;
    private static final int HALVINGS = 50;

    private final Tool.Form form;
    private final double tolerance;

    Flattening(Tool.Form form, double tolerance) {
        this.form = form;
        this.tolerance = tolerance;
    }

    private TipPoint tip(AxisPoint p) {
        double depth = (p.radius() - form.tipDiameter() / 2) / form.halfTangent();
        return new TipPoint(p.x(), p.y(), depth);
    }

    /**
     * The parts of a branch where the tip is neither above the top nor below the floor.
     *
     * @param foot radius at which it reaches the floor, mm
     */
    List<Stroke> strokes(Branch branch, double foot) {
        List<Stroke> all = new ArrayList<>();
        List<Double> bounds = bounds(branch, foot);
        for (int i = 0; i + 1 < bounds.size(); i++) {
            double from = bounds.get(i);
            double to = bounds.get(i + 1);
            double r = branch.at((from + to) / 2).radius();
            if (r > form.tipDiameter() / 2 && r < foot) {
                List<TipPoint> points = flattened(u -> tip(branch.at(u)), from, to);
                if (points.get(0).distance(points.get(points.size() - 1)) > tolerance) {
                    all.add(new Stroke(points, false));
                }
            }
        }
        return all;
    }

    /** Where a branch begins, crosses a limit, and ends. Radii rise or fall all along a piece. */
    private List<Double> bounds(Branch branch, double foot) {
        List<Double> all = new ArrayList<>(List.of(0.0));
        for (int i = 0; i < PIECES; i++) {
            double from = (double) i / PIECES;
            double to = (i + 1.0) / PIECES;
            addCrossing(branch, from, to, form.tipDiameter() / 2, all);
            addCrossing(branch, from, to, foot, all);
        }
        all.add(1.0);
        all.sort(Double::compare);
        return all;
    }

    private static void addCrossing(
            Branch branch, double from, double to, double limit, List<Double> all) {
        boolean below = branch.at(from).radius() < limit;
        if (below == branch.at(to).radius() < limit) {
            return;
        }
        double low = from;
        double high = to;
        for (int k = 0; k < HALVINGS; k++) {
            double u = (low + high) / 2;
            boolean same = branch.at(u).radius() < limit == below;
            low = same ? u : low;
            high = same ? high : u;
        }
        all.add((low + high) / 2);
    }

    /** Round a contour at one depth. */
    Stroke along(Contour contour, double depth) {
        List<TipPoint> points = new ArrayList<>();
        for (Segment segment : contour.segments()) {
            int pieces = segment instanceof Arc arc ? pieces(arc) : 1;
            for (int i = 0; i < pieces; i++) {
                points.add(at(segment.at((double) i / pieces), depth));
            }
        }
        points.add(points.get(0));
        return new Stroke(points, true);
    }

    /** So that no chord is farther from the arc than allowed. */
    private int pieces(Arc arc) {
        double most = 2 * Math.acos(Math.max(0, 1 - tolerance / arc.radius()));
        return Math.max(1, (int) Math.ceil(Math.abs(arc.sweep()) / most));
    }

    private static TipPoint at(Point p, double depth) {
        return new TipPoint(p.x(), p.y(), depth);
    }

    private List<TipPoint> flattened(DoubleFunction<TipPoint> curve, double from, double to) {
        List<TipPoint> points = new ArrayList<>();
        points.add(curve.apply(from));
        for (int i = 0; i < PIECES; i++) {
            double a = from + i * (to - from) / PIECES;
            double b = from + (i + 1) * (to - from) / PIECES;
            add(curve, a, b, points, DEEPEST);
        }
        return points;
    }

    private void add(
            DoubleFunction<TipPoint> curve, double a, double b, List<TipPoint> to, int deep) {
        TipPoint end = curve.apply(b);
        TipPoint middle = curve.apply((a + b) / 2);
        TipPoint start = to.get(to.size() - 1);
        if (deep == 0 || middle.distance(start.middle(end)) <= tolerance / 2) {
            to.add(end);
            return;
        }
        add(curve, a, (a + b) / 2, to, deep - 1);
        add(curve, (a + b) / 2, b, to, deep - 1);
    }
}
