package dev.oleander.geometry.offset;

import dev.oleander.geometry.flat.BoxTree;
import dev.oleander.geometry.flat.Edges;

/** Asks whether places keep their distance from the source of a parallel curve. */
final class SourceDistance {

    /** So many questions are answered faster without a tree. */
    private static final int FEW = 4;

    private final Edges source;
    private BoxTree tree;
    private int asked;

    /** For flat ends: edges of open paths run there and back, the ends of which do not count. */
    private final boolean passEnds;

    private final double slack;

    SourceDistance(Edges source, double slack, boolean passEnds) {
        this.source = source;
        this.slack = slack;
        this.passEnds = passEnds;
    }

    /** Whether nothing of the source is nearer to a point than {@code distance}, mm. */
    boolean isClear(double x, double y, double distance) {
        if (asked++ < FEW) {
            return isClearOfAll(x, y, distance);
        }
        if (tree == null) {
            tree = source.tree(0);
        }
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

    private boolean isClearOfAll(double x, double y, double distance) {
        for (int i = 0; i < source.size(); i++) {
            if (isNearer(i, x, y, distance)) {
                return false;
            }
        }
        return true;
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
