package dev.oleander.drawing.mend;

import dev.oleander.drawing.Fault;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.flat.BoxTree;
import dev.oleander.geometry.flat.DisjointSets;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Finds which ends of pieces are the same node. Ends within rounding always are; of the rest, the
 * two nearest loose ends are joined first, as long as both are still loose.
 */
final class NodeFinder {

    /** Neighbours of a place, on average, from which on the tolerance makes no sense. */
    private static final long CROWDED = 40;

    /** Two places, by their numbers. */
    private record Gap(int first, int second, double size) {}

    private final List<Piece> pieces;
    private final MendOptions options;
    private final List<Fault> faults;
    private final MeetingPlace meeting;
    private final PlaceTable table;

    /** Place of end 2 i, the start of piece i, and of end 2 i + 1, its end. */
    private final int[] placeOf;

    /** An end at each place; where only one is, that one. */
    private final int[] endAt;

    private final DisjointSets places;
    private final int[] degree;
    private final Point[] moved;

    NodeFinder(List<Piece> pieces, MendOptions options, List<Fault> faults) {
        this.pieces = pieces;
        this.options = options;
        this.faults = faults;
        this.meeting = new MeetingPlace(options);
        this.table = new PlaceTable(pieces.size());
        this.placeOf = new int[2 * pieces.size()];
        for (int i = 0; i < pieces.size(); i++) {
            Point start = pieces.get(i).segment().start();
            Point end = pieces.get(i).segment().end();
            placeOf[2 * i] = table.number(start.x(), start.y());
            placeOf[2 * i + 1] = table.number(end.x(), end.y());
        }
        int n = table.size();
        this.places = new DisjointSets(n);
        this.degree = new int[n];
        this.endAt = new int[n];
        this.moved = new Point[n];
        for (int end = 0; end < placeOf.length; end++) {
            degree[placeOf[end]]++;
            endAt[placeOf[end]] = end;
        }
    }

    /**
     * The pieces with their ends moved to their nodes; pieces that shrink to nothing are left out.
     */
    Network network() {
        List<Gap> gaps = uniteNear();
        gaps.sort(Comparator.comparingDouble(Gap::size));
        List<Gap> toNodes = gaps.stream().filter(this::isAtNode).toList();
        gaps.forEach(this::closeGap);
        toNodes.forEach(this::comeToNode);
        uniteFallen();
        List<Edge> edges = new ArrayList<>(pieces.size());
        int[] nodes = new int[2 * pieces.size()];
        for (int i = 0; i < pieces.size(); i++) {
            int from = find(placeOf[2 * i]);
            int to = find(placeOf[2 * i + 1]);
            if (from == to) {
                reportCrumb(pieces.get(i));
            } else {
                nodes[2 * edges.size()] = from;
                nodes[2 * edges.size() + 1] = to;
                edges.add(edge(pieces.get(i), place(from), place(to)));
            }
        }
        return new Network(edges, nodes, table.size());
    }

    /** Both ends of a tiny piece can come to the same place when gaps beside it are closed. */
    private void uniteFallen() {
        for (int i = 0; i < pieces.size(); i++) {
            int from = find(placeOf[2 * i]);
            int to = find(placeOf[2 * i + 1]);
            if (from != to && place(from).equals(place(to))) {
                Point both = place(from);
                unite(from, to);
                moved[find(from)] = both;
            }
        }
    }

    private static Edge edge(Piece piece, Point from, Point to) {
        boolean still = piece.segment().start().equals(from) && piece.segment().end().equals(to);
        return new Edge(
                still ? piece.segment() : piece.segment().withEnds(from, to), piece.entity());
    }

    /** A node lies where its first end lies, or where a gap was closed. */
    private Point place(int node) {
        if (moved[node] == null) {
            moved[node] = new Point(table.x(node), table.y(node));
        }
        return moved[node];
    }

    /** Unites what is one place but for rounding, and lists the gaps between other loose ends. */
    private List<Gap> uniteNear() {
        List<Gap> near = new ArrayList<>();
        boolean joins = options.does(MendOptions.Step.GAPS);
        double reach = joins ? options.gap() : options.exact();
        BoxTree tree = BoxTree.of(boxes(reach / 2), table.size());
        long limit = CROWDED * table.size() + 1000;
        long[] seen = {0};
        tree.pairs(
                (from, end) -> true,
                (a, b) -> {
                    double size = Math.hypot(table.x(a) - table.x(b), table.y(a) - table.y(b));
                    if (size <= options.exact()) {
                        unite(a, b);
                    } else if (joins && size <= reach && (degree[a] == 1 || degree[b] == 1)) {
                        near.add(new Gap(Math.min(a, b), Math.max(a, b), size));
                    }
                    seen[0]++;
                    return seen[0] <= limit;
                });
        if (seen[0] > limit) {
            reportCrowd();
            return new ArrayList<>();
        }
        return near;
    }

    private double[] boxes(double margin) {
        double[] boxes = new double[BoxTree.room(table.size())];
        for (int i = 0; i < table.size(); i++) {
            boxes[4 * i] = table.x(i) - margin;
            boxes[4 * i + 1] = table.y(i) - margin;
            boxes[4 * i + 2] = table.x(i) + margin;
            boxes[4 * i + 3] = table.y(i) + margin;
        }
        return boxes;
    }

    private void reportCrowd() {
        faults.add(
                Fault.ofFile(
                        "Gaps were not joined: most of the line work is finer than the tolerance of %s. Check the unit, or make the tolerance smaller."
                                .formatted(Numbers.length(options.gap()))));
    }

    private void closeGap(Gap gap) {
        int a = find(gap.first());
        int b = find(gap.second());
        int firstEnd = endAt[gap.first()];
        int secondEnd = endAt[gap.second()];
        boolean samePiece = firstEnd / 2 == secondEnd / 2;
        boolean stillLoose = a != b && degree[a] == 1 && degree[b] == 1;
        if (!stillLoose || samePiece) {
            return;
        }
        Point middle = meeting.of(pieces, firstEnd, secondEnd);
        unite(a, b);
        moved[find(a)] = middle;
        reportClosed(middle, gap.size());
    }

    /** Whether one of its places is one where ends meet exactly. */
    private boolean isAtNode(Gap gap) {
        return degree[find(gap.first())] > 1 || degree[find(gap.second())] > 1;
    }

    /**
     * A loose end beside a place where others meet already joins them: a stub that stands on a
     * corner must not keep the corner from closing.
     */
    private void comeToNode(Gap gap) {
        int a = find(gap.first());
        int b = find(gap.second());
        boolean firstIsLoose = degree[a] == 1;
        int loose = firstIsLoose ? gap.first() : gap.second();
        int node = find(firstIsLoose ? gap.second() : gap.first());
        int otherEnd = find(placeOf[endAt[loose] ^ 1]);
        boolean joins = a != b && degree[find(loose)] == 1 && degree[node] > 1 && otherEnd != node;
        if (joins) {
            Point there = place(node);
            unite(a, b);
            moved[find(a)] = there;
            reportClosed(there, gap.size());
        }
    }

    private void reportClosed(Point place, double size) {
        String sentence =
                "Gap of %s at (%s, %s) was closed."
                        .formatted(
                                Numbers.length(size),
                                Numbers.plain(place.x(), 2),
                                Numbers.plain(place.y(), 2));
        faults.add(Fault.mended(Fault.Kind.GAP, place, size, sentence));
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

    private int find(int place) {
        return places.leader(place);
    }

    private void unite(int a, int b) {
        int low = Math.min(find(a), find(b));
        int high = Math.max(find(a), find(b));
        if (places.unite(a, b)) {
            degree[low] += degree[high];
        }
    }
}
