package dev.oleander.work.router.tool;

import java.util.ArrayList;
import java.util.List;

/** The depths one after the other at which a cut reaches its own. */
public final class Levels {

    /** Share of a step by which the last one may be longer: rounding. */
    private static final double ROUNDING = 1e-9;

    /** Of one cut; more are a mistake of typing. */
    private static final int MOST = 10_000;

    private Levels() {}

    /**
     * Equal steps down to a depth.
     *
     * @param depth mm, above 0
     * @param most mm at once
     * @param floor mm left for a finishing cut of the floor; 0: none
     * @return z of each level, mm below the top, the shallowest first; the last is the depth
     */
    public static List<Double> equal(double depth, double most, double floor) {
        require(depth, most, floor);
        int count = count(depth - floor, most);
        List<Double> levels = new ArrayList<>();
        for (int i = 1; i <= count; i++) {
            levels.add((depth - floor) * i / count);
        }
        return withFloor(levels, depth, floor);
    }

    /** Full steps, what is left last. */
    public static List<Double> full(double depth, double most, double floor) {
        require(depth, most, floor);
        int count = count(depth - floor, most);
        List<Double> levels = new ArrayList<>();
        for (int i = 1; i < count; i++) {
            levels.add(most * i);
        }
        levels.add(depth - floor);
        return withFloor(levels, depth, floor);
    }

    private static List<Double> withFloor(List<Double> levels, double depth, double floor) {
        if (floor > 0) {
            levels.add(depth);
        }
        return List.copyOf(levels);
    }

    private static int count(double depth, double most) {
        return (int) Math.ceil(depth / most - ROUNDING);
    }

    private static void require(double depth, double most, double floor) {
        if (!(depth > 0 && most > 0 && floor >= 0 && floor < depth && depth / most <= MOST)) {
            throw new IllegalArgumentException(
                    "depth %s mm, at most %s mm at once, %s mm left: no levels, or more than %s"
                            .formatted(depth, most, floor, MOST));
        }
    }
}
