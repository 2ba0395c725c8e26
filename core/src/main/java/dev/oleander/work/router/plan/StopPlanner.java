package dev.oleander.work.router.plan;

import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.axis.AxisPoint;
import dev.oleander.geometry.axis.Branch;
import dev.oleander.geometry.axis.MiddleAxis;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.material.Wanted;
import dev.oleander.work.router.operation.On;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.operation.Operation.Bore;
import dev.oleander.work.router.operation.Operation.Clear;
import dev.oleander.work.router.operation.Operation.Slot;
import dev.oleander.work.router.plan.RouterStop.Figures;
import dev.oleander.work.router.pocket.Reach;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.tool.ToolKind;
import dev.oleander.work.router.way.Clearing;
import dev.oleander.work.router.way.Descent;
import dev.oleander.work.router.way.Entry;
import dev.oleander.work.router.way.EvenWay;
import dev.oleander.work.router.way.Finish;
import dev.oleander.work.router.way.FinishWay;
import dev.oleander.work.router.way.HoleWay;
import dev.oleander.work.router.way.PocketWay;
import dev.oleander.work.router.way.ToolWay;
import dev.oleander.work.router.way.ZigzagWay;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Plans one operation on one closed feature with one tool. */
final class StopPlanner {

    /** Share of its diameter within which a smaller tool turns and comes in beside a rest. */
    private static final double NEAR = 0.1;

    /** mm that neighbouring rounds of a ball may overlap, so that they are not taken for apart. */
    private static final double BESIDE = 0.005;

    /** mm by which a slot may be wider than the tool and still be one way. */
    private static final double ONE_WAY = 0.02;

    private final RouterTask task;
    private final Operation operation;
    private final Tool tool;
    private final LevelPlan levels;
    private final Descent down;
    private final Optional<Tool> before;

    /**
     * @param before tool that has left the rest which the operation takes; empty when it takes none
     */
    StopPlanner(RouterTask task, Operation operation, Tool tool, Optional<Tool> before) {
        this.before = before;
        this.task = task;
        this.operation = operation;
        this.tool = tool;
        this.levels = new LevelPlan(task, operation);
        boolean clears = operation.what() instanceof Clear;
        Entry entry = operation.what().entry();
        this.down = clears ? Entries.ofAny(tool, entry) : Entries.of(tool, entry);
    }

    /**
     * @throws CannotException when it cannot be done so
     */
    RouterStop plan(Feature feature) {
        Closed.require(feature, operation.what());
        if (operation.what() instanceof Clear clear) {
            return clear(feature, clear);
        }
        if (operation.what() instanceof Slot slot) {
            return slot(feature, slot);
        }
        return bore(feature, (Bore) operation.what());
    }

    private RouterStop stop(
            Feature feature, List<Double> of, ToolWay way, Figures figures, boolean frees) {
        return RouterStop.done(
                        operation, feature.id(), List.of(feature.id()), tool, of, way, figures)
                .freeing(frees);
    }

    // ---- pockets

    private RouterStop clear(Feature feature, Clear clear) {
        requireCrest(clear);
        List<Double> of = levels.of(clear.depth(), clear.steps(), tool);
        return clear(feature, clear, of, levels.from(), true);
    }

    /**
     * One level of a pocket.
     *
     * @param all levels of it
     * @param number which of them, from 0
     */
    RouterStop level(Feature feature, Clear clear, List<Double> all, int number) {
        double above = number == 0 ? levels.from() : all.get(number - 1);
        boolean last = number == all.size() - 1;
        RouterStop level = clear(feature, clear, List.of(all.get(number)), above, last);
        // what is asked for is there when the last is cut
        RouterStop asking = last ? level : level.asking(Wanted.NOTHING);
        return asking.asLevel(number + 1, above);
    }

    /**
     * @param above depth to which there is nothing, mm below the top of the stock
     * @param last whether it goes down to the floor
     */
    private RouterStop clear(
            Feature feature, Clear clear, List<Double> of, double above, boolean last) {
        double over = clear.over(tool, task.steps().apply(tool).over());
        LevelPlan.requireOver(over);
        Region pocket = pocket(feature, clear.islands());
        Reach reach = reach(pocket, clear);
        if (reach.centres().isEmpty()) {
            throw TooWide.of(task, operation, tool, pocket, feature.id());
        }
        Finish finish = clear.finish();
        if (finish.cuts() > 0) {
            Finishes.requireLead(finish, tool);
            Finishes.requireRoom(inside(reach, clear.allowance()), finish, feature.id());
        }
        ToolWay way = new ToolWay(task.heights());
        List<Descent.Hole> holes =
                down.needsHole() ? StartHoles.of(task, tool, of.get(of.size() - 1)) : List.of();
        Clearing clearing = clearing(reach, clear, over * tool.diameter(), down.withHoles(holes));
        RouterStop stop = cleared(feature, of, above, reach, way, clearing);
        if (down.needsHole()) {
            StartHoles.require(task, tool, holes, way.legs(), above);
        }
        if (finish.cuts() == 0 || finish.atDepth() && !last) {
            return stop;
        }
        boolean wallOnRight = clear.climb() != tool.edges().left();
        FinishWay.ofPocket(way, reach, clear.allowance(), finish, wallOnRight, of);
        return stop.going(way);
    }

    /** Only a ball leaves crests, lower than its middle. */
    private void requireCrest(Clear clear) {
        boolean ball = tool.kind() == ToolKind.BALL;
        if (clear.crest().isPresent() && (!ball || clear.crest().get() > tool.diameter() / 4)) {
            throw new CannotException(
                    "A crest of %s mm: tool %d is a %s of %s mm, and only a ball leaves crests, up to a quarter of its diameter.",
                    Numbers.plain(clear.crest().get(), 3),
                    tool.number(),
                    tool.kind().label(),
                    Numbers.plain(tool.diameter(), 3));
        }
    }

    private static List<Region> inside(Reach reach, double off) {
        return off > 0 ? Offsetter.round().offset(reach.centres(), -off) : reach.centres();
    }

    private Clearing clearing(Reach reach, Clear clear, double step, Descent by) {
        boolean wallOnRight = clear.climb() != tool.edges().left();
        double left = clear.allowance() + clear.finish().left();
        return switch (clear.manner().kind()) {
            case PARALLEL -> {
                boolean ball = tool.kind() == ToolKind.BALL;
                double fills = ball ? step / 2 + BESIDE : tool.diameter() / 2;
                yield new PocketWay(reach, left, step, wallOnRight, by, fills);
            }
            case EVEN -> new EvenWay(reach, left, step, wallOnRight, by);
            case ZIGZAG -> {
                double angle = clear.manner().angle();
                yield new ZigzagWay(reach, left, step, angle, wallOnRight, by);
            }
        };
    }

    private RouterStop cleared(
            Feature feature,
            List<Double> of,
            double above,
            Reach reach,
            ToolWay way,
            Clearing pocket) {
        if (!pocket.add(way, of, -above)) {
            throw Entries.noRoom(tool, down, feature.id());
        }
        Figures figures = Figures.ofPocket(reach, pocket);
        boolean frees = of.get(of.size() - 1) >= task.thickness();
        return stop(feature, of, way, figures, frees)
                .asking(Wanted.of(reach.pocket(), of.get(of.size() - 1)));
    }

    private Reach reach(Region pocket, Clear clear) {
        if (clear.restOf().isEmpty()) {
            return Reach.of(List.of(pocket), tool.diameter() / 2);
        }
        Tool larger =
                before.orElseThrow(
                        () ->
                                new CannotException(
                                        "There is no operation %s here whose rest could be taken.",
                                        clear.restOf().get()));
        Reach left = Reach.of(List.of(pocket), larger.diameter() / 2);
        return left.restBy(tool.diameter() / 2, NEAR * tool.diameter());
    }

    /** With its islands: those that are wished, or what the drawing has in it. */
    private Region pocket(Feature feature, Optional<On> islands) {
        Contour outer = feature.contour().turning(true);
        List<Feature> wished =
                islands.map(on -> on.of(task.reading())).orElseGet(() -> openingsIn(feature));
        List<Contour> within =
                wished.stream()
                        .filter(f -> f.isClosed() && outer.contains(f.chain().start()))
                        .map(f -> f.contour().turning(false))
                        .toList();
        return new Region(outer, within);
    }

    private List<Feature> openingsIn(Feature feature) {
        return task.reading().features().stream()
                .filter(f -> f.parent().equals(Optional.of(feature.id())) && f.isWorked())
                .toList();
    }

    // ---- slots and round holes

    private RouterStop slot(Feature feature, Slot slot) {
        List<Double> of = levels.of(slot.depth(), slot.steps(), tool);
        Region region = new Region(feature.contour().turning(true), List.of());
        double width = 2 * TooWide.widest(region);
        if (width < tool.diameter() - ONE_WAY) {
            throw TooWide.of(task, operation, tool, region, feature.id());
        }
        if (width > tool.diameter() + ONE_WAY) {
            Reach reach = Reach.of(List.of(region), tool.diameter() / 2);
            double step = task.steps().apply(tool).over() * tool.diameter();
            boolean wallOnRight = slot.climb() != tool.edges().left();
            Clearing wide = new PocketWay(reach, 0, step, wallOnRight, down);
            return cleared(feature, of, levels.from(), reach, new ToolWay(task.heights()), wide);
        }
        ToolWay way = new ToolWay(task.heights());
        LineWay.add(way, List.of(middle(region)), of, -levels.from(), tool, down);
        double area = region.area();
        return stop(
                        feature,
                        of,
                        way,
                        new Figures(area, area, 0, 0, 0, List.of(), 0, 0, List.of(), List.of()),
                        false)
                .asking(Wanted.of(List.of(region), of.get(of.size() - 1)));
    }

    /** The line along which the tool fills a slot. */
    private Path middle(Region slot) {
        double radius = tool.diameter() / 2 - ONE_WAY;
        List<Segment> all = new ArrayList<>();
        for (Branch branch : MiddleAxis.of(List.of(slot))) {
            AxisPoint from = branch.start();
            AxisPoint to = branch.end();
            boolean full = Math.min(from.radius(), to.radius()) >= radius;
            Point a = new Point(from.x(), from.y());
            Point b = new Point(to.x(), to.y());
            if (full && a.distance(b) > ONE_WAY) {
                all.add(new Line(a, b));
            }
        }
        if (all.size() != 1) {
            throw new CannotException(
                    "This is no straight slot as wide as tool %d.", tool.number());
        }
        return new Path(all);
    }

    private RouterStop bore(Feature feature, Bore bore) {
        double diameter =
                feature.circleDiameter()
                        .orElseThrow(
                                () ->
                                        new CannotException(
                                                "%s is no round hole; it cannot be bored.",
                                                feature.id()));
        if (tool.diameter() > HoleWay.WIDEST * diameter) {
            throw new CannotException(
                    "A hole of %s mm; tool %d has %s mm, and boring needs one of up to %s mm.",
                    Numbers.plain(diameter, 3),
                    tool.number(),
                    Numbers.plain(tool.diameter(), 3),
                    Numbers.plain(HoleWay.WIDEST * diameter, 3));
        }
        List<Double> of = levels.of(bore.depth(), bore.steps(), tool);
        ToolWay way = new ToolWay(task.heights());
        Point centre = feature.chain().box().centre();
        boolean done =
                HoleWay.bore(
                        way, centre, diameter / 2, tool.diameter() / 2, of, -levels.from(), down);
        if (!done) {
            throw new CannotException(
                    "Tool %d does not cut in its middle and there is no room for a helix of %s mm: drill a start hole.",
                    tool.number(), Numbers.plain(tool.edges().deadDiameter(), 2));
        }
        Region hole = new Region(Contour.circle(centre, diameter / 2), List.of());
        return stop(feature, of, way, Figures.ofVisits(List.of(centre), 0), false)
                .asking(Wanted.of(List.of(hole), of.get(of.size() - 1)));
    }
}
