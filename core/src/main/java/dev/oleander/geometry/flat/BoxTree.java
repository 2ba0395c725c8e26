package dev.oleander.geometry.flat;

import java.util.Arrays;
import java.util.BitSet;

/**
 * A packed, static tree of boxes: every node holds up to eight of the level below, all boxes lie in
 * one array. Built once, then only asked.
 *
 * <p>Boxes that come in the order of a chain are already near each other and are packed as they
 * come; others are first sorted along a Hilbert curve, after I. Kamel and C. Faloutsos, "On packing
 * R-trees", CIKM 1993.
 */
public final class BoxTree {

    private static final int SHIFT = 3;
    private static final int FANOUT = 1 << SHIFT;
    private static final int GRID = 1 << 12;

    private final int items;

    /** Item at each place of the lowest level; null when they lie in the order given. */
    private final int[] order;

    /** Four numbers per box (least x and y, greatest x and y), the lowest level first. */
    private final double[] boxes;

    /** Where each level starts, in boxes; one more entry than levels. */
    private final int[] level;

    private BoxTree(double[] given, int items, int[] order) {
        this.items = items;
        this.order = order;
        this.level = levels(items);
        this.boxes = grown(given, 4 * level[level.length - 1]);
        if (order != null) {
            sort();
        }
        pack();
    }

    /** Puts the items in their order, in place: along each cycle of the permutation. */
    private void sort() {
        BitSet done = new BitSet(items);
        double[] held = new double[4];
        for (int first = done.nextClearBit(0); first < items; first = done.nextClearBit(first)) {
            System.arraycopy(boxes, 4 * first, held, 0, 4);
            int at = first;
            while (order[at] != first) {
                System.arraycopy(boxes, 4 * order[at], boxes, 4 * at, 4);
                done.set(at);
                at = order[at];
            }
            System.arraycopy(held, 0, boxes, 4 * at, 4);
            done.set(at);
        }
    }

    /**
     * Boxes in the order of a chain.
     *
     * @param boxes four numbers per item (least x and y, greatest x and y); taken over
     */
    public static BoxTree ofChain(double[] boxes, int items) {
        return new BoxTree(boxes, items, null);
    }

    /**
     * Boxes in any order.
     *
     * @param boxes four numbers per item (least x and y, greatest x and y); taken over
     */
    public static BoxTree of(double[] boxes, int items) {
        return new BoxTree(boxes, items, HilbertOrder.of(boxes, items, GRID));
    }

    private static double[] grown(double[] boxes, int length) {
        return boxes.length == length ? boxes : Arrays.copyOf(boxes, length);
    }

    /** Numbers needed for a tree of that many boxes; an array of that length is not copied. */
    public static int room(int items) {
        int[] starts = levels(items);
        return 4 * starts[starts.length - 1];
    }

    private static int[] levels(int items) {
        int[] starts = new int[2 + 32 / SHIFT + 1];
        int depth = 0;
        int count = items;
        while (true) {
            starts[depth + 1] = starts[depth] + count;
            depth++;
            if (count <= 1) {
                break;
            }
            count = (count + FANOUT - 1) >> SHIFT;
        }
        return Arrays.copyOf(starts, depth + 1);
    }

    private void pack() {
        for (int l = 1; l < level.length - 1; l++) {
            int below = level[l - 1];
            int end = level[l];
            for (int node = level[l]; node < level[l + 1]; node++) {
                int from = below + ((node - level[l]) << SHIFT);
                unite(4 * node, 4 * from, 4 * Math.min(end, from + FANOUT));
            }
        }
    }

    private void unite(int to, int from, int end) {
        double lowX = Double.POSITIVE_INFINITY;
        double lowY = Double.POSITIVE_INFINITY;
        double highX = Double.NEGATIVE_INFINITY;
        double highY = Double.NEGATIVE_INFINITY;
        for (int at = from; at < end; at += 4) {
            lowX = boxes[at] < lowX ? boxes[at] : lowX;
            lowY = boxes[at + 1] < lowY ? boxes[at + 1] : lowY;
            highX = boxes[at + 2] > highX ? boxes[at + 2] : highX;
            highY = boxes[at + 3] > highY ? boxes[at + 3] : highY;
        }
        boxes[to] = lowX;
        boxes[to + 1] = lowY;
        boxes[to + 2] = highX;
        boxes[to + 3] = highY;
    }

    /** Is told what a question finds; false ends the search. */
    @FunctionalInterface
    public interface Visitor {
        boolean found(int item);
    }

    /** Is told two different items whose boxes touch; false ends the search. */
    @FunctionalInterface
    public interface PairVisitor {
        boolean found(int first, int second);
    }

    /** Distance of an item from the place that was asked about, mm. */
    @FunctionalInterface
    public interface Measure {
        double of(int item);
    }

    /** Finds every item whose box touches the given one, in no particular order. */
    public void touching(double lowX, double lowY, double highX, double highY, Visitor visitor) {
        if (items > 0) {
            touching(level.length - 2, 0, lowX, lowY, highX, highY, visitor);
        }
    }

    private boolean touching(
            int l, int index, double lowX, double lowY, double highX, double highY, Visitor visit) {
        int at = 4 * (level[l] + index);
        if (boxes[at] > highX
                || boxes[at + 2] < lowX
                || boxes[at + 1] > highY
                || boxes[at + 3] < lowY) {
            return true;
        }
        if (l == 0) {
            return visit.found(order == null ? index : order[index]);
        }
        int from = index << SHIFT;
        int end = Math.min(from + FANOUT, level[l] - level[l - 1]);
        for (int i = from; i < end; i++) {
            if (!touching(l - 1, i, lowX, lowY, highX, highY, visit)) {
                return false;
            }
        }
        return true;
    }

    /** The level of the root; items are on level 0. */
    int top() {
        return level.length - 2;
    }

    int firstChild(int index) {
        return index << SHIFT;
    }

    int endOfChildren(int l, int index) {
        return Math.min((index << SHIFT) + FANOUT, level[l] - level[l - 1]);
    }

    /** First item under a node of a tree over a chain. */
    int firstItem(int l, int index) {
        return index << (SHIFT * l);
    }

    int lastItem(int l, int index) {
        return Math.min((index + 1) << (SHIFT * l), items) - 1;
    }

    /** Whether a ray from a point to the right touches the box of a node. */
    boolean reachesRightOf(int l, int index, double x, double y) {
        int at = 4 * (level[l] + index);
        return boxes[at + 2] >= x && boxes[at + 1] <= y && boxes[at + 3] >= y;
    }

    /** Whether the box of a node lies wholly to the right of x. */
    boolean isRightOf(int l, int index, double x) {
        return boxes[4 * (level[l] + index)] > x;
    }

    /** Tells of successive items of a chain whether some of them may make a pair. */
    @FunctionalInterface
    public interface GroupFilter {
        boolean mayPair(int from, int end);
    }

    /**
     * Finds every pair of items whose boxes touch, each once.
     *
     * @param filter asked for groups of items that lie together in a chain; for boxes in any order
     *     it is not asked
     */
    public void pairs(GroupFilter filter, PairVisitor visitor) {
        if (items > 0) {
            within(level.length - 2, 0, filter, visitor);
        }
    }

    private boolean within(int l, int index, GroupFilter filter, PairVisitor visitor) {
        if (l == 0) {
            return true;
        }
        int from = index << SHIFT;
        int end = Math.min(from + FANOUT, level[l] - level[l - 1]);
        if (l == 1 && order == null && !filter.mayPair(from, end)) {
            return true;
        }
        for (int i = from; i < end; i++) {
            if (!within(l - 1, i, filter, visitor)) {
                return false;
            }
            for (int j = i + 1; j < end; j++) {
                if (!between(l - 1, i, j, visitor)) {
                    return false;
                }
            }
        }
        return true;
    }

    private boolean between(int l, int a, int b, PairVisitor visitor) {
        if (!touch(4 * (level[l] + a), 4 * (level[l] + b))) {
            return true;
        }
        if (l == 0) {
            return visitor.found(order == null ? a : order[a], order == null ? b : order[b]);
        }
        int count = level[l] - level[l - 1];
        int endA = Math.min((a << SHIFT) + FANOUT, count);
        int endB = Math.min((b << SHIFT) + FANOUT, count);
        int other = 4 * (level[l] + b);
        for (int i = a << SHIFT; i < endA; i++) {
            if (touch(4 * (level[l - 1] + i), other)) {
                for (int j = b << SHIFT; j < endB; j++) {
                    if (!between(l - 1, i, j, visitor)) {
                        return false;
                    }
                }
            }
        }
        return true;
    }

    private boolean touch(int a, int b) {
        return boxes[a] <= boxes[b + 2]
                && boxes[b] <= boxes[a + 2]
                && boxes[a + 1] <= boxes[b + 3]
                && boxes[b + 1] <= boxes[a + 3];
    }

    /**
     * The item nearest to a point, by branch and bound; of equally near ones the lowest.
     *
     * @param limit nothing farther than this is looked at, mm
     * @return -1 when nothing is near enough
     */
    public int nearest(double x, double y, double limit, Measure measure) {
        return nearest(x, y, x, y, limit, measure);
    }

    /** The item nearest to something within a box. */
    public int nearest(
            double lowX, double lowY, double highX, double highY, double limit, Measure measure) {
        return items == 0 ? -1 : new Nearest(lowX, lowY, highX, highY, limit, measure).find();
    }

    private final class Nearest {
        private final double lowX;
        private final double lowY;
        private final double highX;
        private final double highY;
        private final Measure measure;
        private double least;
        private int best = -1;

        Nearest(
                double lowX,
                double lowY,
                double highX,
                double highY,
                double limit,
                Measure measure) {
            this.lowX = lowX;
            this.lowY = lowY;
            this.highX = highX;
            this.highY = highY;
            this.least = limit;
            this.measure = measure;
        }

        int find() {
            visit(level.length - 2, 0);
            return best;
        }

        private void visit(int l, int index) {
            if (away(4 * (level[l] + index)) > least * least) {
                return;
            }
            if (l == 0) {
                measure(order == null ? index : order[index]);
                return;
            }
            int from = index << SHIFT;
            int end = Math.min(from + FANOUT, level[l] - level[l - 1]);
            int first = nearestChild(l - 1, from, end);
            visit(l - 1, first);
            for (int i = from; i < end; i++) {
                if (i != first) {
                    visit(l - 1, i);
                }
            }
        }

        private void measure(int item) {
            double distance = measure.of(item);
            if (distance < least || distance == least && (best < 0 || item < best)) {
                least = distance;
                best = item;
            }
        }

        private int nearestChild(int l, int from, int end) {
            int nearest = from;
            double d = Double.POSITIVE_INFINITY;
            for (int i = from; i < end; i++) {
                double away = away(4 * (level[l] + i));
                if (away < d) {
                    d = away;
                    nearest = i;
                }
            }
            return nearest;
        }

        /** Square of the distance from a box, mm2. */
        private double away(int at) {
            double dx = Math.max(0, Math.max(boxes[at] - highX, lowX - boxes[at + 2]));
            double dy = Math.max(0, Math.max(boxes[at + 1] - highY, lowY - boxes[at + 3]));
            return dx * dx + dy * dy;
        }
    }
}
