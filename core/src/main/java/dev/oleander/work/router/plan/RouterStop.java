package dev.oleander.work.router.plan;

import dev.oleander.geometry.Point;
import dev.oleander.work.router.material.Cutting;
import dev.oleander.work.router.material.Wanted;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.way.Leg;
import dev.oleander.work.router.way.ToolWay;
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
        Wanted wanted) {

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
                Wanted.NOTHING);
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
                Wanted.NOTHING);
    }

    private static String id(Operation operation, String part) {
        return part.isEmpty() ? operation.id() : operation.id() + "/" + part;
    }

    /** The same, by which something comes free or does not. */
    RouterStop freeing(boolean value) {
        return new RouterStop(
                id, operation, features, tool, levels, legs, figures, refusal, value, turns,
                wanted);
    }

    /** The same for copies round the axis. */
    RouterStop turned(List<Double> all) {
        return new RouterStop(
                id, operation, features, tool, levels, legs, figures, refusal, frees, all, wanted);
    }

    /** The same with what the drawing asks for. */
    RouterStop asking(Wanted what) {
        return new RouterStop(
                id, operation, features, tool, levels, legs, figures, refusal, frees, turns, what);
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
     */
    public record Figures(
            double area,
            double reachable,
            double rest,
            double between,
            int tabs,
            List<Point> visits) {

        public static final Figures NONE = new Figures(0, 0, 0, 0, 0, List.of());

        public Figures {
            visits = List.copyOf(visits);
        }

        static Figures ofTabs(int tabs) {
            return new Figures(0, 0, 0, 0, tabs, List.of());
        }

        static Figures ofVisits(List<Point> visits) {
            return new Figures(0, 0, 0, 0, 0, visits);
        }
    }

    /** What it takes away; nothing when it is refused. */
    public Cutting cutting() {
        return new Cutting(id, tool.orElseThrow().form(), legs);
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
