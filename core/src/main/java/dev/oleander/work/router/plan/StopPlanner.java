package dev.oleander.work.router.plan;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Feature.Kind;
import dev.oleander.drawing.read.Part;
import dev.oleander.geometry.Box;
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
import dev.oleander.geometry.overlay.Overlay;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.material.Wanted;
import dev.oleander.work.router.operation.On;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.operation.Operation.Bore;
import dev.oleander.work.router.operation.Operation.Clear;
import dev.oleander.work.router.operation.Operation.Round;
import dev.oleander.work.router.operation.Operation.Slot;
import dev.oleander.work.router.plan.RouterStop.Figures;
import dev.oleander.work.router.pocket.Reach;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.way.Clearing;
import dev.oleander.work.router.way.ContourWay;
import dev.oleander.work.router.way.HoleWay;
import dev.oleander.work.router.way.PocketWay;
import dev.oleander.work.router.way.ToolWay;
import dev.oleander.work.router.way.ZigzagWay;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Plans one operation on one closed feature with one tool. */
final class StopPlanner {

    /** Share of its diameter within which a smaller tool turns and comes in beside a rest. */
    private static final double NEAR = 0.1;

    /** mm by which a slot may be wider than the tool and still be one way. */
    private static final double ONE_WAY = 0.02;

    private final RouterTask task;
    private final Operation operation;
    private final Tool tool;
    private final LevelPlan levels;
    private final double ramp;
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
        this.ramp = Math.toRadians(tool.edges().rampAngle());
    }

    /**
     * @throws CannotException when it cannot be done so
     */
    RouterStop plan(Feature feature) {
        requireClosed(feature);
        if (operation.what() instanceof Round round) {
            return round(feature, round);
        }
        if (operation.what() instanceof Clear clear) {
            return clear(feature, clear);
        }
        if (operation.what() instanceof Slot slot) {
            return slot(feature, slot);
        }
        return bore(feature, (Bore) operation.what());
    }

    private void requireClosed(Feature feature) {
        if (!feature.isClosed()) {
            Point from = feature.chain().start();
            throw new CannotException(
                    "Contour %s is open (%s mm at %s, %s): a %s needs a closed one.",
                    feature.id(),
                    Numbers.plain(from.distance(feature.chain().end()), 2),
                    Numbers.plain(from.x(), 1),
                    Numbers.plain(from.y(), 1),
                    operation.what().word());
        }
    }

    private RouterStop stop(
            Feature feature, List<Double> of, ToolWay way, Figures figures, boolean frees) {
        return RouterStop.done(
                        operation, feature.id(), List.of(feature.id()), tool, of, way, figures)
                .freeing(frees);
    }

    // ---- round a contour

    private RouterStop round(Feature feature, Round round) {
        requireTabs(round);
        List<Double> of = levels.of(round.depth(), round.steps(), tool);
        ContourWay.Side side =
                round.side()
                        .orElse(
                                feature.kind() == Kind.OUTLINE
                                        ? ContourWay.Side.OUTSIDE
                                        : ContourWay.Side.INSIDE);
        ToolWay way = new ToolWay(task.heights());
        ContourWay.Cut cut =
                new ContourWay.Cut(
                        feature.contour(),
                        side,
                        round.allowance(),
                        of,
                        task.thickness(),
                        round.tabs(),
                        round.climb());
        List<ContourWay.Done> done = ContourWay.add(way, cut, tool, ramp);
        if (done.isEmpty()) {
            throw tooWide(new Region(feature.contour().turning(true), List.of()), feature);
        }
        int tabs = done.stream().mapToInt(ContourWay.Done::tabs).sum();
        boolean through = of.get(of.size() - 1) >= task.thickness();
        Figures figures = Figures.ofContour(tabs, corners(feature.contour(), side));
        return stop(feature, of, way, figures, through && tabs == 0)
                .asking(kerf(feature, side, of, round, done));
    }

    /** What no way beside a contour reaches: corners sharper than the tool is round. */
    private double corners(Contour drawn, ContourWay.Side side) {
        if (side == ContourWay.Side.ON) {
            return 0;
        }
        double radius = (side == ContourWay.Side.INSIDE ? -1 : 1) * tool.diameter() / 2;
        Region inner = new Region(drawn.turning(true), List.of());
        List<Region> axis = Offsetter.round().offset(inner, radius);
        double reached = Reach.area(Offsetter.round().offset(axis, -radius));
        return Math.max(0, Math.signum(radius) * (reached - inner.area()));
    }

    /** A way as wide as the tool along the drawn line, but for tabs; not through other parts. */
    private Wanted kerf(
            Feature feature,
            ContourWay.Side side,
            List<Double> of,
            Round round,
            List<ContourWay.Done> done) {
        double wide = tool.diameter();
        Contour drawn = feature.contour().turning(true);
        Region inner = new Region(drawn, List.of());
        List<Region> band =
                switch (side) {
                    case OUTSIDE ->
                            Overlay.difference(
                                    Offsetter.round().offset(drawn, wide), List.of(inner));
                    case INSIDE ->
                            Overlay.difference(
                                    List.of(inner), Offsetter.round().offset(drawn, -wide));
                    case ON ->
                            Overlay.difference(
                                    Offsetter.round().offset(drawn, wide / 2),
                                    Offsetter.round().offset(drawn, -wide / 2));
                };
        Box near = drawn.box().grown(wide);
        List<Region> others =
                task.reading().parts().stream()
                        .filter(p -> !Optional.of(p.id()).equals(feature.part()))
                        .map(Part::region)
                        .filter(r -> r.box().touches(near))
                        .toList();
        List<Wanted.Kept> tabs = new ArrayList<>();
        for (ContourWay.Done one : done) {
            one.line()
                    .map(l -> l.standing(one.contour(), tool.diameter() / 2))
                    .orElse(List.of())
                    .forEach(s -> tabs.add(new Wanted.Kept(s.around(), s.core(), tabTop(round))));
        }
        return new Wanted(Overlay.difference(band, others), of.get(of.size() - 1), tabs);
    }

    private double tabTop(Round round) {
        return task.thickness() - round.tabs().orElseThrow().height();
    }

    private void requireTabs(Round round) {
        round.tabs()
                .filter(t -> t.height() >= task.thickness())
                .ifPresent(
                        t -> {
                            throw new CannotException(
                                    "Tabs %s mm high hold stock of %s mm: the outline would not be cut.",
                                    Numbers.plain(t.height(), 3),
                                    Numbers.plain(task.thickness(), 3));
                        });
    }

    // ---- pockets

    private RouterStop clear(Feature feature, Clear clear) {
        double over = clear.over().orElseGet(() -> task.steps().apply(tool).over());
        LevelPlan.requireOver(over);
        List<Double> of = levels.of(clear.depth(), clear.steps(), tool);
        Region pocket = pocket(feature, clear.islands());
        Reach reach = reach(pocket, clear);
        if (reach.centres().isEmpty()) {
            throw tooWide(pocket, feature);
        }
        Optional<Clearing> straight =
                clear.zigzag().map(angle -> zigzag(reach, clear, over, angle));
        return cleared(
                feature,
                of,
                reach,
                straight.orElseGet(() -> rounds(reach, clear.allowance(), over, clear.climb())));
    }

    private Clearing zigzag(Reach reach, Clear clear, double over, double angle) {
        return new ZigzagWay(
                reach,
                clear.allowance(),
                over * tool.diameter(),
                angle,
                clear.climb() != tool.edges().left(),
                ramp);
    }

    private Clearing rounds(Reach reach, double allowance, double over, boolean climb) {
        boolean wallOnRight = climb != tool.edges().left();
        return new PocketWay(reach, allowance, over * tool.diameter(), wallOnRight, ramp);
    }

    private RouterStop cleared(Feature feature, List<Double> of, Reach reach, Clearing pocket) {
        ToolWay way = new ToolWay(task.heights());
        if (!pocket.add(way, of, -levels.from())) {
            throw new CannotException(
                    "Tool %d does not find a way down of at most %s° in %s: drill a start hole.",
                    tool.number(), Numbers.plain(tool.edges().rampAngle(), 2), feature.id());
        }
        Figures figures = Figures.ofPocket(reach, pocket.leftArea());
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

    /** Says how wide it is, and what would fit. */
    private CannotException tooWide(Region pocket, Feature feature) {
        double widest = 2 * widest(pocket);
        return new CannotException(
                "%s is %s mm wide at its widest; tool %d has %s mm. Choose up to %s mm%s.",
                feature.id(),
                Numbers.plain(widest, 3),
                tool.number(),
                Numbers.plain(tool.diameter(), 3),
                Numbers.plain(widest, 3),
                fitting(widest).map(t -> wouldLeave(t, pocket)).orElse(""));
    }

    private Optional<Tool> fitting(double widest) {
        return task.tools().stream()
                .filter(t -> Suitable.whyNot(t, operation.what()).isEmpty())
                .filter(t -> t.diameter() <= widest)
                .max(Comparator.comparingDouble(Tool::diameter));
    }

    private static String wouldLeave(Tool other, Region pocket) {
        double left = Reach.area(Reach.of(List.of(pocket), other.diameter() / 2).rest());
        return ": tool %d (%s mm) would leave %s mm2"
                .formatted(
                        other.number(), Numbers.plain(other.diameter(), 3), Numbers.plain(left, 1));
    }

    /** Radius of the largest disc in a region, mm. */
    private static double widest(Region region) {
        var circle = region.outer().circleDiameter(1e-6);
        if (circle.isPresent() && region.openings().isEmpty()) {
            return circle.getAsDouble() / 2;
        }
        double widest = 0;
        for (Branch branch : MiddleAxis.of(List.of(region))) {
            for (int i = 0; i <= 8; i++) {
                widest = Math.max(widest, branch.at(i / 8.0).radius());
            }
        }
        return widest;
    }

    // ---- slots and round holes

    private RouterStop slot(Feature feature, Slot slot) {
        List<Double> of = levels.of(slot.depth(), slot.steps(), tool);
        Region region = new Region(feature.contour().turning(true), List.of());
        double width = 2 * widest(region);
        if (width < tool.diameter() - ONE_WAY) {
            throw tooWide(region, feature);
        }
        if (width > tool.diameter() + ONE_WAY) {
            Reach reach = Reach.of(List.of(region), tool.diameter() / 2);
            double over = task.steps().apply(tool).over();
            return cleared(feature, of, reach, rounds(reach, 0, over, slot.climb()));
        }
        ToolWay way = new ToolWay(task.heights());
        LineWay.add(way, List.of(middle(region)), of, -levels.from(), tool);
        double area = region.area();
        return stop(feature, of, way, new Figures(area, area, 0, 0, 0, List.of(), 0, 0), false)
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
                        way,
                        centre,
                        diameter / 2,
                        tool.diameter() / 2,
                        of,
                        -levels.from(),
                        ramp,
                        tool.edges().deadDiameter());
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
