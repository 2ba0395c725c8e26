package dev.oleander.nesting.search;

import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.enclose.ConvexHull;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.geometry.overlay.Overlay;
import dev.oleander.nesting.NestPlacement;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.OrderLine;
import dev.oleander.nesting.SheetStock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Lays copies of a part beside each other along a straight edge: shifted, where the opposite edge
 * is its parallel of the same length; else the second turned half round. It pays when they take no
 * more room than lying alone would.
 */
final class ClusterMaker {

    /** Copies in a row at most: more would make a nest of bars. */
    private static final int MOST = 4;

    /** An edge shorter than this share of the outline is not worth a neighbour. */
    private static final double LEAST_SHARE = 0.15;

    /** mm; shorter cuts are not shared. */
    private static final double SHORTEST = 5;

    /** Edges that are tried, the longest first. */
    private static final int TRIED = 4;

    /** mm within which an edge is the parallel of another. */
    private static final double SAME = 1e-6;

    /** mm by which cuts are closed more than they are wide. */
    private static final double CLOSED = 0.01;

    /** Rows reach at most so far over a sheet, and stay narrow enough for others beside them. */
    private static final double OF_SHEET = 0.5;

    private final NestTask task;
    private final OrderLine line;
    private final double kerf;

    ClusterMaker(NestTask task, OrderLine line, double kerf) {
        this.task = task;
        this.line = line;
        this.kerf = kerf;
    }

    /**
     * Clusters along the longest edge that pays, the one of most copies first.
     *
     * @param copies that there are
     */
    List<Cluster> along(int copies) {
        for (Segment edge : edges()) {
            Point off = normal(edge);
            Optional<Segment> opposite = opposite(edge, off);
            int most = Math.min(copies, opposite.isPresent() ? MOST : 2);
            List<Cluster> clusters = new ArrayList<>();
            for (int n = most; n >= 2; n--) {
                Optional<Cluster> cluster =
                        opposite.isPresent()
                                ? row(n, off, width(edge, opposite.get(), off))
                                : pair(edge, off);
                cluster.ifPresent(clusters::add);
            }
            if (!clusters.isEmpty()) {
                return clusters;
            }
        }
        return List.of();
    }

    private List<Segment> edges() {
        double least =
                Math.max(SHORTEST, LEAST_SHARE * line.shape().outer().turning(true).length());
        return line.shape().outer().turning(true).segments().stream()
                .filter(s -> s instanceof Line && s.length() >= least)
                .sorted(Comparator.comparingDouble(s -> -s.length()))
                .limit(TRIED)
                .toList();
    }

    /** Away from the part. */
    private static Point normal(Segment edge) {
        Point along = edge.end().minus(edge.start());
        double length = edge.length();
        return new Point(along.y() / length, -along.x() / length);
    }

    private Optional<Segment> opposite(Segment edge, Point off) {
        return line.shape().outer().turning(true).segments().stream()
                .filter(s -> s instanceof Line && s != edge)
                .filter(s -> isOpposite(s, edge, off))
                .findFirst();
    }

    private static boolean isOpposite(Segment other, Segment edge, Point off) {
        Point across = other.end().minus(edge.start());
        Point also = other.start().minus(edge.end());
        double along = across.x() * -off.y() + across.y() * off.x();
        double alongToo = also.x() * -off.y() + also.y() * off.x();
        return Math.abs(along) < SAME
                && Math.abs(alongToo) < SAME
                && across.distance(also) < SAME
                && across.x() * off.x() + across.y() * off.y() < -SAME;
    }

    private static double width(Segment edge, Segment opposite, Point off) {
        Point across = edge.start().minus(opposite.end());
        return across.x() * off.x() + across.y() * off.y();
    }

    private Optional<Cluster> row(int n, Point off, double width) {
        return made(
                IntStream.range(0, n)
                        .mapToObj(i -> placed(off.times(i * (width + kerf)), 0))
                        .toList());
    }

    private Optional<Cluster> pair(Segment edge, Point off) {
        if (!line.turns().allow(180)) {
            return Optional.empty();
        }
        Point middle = edge.start().plus(edge.end());
        return made(List.of(placed(Point.ORIGIN, 0), placed(middle.plus(off.times(kerf)), 180)));
    }

    private NestPlacement placed(Point at, double angle) {
        return new NestPlacement(line.id(), at, angle, false, false);
    }

    private Optional<Cluster> made(List<NestPlacement> members) {
        List<Region> regions = new ArrayList<>();
        for (NestPlacement member : members) {
            regions.add(line.shape().transformed(member.transform()));
        }
        Offsetter round = Offsetter.round();
        boolean apart =
                IntStream.range(1, regions.size())
                        .allMatch(i -> areApart(regions.get(i - 1), regions.get(i)));
        if (!apart) {
            return Optional.empty();
        }
        // what is narrower than the cut becomes part of the shape
        List<Region> grown =
                Overlay.union(
                        regions.stream()
                                .flatMap(r -> round.offset(r, kerf / 2 + CLOSED).stream())
                                .toList());
        List<Region> closed =
                grown.stream().flatMap(r -> round.offset(r, -kerf / 2 - CLOSED).stream()).toList();
        if (closed.size() != 1 || !fits(closed.get(0)) || !pays(regions)) {
            return Optional.empty();
        }
        return Optional.of(new Cluster(line, members, closed.get(0)));
    }

    private boolean areApart(Region a, Region b) {
        Offsetter round = Offsetter.round();
        double half = kerf / 2 - 1e-4;
        return Overlay.intersection(round.offset(a, half), round.offset(b, half)).isEmpty();
    }

    private boolean fits(Region shape) {
        double longest = Math.max(shape.box().width(), shape.box().height());
        return task.stock().stream()
                .map(SheetStock::region)
                .anyMatch(s -> longest <= OF_SHEET * Math.max(s.box().width(), s.box().height()));
    }

    /**
     * Whether the hull of all, with its share of the gap, is no larger than those of each alone.
     */
    private boolean pays(List<Region> regions) {
        double half = task.gap(line) / 2;
        double alone = hull(List.of(line.shape()), half);
        return hull(regions, half) <= regions.size() * alone;
    }

    /** Area of the hull grown by a distance: of its outline and round corners (Steiner). */
    private static double hull(List<Region> regions, double by) {
        var hull = ConvexHull.of(regions.stream().map(Region::outer).toList());
        return hull.area() + hull.length() * by + Math.PI * by * by;
    }
}
