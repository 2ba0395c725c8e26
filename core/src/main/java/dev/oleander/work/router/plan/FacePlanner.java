package dev.oleander.work.router.plan;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Transform;
import dev.oleander.work.router.material.Wanted;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.operation.Operation.Face;
import dev.oleander.work.router.operation.Operation.Steps;
import dev.oleander.work.router.plan.RouterStop.Figures;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.way.HeightLine;
import dev.oleander.work.router.way.ToolWay;
import java.util.ArrayList;
import java.util.List;

/** Faces the whole stock: there and back, from beyond one edge to beyond the other. */
final class FacePlanner {

    /** Diameters by which every way runs out. */
    private static final double BEYOND = 0.6;

    private final RouterTask task;
    private final Operation operation;
    private final Tool tool;
    private final Face face;

    FacePlanner(RouterTask task, Operation operation, Tool tool) {
        this.task = task;
        this.operation = operation;
        this.tool = tool;
        this.face = (Face) operation.what();
        CannotException.throwIf(Suitable.whyNot(tool, face));
    }

    RouterStop plan() {
        double over = face.over().orElseGet(() -> task.steps().apply(tool).over());
        LevelPlan.requireOver(over);
        LevelPlan levels = new LevelPlan(task, operation);
        List<Double> of = levels.of(face.depth(), Steps.USUAL, tool);
        ToolWay way = new ToolWay(task.heights());
        List<Point> zigzag = zigzag(over * tool.diameter());
        for (double depth : of) {
            down(way, zigzag, depth, -levels.from());
            for (int i = 1; i < zigzag.size(); i++) {
                way.along(List.of(new Line(zigzag.get(i - 1), zigzag.get(i))));
            }
            way.leave();
        }
        return RouterStop.done(operation, "", List.of(), tool, of, way, Figures.NONE)
                .asking(
                        Wanted.of(
                                List.of(new Region(Contour.rectangle(task.stock()), List.of())),
                                of.get(of.size() - 1)));
    }

    /** Beside the stock, in the direction of the first way, as steeply as the tool may. */
    private void down(ToolWay way, List<Point> zigzag, double depth, double top) {
        double begin = top + task.heights().feedHeight();
        double far = (begin + depth) / Math.tan(Math.toRadians(tool.edges().rampAngle()));
        Point first = zigzag.get(0);
        Point there = zigzag.get(1).minus(first);
        Point from = first.minus(there.times(far / there.distance(Point.ORIGIN)));
        way.comeTo(from, top);
        Line ramp = new Line(from, first);
        way.along(
                List.of(ramp),
                HeightLine.of(
                        List.of(new double[] {0, begin}, new double[] {ramp.length(), -depth})));
    }

    /** Corners of the way, turned as it is wished. */
    private List<Point> zigzag(double step) {
        Transform turn = Transform.rotation(Math.toRadians(face.angle()));
        Transform back = Transform.rotation(-Math.toRadians(face.angle()));
        Box stock = task.stock();
        List<Point> corners =
                List.of(
                        stock.min(),
                        new Point(stock.max().x(), stock.min().y()),
                        stock.max(),
                        new Point(stock.min().x(), stock.max().y()));
        Box box = Box.of(back.apply(corners.get(0)), back.apply(corners.get(1)));
        for (Point corner : corners) {
            Point p = back.apply(corner);
            box = Box.around(List.of(box, new Box(p, p)));
        }
        double radius = tool.diameter() / 2;
        double first = box.min().y() + Math.min(radius, box.height() / 2);
        double last = box.max().y() - Math.min(radius, box.height() / 2);
        int ways = (int) Math.ceil((last - first) / step - 1e-9) + 1;
        double left = box.min().x() - BEYOND * tool.diameter();
        double right = box.max().x() + BEYOND * tool.diameter();
        List<Point> zigzag = new ArrayList<>();
        for (int i = 0; i < ways; i++) {
            double y = ways == 1 ? first : first + (last - first) * i / (ways - 1);
            boolean there = i % 2 == 0;
            zigzag.add(turn.apply(new Point(there ? left : right, y)));
            zigzag.add(turn.apply(new Point(there ? right : left, y)));
        }
        return zigzag;
    }
}
