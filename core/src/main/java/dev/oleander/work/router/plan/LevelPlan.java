package dev.oleander.work.router.plan;

import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.operation.Depth;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.operation.Operation.Face;
import dev.oleander.work.router.operation.Operation.Steps;
import dev.oleander.work.router.tool.Levels;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.tool.ToolKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The depths of an operation, from where it begins to where it ends. */
final class LevelPlan {

    /** Diameters; less is a mistake of typing, and ways without end. */
    private static final double LEAST_OVER = 0.01;

    private final RouterTask task;
    private final Operation operation;

    LevelPlan(RouterTask task, Operation operation) {
        this.task = task;
        this.operation = operation;
    }

    /** Depth at which the operation begins, mm: the floor of another one, or the top. */
    double from() {
        return operation.floorOf().flatMap(task::operation).map(LevelPlan::floor).orElse(0.0);
    }

    private static double floor(Operation of) {
        if (of.what() instanceof Face face) {
            return face.depth().mm().orElse(0.0);
        }
        if (of.what() instanceof Operation.Clear clear) {
            return clear.depth().mm().orElse(0.0);
        }
        return 0;
    }

    /** mm below the top of the stock. */
    double below(Depth depth) {
        depth.mm()
                .filter(mm -> !(mm > 0 && Double.isFinite(mm)))
                .ifPresent(
                        mm -> {
                            throw new CannotException(
                                    "A depth of %s mm: it must be above 0.", Numbers.plain(mm, 3));
                        });
        return depth.below(from(), task.through());
    }

    /**
     * Levels below the top of the stock, the shallowest first.
     *
     * @throws CannotException when the depth is none, or deeper than the tool's flutes
     */
    List<Double> of(Depth depth, Steps steps, Tool tool) {
        double below = below(depth);
        CannotException.throwIf(
                Suitable.whyNotDeep(tool, below - from(), operation.beyondFlutes()));
        return between(from(), below, steps, tool);
    }

    /** From one depth to another. */
    List<Double> between(double from, double to, Steps steps, Tool tool) {
        double wished = steps.down().orElseGet(() -> task.steps().apply(tool).down());
        if (!(wished > 0)) {
            throw new CannotException(
                    "A step down of %s mm: it must be above 0.", Numbers.plain(wished, 3));
        }
        if (steps.floor() >= to - from) {
            throw new CannotException(
                    "%s mm left for a cut along the floor; it is %s mm deep.",
                    Numbers.plain(steps.floor(), 3), Numbers.plain(to - from, 3));
        }
        double most = Math.min(wished, tool.passDepth());
        List<Double> levels = new ArrayList<>();
        for (double level : Levels.equal(to - from, most, steps.floor())) {
            levels.add(from + level);
        }
        return pulled(levels, from, tool, most).orElse(List.copyOf(levels));
    }

    /** The first level of a compression tool is so deep that its upper edges hold the top down. */
    private static Optional<List<Double>> pulled(
            List<Double> levels, double from, Tool tool, double most) {
        double up = tool.edges().upCut();
        boolean tears =
                tool.kind() == ToolKind.COMPRESSION
                        && levels.size() > 1
                        && levels.get(0) - from < up
                        && up <= most;
        if (!tears) {
            return Optional.empty();
        }
        double last = levels.get(levels.size() - 1);
        List<Double> deeper = new ArrayList<>(List.of(from + up));
        for (double level : Levels.equal(last - from - up, most, 0)) {
            deeper.add(from + up + level);
        }
        return Optional.of(List.copyOf(deeper));
    }

    /**
     * @param over from one way to the next, as a share of the diameter
     */
    static void requireOver(double over) {
        if (!(over >= LEAST_OVER && over <= 1)) {
            throw new CannotException(
                    over > 1
                            ? "Step-over %s D: more than the tool is wide."
                            : "Step-over %s D: it must be at least 0.01.",
                    Numbers.plain(over, 6));
        }
    }
}
