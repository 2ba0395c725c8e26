package dev.oleander.geometry.flat;

import java.util.Arrays;

/**
 * The stretches of loops between nodes. A loop that meets nothing is one run without nodes.
 *
 * <p>The pieces of a run are parts of successive edges; those at its ends are cut at the nodes.
 */
public final class Runs {

    private static final int LOOKED_AT = 32;

    private final Edges edges;
    private final Cuts cuts;
    private final double tolerance;

    private int size;
    private int[] loop = new int[16];

    /** Nodes at the ends; -1 on a loop without nodes. */
    private int[] from = new int[16];

    private int[] to = new int[16];
    private int[] firstEdge = new int[16];
    private int[] pieces = new int[16];

    private int[] nodeOfCut;
    private int nodes;
    private double[] nodeX = new double[16];
    private double[] nodeY = new double[16];

    Runs(Edges edges, Cuts cuts, double tolerance) {
        this.edges = edges;
        this.cuts = cuts;
        this.tolerance = tolerance;
        numberNodes();
        int from = 0;
        for (int l = 0; l < edges.loops(); l++) {
            int to = from;
            while (to < cuts.size() && cuts.edge(cuts.inOrder(to)) < edges.first(l + 1)) {
                to++;
            }
            addLoop(l, from, to);
            from = to;
        }
    }

    /** A node lies where a vertex takes part in it, otherwise where it was found first. */
    private void numberNodes() {
        nodeOfCut = new int[cuts.size()];
        Arrays.fill(nodeOfCut, -1);
        for (int n = 0; n < cuts.size(); n++) {
            int cut = cuts.inOrder(n);
            int root = cuts.node(cut);
            boolean isNew = nodeOfCut[root] < 0;
            if (isNew) {
                nodeOfCut[root] = newNode();
            }
            int node = nodeOfCut[root];
            nodeOfCut[cut] = node;
            if (isNew || cuts.key(cut) == 0) {
                nodeX[node] = cuts.x(cut);
                nodeY[node] = cuts.y(cut);
            }
        }
    }

    private int newNode() {
        if (nodes == nodeX.length) {
            nodeX = Arrays.copyOf(nodeX, 2 * nodes);
            nodeY = Arrays.copyOf(nodeY, 2 * nodes);
        }
        return nodes++;
    }

    private void addLoop(int l, int from, int to) {
        if (from == to) {
            int first = edges.first(l);
            add(-1, -1, l, first, edges.first(l + 1) - first);
            return;
        }
        for (int n = from; n < to; n++) {
            boolean closing = n + 1 == to;
            int start = cuts.inOrder(n);
            int end = cuts.inOrder(closing ? from : n + 1);
            int round = closing ? edges.first(l + 1) - edges.first(l) : 0;
            int passed = cuts.edge(end) - cuts.edge(start) + round;
            if (!isDust(start, end, passed)) {
                int count = cuts.key(end) > 0 ? passed + 1 : passed;
                add(nodeOfCut[start], nodeOfCut[end], l, cuts.edge(start), count);
            }
        }
    }

    private boolean isDust(int start, int end, int passed) {
        if (nodeOfCut[start] != nodeOfCut[end] || passed > 1) {
            return false;
        }
        double reach = 4 * tolerance;
        if (passed == 0) {
            return Edges.near(cuts.x(start), cuts.y(start), cuts.x(end), cuts.y(end), reach);
        }
        double x = edges.x0(cuts.edge(end));
        double y = edges.y0(cuts.edge(end));
        return Edges.near(cuts.x(start), cuts.y(start), x, y, reach)
                && Edges.near(cuts.x(end), cuts.y(end), x, y, reach);
    }

    private void add(int start, int end, int l, int edge, int count) {
        if (size == loop.length) {
            loop = Arrays.copyOf(loop, 2 * size);
            from = Arrays.copyOf(from, 2 * size);
            to = Arrays.copyOf(to, 2 * size);
            firstEdge = Arrays.copyOf(firstEdge, 2 * size);
            pieces = Arrays.copyOf(pieces, 2 * size);
        }
        loop[size] = l;
        from[size] = start;
        to[size] = end;
        firstEdge[size] = edge;
        pieces[size++] = count;
    }

    public int size() {
        return size;
    }

    int nodes() {
        return nodes;
    }

    int loop(int run) {
        return loop[run];
    }

    /** Node where the run starts; -1 on a loop without nodes. */
    int from(int run) {
        return from[run];
    }

    int to(int run) {
        return to[run];
    }

    /** Number of edges of which the run has a part. */
    public int pieces(int run) {
        return pieces[run];
    }

    /** The edge of which the n-th piece is a part. */
    public int edge(int run, int n) {
        int edge = firstEdge[run] + n;
        int end = edges.first(loop[run] + 1);
        return edge < end ? edge : edge - end + edges.first(loop[run]);
    }

    public double startX(int run, int n) {
        return n == 0 && from[run] >= 0 ? nodeX[from[run]] : edges.x0(edge(run, n));
    }

    public double startY(int run, int n) {
        return n == 0 && from[run] >= 0 ? nodeY[from[run]] : edges.y0(edge(run, n));
    }

    public double endX(int run, int n) {
        boolean atNode = n == pieces[run] - 1 && to[run] >= 0;
        return atNode ? nodeX[to[run]] : edges.x1(edge(run, n));
    }

    public double endY(int run, int n) {
        boolean atNode = n == pieces[run] - 1 && to[run] >= 0;
        return atNode ? nodeY[to[run]] : edges.y1(edge(run, n));
    }

    /** Bulge of the n-th piece between its ends. */
    public double bulge(int run, int n) {
        int edge = edge(run, n);
        boolean whole = from[run] < 0 || n > 0 && n < pieces[run] - 1;
        if (whole) {
            return edges.bulge(edge);
        }
        return edges.bulgeBetween(edge, startX(run, n), startY(run, n), endX(run, n), endY(run, n));
    }

    /** The piece with the longest chord among the first {@value #LOOKED_AT} of a run. */
    public int longest(int run) {
        int best = 0;
        double most = -1;
        int count = Math.min(LOOKED_AT, pieces[run]);
        for (int n = 0; n < count; n++) {
            double chord = chord(run, n);
            if (chord > most) {
                most = chord;
                best = n;
            }
        }
        return best;
    }

    /** Distance between the ends of a piece, mm. */
    public double chord(int run, int n) {
        double dx = endX(run, n) - startX(run, n);
        double dy = endY(run, n) - startY(run, n);
        return Math.sqrt(dx * dx + dy * dy);
    }

    public double middleX(int run, int n) {
        double sag = bulge(run, n) / 2;
        return (startX(run, n) + endX(run, n)) / 2 + sag * (endY(run, n) - startY(run, n));
    }

    public double middleY(int run, int n) {
        double sag = bulge(run, n) / 2;
        return (startY(run, n) + endY(run, n)) / 2 - sag * (endX(run, n) - startX(run, n));
    }

    /** Twice the signed area between the run and a point, roughly. */
    double roughDoubleArea(int run, double x, double y) {
        if (from[run] < 0) {
            return edges.roughDoubleArea(firstEdge[run], pieces[run], x, y);
        }
        double sum = 0;
        double ax = startX(run, 0) - x;
        double ay = startY(run, 0) - y;
        for (int n = 0; n < pieces[run]; n++) {
            double bx = endX(run, n) - x;
            double by = endY(run, n) - y;
            sum += Measures.roughDoubleArea(ax, ay, bx, by, bulge(run, n));
            ax = bx;
            ay = by;
        }
        return sum;
    }

    /** Whether two runs between the same nodes lie on each other. */
    boolean coincide(int a, int b) {
        return liesOn(a, b) && liesOn(b, a);
    }

    private boolean liesOn(int a, int b) {
        if (pieces(a) > 3 || pieces(b) > 3) {
            return false;
        }
        int n = longest(a);
        double x = middleX(a, n);
        double y = middleY(a, n);
        for (int m = 0; m < pieces(b); m++) {
            if (passes(b, m, x, y)) {
                return true;
            }
        }
        return false;
    }

    /** Whether a piece, which may be only a part of its edge, passes a point. */
    private boolean passes(int run, int n, double x, double y) {
        int edge = edge(run, n);
        double key = edges.key(edge, x, y);
        return edges.passes(edge, x, y, 4 * tolerance)
                && key >= edges.key(edge, startX(run, n), startY(run, n))
                && key <= edges.key(edge, endX(run, n), endY(run, n));
    }
}
