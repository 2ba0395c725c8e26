package dev.oleander.drawing.mend;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * The faces of a plane network of edges. At every node the next edge of a face is the first one
 * clockwise from the edge it came by, so faces run anticlockwise and the unbounded one clockwise.
 */
final class FaceTracer {

    /**
     * @param loops bounded faces, each closed
     * @param shared edges that bound two of the loops
     * @param rest edges that bound none
     */
    record Faces(List<List<Edge>> loops, List<Edge> shared, List<Edge> rest) {}

    /** Edge i run forward is half-edge 2 i, backward 2 i + 1. */
    Faces trace(List<Edge> edges) {
        boolean[] bridge = new boolean[edges.size()];
        while (true) {
            List<List<Integer>> faces = faces(edges, bridge);
            if (!markBridges(faces, bridge)) {
                return collect(edges, bridge, faces);
            }
        }
    }

    /** An edge whose two sides belong to one face encloses nothing. */
    private static boolean markBridges(List<List<Integer>> faces, boolean[] bridge) {
        boolean any = false;
        for (List<Integer> face : faces) {
            Map<Integer, Integer> times = new HashMap<>();
            face.forEach(half -> times.merge(half / 2, 1, Integer::sum));
            for (Map.Entry<Integer, Integer> edge : times.entrySet()) {
                if (edge.getValue() == 2) {
                    bridge[edge.getKey()] = true;
                    any = true;
                }
            }
        }
        return any;
    }

    private static Faces collect(List<Edge> edges, boolean[] bridge, List<List<Integer>> faces) {
        int[] uses = new int[edges.size()];
        List<List<Edge>> loops = new ArrayList<>();
        for (List<Integer> face : faces) {
            List<Edge> loop = face.stream().map(half -> half(edges, half)).toList();
            Contour contour = new Contour(loop.stream().map(Edge::segment).toList());
            if (contour.isAnticlockwise()) {
                loops.add(loop);
                face.forEach(half -> uses[half / 2]++);
            }
        }
        List<Edge> shared = new ArrayList<>();
        List<Edge> rest = new ArrayList<>();
        for (int i = 0; i < edges.size(); i++) {
            if (bridge[i] || uses[i] == 0) {
                rest.add(edges.get(i));
            } else if (uses[i] == 2) {
                shared.add(edges.get(i));
            }
        }
        return new Faces(loops, shared, rest);
    }

    private static List<List<Integer>> faces(List<Edge> edges, boolean[] bridge) {
        int[] next = followers(edges, bridge);
        boolean[] seen = new boolean[next.length];
        List<List<Integer>> faces = new ArrayList<>();
        for (int half = 0; half < next.length; half++) {
            if (!bridge[half / 2] && !seen[half]) {
                List<Integer> face = new ArrayList<>();
                for (int at = half; !seen[at]; at = next[at]) {
                    seen[at] = true;
                    face.add(at);
                }
                faces.add(face);
            }
        }
        return faces;
    }

    private static int[] followers(List<Edge> edges, boolean[] bridge) {
        Map<Point, List<Integer>> outgoing = new HashMap<>();
        for (int half = 0; half < 2 * edges.size(); half++) {
            if (!bridge[half / 2]) {
                outgoing.computeIfAbsent(half(edges, half).from(), p -> new ArrayList<>())
                        .add(half);
            }
        }
        int[] next = new int[2 * edges.size()];
        Arrays.fill(next, -1);
        for (List<Integer> halves : outgoing.values()) {
            // by direction, and among tangent edges by which way they bend
            halves.sort(
                    Comparator.comparingDouble(
                            (Integer h) ->
                                    half(edges, h)
                                            .segment()
                                            .at(1e-3)
                                            .minus(half(edges, h).from())
                                            .angle()));
            for (int i = 0; i < halves.size(); i++) {
                int leaving = halves.get(i);
                int before = halves.get((i + halves.size() - 1) % halves.size());
                next[leaving ^ 1] = before;
            }
        }
        return next;
    }

    private static Edge half(List<Edge> edges, int half) {
        Edge edge = edges.get(half / 2);
        return half % 2 == 0 ? edge : edge.reversed();
    }
}
