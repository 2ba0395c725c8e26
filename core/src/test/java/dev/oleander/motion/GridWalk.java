package dev.oleander.motion;

import java.util.ArrayList;
import java.util.List;

/**
 * The time along a fine grid, where the speed is limited at every point and nothing is known of
 * trapezoids.
 */
final class GridWalk {

    private GridWalk() {}

    /**
     * From rest to rest.
     *
     * @param cells speed limit at the beginning, length, and acceleration of each; mm and s
     */
    static double seconds(List<double[]> cells) {
        List<double[]> grid = new ArrayList<>(cells);
        grid.add(new double[] {0, 0, 1});
        double[] speed = grid.stream().mapToDouble(g -> g[0]).toArray();
        for (int i = 1; i < speed.length; i++) {
            speed[i] = Math.min(speed[i], reached(speed[i - 1], grid.get(i - 1)));
        }
        for (int i = speed.length - 2; i >= 0; i--) {
            speed[i] = Math.min(speed[i], reached(speed[i + 1], grid.get(i)));
        }
        double seconds = 0;
        for (int i = 0; i + 1 < speed.length; i++) {
            seconds += 2 * grid.get(i)[1] / (speed[i] + speed[i + 1]);
        }
        return seconds;
    }

    private static double reached(double from, double[] cell) {
        return Math.sqrt(from * from + 2 * cell[2] * cell[1]);
    }
}
