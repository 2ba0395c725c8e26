package dev.oleander.drawing.mend;

import dev.oleander.geometry.Point;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Edges by the nodes they meet at. Nodes are equal points; the order of edges is kept. */
final class EdgeGraph {

    private final List<Edge> edges;
    private final Map<Point, List<Integer>> atNode = new LinkedHashMap<>();

    EdgeGraph(List<Edge> edges) {
        this.edges = List.copyOf(edges);
        for (int i = 0; i < edges.size(); i++) {
            atNode.computeIfAbsent(edges.get(i).from(), p -> new ArrayList<>(2)).add(i);
            atNode.computeIfAbsent(edges.get(i).to(), p -> new ArrayList<>(2)).add(i);
        }
    }

    List<Edge> edges() {
        return edges;
    }

    int degree(Point node) {
        return atNode.getOrDefault(node, List.of()).size();
    }

    boolean isBranched() {
        return atNode.values().stream().anyMatch(list -> list.size() > 2);
    }

    List<Point> branches() {
        return atNode.entrySet().stream()
                .filter(e -> e.getValue().size() > 2)
                .map(Map.Entry::getKey)
                .toList();
    }

    /** The edges parted into those that hang together. */
    List<List<Edge>> components() {
        boolean[] seen = new boolean[edges.size()];
        List<List<Edge>> components = new ArrayList<>();
        for (int i = 0; i < edges.size(); i++) {
            if (!seen[i]) {
                components.add(component(i, seen));
            }
        }
        return components;
    }

    private List<Edge> component(int first, boolean[] seen) {
        List<Integer> found = new ArrayList<>();
        Deque<Integer> open = new ArrayDeque<>(List.of(first));
        seen[first] = true;
        while (!open.isEmpty()) {
            int at = open.pop();
            found.add(at);
            for (Point node : List.of(edges.get(at).from(), edges.get(at).to())) {
                for (int next : atNode.get(node)) {
                    if (!seen[next]) {
                        seen[next] = true;
                        open.push(next);
                    }
                }
            }
        }
        return found.stream().sorted().map(edges::get).toList();
    }

    /** All edges in one go, turned to follow each other; only where no node has more than two. */
    List<Edge> walk() {
        Point start =
                atNode.entrySet().stream()
                        .filter(e -> e.getValue().size() == 1)
                        .map(Map.Entry::getKey)
                        .findFirst()
                        .orElse(edges.get(0).from());
        return walk(start, new HashSet<>());
    }

    /** Open paths between loose ends and branches; every edge is used once. */
    List<List<Edge>> paths() {
        Set<Integer> used = new HashSet<>();
        List<List<Edge>> paths = new ArrayList<>();
        for (Map.Entry<Point, List<Integer>> node : atNode.entrySet()) {
            if (node.getValue().size() != 2) {
                for (int i = 0; i < node.getValue().size(); i++) {
                    List<Edge> path = walk(node.getKey(), used);
                    if (!path.isEmpty()) {
                        paths.add(path);
                    }
                }
            }
        }
        return paths;
    }

    private List<Edge> walk(Point start, Set<Integer> used) {
        List<Edge> chain = new ArrayList<>();
        Point at = start;
        while (true) {
            int next =
                    atNode.get(at).stream().filter(i -> !used.contains(i)).findFirst().orElse(-1);
            if (next < 0) {
                return chain;
            }
            used.add(next);
            Edge edge = edges.get(next);
            Edge onward = edge.from().equals(at) ? edge : edge.reversed();
            chain.add(onward);
            at = onward.to();
            if (atNode.get(at).size() != 2) {
                return chain;
            }
        }
    }
}
