package dev.oleander.drawing.picture;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.List;

/** Thinned ink as branches between nodes; a node is where several meet, or one ends. */
final class Skeleton {

    private final int width;
    private final int height;
    private final boolean[] is;

    /** Number of the node that a pixel is of; -1: none. */
    private final int[] node;

    private final boolean[] used;
    private final List<int[]> nodes = new ArrayList<>();
    private final List<Branch> branches = new ArrayList<>();

    /**
     * A way of pixels.
     *
     * @param from number of the node where it begins, or of none: -1 for one that goes round
     */
    record Branch(int from, int to, int[] pixels) {}

    private Skeleton(int width, int height, boolean[] is) {
        this.width = width;
        this.height = height;
        this.is = is;
        this.node = new int[is.length];
        this.used = new boolean[is.length];
        Arrays.fill(node, -1);
    }

    /**
     * @param is thinned ink
     */
    static Skeleton of(int width, int height, boolean[] is) {
        Skeleton skeleton = new Skeleton(width, height, is);
        skeleton.findNodes();
        skeleton.walkBranches();
        return skeleton;
    }

    List<Branch> branches() {
        return branches;
    }

    /** Pixels of a node. */
    int[] node(int number) {
        return nodes.get(number);
    }

    int nodeCount() {
        return nodes.size();
    }

    private List<Integer> neighbours(int at) {
        List<Integer> all = new ArrayList<>();
        int x = at % width;
        int y = at / width;
        for (int i = 0; i < Thinning.DX.length; i++) {
            int u = x + Thinning.DX[i];
            int v = y + Thinning.DY[i];
            if (u >= 0 && v >= 0 && u < width && v < height && is[v * width + u]) {
                all.add(v * width + u);
            }
        }
        return all;
    }

    private void findNodes() {
        for (int at = 0; at < is.length; at++) {
            if (is[at] && node[at] < 0 && neighbours(at).size() != 2) {
                boolean end = neighbours(at).size() < 2;
                nodes.add(end ? one(at) : cluster(at));
            }
        }
    }

    private int[] one(int at) {
        node[at] = nodes.size();
        return new int[] {at};
    }

    /** All pixels at which more than two meet, and that touch each other. */
    private int[] cluster(int from) {
        Deque<Integer> open = new ArrayDeque<>(List.of(from));
        List<Integer> all = new ArrayList<>();
        node[from] = nodes.size();
        while (!open.isEmpty()) {
            int at = open.pop();
            all.add(at);
            for (int next : neighbours(at)) {
                if (node[next] < 0 && neighbours(next).size() > 2) {
                    node[next] = nodes.size();
                    open.push(next);
                }
            }
        }
        return all.stream().mapToInt(Integer::intValue).toArray();
    }

    private void walkBranches() {
        for (int number = 0; number < nodes.size(); number++) {
            for (int at : nodes.get(number)) {
                for (int next : neighbours(at)) {
                    if (node[next] < 0 && !used[next]) {
                        walk(number, at, next);
                    } else if (node[next] > number) {
                        branches.add(new Branch(number, node[next], new int[] {at, next}));
                    }
                }
            }
        }
        for (int at = 0; at < is.length; at++) {
            if (is[at] && node[at] < 0 && !used[at]) {
                round(at);
            }
        }
    }

    private void walk(int from, int start, int first) {
        List<Integer> pixels = new ArrayList<>(List.of(start, first));
        used[first] = true;
        int before = start;
        int at = first;
        while (node[at] < 0) {
            int next = onwards(before, at);
            if (next < 0) {
                break;
            }
            pixels.add(next);
            used[next] |= node[next] < 0;
            before = at;
            at = next;
        }
        if (node[at] >= 0) {
            branches.add(new Branch(from, node[at], pixels.stream().mapToInt(i -> i).toArray()));
        }
    }

    /** The neighbour that the way goes on to; a node before others; -1: none. */
    private int onwards(int before, int at) {
        int next = -1;
        for (int other : neighbours(at)) {
            boolean back = other == before || node[before] >= 0 && node[other] == node[before];
            if (!back && node[other] >= 0) {
                return other;
            }
            if (!back && !used[other]) {
                next = other;
            }
        }
        if (next < 0) {
            // a short way round: back to the node that it came from
            for (int other : neighbours(at)) {
                if (other != before && node[other] >= 0) {
                    return other;
                }
            }
        }
        return next;
    }

    private void round(int start) {
        List<Integer> pixels = new ArrayList<>(List.of(start));
        used[start] = true;
        int at = start;
        boolean more = true;
        while (more) {
            more = false;
            for (int next : neighbours(at)) {
                if (!used[next]) {
                    used[next] = true;
                    pixels.add(next);
                    at = next;
                    more = true;
                    break;
                }
            }
        }
        if (pixels.size() > 3) {
            branches.add(new Branch(-1, -1, pixels.stream().mapToInt(i -> i).toArray()));
        }
    }
}
