package dev.oleander.work.router.material;

import dev.oleander.geometry.Box;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;

/**
 * How deep round stock is cut towards its axis, along it and once round, as a grid.
 *
 * @param radius of the stock, mm
 * @param middle y of its axis, mm
 * @param from x where it begins, mm
 * @param to x where it ends, mm
 */
public record RoundField(double radius, double middle, double from, double to) {

    /** mm between the places along a radius that are looked at; the last is found by halving. */
    private static final double STEP = 0.2;

    private static final int HALVINGS = 8;

    /**
     * What is cut with the work at one turn, or laid round it.
     *
     * @param depths mm, as of {@link HeightField#at}, in a window of so many columns and rows
     * @param turn of the work, degrees; empty: it is laid round
     */
    public record Laid(float[] depths, Box window, int columns, int rows, Optional<Double> turn) {

        /** 0 beside the window. */
        private double at(double x, double y) {
            int column = (int) Math.floor((x - window.min().x()) / window.width() * columns);
            int row = (int) Math.floor((window.max().y() - y) / window.height() * rows);
            boolean inside = column >= 0 && column < columns && row >= 0 && row < rows;
            return inside ? depths[row * columns + column] : 0;
        }
    }

    /**
     * @param columns along the axis
     * @param angles once round, beginning at the top of the work when it is not turned
     * @return depths, mm, angle after angle, each along the axis
     */
    public float[] of(List<Laid> all, int columns, int angles) {
        float[] deep = new float[columns * angles];
        double step = 2 * Math.PI / angles;
        for (Laid laid : all) {
            if (laid.turn().isEmpty()) {
                for (int angle = 0; angle < angles; angle++) {
                    double at = angle * step;
                    row(deep, columns, angle, x -> round(laid, x, at));
                }
                continue;
            }
            double turn = Math.toRadians(laid.turn().get());
            // beyond its window nothing begins to be cut
            int first = (int) Math.floor((turn + lean(laid.window().min().y())) / step);
            int last = (int) Math.ceil((turn + lean(laid.window().max().y())) / step);
            for (int angle = first; angle <= Math.min(last, first + angles - 1); angle++) {
                double at = within(angle * step - turn);
                row(deep, columns, Math.floorMod(angle, angles), x -> flat(laid, x, at));
            }
        }
        return deep;
    }

    /** Deepens what is cut at one angle. */
    private void row(float[] deep, int columns, int angle, DoubleUnaryOperator depth) {
        for (int column = 0; column < columns; column++) {
            double x = from + (column + 0.5) * (to - from) / columns;
            int cell = angle * columns + column;
            deep[cell] = (float) Math.max(deep[cell], depth.applyAsDouble(x));
        }
    }

    /** Angle from the top at which the surface lies so far beside the axis. */
    private double lean(double y) {
        return Math.asin(Math.max(-1, Math.min(1, (y - middle) / radius)));
    }

    /** A drawing may go round more than once. */
    private double round(Laid laid, double x, double angle) {
        double once = 2 * Math.PI * radius;
        double first = middle + angle * radius;
        double deepest = 0;
        double least = laid.window().min().y();
        double from = first + Math.ceil((least - first) / once) * once;
        for (double y = from; y <= laid.window().max().y(); y += once) {
            deepest = Math.max(deepest, laid.at(x, y));
        }
        return Math.min(radius, deepest);
    }

    /** From -pi to pi. */
    private static double within(double angle) {
        return angle - 2 * Math.PI * Math.round(angle / (2 * Math.PI));
    }

    /** Along the radius from the surface inwards, as far as all is gone. */
    private double flat(Laid laid, double x, double angle) {
        if (Math.abs(angle) >= Math.PI / 2 || !isGone(laid, x, angle, radius)) {
            return 0;
        }
        double gone = radius;
        while (gone > 0 && isGone(laid, x, angle, gone - STEP)) {
            gone -= STEP;
        }
        double left = Math.max(0, gone - STEP);
        for (int i = 0; i < HALVINGS; i++) {
            double half = (gone + left) / 2;
            if (isGone(laid, x, angle, half)) {
                gone = half;
            } else {
                left = half;
            }
        }
        return radius - Math.max(0, gone);
    }

    private boolean isGone(Laid laid, double x, double angle, double away) {
        double depth = laid.at(x, middle + away * Math.sin(angle));
        return depth > 0 && away * Math.cos(angle) - radius >= -depth;
    }
}
