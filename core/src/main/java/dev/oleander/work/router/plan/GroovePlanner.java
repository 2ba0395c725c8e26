package dev.oleander.work.router.plan;

import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.operation.Operation.Groove;
import dev.oleander.work.router.plan.RouterStop.Figures;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.way.Leg.Pace;
import dev.oleander.work.router.way.ToolWay;
import java.util.ArrayList;
import java.util.List;

/** Grooves by a saw: as many ways side by side as the width takes. */
final class GroovePlanner {

    /** Share of the blade by which neighbouring ways lie apart. */
    private static final double BESIDE = 0.9;

    private final RouterTask task;
    private final Operation operation;
    private final Tool tool;
    private final Groove groove;

    GroovePlanner(RouterTask task, Operation operation, Tool tool) {
        this.task = task;
        this.operation = operation;
        this.tool = tool;
        this.groove = (Groove) operation.what();
    }

    RouterStop plan(Feature feature) {
        LevelPlan levels = new LevelPlan(task, operation);
        double depth = levels.below(groove.depth());
        double cut = depth - levels.from();
        if (cut > tool.edges().length()) {
            throw new CannotException(
                    "Saw %d reaches %s mm; the groove is %s mm deep.",
                    tool.number(), Numbers.plain(tool.edges().length(), 3), Numbers.plain(cut, 3));
        }
        Line line = line(feature, cut);
        ToolWay way = new ToolWay(task.heights());
        boolean back = false;
        for (double off : offs()) {
            Line along = (Line) line.parallel(off).orElseThrow();
            Line own = back ? (Line) along.reversed() : along;
            way.comeTo(own.start(), -levels.from());
            way.upright(-depth, Pace.PLUNGE);
            way.along(List.of((Segment) own));
            way.leave();
            back = !back;
        }
        return RouterStop.done(
                operation,
                feature.id(),
                List.of(feature.id()),
                tool,
                List.of(depth),
                way,
                Figures.NONE);
    }

    /** How far the blade cuts beyond its full depth at each end: sqrt(d (Ds - d)). */
    static double runOut(double depth, double diameter) {
        return Math.sqrt(depth * (diameter - depth));
    }

    /** The way of the saw's axis. */
    private Line line(Feature feature, double cut) {
        List<Segment> segments = feature.chain().segments();
        if (segments.size() != 1 || !(segments.get(0) instanceof Line line)) {
            throw new CannotException(
                    "%s is no straight line; a saw cuts along one.", feature.id());
        }
        if (groove.open()) {
            return line;
        }
        double out = runOut(cut, tool.diameter());
        if (line.length() <= 2 * out) {
            throw new CannotException(
                    "%s is %s mm long; a blade of %s mm runs out %s mm at each end.",
                    feature.id(),
                    Numbers.plain(line.length(), 2),
                    Numbers.plain(tool.diameter(), 2),
                    Numbers.plain(out, 2));
        }
        Point along = line.direction(0).times(out);
        return new Line(line.start().plus(along), line.end().minus(along));
    }

    /** mm to the left of the line, of each way: ceil((w - k) / (0.9 k)) + 1 of them. */
    private List<Double> offs() {
        double blade = tool.form().bladeWidth();
        double width = groove.width().orElse(blade);
        if (width < blade - 1e-9) {
            throw new CannotException(
                    "A groove of %s mm; the blade of tool %d is %s mm wide.",
                    Numbers.plain(width, 3), tool.number(), Numbers.plain(blade, 3));
        }
        double spare = width - blade;
        int ways = (int) Math.ceil(spare / (BESIDE * blade) - 1e-9) + 1;
        List<Double> offs = new ArrayList<>();
        for (int i = 0; i < ways; i++) {
            offs.add(ways == 1 ? 0 : -spare / 2 + spare * i / (ways - 1));
        }
        return offs;
    }
}
