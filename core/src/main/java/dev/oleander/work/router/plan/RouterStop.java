package dev.oleander.work.router.plan;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Transform;
import dev.oleander.plan.bed.Placement;
import dev.oleander.work.router.material.Cutting;
import dev.oleander.work.router.material.Engaged;
import dev.oleander.work.router.material.Wanted;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.pocket.Reach;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.way.Clearing;
import dev.oleander.work.router.way.Leg;
import dev.oleander.work.router.way.ToolWay;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * One operation with one tool on one feature, or on all equal holes.
 *
 * @param id of the operation, and of the feature where it has several
 * @param operation its id
 * @param features ids of what it is done to
 * @param tool empty when there is none that can
 * @param levels depths below the top of the stock, mm, the shallowest first
 * @param refusal why it cannot be done as it is wished, a sentence; empty when it can
 * @param frees whether something comes free by it
 * @param turns of the work for each copy round the axis, degrees; none: as it lies
 * @param wanted what the drawing asks for
 * @param copy number of the copy it lies on; 0: in the drawing itself
 * @param stage whether it is all of what is done to its feature, or a part of it
 * @param wrap stock round which its ways are laid, as they are drawn; empty: they are not
 */
public record RouterStop(
        String id,
        String operation,
        List<String> features,
        Optional<Tool> tool,
        List<Double> levels,
        List<Leg> legs,
        Figures figures,
        Optional<String> refusal,
        boolean frees,
        List<Double> turns,
        Wanted wanted,
        int copy,
        Stage stage,
        Optional<RoundStock> wrap) {

    /**
     * A part of what is done to a feature.
     *
     * @param above depth to which stops before it have cut there, mm below the top of the stock;
     *     empty: none has
     * @param skin whether it cuts what was left of an outline till then
     */
    public record Stage(Optional<Double> above, boolean skin) {

        static final Stage WHOLE = new Stage(Optional.empty(), false);
    }

    public boolean skin() {
        return stage.skin();
    }

    /** Whether it is a level of the same that another goes on below. */
    public boolean isLevelAbove(RouterStop other) {
        return isAbove(other) && features.equals(other.features);
    }

    /** Whether both are levels of one operation, and the other's comes later. */
    boolean isAbove(RouterStop other) {
        return stage.above().isPresent()
                && other.stage.above().isPresent()
                && operation.equals(other.operation)
                && stage.above().get() < other.stage.above().get();
    }

    /** From the left, then from below. */
    static final Comparator<Point> BY_PLACE =
            Comparator.comparingDouble(Point::x).thenComparingDouble(Point::y);

    /** mm within which depths are one. */
    private static final double SAME = 1e-6;

    private static final String SKIN = " skin";

    private static final String LEVEL = " level ";

    /**
     * One that can be done.
     *
     * @param part of the operation: the feature, or what tells it from others; empty: all of it
     */
    static RouterStop done(
            Operation operation,
            String part,
            List<String> features,
            Tool tool,
            List<Double> levels,
            ToolWay way,
            Figures figures) {
        return new RouterStop(
                id(operation, part),
                operation.id(),
                features,
                Optional.of(tool),
                levels,
                way.legs(),
                figures,
                Optional.empty(),
                false,
                List.of(),
                Wanted.NOTHING,
                0,
                Stage.WHOLE,
                Optional.empty());
    }

    /**
     * One that cannot.
     *
     * @param sentence why
     */
    static RouterStop refused(
            Operation operation,
            String part,
            List<String> features,
            Optional<Tool> tool,
            String sentence) {
        return new RouterStop(
                id(operation, part),
                operation.id(),
                features,
                tool,
                List.of(),
                List.of(),
                Figures.NONE,
                Optional.of(sentence),
                false,
                List.of(),
                Wanted.NOTHING,
                0,
                Stage.WHOLE,
                Optional.empty());
    }

    /**
     * One of an operation that cannot be read.
     *
     * @param sentence why
     */
    public static RouterStop unreadable(String operation, List<String> features, String sentence) {
        return new RouterStop(
                operation,
                operation,
                features,
                Optional.empty(),
                List.of(),
                List.of(),
                Figures.NONE,
                Optional.of(sentence),
                false,
                List.of(),
                Wanted.NOTHING,
                0,
                Stage.WHOLE,
                Optional.empty());
    }

    /**
     * Several that are done one after the other with one tool, as one.
     *
     * @param each alike but for their places; at least one
     */
    static RouterStop together(Operation operation, String part, List<RouterStop> each) {
        RouterStop first = each.get(0);
        List<Leg> legs = new ArrayList<>(first.legs);
        for (RouterStop next : each.subList(1, each.size())) {
            Leg last = legs.get(legs.size() - 1);
            legs.add(Leg.travel(last.to(), next.begin(), last.toZ()));
            legs.addAll(next.legs);
        }
        List<Point> visits = each.stream().flatMap(s -> s.figures.visits().stream()).toList();
        List<Region> regions = each.stream().flatMap(s -> s.wanted.regions().stream()).toList();
        return new RouterStop(
                id(operation, part),
                operation.id(),
                each.stream().flatMap(s -> s.features.stream()).toList(),
                first.tool,
                first.levels,
                legs,
                Figures.ofVisits(visits, 0),
                Optional.empty(),
                false,
                List.of(),
                Wanted.of(regions, first.wanted.depth()),
                0,
                Stage.WHOLE,
                Optional.empty());
    }

    private static String id(Operation operation, String part) {
        return part.isEmpty() ? operation.id() : operation.id() + "/" + part;
    }

    /** The same, by which something comes free or does not. */
    RouterStop freeing(boolean value) {
        return with(refusal, value, turns, wanted);
    }

    /** The same for copies round the axis. */
    RouterStop turned(List<Double> all) {
        return with(refusal, frees, all, wanted);
    }

    /** The same with what the drawing asks for. */
    RouterStop asking(Wanted what) {
        return with(refusal, frees, turns, what);
    }

    /** The same that cannot be done after all. */
    public RouterStop refusing(String sentence) {
        return with(Optional.of(sentence), frees, turns, wanted);
    }

    /** The same that cuts what was left of an outline till then. */
    RouterStop asSkin() {
        Stage last = new Stage(Optional.empty(), true);
        return with(id + SKIN, legs, refusal, frees, turns, wanted, last, wrap);
    }

    /**
     * The same as one level of several.
     *
     * @param number of it, from 1
     * @param above depth to which those before have cut, mm below the top of the stock
     */
    RouterStop asLevel(int number, double above) {
        Stage level = new Stage(Optional.of(above), false);
        return with(id + LEVEL + number, legs, refusal, frees, turns, wanted, level, wrap);
    }

    /** The same, laid round stock. */
    RouterStop wrapped(RoundStock round) {
        List<Leg> lines = RoundStock.inLines(legs);
        return with(id, lines, refusal, frees, turns, wanted, stage, Optional.of(round));
    }

    /** The same on another way. */
    RouterStop going(ToolWay way) {
        return with(id, way.legs(), refusal, frees, turns, wanted, stage, wrap);
    }

    private RouterStop with(
            Optional<String> why, boolean freeing, List<Double> turned, Wanted asked) {
        return with(id, legs, why, freeing, turned, asked, stage, wrap);
    }

    private RouterStop with(
            String name,
            List<Leg> way,
            Optional<String> why,
            boolean freeing,
            List<Double> turned,
            Wanted asked,
            Stage part,
            Optional<RoundStock> round) {
        return new RouterStop(
                name, operation, features, tool, levels, way, figures, why, freeing, turned, asked,
                copy, part, round);
    }

    /** Its holes drilled several at once. */
    RouterStop inStrokes(List<Leg> way, List<Point> order, List<Long> choices) {
        return new RouterStop(
                id,
                operation,
                features,
                tool,
                levels,
                way,
                figures.inStrokes(order, choices),
                refusal,
                frees,
                turns,
                wanted,
                copy,
                stage,
                wrap);
    }

    /** This stop of the drawing, carried to where a copy lies. */
    public RouterStop at(String ofCopy, Placement placement) {
        Transform to = placement.transform();
        return new RouterStop(
                        ofCopy,
                        operation,
                        features,
                        tool,
                        levels,
                        legs.stream().map(leg -> leg.transformed(to)).toList(),
                        figures.transformed(to),
                        refusal,
                        frees,
                        turns,
                        wanted.transformed(to),
                        placement.copy(),
                        stage,
                        wrap.map(w -> w.transformed(to)))
                .lying(to);
    }

    /** A drill that lies looks one way, however a copy is turned. */
    private RouterStop lying(Transform to) {
        boolean turned = Math.abs(to.b()) > SAME || to.a() < 0 || to.isMirrored();
        boolean lies = tool.filter(t -> t.kind().lies()).isPresent();
        return isDone() && lies && turned
                ? refusing("The copy is turned, and the drill for this edge is not.")
                : this;
    }

    public RouterStop {
        turns = List.copyOf(turns);
        features = List.copyOf(features);
        levels = List.copyOf(levels);
        legs = List.copyOf(legs);
    }

    /**
     * What it comes to.
     *
     * @param area of the pocket, mm2
     * @param reachable what the tool can reach of it
     * @param rest what it cannot
     * @param between what it leaves of what it can reach
     * @param tabs that stand
     * @param visits middles of holes in their order
     * @param corners what the tool cannot reach in corners along a contour, mm2
     * @param volume that holes take away within the stock, mm3; 0 of others: their moves tell it
     * @param gaps between the rounds, which it goes through besides
     * @param strokes of a bank of drills, each as {@link dev.oleander.work.router.book.Bank} says
     *     its choice of drills; none: holes are drilled one by one
     */
    public record Figures(
            double area,
            double reachable,
            double rest,
            double between,
            int tabs,
            List<Point> visits,
            double corners,
            double volume,
            List<Region> gaps,
            List<Long> strokes) {

        public static final Figures NONE =
                new Figures(0, 0, 0, 0, 0, List.of(), 0, 0, List.of(), List.of());

        public Figures {
            visits = List.copyOf(visits);
            gaps = List.copyOf(gaps);
            strokes = List.copyOf(strokes);
        }

        Figures transformed(Transform to) {
            List<Point> there = visits.stream().map(to::apply).toList();
            List<Region> moved = gaps.stream().map(g -> g.transformed(to)).toList();
            return new Figures(
                    area, reachable, rest, between, tabs, there, corners, volume, moved, strokes);
        }

        Figures inStrokes(List<Point> order, List<Long> choices) {
            return new Figures(
                    area, reachable, rest, between, tabs, order, corners, volume, gaps, choices);
        }

        static Figures ofContour(int tabs, double corners) {
            return new Figures(0, 0, 0, 0, tabs, List.of(), corners, 0, List.of(), List.of());
        }

        static Figures ofPocket(Reach reach, Clearing way) {
            return new Figures(
                    Reach.area(reach.pocket()),
                    Reach.area(reach.clean()),
                    Reach.area(reach.rest()),
                    way.leftArea(),
                    0,
                    List.of(),
                    0,
                    0,
                    way.gaps(),
                    List.of());
        }

        static Figures ofVisits(List<Point> visits, double volume) {
            return new Figures(0, 0, 0, 0, 0, visits, 0, volume, List.of(), List.of());
        }
    }

    /** What it takes away; nothing when it is refused. */
    public Cutting cutting() {
        Tool.Form form = tool.orElseThrow().form();
        // what a drill that lies takes away has the stock above it
        return new Cutting(id, form, form.kind().lies() ? List.of() : legs);
    }

    /** How much its tool is in the work along its last level, which is like the others. */
    public Engaged engaged() {
        double z = -levels.get(levels.size() - 1);
        return Engaged.of(legs, tool.orElseThrow().diameter() / 2, z);
    }

    /** Number of the level that a leg leads to, from 1. */
    public int levelOf(Leg leg) {
        int level = 1;
        while (level < levels.size() && -leg.lowest() > levels.get(level - 1) + SAME) {
            level++;
        }
        return level;
    }

    /** mm that the tool cuts, with all turns of the work. */
    public double cutLength() {
        double once =
                legs.stream()
                        .filter(leg -> leg.cuts() && leg.pace() != Leg.Pace.LINK)
                        .mapToDouble(Leg::length)
                        .sum();
        return Math.max(1, turns.size()) * once;
    }

    public boolean isDone() {
        return refusal.isEmpty();
    }

    /** Where its way begins. */
    public Point begin() {
        return legs.get(0).from();
    }

    public Point end() {
        return legs.get(legs.size() - 1).to();
    }
}
