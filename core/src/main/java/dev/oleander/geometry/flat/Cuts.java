package dev.oleander.geometry.flat;

import java.util.Arrays;

/**
 * Places where edges of a table meet, as cuts on the edges, and the nodes they form. Each meeting
 * gives one cut on either edge; cuts of one meeting, and cuts on one edge within the tolerance, are
 * the same node.
 */
final class Cuts {

    private final Edges edges;
    private final double tolerance;

    /** The edge that follows on the same loop. */
    final int[] next;

    private final BoxTree tree;
    private final Ahead ahead;

    private int size;
    private int[] edge = new int[16];
    private double[] key = new double[16];
    private double[] x = new double[16];
    private double[] y = new double[16];

    /** Cuts by edge and key; those of a loop are neighbours. */
    private int[] order;

    private int[] parent;

    private Cuts(Edges edges, double tolerance) {
        this.edges = edges;
        this.tolerance = tolerance;
        this.next = successors(edges);
        this.tree = edges.tree(tolerance);
        this.ahead = new Ahead(edges);
    }

    /** Finds all meetings of the edges. */
    static Cuts of(Edges edges, double tolerance) {
        Cuts cuts = new Cuts(edges, tolerance);
        Meeting meeting = new Meeting(tolerance);
        cuts.tree.pairs(
                cuts::mayMeet,
                (i, j) -> {
                    cuts.meet(meeting, i, j);
                    return true;
                });
        cuts.unite();
        return cuts;
    }

    /** Whether there is any meeting. */
    static boolean any(Edges edges, double tolerance) {
        Cuts cuts = new Cuts(edges, tolerance);
        Meeting meeting = new Meeting(tolerance);
        cuts.tree.pairs(
                cuts::mayMeet,
                (i, j) -> {
                    cuts.meet(meeting, i, j);
                    return cuts.size == 0;
                });
        return cuts.size > 0;
    }

    private static int[] successors(Edges edges) {
        int[] next = new int[edges.size()];
        for (int loop = 0; loop < edges.loops(); loop++) {
            int first = edges.first(loop);
            int end = edges.first(loop + 1);
            for (int i = first; i < end; i++) {
                next[i] = i + 1 < end ? i + 1 : first;
            }
        }
        return next;
    }

    private boolean mayMeet(int from, int end) {
        boolean oneChain = true;
        for (int i = from; oneChain && i + 1 < end; i++) {
            oneChain = next[i] == i + 1;
        }
        return !oneChain || !ahead.run(from, end);
    }

    private void meet(Meeting meeting, int i, int j) {
        if (next[i] == j && next[j] != i && j == i + 1 && ahead.run(i)) {
            return;
        }
        meeting.find(edges, i, edges, j);
        boolean neighbours = next[i] == j || next[j] == i;
        if (neighbours && meeting.count() < 2) {
            return;
        }
        // the common end of neighbours is no node, unless they run back along each other from it
        boolean passEnds = neighbours && !meeting.sharesStretch();
        for (int n = 0; n < meeting.count(); n++) {
            if (!passEnds || !isSharedEnd(i, j, meeting.x(n), meeting.y(n))) {
                add(i, j, meeting.x(n), meeting.y(n));
            }
        }
    }

    private boolean isSharedEnd(int i, int j, double px, double py) {
        return next[i] == j && Edges.near(edges.x1(i), edges.y1(i), px, py, 2 * tolerance)
                || next[j] == i && Edges.near(edges.x1(j), edges.y1(j), px, py, 2 * tolerance);
    }

    private void add(int i, int j, double px, double py) {
        cut(i, px, py);
        cut(j, px, py);
    }

    private void cut(int i, double px, double py) {
        if (size == edge.length) {
            edge = Arrays.copyOf(edge, 2 * size);
            key = Arrays.copyOf(key, 2 * size);
            x = Arrays.copyOf(x, 2 * size);
            y = Arrays.copyOf(y, 2 * size);
        }
        boolean start = Edges.near(edges.x0(i), edges.y0(i), px, py, tolerance);
        boolean end = !start && Edges.near(edges.x1(i), edges.y1(i), px, py, tolerance);
        int on = end ? next[i] : i;
        edge[size] = on;
        key[size] = start || end ? 0 : edges.key(i, px, py);
        x[size] = start || end ? edges.x0(on) : px;
        y[size++] = start || end ? edges.y0(on) : py;
    }

    private void unite() {
        parent = new int[size];
        for (int c = 0; c < size; c++) {
            parent[c] = c & ~1;
        }
        sort();
        int from = 0;
        for (int loop = 0; loop < edges.loops(); loop++) {
            int to = from;
            while (to < size && edge[order[to]] < edges.first(loop + 1)) {
                to++;
            }
            for (int n = from; n < to; n++) {
                uniteNear(order[n], order[n + 1 < to ? n + 1 : from]);
            }
            from = to;
        }
    }

    /** Cuts that follow each other on a loop within the tolerance are one node. */
    private void uniteNear(int a, int b) {
        boolean neighbours = edge[a] == edge[b] || next[edge[a]] == edge[b];
        if (neighbours && Edges.near(x[a], y[a], x[b], y[b], 2 * tolerance)) {
            join(a, b);
        }
    }

    private void sort() {
        int[] start = new int[edges.size() + 1];
        for (int c = 0; c < size; c++) {
            start[edge[c] + 1]++;
        }
        for (int e = 0; e < edges.size(); e++) {
            start[e + 1] += start[e];
        }
        order = new int[size];
        int[] filled = start.clone();
        for (int c = 0; c < size; c++) {
            int at = filled[edge[c]]++;
            while (at > start[edge[c]] && key[order[at - 1]] > key[c]) {
                order[at] = order[at - 1];
                at--;
            }
            order[at] = c;
        }
    }

    private void join(int a, int b) {
        int rootA = node(a);
        int rootB = node(b);
        parent[Math.max(rootA, rootB)] = Math.min(rootA, rootB);
    }

    int size() {
        return size;
    }

    /** The n-th cut in the order of the edges and along them. */
    int inOrder(int n) {
        return order[n];
    }

    int edge(int cut) {
        return edge[cut];
    }

    /** Key of the cut on its edge; exactly 0 at the start of the edge, never 1. */
    double key(int cut) {
        return key[cut];
    }

    double x(int cut) {
        return x[cut];
    }

    double y(int cut) {
        return y[cut];
    }

    /** The cut that stands for all cuts of the same node. */
    int node(int cut) {
        int root = cut;
        while (parent[root] != root) {
            parent[root] = parent[parent[root]];
            root = parent[root];
        }
        return root;
    }

    /** The tree over the edges' boxes. */
    BoxTree tree() {
        return tree;
    }
}
