package dev.oleander.winding.feed;

import dev.oleander.winding.eye.WindingAxis;
import java.util.Arrays;
import java.util.List;

/**
 * The quickest way along a path from rest to rest within speeds and accelerations, by two passes
 * over a grid (J. E. Bobrow, S. Dubowsky, J. S. Gibson, Int. J. Robot. Res. 4-3 (1985) 3; H. Pham,
 * Q.-C. Pham, IEEE Trans. Robot. 34 (2018) 645): z = (dl/dt)^2, half its slope is the acceleration
 * along the path, and q'' z + q' z'/2 that of an axis.
 */
public final class Quickest {

    private static final int HALVINGS = 60;

    private final double[] grid;
    private final double[] most;
    private final double[][] first;
    private final double[][] second;
    private final double[] limits;

    /**
     * @param grid rising l, mm
     */
    public Quickest(AxisWay way, AxisLimits limits, double[] grid) {
        this.grid = grid;
        List<WindingAxis> axes = way.axes();
        int n = grid.length;
        this.most = new double[n];
        this.first = new double[n][];
        this.second = new double[n][];
        this.limits = axes.stream().mapToDouble(a -> limits.of(a).acceleration()).toArray();
        for (int i = 0; i < n; i++) {
            double[][] derivatives = way.derivatives(grid[i]);
            first[i] = derivatives[0];
            second[i] = derivatives[1];
            double speed = Double.POSITIVE_INFINITY;
            for (int k = 0; k < axes.size(); k++) {
                speed = Math.min(speed, limits.of(axes.get(k)).speed() / Math.abs(first[i][k]));
            }
            most[i] = speed * speed;
        }
    }

    /** Squares of the speed along the path, mm2/s2, at the grid. */
    public double[] squares() {
        int n = grid.length;
        double[] reach = new double[n];
        for (int i = n - 2; i >= 0; i--) {
            reach[i] = backward(i, reach[i + 1]);
        }
        double[] z = new double[n];
        for (int i = 0; i + 1 < n; i++) {
            double step = 2 * (grid[i + 1] - grid[i]);
            double[] range = range(i, z[i]);
            z[i + 1] = Math.max(0, Math.min(reach[i + 1], z[i] + step * range[1]));
        }
        return z;
    }

    /** The greatest square from which the next can be reached. */
    private double backward(int i, double next) {
        double low = 0;
        double high = Math.min(most[i], 1e12);
        if (reaches(i, high, next)) {
            return high;
        }
        for (int k = 0; k < HALVINGS; k++) {
            double middle = (low + high) / 2;
            if (reaches(i, middle, next)) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return low;
    }

    private boolean reaches(int i, double z, double next) {
        double[] range = range(i, z);
        double step = 2 * (grid[i + 1] - grid[i]);
        return range[0] <= range[1] && z + step * range[0] <= next && z + step * range[1] >= 0;
    }

    /** Least and greatest acceleration along the path that all axes allow. */
    private double[] range(int i, double z) {
        double low = Double.NEGATIVE_INFINITY;
        double high = Double.POSITIVE_INFINITY;
        for (int k = 0; k < limits.length; k++) {
            double q = first[i][k];
            double free = second[i][k] * z;
            if (Math.abs(q) < 1e-12) {
                if (Math.abs(free) > limits[k]) {
                    return new double[] {1, 0};
                }
                continue;
            }
            double a = (-limits[k] - free) / q;
            double b = (limits[k] - free) / q;
            low = Math.max(low, Math.min(a, b));
            high = Math.min(high, Math.max(a, b));
        }
        return new double[] {low, high};
    }

    /** Seconds for squares over a grid. */
    public static double seconds(double[] grid, double[] squares) {
        double seconds = 0;
        for (int i = 1; i < grid.length; i++) {
            double sum = Math.sqrt(squares[i - 1]) + Math.sqrt(squares[i]);
            seconds += 2 * (grid[i] - grid[i - 1]) / sum;
        }
        return seconds;
    }

    /** Places evenly spread, with both ends. */
    public static double[] even(double length, int parts) {
        double[] grid = new double[parts + 1];
        Arrays.setAll(grid, i -> length * i / parts);
        return grid;
    }
}
