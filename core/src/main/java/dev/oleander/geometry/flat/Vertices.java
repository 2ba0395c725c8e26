package dev.oleander.geometry.flat;

import java.util.Arrays;

/**
 * A chain of lines and arcs as flat numbers: x, y (mm) and bulge of each vertex. The bulge is
 * tan(sweep / 4) of the edge that leaves the vertex, 0 for a line; positive turns left. Immutable.
 */
public final class Vertices {

    private static final int STRIDE = 3;

    private final double[] numbers;
    private final boolean closed;

    private Vertices(double[] numbers, boolean closed) {
        this.numbers = numbers;
        this.closed = closed;
    }

    /**
     * @param numbers x, y and bulge by turns, copied; the last bulge of an open chain has no
     *     meaning
     */
    public static Vertices of(double[] numbers, boolean closed) {
        return own(numbers.clone(), closed);
    }

    /** The same without a copy, for arrays nobody else holds. */
    static Vertices own(double[] numbers, boolean closed) {
        if (numbers.length % STRIDE != 0 || numbers.length < 2 * STRIDE) {
            throw new IllegalArgumentException(
                    "a chain needs at least two vertices of three numbers: " + numbers.length);
        }
        return new Vertices(numbers, closed);
    }

    public boolean isClosed() {
        return closed;
    }

    /** Number of vertices. */
    public int size() {
        return numbers.length / STRIDE;
    }

    /** Number of edges: as many as vertices when closed, else one less. */
    public int edges() {
        return closed ? size() : size() - 1;
    }

    public double x(int i) {
        return numbers[STRIDE * i];
    }

    public double y(int i) {
        return numbers[STRIDE * i + 1];
    }

    /** Bulge of the edge that leaves vertex i. */
    public double bulge(int i) {
        return numbers[STRIDE * i + 2];
    }

    /** Index of the vertex where edge i ends. */
    public int endOf(int i) {
        return i + 1 < size() ? i + 1 : 0;
    }

    /** Length along the chain, mm. */
    public double length() {
        double sum = 0;
        for (int i = 0; i < edges(); i++) {
            int j = endOf(i);
            double dx = x(j) - x(i);
            double dy = y(j) - y(i);
            sum += Measures.length(Math.sqrt(dx * dx + dy * dy), bulge(i));
        }
        return sum;
    }

    /**
     * Enclosed area of a closed chain, mm2; positive when it runs anticlockwise. Exact for arcs,
     * and about its own start, so that distance from the origin costs no digits.
     */
    public double signedArea() {
        double sum = 0;
        for (int i = 0; i < size(); i++) {
            int j = endOf(i);
            sum +=
                    Measures.doubleArea(
                            x(i) - x(0), y(i) - y(0), x(j) - x(0), y(j) - y(0), bulge(i));
        }
        return sum / 2;
    }

    /**
     * Signed area times x and times y of the centre of the area of a closed chain, mm3, with the
     * origin at its first vertex. Exact for arcs.
     */
    public double[] areaMoments() {
        double mx = 0;
        double my = 0;
        for (int i = 0; i < size(); i++) {
            int j = endOf(i);
            double ax = x(i) - x(0);
            double ay = y(i) - y(0);
            double bx = x(j) - x(0);
            double by = y(j) - y(0);
            double cross = ax * by - ay * bx;
            mx += cross * (ax + bx) / 6;
            my += cross * (ay + by) / 6;
            if (bulge(i) != 0) {
                double dx = bx - ax;
                double dy = by - ay;
                double square = dx * dx + dy * dy;
                double area = square * Measures.segmentFactor(bulge(i));
                double moment = square * Measures.segmentMoment(bulge(i));
                mx += area * (ax + bx) / 2 + moment * dy;
                my += area * (ay + by) / 2 - moment * dx;
            }
        }
        return new double[] {mx, my};
    }

    /** Whether a closed chain runs anticlockwise round its area. */
    public boolean isAnticlockwise() {
        double sum = 0;
        double size = 0;
        for (int i = 0; i < size(); i++) {
            int j = endOf(i);
            double ax = x(i) - x(0);
            double ay = y(i) - y(0);
            double bx = x(j) - x(0);
            double by = y(j) - y(0);
            double part = Measures.roughDoubleArea(ax, ay, bx, by, bulge(i));
            sum += part;
            size += Math.abs(part);
        }
        // the rough measure is good to a thousandth; where that does not decide, take the exact one
        return Math.abs(sum) > 0.01 * size ? sum > 0 : signedArea() > 0;
    }

    /** How often a closed chain winds round a point, anticlockwise. */
    public int winding(double x, double y) {
        int sum = 0;
        for (int i = 0; i < size(); i++) {
            int j = endOf(i);
            sum += Measures.crossingsRightOf(x(i), y(i), x(j), y(j), bulge(i), x, y);
        }
        return sum;
    }

    /** The same chain run the other way; a closed one starts at the same vertex. */
    public Vertices reversed() {
        int n = size();
        double[] turned = new double[numbers.length];
        for (int i = 0; i < n; i++) {
            int from = closed ? (n - i) % n : n - 1 - i;
            int edge = from > 0 ? from - 1 : n - 1;
            turned[STRIDE * i] = x(from);
            turned[STRIDE * i + 1] = y(from);
            turned[STRIDE * i + 2] = from > 0 || closed ? -bulge(edge) : 0;
        }
        return new Vertices(turned, closed);
    }

    public Vertices moved(double dx, double dy) {
        double[] moved = numbers.clone();
        for (int i = 0; i < moved.length; i += STRIDE) {
            moved[i] += dx;
            moved[i + 1] += dy;
        }
        return new Vertices(moved, closed);
    }

    public double[] toArray() {
        return numbers.clone();
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Vertices that
                && closed == that.closed
                && Arrays.equals(numbers, that.numbers);
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(numbers);
    }

    @Override
    public String toString() {
        return (closed ? "closed" : "open") + Arrays.toString(numbers);
    }
}
