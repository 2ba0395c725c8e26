package dev.oleander.geometry.offset;

import dev.oleander.geometry.flat.BoxTree;
import dev.oleander.geometry.flat.Edges;

/** Asks whether places keep their distance from the source of a parallel curve. */
final class SourceDistance {

    private final Edges source;
    private final BoxTree tree;

    /** For flat ends: edges of open paths run there and back, the ends of which do not count. */
    private final boolean passEnds;

    private final double slack;

    SourceDistance(Edges source, double slack, boolean passEnds) {
        this.source = source;
        this.tree = source.tree(0);
        this.slack = slack;
        this.passEnds = passEnds;
    }

    /** Whether nothing of the source is nearer to a point than {@code distance}, mm. */
    boolean isClear(double x, double y, double distance) {
        boolean[] clear = {true};
        tree.touching(
                x - distance,
                y - distance,
                x + distance,
                y + distance,
                i -> {
                    clear[0] = !isNearer(i, x, y, distance);
                    return clear[0];
                });
        return clear[0];
    }

    private boolean isNearer(int i, double x, double y, double distance) {
        if (!passEnds) {
            return source.distance(i, x, y) < distance;
        }
        int loop = source.loopOf(i);
        int first = source.first(loop);
        int last = source.first(loop + 1) - 1;
        int middle = (first + last) / 2;
        boolean startCounts = i != first && i != middle + 1;
        boolean endCounts = i != last && i != middle;
        return source.footNearer(i, x, y, distance, slack)
                || startCounts && isNear(source.x0(i), source.y0(i), x, y, distance)
                || endCounts && isNear(source.x1(i), source.y1(i), x, y, distance);
    }

    private static boolean isNear(double x0, double y0, double x, double y, double distance) {
        return (x - x0) * (x - x0) + (y - y0) * (y - y0) < distance * distance;
    }
}
