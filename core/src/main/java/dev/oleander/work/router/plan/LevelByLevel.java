package dev.oleander.work.router.plan;

import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Distances;
import dev.oleander.geometry.Segment;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.operation.Operation.Clear;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Pockets with thin walls between them are cut level by level, one beside the other: a wall that
 * stands free on one side to its full height bends away from the tool, and is left too thick.
 */
final class LevelByLevel {

    /** Share of the depth below which a wall is thin. */
    private static final double THIN = 1.0 / 3;

    private final RouterTask task;
    private final Operation operation;
    private final Clear clear;
    private final Map<String, Feature> features;

    LevelByLevel(RouterTask task, Operation operation) {
        this.task = task;
        this.operation = operation;
        this.clear = (Clear) operation.what();
        this.features = task.reading().byId();
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
        Set<RouterStop> thin = new HashSet<>();
        for (int i = 0; i < stops.size(); i++) {
            for (int j = i + 1; j < stops.size(); j++) {
                if (isThin(stops.get(i), stops.get(j))) {
                    thin.add(stops.get(i));
                    thin.add(stops.get(j));
                }
            }
        }
        return thin;
    }

    private boolean isThin(RouterStop one, RouterStop other) {
        boolean alike =
                one.isDone()
                        && other.isDone()
                        && one.levels().size() > 1
                        && one.levels().equals(other.levels())
                        && one.tool().equals(other.tool());
        if (!alike) {
            return false;
        }
        List<Double> levels = one.levels();
        double deep = levels.get(levels.size() - 1) - new LevelPlan(task, operation).from();
        return distance(chain(one), chain(other), THIN * deep) < THIN * deep;
    }

    private Chain chain(RouterStop stop) {
        return features.get(stop.features().get(0)).chain();
    }

    /**
     * @param most mm from which on it does not matter
     */
    private static double distance(Chain a, Chain b, double most) {
        double least = most;
        if (a.box().distance(b.box()) >= most) {
            return least;
        }
        for (Segment one : a.segments()) {
            if (one.box().distance(b.box()) < least) {
                for (Segment other : b.segments()) {
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
