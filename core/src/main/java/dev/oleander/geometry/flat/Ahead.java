package dev.oleander.geometry.flat;

/**
 * Tells of successive edges of a chain that they cannot meet but at their common ends: all run
 * ahead in a common direction. Each turns by half a turn at most, so it is enough that their
 * tangents at both ends do.
 */
final class Ahead {

    /** Cosine which every tangent must at least have to run ahead. */
    private static final double AHEAD = 1e-3;

    private final Edges edges;

    Ahead(Edges edges) {
        this.edges = edges;
    }

    /** Whether the edges from one to before another run ahead, seen along their mean. */
    boolean run(int from, int end) {
        double mx = edges.endNx(end - 1);
        double my = edges.endNy(end - 1);
        for (int i = from; i < end; i++) {
            mx += edges.nx(i);
            my += edges.ny(i);
        }
        return run(from, end, mx, my);
    }

    /** Whether an edge and its follower do, seen halfway between their outermost tangents. */
    boolean run(int edge) {
        int next = edge + 1;
        double mx = edges.nx(edge) + edges.endNx(next);
        double my = edges.ny(edge) + edges.endNy(next);
        return run(edge, next + 1, mx, my);
    }

    private boolean run(int from, int end, double mx, double my) {
        double least = (Math.abs(mx) + Math.abs(my)) * AHEAD;
        for (int i = from; i < end; i++) {
            if (edges.nx(i) * mx + edges.ny(i) * my <= least) {
                return false;
            }
            boolean arc = edges.curvature(i) != 0;
            if (arc && edges.endNx(i) * mx + edges.endNy(i) * my <= least) {
                return false;
            }
        }
        return true;
    }
}
