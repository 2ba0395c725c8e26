package dev.oleander.nesting.search;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.enclose.ConvexHull;
import dev.oleander.geometry.enclose.LargestCircle;
import dev.oleander.geometry.enclose.SmallestWidth;
import dev.oleander.geometry.flat.Vertices;
import dev.oleander.geometry.offset.OffsetOptions;
import dev.oleander.geometry.offset.Offsetter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Predicate;

/**
 * A part, or something that no part may touch, as the search sees it: grown, flattened outwards,
 * and filled with discs. Coordinates are the part's own, mm. Two bodies do not overlap exactly when
 * their parts keep the gap (but for what flattening adds).
 */
final class Body {

    /**
     * mm by which bodies are smaller than half the gap. Parts that touch as they may do then lie
     * twice this apart, and no rounding decides; it is far below what any machine repeats.
     */
    static final double SLACK = 1e-4;

    /** mm by which a flattened edge may lie outside the arc. */
    static final double FLATNESS = 0.1;

    /** Edges of one group; groups have boxes. */
    private static final int GROUP = 6;

    /** Corners are laid on corners; more of them than this add little. */
    private static final int MOST_ANCHORS = 48;

    private static final double MITRE = 10;

    /** x of the corners of all loops, the first of each loop again at its end. */
    final double[] xs;

    final double[] ys;

    /** The corners that bound it in every direction. */
    final int[] hull;

    /** First corner of each group of edges, and one after its last edge. */
    final int[] groupFrom;

    final int[] groupTo;
    final double[] discX;
    final double[] discY;
    final double[] discR;
    final List<Anchor> anchors;

    /** Of its openings, the largest first. */
    final List<Hollow> hollows;

    /** mm2, of the material with its share of the gap. */
    final double area;

    final double hullArea;

    /** Side of a square as large as the hull, mm. */
    final double hullRoot;

    final double hullWidth;

    /** Greatest distance of two corners, mm. */
    final double diameter;

    /** Where it is turned about by the search: the middle of the largest disc. */
    final Point middle;

    /** What is laid on the middle of an opening. */
    final Point centre;

    /** How far it reaches from there, mm. */
    final double reach;

    private Body(Shape shape, List<Anchor> anchors) {
        this.xs = shape.xs;
        this.ys = shape.ys;
        this.groupFrom = shape.from.stream().mapToInt(Integer::intValue).toArray();
        this.groupTo = shape.to.stream().mapToInt(Integer::intValue).toArray();
        this.anchors = anchors;
        this.area = shape.area;
        this.hull = Bounding.corners(xs, ys);
        Contour around = ConvexHull.of(shape.outers);
        this.hullArea = around.area();
        this.hullRoot = Math.sqrt(hullArea);
        this.hullWidth = SmallestWidth.of(around);
        this.diameter = diameter(around.vertices());
        List<double[]> discs = Discs.within(shape.edges(), area);
        this.discX = column(discs, 0);
        this.discY = column(discs, 1);
        this.discR = column(discs, 2);
        this.middle = new Point(discX[0], discY[0]);
        this.centre = around.centroid();
        this.reach = reach(around.vertices(), centre);
        this.hollows = shape.hollows();
    }

    /**
     * @param region of a part
     * @param half half of the gap, mm
     * @param openings which of its openings, shrunk by its share of the gap, other parts may use
     */
    static Body ofPart(Region region, double half, Predicate<Contour> openings) {
        List<Region> grown = new ArrayList<>();
        for (Region one : Offsetter.round().offset(region, half - SLACK)) {
            grown.add(new Region(one.outer(), one.openings().stream().filter(openings).toList()));
        }
        boolean open = grown.stream().anyMatch(r -> !r.openings().isEmpty());
        Region seen = open ? region : new Region(region.outer(), List.of());
        return new Body(new Shape(grown), anchors(seen, half));
    }

    /** Of something that no body may overlap. */
    static Body ofObstacle(Region region) {
        List<Region> shrunk = Offsetter.round().offset(region, -SLACK);
        return new Body(new Shape(shrunk), anchors(region, 0));
    }

    private static double[] column(List<double[]> rows, int i) {
        return rows.stream().mapToDouble(r -> r[i]).toArray();
    }

    private static double reach(Vertices hull, Point from) {
        double most = 0;
        for (int i = 0; i < hull.size(); i++) {
            most = Math.max(most, from.distance(new Point(hull.x(i), hull.y(i))));
        }
        return most;
    }

    private static double diameter(Vertices hull) {
        double most = 0;
        for (int i = 0; i < hull.size(); i++) {
            for (int j = 0; j < i; j++) {
                double dx = hull.x(i) - hull.x(j);
                double dy = hull.y(i) - hull.y(j);
                most = Math.max(most, dx * dx + dy * dy);
            }
        }
        return Math.sqrt(most);
    }

    /** Corners of the part with its share of the gap, drawn sharp. */
    private static List<Anchor> anchors(Region region, double half) {
        List<Anchor> all = new ArrayList<>();
        OffsetOptions sharp = OffsetOptions.defaults().withMitres(MITRE);
        for (Region r : new Offsetter(sharp).offset(region, half)) {
            r.contours().forEach(c -> addCorners(c.vertices(), all));
        }
        int step = 1 + (all.size() - 1) / MOST_ANCHORS;
        List<Anchor> some = new ArrayList<>();
        for (int i = 0; i < all.size(); i += step) {
            some.add(all.get(i));
        }
        return List.copyOf(some);
    }

    private static void addCorners(Vertices loop, List<Anchor> to) {
        for (int i = 0; i < loop.size(); i++) {
            int before = (i + loop.size() - 1) % loop.size();
            to.add(
                    new Anchor(
                            loop.x(i),
                            loop.y(i),
                            direction(loop, before, 1),
                            direction(loop, i, -1),
                            chord(loop, before),
                            chord(loop, i)));
        }
    }

    private static double chord(Vertices loop, int edge) {
        int to = loop.endOf(edge);
        double dx = loop.x(to) - loop.x(edge);
        double dy = loop.y(to) - loop.y(edge);
        return Math.sqrt(dx * dx + dy * dy);
    }

    /** At the end (1) or the beginning (-1) of an edge. */
    private static double direction(Vertices loop, int edge, int end) {
        int to = loop.endOf(edge);
        double chord = StrictMath.atan2(loop.y(to) - loop.y(edge), loop.x(to) - loop.x(edge));
        return chord + end * 2 * StrictMath.atan(loop.bulge(edge));
    }

    /** Polygons and their groups of edges. */
    private static final class Shape {

        private final List<Contour> outers = new ArrayList<>();
        private final List<Contour> openings = new ArrayList<>();
        private final List<Integer> from = new ArrayList<>();
        private final List<Integer> to = new ArrayList<>();
        private final double[] xs;
        private final double[] ys;
        private final double area;

        Shape(List<Region> regions) {
            List<double[]> loops = new ArrayList<>();
            int size = 0;
            double sum = 0;
            for (Region region : regions) {
                outers.add(region.outer());
                sum += region.area();
                loops.add(Flat.outwards(region.outer().turning(true).vertices(), FLATNESS));
                openings.addAll(region.openings());
                for (Contour opening : region.openings()) {
                    loops.add(Flat.outwards(opening.turning(false).vertices(), FLATNESS));
                }
            }
            for (double[] loop : loops) {
                size += loop.length / 2 + 1;
            }
            area = sum;
            xs = new double[size];
            ys = new double[size];
            int at = 0;
            for (double[] loop : loops) {
                at = put(loop, at);
            }
        }

        private int put(double[] loop, int at) {
            int n = loop.length / 2;
            for (int i = 0; i <= n; i++) {
                xs[at + i] = loop[2 * (i % n)];
                ys[at + i] = loop[2 * (i % n) + 1];
            }
            for (int i = 0; i < n; i += GROUP) {
                from.add(at + i);
                to.add(at + Math.min(n, i + GROUP));
            }
            return at + n + 1;
        }

        List<Hollow> hollows() {
            List<Hollow> all = new ArrayList<>();
            for (Contour opening : openings) {
                LargestCircle circle =
                        LargestCircle.within(new Region(opening.turning(true), List.of()));
                all.add(new Hollow(circle.centre().x(), circle.centre().y(), circle.radius()));
            }
            all.sort(Comparator.comparingDouble(h -> -h.radius()));
            return List.copyOf(all);
        }

        /** x0, y0, x1, y1 of every edge. */
        double[] edges() {
            List<double[]> all = new ArrayList<>();
            for (int g = 0; g < from.size(); g++) {
                for (int i = from.get(g); i < to.get(g); i++) {
                    all.add(new double[] {xs[i], ys[i], xs[i + 1], ys[i + 1]});
                }
            }
            return all.stream().flatMapToDouble(java.util.Arrays::stream).toArray();
        }
    }
}
