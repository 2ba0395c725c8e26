package dev.oleander.work.router.plan;

import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Distances;
import dev.oleander.geometry.Segment;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.operation.Operation.Clear;
import java.util.ArrayList;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Pockets with thin walls between them are cut level by level, one beside the other: a wall that
 * stands free on one side to its full height bends away from the tool, and is left too thick.
 */
final class LevelByLevel {

    /** Share of the depth below which a wall is thin: higher than four times its thickness. */
    private static final double THIN = 1.0 / 4;

    /** A pocket that was planned, with where it lies. */
    private record Pocket(RouterStop stop, Chain chain, Box box) {}

    private final RouterTask task;
    private final Operation operation;
    private final Clear clear;
    private final Map<String, Feature> features;
    private final double from;

    LevelByLevel(RouterTask task, Operation operation) {
        this.task = task;
        this.operation = operation;
        this.clear = (Clear) operation.what();
        this.features = task.reading().byId();
        this.from = new LevelPlan(task, operation).from();
    }

    /** Whether an operation clears pockets whose walls are looked at. */
    static boolean concerns(Operation operation) {
        return operation.what() instanceof Clear clear
                && clear.restOf().isEmpty()
                && clear.byLevel();
    }

    /**
     * Stops of pockets, those with a thin wall parted into their levels.
     *
     * @param whole one for each pocket
     */
    List<RouterStop> of(List<RouterStop> whole) {
        Set<RouterStop> thin = thin(whole);
        List<RouterStop> all = new ArrayList<>();
        for (RouterStop stop : whole) {
            if (thin.contains(stop)) {
                all.addAll(levels(stop));
            } else {
                all.add(stop);
            }
        }
        return all;
    }

    private Set<RouterStop> thin(List<RouterStop> stops) {
        List<Pocket> pockets =
                stops.stream()
                        .filter(s -> s.isDone() && s.levels().size() > 1)
                        .map(this::pocket)
                        .toList();
        Set<RouterStop> thin = Collections.newSetFromMap(new IdentityHashMap<>());
        for (int i = 0; i < pockets.size(); i++) {
            for (int j = i + 1; j < pockets.size(); j++) {
                if (isThin(pockets.get(i), pockets.get(j))) {
                    thin.add(pockets.get(i).stop());
                    thin.add(pockets.get(j).stop());
                }
            }
        }
        return thin;
    }

    private Pocket pocket(RouterStop stop) {
        Chain chain = features.get(stop.features().get(0)).chain();
        return new Pocket(stop, chain, chain.box());
    }

    private boolean isThin(Pocket one, Pocket other) {
        List<Double> levels = one.stop().levels();
        double deep = levels.get(levels.size() - 1) - from;
        return one.box().distance(other.box()) < THIN * deep
                && levels.equals(other.stop().levels())
                && one.stop().tool().equals(other.stop().tool())
                && distance(one, other, THIN * deep) < THIN * deep;
    }

    /**
     * @param most mm from which on it does not matter
     */
    private static double distance(Pocket a, Pocket b, double most) {
        double least = most;
        for (Segment one : a.chain().segments()) {
            if (one.box().distance(b.box()) < least) {
                for (Segment other : b.chain().segments()) {
                    if (one.box().distance(other.box()) < least) {
                        least = Math.min(least, Distances.between(one, other).distance());
                    }
                }
            }
        }
        return least;
    }

    private List<RouterStop> levels(RouterStop stop) {
        StopPlanner planner =
                new StopPlanner(task, operation, stop.tool().orElseThrow(), Optional.empty());
        Feature feature = features.get(stop.features().get(0));
        List<RouterStop> all = new ArrayList<>();
        for (int k = 0; k < stop.levels().size(); k++) {
            all.add(planner.level(feature, clear, stop.levels(), k));
        }
        return all;
    }
}
