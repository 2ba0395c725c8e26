package dev.oleander.geometry.flat;

import java.util.Arrays;

/**
 * The half-edges that leave one node, in anticlockwise order. Half-edge 2 r runs along run r, 2 r +
 * 1 against it.
 *
 * <p>Directions are compared on a circle about the node that all of them still reach; those which
 * are nearly tangent again on the largest circle that both reach, where they are farthest apart.
 */
final class Star {

    /** Difference of pseudo-angles below which two directions are compared again. */
    private static final double TANGENT = 1e-4;

    /** Share of the shorter chord at which directions are taken. */
    private static final double SHARE = 0.5;

    private final Edges edges;
    private final Runs runs;

    private int size;
    private int[] half = new int[8];
    private double[] angle = new double[8];
    private double[] reach = new double[8];
    private double base;

    Star(Edges edges, Runs runs) {
        this.edges = edges;
        this.runs = runs;
    }

    void clear() {
        size = 0;
    }

    void add(int halfEdge) {
        if (size == half.length) {
            half = Arrays.copyOf(half, 2 * size);
            angle = Arrays.copyOf(angle, 2 * size);
            reach = Arrays.copyOf(reach, 2 * size);
        }
        half[size++] = halfEdge;
    }

    int size() {
        return size;
    }

    int half(int n) {
        return half[n];
    }

    void sort() {
        double least = Double.POSITIVE_INFINITY;
        for (int n = 0; n < size; n++) {
            reach[n] = chord(half[n]);
            least = Math.min(least, reach[n]);
        }
        for (int n = 0; n < size; n++) {
            angle[n] = direction(half[n], SHARE * least);
        }
        insert(false);
        turnToWidestGap();
        insert(true);
    }

    /**
     * Counts angles from the middle of the widest gap, so that no near pair is parted by the turn.
     */
    private void turnToWidestGap() {
        double widest = size == 0 ? 0 : angle[0] + 4 - angle[size - 1];
        int first = 0;
        for (int n = 1; n < size; n++) {
            if (angle[n] - angle[n - 1] > widest) {
                widest = angle[n] - angle[n - 1];
                first = n;
            }
        }
        base = size == 0 ? 0 : angle[first] - widest / 2;
        for (int n = 0; n < size; n++) {
            angle[n] = fromBase(angle[n]);
        }
        insert(false);
    }

    private double fromBase(double pseudoAngle) {
        double turned = pseudoAngle - base;
        return turned < 0 ? turned + 4 : turned >= 4 ? turned - 4 : turned;
    }

    /** Insertion sort; nodes rarely have more than four half-edges. */
    private void insert(boolean tangents) {
        for (int n = 1; n < size; n++) {
            for (int m = n; m > 0 && isAfter(m - 1, m, tangents); m--) {
                swap(m - 1, m);
            }
        }
    }

    private boolean isAfter(int n, int m, boolean tangents) {
        if (!tangents) {
            return angle[n] > angle[m];
        }
        if (Math.abs(angle[n] - angle[m]) > TANGENT) {
            return false;
        }
        double radius = 2 * SHARE * Math.min(reach[n], reach[m]);
        return fromBase(direction(half[n], radius)) > fromBase(direction(half[m], radius));
    }

    private void swap(int n, int m) {
        int h = half[n];
        half[n] = half[m];
        half[m] = h;
        double a = angle[n];
        angle[n] = angle[m];
        angle[m] = a;
        double r = reach[n];
        reach[n] = reach[m];
        reach[m] = r;
    }

    private int piece(int h) {
        return (h & 1) == 0 ? 0 : runs.pieces(h >> 1) - 1;
    }

    private double chord(int h) {
        int run = h >> 1;
        int n = piece(h);
        double dx = runs.endX(run, n) - runs.startX(run, n);
        double dy = runs.endY(run, n) - runs.startY(run, n);
        return Math.sqrt(dx * dx + dy * dy);
    }

    /** Pseudo-angle in [0, 4) of the place where the half-edge leaves a circle about its node. */
    private double direction(int h, double radius) {
        int run = h >> 1;
        int n = piece(h);
        boolean forward = (h & 1) == 0;
        int edge = runs.edge(run, n);
        double x = forward ? runs.startX(run, n) : runs.endX(run, n);
        double y = forward ? runs.startY(run, n) : runs.endY(run, n);
        double k = edges.curvature(edge);
        if (k == 0) {
            double endX = forward ? runs.endX(run, n) : runs.startX(run, n);
            double endY = forward ? runs.endY(run, n) : runs.startY(run, n);
            return pseudoAngle(endX - x, endY - y);
        }
        double nx = edges.nx(edge) - k * (x - edges.x0(edge));
        double ny = edges.ny(edge) - k * (y - edges.y0(edge));
        double tx = forward ? ny : -ny;
        double ty = forward ? -nx : nx;
        // turned by half the sweep up to there, to the side of the curvature
        double sine = (forward ? k : -k) * radius / 2;
        sine = Math.max(-1, Math.min(1, sine));
        double cosine = Math.sqrt(1 - sine * sine);
        return pseudoAngle(tx * cosine - ty * sine, tx * sine + ty * cosine);
    }

    /** Grows with the angle: 0 at +x, 1 at +y, 2 at -x, 3 at -y. */
    static double pseudoAngle(double x, double y) {
        double share = y / (Math.abs(x) + Math.abs(y));
        if (x >= 0) {
            return y >= 0 ? share : 4 + share;
        }
        return 2 - share;
    }
}
