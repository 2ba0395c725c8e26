package dev.oleander.geometry.flat;

/**
 * Winding numbers of points with regard to the loops of a table.
 *
 * <p>The ray to the right of a point crosses a chain that lies wholly to the right of it as often
 * as the line between the chain's ends, so a node of the tree that holds one stretch of a loop is
 * settled by two numbers. Only nodes whose box holds the point are opened: about log n.
 */
public final class PointLocator {

    private final Edges edges;
    private final BoxTree tree;

    /** Last edge of the loop each edge belongs to. */
    private final int[] lastOfLoop;

    public PointLocator(Edges edges) {
        this.edges = edges;
        this.tree = edges.tree(0);
        this.lastOfLoop = new int[edges.size()];
        for (int loop = 0; loop < edges.loops(); loop++) {
            int end = edges.first(loop + 1);
            for (int i = edges.first(loop); i < end; i++) {
                lastOfLoop[i] = end - 1;
            }
        }
    }

    /** The tree over the edges. */
    public BoxTree tree() {
        return tree;
    }

    /** How often the loops wind round a point, anticlockwise; a border belongs to one side. */
    public int winding(double x, double y) {
        return edges.size() == 0 ? 0 : count(tree.top(), 0, x, y);
    }

    private int count(int l, int index, double x, double y) {
        if (!tree.reachesRightOf(l, index, x, y)) {
            return 0;
        }
        int first = tree.firstItem(l, index);
        if (tree.isRightOf(l, index, x)) {
            int last = tree.lastItem(l, index);
            if (lastOfLoop[first] >= last) {
                boolean startsBelow = edges.y0(first) <= y;
                boolean endsBelow = edges.y1(last) <= y;
                return startsBelow == endsBelow ? 0 : startsBelow ? 1 : -1;
            }
        }
        if (l == 0) {
            return edges.crossingsRightOf(index, x, y);
        }
        int sum = 0;
        int end = tree.endOfChildren(l, index);
        for (int i = tree.firstChild(index); i < end; i++) {
            sum += count(l - 1, i, x, y);
        }
        return sum;
    }
}
