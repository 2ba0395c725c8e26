package dev.oleander.geometry.flat;

/**
 * Common points of two edges. One object serves many pairs; the points of a pair are read before
 * the next is asked.
 *
 * <p>A place where the edges stay closer together than the tolerance is one point: a tangency is
 * found once. Where they lie on each other over a stretch its two ends are found (two arcs can
 * share two stretches).
 */
public final class Meeting {

    private static final int MOST = 8;

    private final double tolerance;
    private final double[] x = new double[MOST];
    private final double[] y = new double[MOST];
    private int count;

    private Edges first;
    private int i;
    private Edges second;
    private int j;

    /**
     * @param tolerance mm; edges this near to each other meet
     */
    public Meeting(double tolerance) {
        if (!(tolerance > 0)) {
            throw new IllegalArgumentException("tolerance must be > 0 mm: " + tolerance);
        }
        this.tolerance = tolerance;
    }

    /** Number of common points of the last pair. */
    public int count() {
        return count;
    }

    public double x(int n) {
        return x[n];
    }

    public double y(int n) {
        return y[n];
    }

    /** Whether the edges run along each other between the first two points that were found. */
    boolean sharesStretch() {
        if (count < 2) {
            return false;
        }
        boolean ahead = first.key(i, x[0], y[0]) <= first.key(i, x[1], y[1]);
        int from = ahead ? 0 : 1;
        int to = 1 - from;
        double sag = first.bulgeBetween(i, x[from], y[from], x[to], y[to]) / 2;
        double mx = (x[from] + x[to]) / 2 + sag * (y[to] - y[from]);
        double my = (y[from] + y[to]) / 2 - sag * (x[to] - x[from]);
        return second.passes(j, mx, my, 4 * tolerance);
    }

    /** Finds the common points of edge {@code i} of one table and edge {@code j} of another. */
    public void find(Edges first, int i, Edges second, int j) {
        this.first = first;
        this.i = i;
        this.second = second;
        this.j = j;
        count = 0;
        boolean lines = first.curvature(i) == 0 && second.curvature(j) == 0;
        if (lines) {
            findLines();
        } else {
            findEnds();
            findArcs();
        }
    }

    private void findLines() {
        double start = first.rightOf(i, second.x0(j), second.y0(j));
        double end = first.rightOf(i, second.x1(j), second.y1(j));
        if (start > tolerance && end > tolerance || start < -tolerance && end < -tolerance) {
            return;
        }
        double from = second.rightOf(j, first.x0(i), first.y0(i));
        double to = second.rightOf(j, first.x1(i), first.y1(i));
        if (from > tolerance && to > tolerance || from < -tolerance && to < -tolerance) {
            return;
        }
        findEnds();
        if (count == 0 && start * end < 0 && from * to < 0) {
            double t = start / (start - end);
            double px = second.x0(j) + t * (second.x1(j) - second.x0(j));
            double py = second.y0(j) + t * (second.y1(j) - second.y0(j));
            add(px, py);
        }
    }

    /** Ends of either edge that lie on the other. */
    private void findEnds() {
        end(first, i, second.x0(j), second.y0(j));
        end(first, i, second.x1(j), second.y1(j));
        end(second, j, first.x0(i), first.y0(i));
        end(second, j, first.x1(i), first.y1(i));
    }

    private void end(Edges on, int edge, double px, double py) {
        if (on.passes(edge, px, py, tolerance) && !isKnown(px, py)) {
            add(px, py);
        }
    }

    private boolean isKnown(double px, double py) {
        for (int n = 0; n < count; n++) {
            if (Edges.near(x[n], y[n], px, py, 2 * tolerance)) {
                return true;
            }
        }
        return false;
    }

    private void add(double px, double py) {
        x[count] = px;
        y[count++] = py;
    }

    /**
     * Crossings with at least one arc. With f and g the forms of both carriers about the start of
     * the more curved one, k_g f - k_f g = 0 is a straight line through all their common points; it
     * is cut with the more curved carrier.
     */
    private void findArcs() {
        boolean swap = Math.abs(second.curvature(j)) > Math.abs(first.curvature(i));
        Edges a = swap ? second : first;
        int ia = swap ? j : i;
        Edges b = swap ? first : second;
        int ib = swap ? i : j;
        double k = a.curvature(ia);
        double l = b.curvature(ib);
        double nx = a.nx(ia);
        double ny = a.ny(ia);
        double mx = b.nx(ib);
        double my = b.ny(ib);
        double dx = b.x0(ib) - a.x0(ia);
        double dy = b.y0(ib) - a.y0(ia);
        // g . q = h with q from the start of a
        double gx = k * l * dx + k * mx - l * nx;
        double gy = k * l * dy + k * my - l * ny;
        double norm = Math.sqrt(gx * gx + gy * gy);
        if (!(norm > Double.MIN_NORMAL)) {
            return;
        }
        gx /= norm;
        gy /= norm;
        double h = k * (l * (dx * dx + dy * dy) / 2 + mx * dx + my * dy) / norm;
        // along the line q = h g + w (-gy, gx): k w^2 / 2 - slope w + rest = 0
        double slope = nx * -gy + ny * gx;
        double rest = k * h * h / 2 - h * (nx * gx + ny * gy);
        double square = slope * slope - 2 * k * rest;
        double home = slope / k;
        double baseX = a.x0(ia) + h * gx;
        double baseY = a.y0(ia) + h * gy;
        double midX = baseX - home * gy;
        double midY = baseY + home * gx;
        if (areTogether(midX, midY)) {
            accept(midX, midY);
            return;
        }
        if (!(square > 0)) {
            return;
        }
        double root = Math.sqrt(square);
        double far = (slope + Math.copySign(root, slope)) / k;
        double near = far == 0 ? 0 : 2 * rest / (k * far);
        accept(baseX - far * gy, baseY + far * gx);
        accept(baseX - near * gy, baseY + near * gx);
    }

    /** Whether both carriers pass a point within the tolerance. */
    private boolean areTogether(double px, double py) {
        return Math.abs(first.rightOf(i, px, py)) <= tolerance
                && Math.abs(second.rightOf(j, px, py)) <= tolerance;
    }

    private void accept(double px, double py) {
        if (first.hasFoot(i, px, py, 0) && second.hasFoot(j, px, py, 0) && !joinsKnown(px, py)) {
            add(px, py);
        }
    }

    /** Whether the edges stay together between a point found before and this one. */
    private boolean joinsKnown(double px, double py) {
        for (int n = 0; n < count; n++) {
            if (Edges.near(x[n], y[n], px, py, 2 * tolerance)) {
                return true;
            }
            double mx = (x[n] + px) / 2;
            double my = (y[n] + py) / 2;
            double apart = first.rightOf(i, mx, my);
            double other = second.rightOf(j, mx, my);
            boolean sameWay = runAlike(mx, my);
            if (Math.abs(sameWay ? apart - other : apart + other) <= tolerance) {
                return true;
            }
        }
        return false;
    }

    /** Whether both carriers run in like directions near a point. */
    private boolean runAlike(double px, double py) {
        double ax = first.nx(i) - first.curvature(i) * (px - first.x0(i));
        double ay = first.ny(i) - first.curvature(i) * (py - first.y0(i));
        double bx = second.nx(j) - second.curvature(j) * (px - second.x0(j));
        double by = second.ny(j) - second.curvature(j) * (py - second.y0(j));
        return ax * bx + ay * by > 0;
    }
}
