package dev.oleander.nesting.search;

import dev.oleander.geometry.flat.Vertices;
import java.util.Arrays;

/** Makes polygons of loops of lines and arcs that cover at least their material. */
final class Flat {

    private double[] numbers = new double[64];
    private int size;

    private Flat() {}

    /**
     * Corners of a polygon round a loop whose material lies on the left: arcs that bulge out get
     * edges that touch them, others get chords.
     *
     * @param tolerance mm by which an edge may lie off the arc
     * @return x and y by turns
     */
    static double[] outwards(Vertices loop, double tolerance) {
        Flat flat = new Flat();
        for (int i = 0; i < loop.edges(); i++) {
            flat.edge(loop, i, tolerance);
        }
        return Arrays.copyOf(flat.numbers, flat.size);
    }

    private void edge(Vertices loop, int i, double tolerance) {
        int to = loop.endOf(i);
        double bulge = loop.bulge(i);
        double x0 = loop.x(i);
        double y0 = loop.y(i);
        add(x0, y0);
        double dx = loop.x(to) - x0;
        double dy = loop.y(to) - y0;
        if (bulge == 0 || dx == 0 && dy == 0) {
            return;
        }
        double k = (1 - bulge * bulge) / (4 * bulge);
        double cx = x0 + dx / 2 - k * dy;
        double cy = y0 + dy / 2 + k * dx;
        double radius = StrictMath.hypot(x0 - cx, y0 - cy);
        double sweep = 4 * StrictMath.atan(bulge);
        double from = StrictMath.atan2(y0 - cy, x0 - cx);
        if (sweep > 0) {
            touching(cx, cy, radius, from, sweep, tolerance);
        } else {
            chords(cx, cy, radius, from, sweep, tolerance);
        }
    }

    /** The corners where edges that touch the arc meet. */
    private void touching(
            double cx, double cy, double radius, double from, double sweep, double tolerance) {
        double half = StrictMath.acos(radius / (radius + tolerance));
        int n = Math.max(2, (int) Math.ceil(sweep / (2 * half)));
        double step = sweep / n;
        double out = radius / StrictMath.cos(step / 2);
        for (int k = 0; k < n; k++) {
            double angle = from + (k + 0.5) * step;
            add(cx + out * StrictMath.cos(angle), cy + out * StrictMath.sin(angle));
        }
    }

    private void chords(
            double cx, double cy, double radius, double from, double sweep, double tolerance) {
        double half = StrictMath.acos(Math.max(0, 1 - tolerance / radius));
        int n = Math.max(2, (int) Math.ceil(-sweep / (2 * half)));
        for (int k = 1; k < n; k++) {
            double angle = from + k * sweep / n;
            add(cx + radius * StrictMath.cos(angle), cy + radius * StrictMath.sin(angle));
        }
    }

    private void add(double x, double y) {
        if (size == numbers.length) {
            numbers = Arrays.copyOf(numbers, 2 * size);
        }
        numbers[size++] = x;
        numbers[size++] = y;
    }
}
