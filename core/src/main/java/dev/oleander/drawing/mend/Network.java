package dev.oleander.drawing.mend;

import dev.oleander.geometry.Point;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Edges by the nodes they meet at; the order of edges is kept. */
final class Network {

    private final List<Edge> edges;

    /** Nodes of edge i: where it starts at 2 i, where it ends at 2 i + 1. */
    private final int[] nodes;

    /** Edges at node n: those of {@code meeting} from {@code first[n]} to {@code first[n + 1]}. */
    private final int[] first;

    private final int[] meeting;

    /** Next edge to look at of each node, while edges are used up. */
    private final int[] cursor;

    private final boolean[] used;

    /**
     * @param nodes two per edge, from 0 to {@code count}
     */
    Network(List<Edge> edges, int[] nodes, int count) {
        this.edges = edges;
        this.nodes = nodes;
        this.used = new boolean[edges.size()];
        this.first = new int[count + 1];
        for (int i = 0; i < 2 * edges.size(); i++) {
            first[nodes[i] + 1]++;
        }
        for (int n = 0; n < count; n++) {
            first[n + 1] += first[n];
        }
        this.meeting = new int[2 * edges.size()];
        int[] free = Arrays.copyOf(first, count);
        for (int i = 0; i < 2 * edges.size(); i++) {
            meeting[free[nodes[i]]++] = i / 2;
        }
        this.cursor = Arrays.copyOf(first, count);
    }

    /** A network of its own; nodes are equal points. */
    static Network of(List<Edge> edges) {
        Map<Point, Integer> numbers = new LinkedHashMap<>();
        int[] nodes = new int[2 * edges.size()];
        for (int i = 0; i < edges.size(); i++) {
            Edge edge = edges.get(i);
            nodes[2 * i] = numbers.computeIfAbsent(edge.from(), p -> numbers.size());
            nodes[2 * i + 1] = numbers.computeIfAbsent(edge.to(), p -> numbers.size());
        }
        return new Network(edges, nodes, numbers.size());
    }

    private int degree(int node) {
        return first[node + 1] - first[node];
    }

    /** What hangs together. */
    record Component(List<Edge> edges, boolean branched, Network whole, int[] numbers) {

        /** All edges in one go, turned to follow each other; only where nothing branches. */
        List<Edge> walk() {
            return whole.walkOf(numbers);
        }
    }

    List<Component> components() {
        boolean[] seen = new boolean[edges.size()];
        int[] queue = new int[edges.size()];
        List<Component> components = new ArrayList<>();
        for (int i = 0; i < edges.size(); i++) {
            if (!seen[i]) {
                components.add(component(i, seen, queue));
            }
        }
        return components;
    }

    private Component component(int start, boolean[] seen, int[] queue) {
        int size = 1;
        queue[0] = start;
        seen[start] = true;
        boolean branched = false;
        for (int at = 0; at < size; at++) {
            for (int side = 0; side < 2; side++) {
                int node = nodes[2 * queue[at] + side];
                branched |= degree(node) > 2;
                for (int k = first[node]; k < first[node + 1]; k++) {
                    int next = meeting[k];
                    if (!seen[next]) {
                        seen[next] = true;
                        queue[size++] = next;
                    }
                }
            }
        }
        int[] numbers = Arrays.copyOf(queue, size);
        Arrays.sort(numbers);
        List<Edge> own = new ArrayList<>(size);
        for (int n : numbers) {
            own.add(edges.get(n));
        }
        return new Component(own, branched, this, numbers);
    }

    private List<Edge> walkOf(int[] numbers) {
        int start = nodes[2 * numbers[0]];
        int earliest = Integer.MAX_VALUE;
        for (int n : numbers) {
            for (int side = 0; side < 2; side++) {
                int node = nodes[2 * n + side];
                if (degree(node) == 1 && node < earliest) {
                    earliest = node;
                }
            }
        }
        return walk(earliest == Integer.MAX_VALUE ? start : earliest);
    }

    /** Open paths between loose ends and branches; every edge is used once. */
    List<List<Edge>> paths() {
        List<List<Edge>> paths = new ArrayList<>();
        for (int node = 0; node + 1 < first.length; node++) {
            if (degree(node) != 2) {
                for (int i = 0; i < degree(node); i++) {
                    List<Edge> path = walk(node);
                    if (!path.isEmpty()) {
                        paths.add(path);
                    }
                }
            }
        }
        return paths;
    }

    /** Nodes where more than two edges meet, with how many. */
    Map<Point, Integer> branches() {
        Map<Point, Integer> branches = new LinkedHashMap<>();
        for (int i = 0; i < nodes.length; i++) {
            int degree = degree(nodes[i]);
            if (degree > 2) {
                Edge edge = edges.get(i / 2);
                branches.put(i % 2 == 0 ? edge.from() : edge.to(), degree);
            }
        }
        return branches;
    }

    private List<Edge> walk(int start) {
        List<Edge> chain = new ArrayList<>();
        int at = start;
        while (true) {
            int next = unused(at);
            if (next < 0) {
                return chain;
            }
            used[next] = true;
            boolean forward = nodes[2 * next] == at;
            chain.add(forward ? edges.get(next) : edges.get(next).reversed());
            at = nodes[2 * next + (forward ? 1 : 0)];
            if (degree(at) != 2) {
                return chain;
            }
        }
    }

    private int unused(int node) {
        while (cursor[node] < first[node + 1]) {
            int edge = meeting[cursor[node]];
            if (!used[edge]) {
                return edge;
            }
            cursor[node]++;
        }
        return -1;
    }
}
