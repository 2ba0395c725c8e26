package dev.oleander.work.router.plan;

import dev.oleander.drawing.read.Feature;
import dev.oleander.progress.Progress;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.operation.Operation.Clear;
import dev.oleander.work.router.tool.Tool;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;

/**
 * Chains of tools that clear a pocket one after the other, each what the one before has left: for
 * every last tool the quickest. What a tool leaves does not depend on those before it, so the
 * quickest chain to a tool goes on from the quickest to the one before.
 */
public final class ToolChains {

    /** Tools that are tried; of more, the widest. */
    private static final int MOST = 7;

    /** mm2 that a slower chain must leave less to be of use. */
    private static final double LESS = 0.01;

    /**
     * Tools in their order.
     *
     * @param seconds on the machine, with the changes of tools
     * @param left mm2 that the last one does not reach
     */
    public record Chain(List<Tool> tools, double seconds, double left) {

        public Chain {
            tools = List.copyOf(tools);
        }

        private Chain then(Tool tool, double more, double leaves) {
            List<Tool> all = new ArrayList<>(tools);
            all.add(tool);
            return new Chain(all, seconds + more, leaves);
        }
    }

    private final RouterTask task;
    private final Operation operation;
    private final Feature feature;
    private final ToDoubleFunction<RouterStop> seconds;
    private final Progress progress;

    private ToolChains(
            RouterTask task,
            Operation operation,
            Feature feature,
            ToDoubleFunction<RouterStop> seconds,
            Progress progress) {
        this.task = task;
        this.operation = operation;
        this.feature = feature;
        this.seconds = seconds;
        this.progress = progress;
    }

    /**
     * @param operation that clears a pocket
     * @param usable whether a tool may be taken: data for it are known
     * @param seconds what a stop takes on the machine, with the change to its tool
     * @return the quickest first; each of the others leaves less than all before it
     * @throws IllegalArgumentException when the operation clears no pocket
     */
    public static List<Chain> of(
            RouterTask task,
            Operation operation,
            Feature feature,
            List<Tool> usable,
            ToDoubleFunction<RouterStop> seconds,
            Progress progress) {
        if (!(operation.what() instanceof Clear)) {
            throw new IllegalArgumentException(operation.id() + " clears no pocket");
        }
        ToolChains chains = new ToolChains(task, operation, feature, seconds, progress);
        return worthwhile(chains.quickest(candidates(operation, usable)));
    }

    /** Widest first, one of each diameter. */
    private static List<Tool> candidates(Operation operation, List<Tool> usable) {
        List<Tool> all = new ArrayList<>();
        usable.stream()
                .filter(t -> t.kind().isFlat())
                .sorted(Comparator.comparingDouble(Tool::diameter).reversed())
                .filter(t -> all.stream().noneMatch(o -> o.diameter() == t.diameter()))
                .limit(MOST)
                .forEach(all::add);
        return all;
    }

    private List<Chain> quickest(List<Tool> tools) {
        List<Chain> best = new ArrayList<>();
        for (int i = 0; i < tools.size(); i++) {
            Tool tool = tools.get(i);
            progress.at((double) i / tools.size(), "Tools");
            Optional<RouterStop> alone = stop(tool, Optional.empty());
            if (alone.isEmpty()) {
                continue;
            }
            double leaves = alone.get().figures().rest();
            Chain own = new Chain(List.of(tool), seconds.applyAsDouble(alone.get()), leaves);
            for (Chain before : List.copyOf(best)) {
                Tool last = before.tools().get(before.tools().size() - 1);
                if (leaves < before.left() - LESS && before.seconds() < own.seconds()) {
                    Chain longer = after(before, last, tool, leaves);
                    own = longer.seconds() < own.seconds() ? longer : own;
                }
            }
            best.add(own);
        }
        return best;
    }

    private Chain after(Chain before, Tool last, Tool tool, double leaves) {
        return stop(tool, Optional.of(last))
                .map(rest -> before.then(tool, seconds.applyAsDouble(rest), leaves))
                .orElse(new Chain(List.of(tool), Double.POSITIVE_INFINITY, leaves));
    }

    private Optional<RouterStop> stop(Tool tool, Optional<Tool> before) {
        Clear clear = (Clear) operation.what();
        Clear of = before.isPresent() ? clear.restOf(operation.id()) : clear;
        try {
            return Optional.of(
                    new StopPlanner(task, operation.doing(of), tool, before).plan(feature));
        } catch (CannotException cannot) {
            return Optional.empty();
        }
    }

    private static List<Chain> worthwhile(List<Chain> all) {
        List<Chain> kept = new ArrayList<>();
        all.stream()
                .sorted(Comparator.comparingDouble(Chain::seconds))
                .filter(c -> kept.isEmpty() || c.left() < kept.get(kept.size() - 1).left() - LESS)
                .forEach(kept::add);
        return List.copyOf(kept);
    }
}
