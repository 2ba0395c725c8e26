package dev.oleander.geometry.flat;

import java.util.Arrays;

/**
 * Writes a chain edge by edge. Edges shorter than the tolerance are passed over, and one that
 * continues the line or circle of the edge before is made one with it.
 */
public final class ChainWriter {

    private static final int STRIDE = 3;

    /**
     * Greatest bulge of a joined arc: 355 degrees. Beyond, its centre depends too much on rounding.
     */
    private static final double WIDEST = 50;

    private final double tolerance;

    /** x, y, bulge of each edge's start. */
    private double[] numbers = new double[3 * 16];

    private int size;
    private double endX;
    private double endY;

    /** Where the last edge ended, passed over or not. */
    private double lastX;

    private double lastY;

    /**
     * @param tolerance mm; how far a joined edge may pass from what it replaces
     */
    public ChainWriter(double tolerance) {
        this.tolerance = tolerance;
    }

    /** Adds an edge; its start is where the one before ended. */
    public void add(double x0, double y0, double x1, double y1, double bulge) {
        if (size == 0) {
            endX = x0;
            endY = y0;
        }
        lastX = x1;
        lastY = y1;
        if (Edges.near(endX, endY, x1, y1, tolerance) && Math.abs(bulge) < 1) {
            return;
        }
        if (size > 0) {
            double joined = joinedBulge(size - 1, endX, endY, bulge, x1, y1);
            if (!Double.isNaN(joined)) {
                numbers[STRIDE * (size - 1) + 2] = joined;
                endX = x1;
                endY = y1;
                return;
            }
        }
        put(bulge);
        endX = x1;
        endY = y1;
    }

    /** Makes room for so many more edges. */
    void reserve(int edges) {
        if (STRIDE * (size + edges) > numbers.length) {
            numbers = Arrays.copyOf(numbers, STRIDE * (size + edges));
        }
    }

    private void put(double bulge) {
        if (STRIDE * size == numbers.length) {
            numbers = Arrays.copyOf(numbers, 2 * numbers.length);
        }
        numbers[STRIDE * size] = endX;
        numbers[STRIDE * size + 1] = endY;
        numbers[STRIDE * size + 2] = bulge;
        size++;
    }

    /** Bulge of edge n joined with one from (mx, my) to (x, y); NaN when they are not one. */
    private double joinedBulge(int n, double mx, double my, double bulge, double x, double y) {
        double before = numbers[STRIDE * n + 2];
        boolean alike = before == 0 ? bulge == 0 : before * bulge > 0;
        if (!alike) {
            return Double.NaN;
        }
        double ax = mx - numbers[STRIDE * n];
        double ay = my - numbers[STRIDE * n + 1];
        double bx = x - mx;
        double by = y - my;
        double a = Math.sqrt(ax * ax + ay * ay);
        double b = Math.sqrt(bx * bx + by * by);
        // the chords of one circle turn by half of both sweeps: a product of four unit vectors
        double turnCos = (ax * bx + ay * by) / (a * b);
        double turnSin = (ax * by - ay * bx) / (a * b);
        double p = 1 + before * before;
        double q = 1 + bulge * bulge;
        double sin = 2 * (before * (1 - bulge * bulge) + bulge * (1 - before * before)) / (p * q);
        double cos = ((1 - before * before) * (1 - bulge * bulge) - 4 * before * bulge) / (p * q);
        double kink = turnSin * cos - turnCos * sin;
        boolean ahead = turnCos * cos + turnSin * sin > 0;
        double shorter = Math.min(a, b);
        double longer = Math.max(a, b);
        double curvatures = 4 * before / (a * p) - 4 * bulge / (b * q);
        boolean same =
                ahead
                        && Math.abs(kink) * shorter <= tolerance
                        && Math.abs(curvatures) * longer * longer / 8 <= tolerance;
        double joined = (before + bulge) / (1 - before * bulge);
        boolean narrow = before * bulge < 1 && Math.abs(joined) <= WIDEST;
        return same && narrow ? joined : Double.NaN;
    }

    /** Number of edges so far. */
    public int size() {
        return size;
    }

    /** Closes the chain; null when what it encloses is narrower than the tolerance. */
    public Vertices close() {
        while (size > 2) {
            int last = size - 1;
            double x = numbers[0];
            double y = numbers[1];
            double toX = numbers[STRIDE];
            double toY = numbers[STRIDE + 1];
            double joined = joinedBulge(last, x, y, numbers[2], toX, toY);
            if (Double.isNaN(joined)) {
                break;
            }
            // the chain now begins where the last edge does
            numbers[0] = numbers[STRIDE * last];
            numbers[1] = numbers[STRIDE * last + 1];
            numbers[2] = joined;
            size--;
        }
        if (size < 2 || isThin()) {
            return null;
        }
        return Vertices.own(exact(), true);
    }

    private double[] exact() {
        int length = STRIDE * size;
        return numbers.length == length ? numbers : Arrays.copyOf(numbers, length);
    }

    /** The open chain; null when it is shorter than the tolerance. */
    public Vertices open() {
        if (size == 0) {
            return null;
        }
        endX = lastX;
        endY = lastY;
        put(0);
        return Vertices.own(exact(), false);
    }

    private boolean isThin() {
        double twice = 0;
        double perimeter = 0;
        for (int i = 0; i < size; i++) {
            int j = i + 1 < size ? i + 1 : 0;
            double ax = numbers[STRIDE * i] - numbers[0];
            double ay = numbers[STRIDE * i + 1] - numbers[1];
            double bx = numbers[STRIDE * j] - numbers[0];
            double by = numbers[STRIDE * j + 1] - numbers[1];
            twice += Measures.roughDoubleArea(ax, ay, bx, by, numbers[STRIDE * i + 2]);
            perimeter += Math.abs(bx - ax) + Math.abs(by - ay);
        }
        return Math.abs(twice) <= tolerance * perimeter;
    }
}
