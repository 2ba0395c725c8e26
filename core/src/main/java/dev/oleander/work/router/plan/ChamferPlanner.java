package dev.oleander.work.router.plan;

import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.operation.Operation.Chamfer;
import dev.oleander.work.router.plan.RouterStop.Figures;
import dev.oleander.work.router.tool.Levels;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.way.HeightLine;
import dev.oleander.work.router.way.Leg.Pace;
import dev.oleander.work.router.way.ToolWay;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Slopes between a rim and the curve of the tip: depth (distance to the rim - tip/2) /
 * tan(angle/2), so that each circle of the cone at the top touches the rim.
 */
final class ChamferPlanner {

    /** mm by which the height may differ from the true one between two places. */
    private static final double EXACT = 5e-4;

    /** mm; no two places of a way are closer. */
    private static final double LEAST = 1e-3;

    private static final int MOST_HALVINGS = 16;

    private final RouterTask task;
    private final Operation operation;
    private final Tool tool;
    private final Chamfer chamfer;

    ChamferPlanner(RouterTask task, Operation operation, Tool tool) {
        this.task = task;
        this.operation = operation;
        this.tool = tool;
        this.chamfer = (Chamfer) operation.what();
    }

    RouterStop plan(Feature tip) {
        Chain rim = rim(tip);
        List<double[]> knots = knots(tip.chain(), rim);
        double deepest = knots.stream().mapToDouble(k -> -k[1]).max().orElseThrow();
        if (deepest > tool.edges().length() && !operation.beyondFlutes()) {
            throw new CannotException(
                    "The slope is %s mm deep; tool %d has %s mm of flutes.",
                    Numbers.plain(deepest, 2),
                    tool.number(),
                    Numbers.plain(tool.edges().length(), 2));
        }
        double most = chamfer.steps().down().orElseGet(() -> task.steps().apply(tool).down());
        HeightLine line = HeightLine.of(knots);
        double length = tip.chain().length();
        ToolWay way = new ToolWay(task.heights());
        List<Double> levels = Levels.equal(deepest, most, 0);
        for (double level : levels) {
            HeightLine cut = line.higherOf(HeightLine.level(-level, length));
            way.comeTo(tip.chain().start(), 0);
            way.upright(cut.at(0), Pace.PLUNGE);
            way.along(tip.chain().segments(), cut);
            way.leave();
        }
        return RouterStop.done(
                operation, tip.id(), List.of(tip.id()), tool, levels, way, Figures.NONE);
    }

    /** The one nearest to the tip's curve. */
    private Chain rim(Feature tip) {
        Point start = tip.chain().start();
        return chamfer.rim().of(task.reading()).stream()
                .map(Feature::chain)
                .min(Comparator.comparingDouble(c -> c.nearest(start).point().distance(start)))
                .orElseThrow(
                        () ->
                                new CannotException(
                                        "There is no rim on %s.", chamfer.rim().sentence()));
    }

    /** Distance along the curve and height, so close that lines between them are true. */
    private List<double[]> knots(Chain tip, Chain rim) {
        List<double[]> knots = new ArrayList<>();
        double before = 0;
        for (Segment segment : tip.segments()) {
            add(knots, segment, rim, before, 0, 1, MOST_HALVINGS);
            before += segment.length();
        }
        Point end = tip.segments().get(tip.segments().size() - 1).end();
        knots.add(new double[] {before, height(end, rim)});
        return knots;
    }

    private void add(
            List<double[]> knots,
            Segment segment,
            Chain rim,
            double before,
            double from,
            double to,
            int halvings) {
        double middle = (from + to) / 2;
        double a = height(segment.at(from), rim);
        double b = height(segment.at(to), rim);
        double off = 0;
        for (double share : new double[] {0.25, 0.5, 0.75}) {
            double there = height(segment.at(from + share * (to - from)), rim);
            off = Math.max(off, Math.abs(there - a - share * (b - a)));
        }
        boolean fine = halvings == 0 || (to - from) * segment.length() < LEAST;
        if (fine || off <= EXACT && halvings < MOST_HALVINGS) {
            knots.add(new double[] {before + from * segment.length(), a});
            return;
        }
        add(knots, segment, rim, before, from, middle, halvings - 1);
        add(knots, segment, rim, before, middle, to, halvings - 1);
    }

    private double height(Point p, Chain rim) {
        double flat = tool.form().tipDiameter() / 2;
        double off = rim.nearest(p).point().distance(p) - flat;
        if (off <= 0) {
            throw new CannotException(
                    "The tip's curve comes within %s mm of the rim at %s, %s: less than half the tip.",
                    Numbers.plain(off + flat, 3), Numbers.plain(p.x(), 1), Numbers.plain(p.y(), 1));
        }
        return -off / tool.form().halfTangent();
    }
}
