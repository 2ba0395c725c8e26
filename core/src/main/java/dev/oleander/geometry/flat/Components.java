package dev.oleander.geometry.flat;

import java.util.Arrays;

/** The connected parts of an arrangement. */
final class Components {

    private final Arrangement arrangement;
    private final Runs runs;
    private final int[] ofNode;
    private final int[] ofLoop;
    private final int[] ofCycle;
    private final int[] outer;
    private int count;

    Components(Arrangement arrangement) {
        this.arrangement = arrangement;
        this.runs = arrangement.runs();
        this.ofNode = numbered(united());
        this.ofLoop = new int[arrangement.edges().loops()];
        Arrays.fill(ofLoop, -1);
        for (int r = 0; r < runs.size(); r++) {
            int loop = runs.loop(r);
            if (ofLoop[loop] < 0) {
                ofLoop[loop] = runs.from(r) < 0 ? count++ : ofNode[runs.from(r)];
            }
        }
        this.ofCycle = new int[arrangement.cycles()];
        this.outer = new int[count];
        Arrays.fill(outer, -1);
        findOuterCycles();
    }

    private DisjointSets united() {
        DisjointSets nodes = new DisjointSets(runs.nodes());
        for (int r = 0; r < runs.size(); r++) {
            if (runs.from(r) >= 0) {
                nodes.unite(runs.from(r), runs.to(r));
            }
        }
        return nodes;
    }

    /** Nodes whose runs were all dust belong to no part. */
    private int[] numbered(DisjointSets nodes) {
        int[] number = new int[nodes.size()];
        Arrays.fill(number, -1);
        for (int r = 0; r < runs.size(); r++) {
            if (runs.from(r) >= 0) {
                int root = nodes.leader(runs.from(r));
                if (number[root] < 0) {
                    number[root] = count++;
                }
                number[runs.from(r)] = number[root];
                number[runs.to(r)] = number[root];
            }
        }
        return number;
    }

    private void findOuterCycles() {
        for (int c = 0; c < ofCycle.length; c++) {
            int run = arrangement.firstOfCycle(c) >> 1;
            int part = ofLoop[runs.loop(run)];
            ofCycle[c] = part;
            boolean isOuter =
                    outer[part] < 0
                            || arrangement.roughDoubleArea(c)
                                    < arrangement.roughDoubleArea(outer[part]);
            if (isOuter) {
                outer[part] = c;
            }
        }
    }

    int count() {
        return count;
    }

    /** The part a loop belongs to; -1 when nothing of it is left. */
    int ofLoop(int loop) {
        return ofLoop[loop];
    }

    /** The cycle round all of a part: that which turns right about the whole of its area. */
    int outerCycle(int part) {
        return outer[part];
    }

    /** Checks V - E + F = 2 for every part that has nodes. */
    void requirePlane() {
        int[] sum = new int[count];
        for (int v = 0; v < ofNode.length; v++) {
            if (ofNode[v] >= 0) {
                sum[ofNode[v]]++;
            }
        }
        boolean[] hasNodes = new boolean[count];
        int[] someRun = new int[count];
        for (int r = 0; r < runs.size(); r++) {
            if (runs.from(r) >= 0 && arrangement.standIn(r) == r) {
                int part = ofNode[runs.from(r)];
                hasNodes[part] = true;
                someRun[part] = r;
                sum[part]--;
            }
        }
        for (int part : ofCycle) {
            sum[part]++;
        }
        for (int part = 0; part < count; part++) {
            if (hasNodes[part] && sum[part] != 2) {
                throw arrangement.knotAt(2 * someRun[part]);
            }
        }
    }
}
