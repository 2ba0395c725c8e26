package dev.oleander.winding.feed;

import dev.oleander.winding.eye.EyePath;
import dev.oleander.winding.eye.EyePoint;
import dev.oleander.winding.eye.WindingAxis;
import java.util.Arrays;
import java.util.List;

/**
 * Positions of all axes over the length of the path, at places, with their derivatives by it.
 *
 * <p>Derivatives are differences over a small length; where the band's curvature jumps they are
 * those of the way with that jump rounded over that length.
 */
public final class AxisWay {

    /** mm over which a slope is taken: positions are good to 1e-10 mm. */
    private static final double SLOPE = 1e-3;

    /** mm for higher derivatives. */
    private static final double BEND = 0.05;

    private final List<WindingAxis> axes;
    private final EyePath path;

    public AxisWay(EyePath path) {
        this.path = path;
        this.axes = Arrays.stream(WindingAxis.values()).filter(path.set()::has).toList();
    }

    public List<WindingAxis> axes() {
        return axes;
    }

    public EyePath path() {
        return path;
    }

    private double[] at(double l) {
        EyePoint p = path.at(l);
        double[] values = new double[axes.size() + 1];
        for (int i = 0; i < axes.size(); i++) {
            values[i] = p.of(axes.get(i));
        }
        values[axes.size()] = p.free();
        return values;
    }

    /** Derivatives by l of each axis, and last of the free length. */
    public double[] slopes(double l) {
        double[] a = at(Math.max(0, l - SLOPE));
        double[] b = at(l + SLOPE);
        double whole = l + SLOPE - Math.max(0, l - SLOPE);
        double[] slopes = new double[a.length];
        for (int i = 0; i < a.length; i++) {
            slopes[i] = difference(i, a[i], b[i]) / whole;
        }
        return slopes;
    }

    /** Turning axes may come again after a whole turn. */
    private double difference(int i, double a, double b) {
        boolean folds = i < axes.size() && axes.get(i).isTurning() && axes.get(i) != WindingAxis.A;
        return folds ? Math.IEEEremainder(b - a, 2 * Math.PI) : b - a;
    }

    /**
     * First to third derivatives by l, by axis.
     *
     * @return by order less one, then by axis
     */
    public double[][] derivatives(double l) {
        double middle = Math.max(2 * BEND, l);
        double[][] at = new double[5][];
        for (int k = 0; k < 5; k++) {
            at[k] = at(middle + (k - 2) * BEND);
        }
        int n = axes.size();
        double[][] all = new double[3][n];
        for (int i = 0; i < n; i++) {
            double first = difference(i, at[0][i], at[1][i]);
            double second = difference(i, at[1][i], at[2][i]);
            double third = difference(i, at[2][i], at[3][i]);
            double fourth = difference(i, at[3][i], at[4][i]);
            all[0][i] = (-(first + fourth) + 7 * (second + third)) / (12 * BEND);
            all[1][i] = (first - fourth + 15 * (third - second)) / (12 * BEND * BEND);
            all[2][i] = (fourth - third - (second - first)) / (2 * BEND * BEND * BEND);
        }
        return all;
    }

    /**
     * The greatest speed along the path, mm/s, by speeds of axes and roving.
     *
     * @param limits of this machine
     */
    public double speedLimit(double l, AxisLimits limits) {
        double[] slopes = slopes(l);
        double most = limits.roving() / Math.abs(1 + slopes[axes.size()]);
        for (int i = 0; i < axes.size(); i++) {
            double slope = Math.abs(slopes[i]);
            if (slope > 0) {
                most = Math.min(most, limits.of(axes.get(i)).speed() / slope);
            }
        }
        return most;
    }
}
