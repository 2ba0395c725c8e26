package dev.oleander.drawing.mend;

import dev.oleander.drawing.Fault;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.SegmentIndex;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Finds which ends of pieces are the same node. Ends within rounding always are; of the rest, the
 * two nearest loose ends are joined first, as long as both are still loose.
 */
final class NodeFinder {

    private record Gap(int first, int second, double size) {}

    private final List<Piece> pieces;
    private final MendOptions options;
    private final List<Fault> faults;

    /** End 2 i is the start of piece i, end 2 i + 1 its end. */
    private final List<Point> ends = new ArrayList<>();

    private final int[] parent;
    private final int[] degree;

    NodeFinder(List<Piece> pieces, MendOptions options, List<Fault> faults) {
        this.pieces = pieces;
        this.options = options;
        this.faults = faults;
        for (Piece piece : pieces) {
            ends.add(piece.segment().start());
            ends.add(piece.segment().end());
        }
        parent = new int[ends.size()];
        degree = new int[ends.size()];
        for (int i = 0; i < parent.length; i++) {
            parent[i] = i;
            degree[i] = 1;
        }
    }

    /**
     * The pieces with their ends moved to their nodes; pieces that shrink to nothing are left out.
     */
    List<Edge> edges() {
        SegmentIndex<Point> index = SegmentIndex.ofPoints(ends);
        uniteExact(index);
        Point[] places = placesOfNodes();
        for (Gap gap : gaps(index)) {
            closeGap(gap, places);
        }
        List<Edge> edges = new ArrayList<>(pieces.size());
        for (int i = 0; i < pieces.size(); i++) {
            Point start = places[find(2 * i)];
            Point end = places[find(2 * i + 1)];
            if (start.equals(end)) {
                reportCrumb(pieces.get(i));
            } else {
                Piece piece = pieces.get(i);
                edges.add(new Edge(piece.segment().withEnds(start, end), piece.entity()));
            }
        }
        return edges;
    }

    private void uniteExact(SegmentIndex<Point> index) {
        for (int i = 0; i < ends.size(); i++) {
            Box near = new Box(ends.get(i), ends.get(i)).grown(options.exact());
            for (int j : index.positions(near)) {
                if (j < i && ends.get(i).distance(ends.get(j)) <= options.exact()) {
                    unite(i, j);
                }
            }
        }
    }

    /** A node lies where its first end lies. */
    private Point[] placesOfNodes() {
        Point[] places = new Point[ends.size()];
        for (int i = 0; i < places.length; i++) {
            int root = find(i);
            places[root] = places[root] == null ? ends.get(root) : places[root];
        }
        return places;
    }

    private List<Gap> gaps(SegmentIndex<Point> index) {
        List<Gap> gaps = new ArrayList<>();
        for (int i = 0; i < ends.size(); i++) {
            if (degree[find(i)] == 1) {
                Box near = new Box(ends.get(i), ends.get(i)).grown(options.gap());
                for (int j : index.positions(near)) {
                    double size = ends.get(i).distance(ends.get(j));
                    if (j < i && degree[find(j)] == 1 && size <= options.gap()) {
                        gaps.add(new Gap(j, i, size));
                    }
                }
            }
        }
        gaps.sort(Comparator.comparingDouble(Gap::size));
        return gaps;
    }

    private void closeGap(Gap gap, Point[] places) {
        int a = find(gap.first());
        int b = find(gap.second());
        boolean samePiece = gap.first() / 2 == gap.second() / 2;
        boolean stillLoose = a != b && degree[a] == 1 && degree[b] == 1;
        if (!stillLoose || samePiece) {
            return;
        }
        Point middle = ends.get(gap.first()).midpoint(ends.get(gap.second()));
        unite(a, b);
        places[find(a)] = middle;
        String sentence =
                "Gap of %s at (%s, %s) was closed."
                        .formatted(
                                Numbers.length(gap.size()),
                                Numbers.plain(middle.x(), 2),
                                Numbers.plain(middle.y(), 2));
        faults.add(Fault.mended(Fault.Kind.GAP, middle, gap.size(), sentence));
    }

    private void reportCrumb(Piece piece) {
        double length = piece.segment().length();
        String sentence =
                "%s of %s on layer %s (line %d of the file) is a crumb and was taken out."
                        .formatted(
                                piece.entity().type(),
                                Numbers.length(length),
                                piece.entity().layer(),
                                piece.entity().line());
        faults.add(Fault.mended(Fault.Kind.CRUMB, piece.segment().start(), length, sentence));
    }

    private int find(int end) {
        int root = end;
        while (parent[root] != root) {
            parent[root] = parent[parent[root]];
            root = parent[root];
        }
        return root;
    }

    private void unite(int a, int b) {
        int rootA = find(a);
        int rootB = find(b);
        if (rootA != rootB) {
            int low = Math.min(rootA, rootB);
            int high = Math.max(rootA, rootB);
            parent[high] = low;
            degree[low] += degree[high];
        }
    }
}
