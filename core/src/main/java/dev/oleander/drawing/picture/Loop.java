package dev.oleander.drawing.picture;

import java.util.Arrays;

/** Points one after the other round something; the first follows the last. */
final class Loop {

    private final double[] xs;
    private final double[] ys;

    Loop(double[] xs, double[] ys) {
        this.xs = xs;
        this.ys = ys;
    }

    int size() {
        return xs.length;
    }

    /** For any number, round and round. */
    double x(int i) {
        return xs[Math.floorMod(i, xs.length)];
    }

    double y(int i) {
        return ys[Math.floorMod(i, ys.length)];
    }

    /** Above 0: anticlockwise. */
    double area() {
        double twice = 0;
        for (int i = 0; i < xs.length; i++) {
            int next = i + 1 == xs.length ? 0 : i + 1;
            twice += xs[i] * ys[next] - xs[next] * ys[i];
        }
        return twice / 2;
    }

    /** Collects points. */
    static final class Growing {

        private double[] xs = new double[32];
        private double[] ys = new double[32];
        private int size;

        void add(double x, double y) {
            if (size == xs.length) {
                xs = Arrays.copyOf(xs, 2 * size);
                ys = Arrays.copyOf(ys, 2 * size);
            }
            xs[size] = x;
            ys[size] = y;
            size++;
        }

        Loop loop() {
            return new Loop(Arrays.copyOf(xs, size), Arrays.copyOf(ys, size));
        }
    }
}
