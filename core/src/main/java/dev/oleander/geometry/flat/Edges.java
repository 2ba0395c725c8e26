package dev.oleander.geometry.flat;

import java.util.Arrays;

/**
 * A growing table of directed lines and arcs of at most half a turn, eight numbers each: start,
 * end, bulge, curvature and the unit normal to the left at the start; mm.
 *
 * <p>A line is an arc of curvature 0. The carrier of an edge is the set f = 0 of
 *
 * <pre>f(p) = k |p - a|^2 / 2 - n . (p - a)</pre>
 *
 * <p>with start a, normal n and curvature k (positive turns left). The form has no centre, so an
 * arc that is nearly straight costs no digits, and a parallel edge keeps its normal and bulge.
 * |grad f| is 1 on the carrier, f is negative to its left.
 */
public final class Edges {

    static final int STRIDE = 8;
    static final int X0 = 0;
    static final int Y0 = 1;
    static final int X1 = 2;
    static final int Y1 = 3;
    static final int BULGE = 4;
    static final int CURVATURE = 5;
    static final int NX = 6;
    static final int NY = 7;

    /** Bulge up to which an arc counts as at most half a turn in spite of rounding. */
    private static final double HALF_TURN = 1 + 1e-9;

    private double[] data;
    private int[] tag;
    private int size;

    private int[] loopStart;
    private int loops;

    public Edges(int capacity) {
        data = new double[STRIDE * Math.max(4, capacity)];
        tag = new int[Math.max(4, capacity)];
        loopStart = new int[8];
    }

    /** Number of edges. */
    public int size() {
        return size;
    }

    /** Number of loops begun. */
    public int loops() {
        return loops;
    }

    /** First edge of a loop; that of loop {@code loops()} is the number of edges. */
    public int first(int loop) {
        return loop == loops ? size : loopStart[loop];
    }

    /** The loop an edge belongs to. */
    public int loopOf(int edge) {
        int at = Arrays.binarySearch(loopStart, 0, loops, edge);
        return at >= 0 ? at : -at - 2;
    }

    /** Everything added from here on belongs to a new loop. */
    public void beginLoop() {
        if (loops > 0 && loopStart[loops - 1] == size) {
            return;
        }
        if (loops == loopStart.length) {
            loopStart = Arrays.copyOf(loopStart, 2 * loops);
        }
        loopStart[loops++] = size;
    }

    /** Takes back a loop that was begun and got no edges, so that every loop has some. */
    public void endLoop() {
        if (loops > 0 && loopStart[loops - 1] == size) {
            loops--;
        }
    }

    /**
     * Adds a line (bulge 0) or an arc; one of more than half a turn becomes two edges.
     *
     * @param tag anything that tells the caller where the edge comes from
     */
    public void add(double x0, double y0, double x1, double y1, double bulge, int tag) {
        if (Math.abs(bulge) <= HALF_TURN) {
            addHalf(x0, y0, x1, y1, bulge, tag);
            return;
        }
        // the middle of the arc lies b c / 2 to the right of the middle of the chord
        double mx = (x0 + x1) / 2 + bulge * (y1 - y0) / 2;
        double my = (y0 + y1) / 2 - bulge * (x1 - x0) / 2;
        double half = bulge / (1 + Math.sqrt(1 + bulge * bulge));
        addHalf(x0, y0, mx, my, half, tag);
        addHalf(mx, my, x1, y1, half, tag);
    }

    private void addHalf(double x0, double y0, double x1, double y1, double bulge, int tag) {
        double dx = x1 - x0;
        double dy = y1 - y0;
        double chord = Math.sqrt(dx * dx + dy * dy);
        double ux = dx / chord;
        double uy = dy / chord;
        if (bulge == 0) {
            put(x0, y0, x1, y1, 0, 0, -uy, ux, tag);
            return;
        }
        // the start tangent is the chord turned back by half the sweep; sweep / 2 = 2 atan b
        double q = 1 + bulge * bulge;
        double cos = (1 - bulge * bulge) / q;
        double sin = 2 * bulge / q;
        double tx = ux * cos + uy * sin;
        double ty = uy * cos - ux * sin;
        put(x0, y0, x1, y1, bulge, 4 * bulge / (chord * q), -ty, tx, tag);
    }

    /** Takes out all edges and loops. */
    public void clear() {
        size = 0;
        loops = 0;
    }

    /** Moves the end of the edge added last, which rounding has parted from where it belongs. */
    public void moveLastEnd(double x, double y) {
        data[STRIDE * (size - 1) + X1] = x;
        data[STRIDE * (size - 1) + Y1] = y;
    }

    /** Adds an edge whose eight numbers are known. */
    public void put(
            double x0,
            double y0,
            double x1,
            double y1,
            double bulge,
            double curvature,
            double nx,
            double ny,
            int tag) {
        if (size == this.tag.length) {
            data = Arrays.copyOf(data, 2 * data.length);
            this.tag = Arrays.copyOf(this.tag, 2 * size);
        }
        int at = size * STRIDE;
        data[at] = x0;
        data[at + Y0] = y0;
        data[at + X1] = x1;
        data[at + Y1] = y1;
        data[at + BULGE] = bulge;
        data[at + CURVATURE] = curvature;
        data[at + NX] = nx;
        data[at + NY] = ny;
        this.tag[size++] = tag;
    }

    /** Adds an edge of this table run the other way, with the same tag. */
    public void putReversed(int i) {
        put(x1(i), y1(i), x0(i), y0(i), -bulge(i), -curvature(i), -endNx(i), -endNy(i), tag[i]);
    }

    public double x0(int i) {
        return data[i * STRIDE];
    }

    public double y0(int i) {
        return data[i * STRIDE + Y0];
    }

    public double x1(int i) {
        return data[i * STRIDE + X1];
    }

    public double y1(int i) {
        return data[i * STRIDE + Y1];
    }

    public double bulge(int i) {
        return data[i * STRIDE + BULGE];
    }

    /** 1 / radius, 1/mm; positive turns left, 0 for a line. */
    public double curvature(int i) {
        return data[i * STRIDE + CURVATURE];
    }

    /** Unit normal to the left at the start. */
    public double nx(int i) {
        return data[i * STRIDE + NX];
    }

    public double ny(int i) {
        return data[i * STRIDE + NY];
    }

    /** Unit normal to the left at the end: n - k (b - a). */
    public double endNx(int i) {
        int at = i * STRIDE;
        return data[at + NX] - data[at + CURVATURE] * (data[at + X1] - data[at]);
    }

    public double endNy(int i) {
        int at = i * STRIDE;
        return data[at + NY] - data[at + CURVATURE] * (data[at + Y1] - data[at + Y0]);
    }

    public int tag(int i) {
        return tag[i];
    }

    /** Distance between the ends, mm. */
    public double chord(int i) {
        int at = i * STRIDE;
        double dx = data[at + X1] - data[at];
        double dy = data[at + Y1] - data[at + Y0];
        return Math.sqrt(dx * dx + dy * dy);
    }

    /**
     * x of the middle of the edge: bulge times half the chord to the right of the chord's middle.
     */
    public double middleX(int i) {
        int at = i * STRIDE;
        double sag = data[at + BULGE] / 2;
        return (data[at] + data[at + X1]) / 2 + sag * (data[at + Y1] - data[at + Y0]);
    }

    public double middleY(int i) {
        int at = i * STRIDE;
        double sag = data[at + BULGE] / 2;
        return (data[at + Y0] + data[at + Y1]) / 2 - sag * (data[at + X1] - data[at]);
    }

    /**
     * Whether loops meet, or one meets itself other than at the ends of its edges.
     *
     * @param tolerance mm; edges this near to each other meet
     */
    public boolean meetThemselves(double tolerance) {
        return Cuts.any(this, tolerance);
    }

    /** A tree over the boxes of all edges, in the order of the table. */
    public BoxTree tree(double margin) {
        double[] boxes = new double[BoxTree.room(size)];
        for (int i = 0; i < size; i++) {
            box(i, margin, boxes, 4 * i);
        }
        return BoxTree.ofChain(boxes, size);
    }

    /**
     * Writes a box round the edge: that of the rectangle over the chord as high as the arc. It may
     * be a little larger than the edge needs.
     */
    void box(int i, double margin, double[] into, int to) {
        int at = i * STRIDE;
        double x0 = data[at];
        double y0 = data[at + Y0];
        double x1 = data[at + X1];
        double y1 = data[at + Y1];
        double lowX = x0 < x1 ? x0 : x1;
        double highX = x0 < x1 ? x1 : x0;
        double lowY = y0 < y1 ? y0 : y1;
        double highY = y0 < y1 ? y1 : y0;
        double bulge = data[at + BULGE];
        if (bulge != 0) {
            double sx = bulge / 2 * (y1 - y0);
            double sy = -bulge / 2 * (x1 - x0);
            lowX = sx < 0 ? lowX + sx : lowX;
            highX = sx > 0 ? highX + sx : highX;
            lowY = sy < 0 ? lowY + sy : lowY;
            highY = sy > 0 ? highY + sy : highY;
        }
        into[to] = lowX - margin;
        into[to + 1] = lowY - margin;
        into[to + 2] = highX + margin;
        into[to + 3] = highY + margin;
    }

    /**
     * Where an edge's carrier lies from a point: signed distance, mm, positive to the right of the
     * travel.
     */
    double rightOf(int i, double x, double y) {
        int at = i * STRIDE;
        double k = data[at + CURVATURE];
        double qx = x - data[at];
        double qy = y - data[at + Y0];
        double f = k * (qx * qx + qy * qy) / 2 - data[at + NX] * qx - data[at + NY] * qy;
        if (k == 0) {
            return f;
        }
        // |p - c| = r sqrt(1 + 2 k f); inside the circle the root of a negative rounding is 0
        return 2 * f / (1 + Math.sqrt(Math.max(0, 1 + 2 * k * f)));
    }

    /**
     * Whether the foot of a point on the carrier lies on the edge: ahead of the normal through the
     * start and behind that through the end.
     *
     * @param slack mm by which the foot may lie off the ends; negative: must lie within
     */
    public boolean hasFoot(int i, double x, double y, double slack) {
        int at = i * STRIDE;
        double qx = x - data[at];
        double qy = y - data[at + Y0];
        double nx = data[at + NX];
        double ny = data[at + NY];
        if (qx * ny - qy * nx < -slack) {
            return false;
        }
        double k = data[at + CURVATURE];
        double dx = data[at + X1] - data[at];
        double dy = data[at + Y1] - data[at + Y0];
        double mx = nx - k * dx;
        double my = ny - k * dy;
        return (qx - dx) * my - (qy - dy) * mx <= slack;
    }

    /** Whether the edge passes a point within {@code tolerance}, mm. */
    boolean passes(int i, double x, double y, double tolerance) {
        return near(x0(i), y0(i), x, y, tolerance)
                || near(x1(i), y1(i), x, y, tolerance)
                || hasFoot(i, x, y, 0) && Math.abs(rightOf(i, x, y)) <= tolerance;
    }

    static boolean near(double x0, double y0, double x1, double y1, double tolerance) {
        double dx = x1 - x0;
        double dy = y1 - y0;
        return dx * dx + dy * dy <= tolerance * tolerance;
    }

    /** Least distance of a point from the edge, mm. */
    public double distance(int i, double x, double y) {
        if (hasFoot(i, x, y, 0)) {
            return Math.abs(rightOf(i, x, y));
        }
        double ax = x - x0(i);
        double ay = y - y0(i);
        double bx = x - x1(i);
        double by = y - y1(i);
        return Math.sqrt(Math.min(ax * ax + ay * ay, bx * bx + by * by));
    }

    /**
     * Whether a point is nearer to the edge than a distance by its foot, ends left out.
     *
     * @param slack mm; feet this near to an end are left out as well
     */
    public boolean footNearer(int i, double x, double y, double distance, double slack) {
        return hasFoot(i, x, y, -slack) && Math.abs(rightOf(i, x, y)) < distance;
    }

    /**
     * Key of a point of the edge that grows along it from 0 to 1; the share of the chords to both
     * ends, which is monotone on any arc and keeps its digits near the ends.
     */
    public double key(int i, double x, double y) {
        double ax = x - x0(i);
        double ay = y - y0(i);
        double bx = x - x1(i);
        double by = y - y1(i);
        double a = Math.sqrt(ax * ax + ay * ay);
        double b = Math.sqrt(bx * bx + by * by);
        return a + b == 0 ? 0 : a / (a + b);
    }

    /** Bulge of the stretch of this edge between two of its points. */
    public double bulgeBetween(int i, double px, double py, double qx, double qy) {
        int at = i * STRIDE;
        double k = data[at + CURVATURE];
        if (k == 0) {
            return 0;
        }
        double dx = qx - px;
        double dy = qy - py;
        double chord = Math.sqrt(dx * dx + dy * dy);
        // half the sweep has the sine k c / 2; near half a turn its tangent is taken instead, since
        // there the sine says little
        double sine = k * chord / 2;
        if (Math.abs(sine) < 0.7) {
            return sine / (1 + Math.sqrt(1 - sine * sine));
        }
        double nx = data[at + NX] - k * (px - data[at]);
        double ny = data[at + NY] - k * (py - data[at + Y0]);
        double along = (ny * dx - nx * dy) / chord;
        double across = (ny * dy + nx * dx) / chord;
        return across / (Math.sqrt(along * along + across * across) + along);
    }

    /** Twice the signed area between successive edges and a point, roughly. */
    double roughDoubleArea(int first, int count, double x, double y) {
        double sum = 0;
        for (int i = first; i < first + count; i++) {
            sum += Measures.roughDoubleArea(x0(i) - x, y0(i) - y, x1(i) - x, y1(i) - y, bulge(i));
        }
        return sum;
    }

    /** Adds the edges of a closed chain as a new loop. */
    public void addLoop(Vertices loop) {
        beginLoop();
        for (int i = 0; i < loop.edges(); i++) {
            int j = loop.endOf(i);
            add(loop.x(i), loop.y(i), loop.x(j), loop.y(j), loop.bulge(i), i);
        }
    }

    /** How often the ray from a point to the right crosses the edge, upwards counted positive. */
    int crossingsRightOf(int i, double x, double y) {
        return Measures.crossingsRightOf(x0(i), y0(i), x1(i), y1(i), bulge(i), x, y);
    }
}
