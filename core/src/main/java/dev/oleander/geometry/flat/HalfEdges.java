package dev.oleander.geometry.flat;

/**
 * The order of runs round their nodes. Half-edge 2 r runs along run r, 2 r + 1 against it; runs
 * that lie on each other are represented by the first of them.
 */
final class HalfEdges {

    private final Runs runs;

    /** Where the half-edges that leave each node start in {@link #leaving}. */
    private final int[] start;

    /** Leaving half-edges, anticlockwise round each node. */
    private final int[] leaving;

    private final int[] standIn;
    private final int[] next;

    HalfEdges(Edges edges, Runs runs) {
        this.runs = runs;
        this.start = new int[runs.nodes() + 1];
        this.next = new int[2 * runs.size()];
        this.standIn = new int[runs.size()];
        for (int r = 0; r < runs.size(); r++) {
            standIn[r] = r;
        }
        this.leaving = collect();
        order(edges);
        uniteRuns();
        for (int v = 0; v < runs.nodes(); v++) {
            link(v);
        }
    }

    private int[] collect() {
        for (int r = 0; r < runs.size(); r++) {
            if (runs.from(r) >= 0) {
                start[runs.from(r)]++;
                start[runs.to(r)]++;
            }
        }
        int sum = 0;
        for (int v = 0; v <= runs.nodes(); v++) {
            int count = start[v];
            start[v] = sum;
            sum += count;
        }
        int[] found = new int[sum];
        int[] filled = start.clone();
        for (int r = 0; r < runs.size(); r++) {
            if (runs.from(r) >= 0) {
                found[filled[runs.from(r)]++] = 2 * r;
                found[filled[runs.to(r)]++] = 2 * r + 1;
            } else {
                next[2 * r] = 2 * r;
                next[2 * r + 1] = 2 * r + 1;
            }
        }
        return found;
    }

    private void order(Edges edges) {
        Star star = new Star(edges, runs);
        for (int v = 0; v < runs.nodes(); v++) {
            star.clear();
            for (int n = start[v]; n < start[v + 1]; n++) {
                star.add(leaving[n]);
            }
            star.sort();
            for (int n = 0; n < star.size(); n++) {
                leaving[start[v] + n] = star.half(n);
            }
        }
    }

    /** Half-edges that lie on each other are neighbours round their node. */
    private void uniteRuns() {
        for (int v = 0; v < runs.nodes(); v++) {
            int end = start[v + 1];
            for (int n = start[v]; n < end; n++) {
                int after = n + 1 < end ? n + 1 : start[v];
                uniteIfTogether(leaving[n], leaving[after]);
            }
        }
    }

    private void uniteIfTogether(int a, int b) {
        int rootA = standIn(a >> 1);
        int rootB = standIn(b >> 1);
        boolean sameEnds = tail(a) == tail(b) && head(a) == head(b) && tail(a) != head(a);
        if (rootA != rootB && sameEnds && runs.coincide(a >> 1, b >> 1)) {
            standIn[Math.max(rootA, rootB)] = Math.min(rootA, rootB);
        }
    }

    /** Arriving at a node, the face to the left goes on along the next half-edge clockwise. */
    private void link(int node) {
        int first = -1;
        int before = -1;
        for (int n = start[node]; n < start[node + 1]; n++) {
            int h = representative(leaving[n]);
            if (h == before) {
                continue;
            }
            if (before < 0) {
                first = h;
            } else {
                next[h ^ 1] = before;
            }
            before = h;
        }
        if (first >= 0) {
            // the last of the round may lie on the first
            next[first ^ 1] = before;
        }
    }

    /** The half-edge of the stand-in that runs the same way. */
    int representative(int half) {
        int run = half >> 1;
        int root = standIn(run);
        if (root == run) {
            return half;
        }
        return runs.from(root) == tail(half) ? 2 * root : 2 * root + 1;
    }

    /** The run that stands for all that lie on this one. */
    int standIn(int run) {
        int root = run;
        while (standIn[root] != root) {
            root = standIn[root];
        }
        return root;
    }

    /** The half-edge that follows along the same face. */
    int next(int half) {
        return next[half];
    }

    int tail(int half) {
        return (half & 1) == 0 ? runs.from(half >> 1) : runs.to(half >> 1);
    }

    int head(int half) {
        return tail(half ^ 1);
    }
}
