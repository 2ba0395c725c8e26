package dev.oleander.geometry.axis;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.Transform;
import dev.oleander.geometry.flat.BoxTree;
import java.util.ArrayList;
import java.util.List;

/**
 * All that discs in a region can touch: edges, and corners that stand into it. Edge i has the
 * number 2 i, the corner at its start 2 i + 1.
 */
final class Border {

    /** mm; what is nearer than this is one place. */
    static final double SAME = 1e-9;

    /** mm; a foot that is nearer to an edge lies on it, by rounding at some metres from 0. */
    static final double ON = 1e-11;

    /** rad; edges that turn less follow each other smoothly. */
    private static final double SMOOTH = 1e-9;

    /** Share of a radius by which a disc must be cut to be too large. */
    private static final double CUT = 1e-12;

    private static final int MOST_TRIES = 200;

    /**
     * Share of the width of a region that the radius of the first disc has: half of it is needed.
     */
    private static final double ROOM = 0.55;

    private final List<Edge> edges = new ArrayList<>();

    /** Of each edge, the one before it on its loop. */
    private final List<Integer> before = new ArrayList<>();

    private final List<Integer> after = new ArrayList<>();

    /** Of each edge, how far the corner at its start stands into the region, rad. */
    private final double[] turns;

    private final BoxTree tree;

    /** Of each edge, a radius that no disc in its region has, mm. */
    private final List<Double> largest = new ArrayList<>();

    /** All is computed about a place among the regions, so that no digits are lost far from 0. */
    final Point origin;

    /**
     * @param regions at least one
     */
    Border(List<Region> regions) {
        Box all = Box.around(regions.stream().map(Region::box).toList());
        this.origin = new Point(Math.rint(all.centre().x()), Math.rint(all.centre().y()));
        List<Segment> segments = new ArrayList<>();
        for (Region region : regions) {
            addLoop(region.outer().turning(true), segments);
            region.openings().forEach(o -> addLoop(o.turning(false), segments));
            // a little more than any disc has: what is hardly too large may be cut by two edges as
            // one
            double widest = ROOM * Math.min(region.box().width(), region.box().height());
            while (largest.size() < edges.size()) {
                largest.add(widest);
            }
        }
        this.turns = new double[edges.size()];
        for (int i = 0; i < turns.length; i++) {
            turns[i] = turnAt(i);
        }
        double[] boxes = new double[BoxTree.room(segments.size())];
        for (int i = 0; i < segments.size(); i++) {
            segments.get(i).box().writeTo(boxes, 4 * i);
        }
        this.tree = BoxTree.of(boxes, segments.size());
    }

    private void addLoop(Contour loop, List<Segment> to) {
        int first = edges.size();
        int n = loop.segments().size();
        Transform near = Transform.translation(Point.ORIGIN.minus(origin));
        for (int i = 0; i < n; i++) {
            Segment segment = loop.segments().get(i).transformed(near);
            edges.add(Edge.of(segment));
            to.add(segment);
            before.add(first + (i + n - 1) % n);
            after.add(first + (i + 1) % n);
        }
    }

    int size() {
        return edges.size();
    }

    private static boolean isCorner(int site) {
        return (site & 1) == 1;
    }

    /**
     * How far a corner stands into the region, rad: by so much the direction turns on it; 0 where
     * it does not.
     */
    double turn(int edge) {
        return turns[edge];
    }

    private double turnAt(int edge) {
        Foot in = new Foot();
        Foot out = new Foot();
        edges.get(before.get(edge)).foot(1, in);
        edges.get(edge).foot(0, out);
        double cross = in.nx * out.ny - in.ny * out.nx;
        double dot = in.nx * out.nx + in.ny * out.ny;
        double angle = Math.atan2(cross, dot);
        return angle < -SMOOTH ? -angle : 0;
    }

    /**
     * @param s 0 to 1 along an edge, or round a corner
     */
    void foot(int site, double s, Foot to) {
        if (!isCorner(site)) {
            edges.get(site >> 1).foot(s, to);
            return;
        }
        int edge = site >> 1;
        edges.get(before.get(edge)).foot(1, to);
        double angle = -s * turn(edge);
        double cos = Math.cos(angle);
        double sin = Math.sin(angle);
        to.set(
                edges.get(edge).x0,
                edges.get(edge).y0,
                to.nx * cos - to.ny * sin,
                to.nx * sin + to.ny * cos);
    }

    /** Radius of the disc that touches at a foot and what has this number, mm. */
    double touching(int site, Foot foot) {
        Edge edge = edges.get(site >> 1);
        return isCorner(site) ? foot.touching(edge.x0, edge.y0) : edge.touching(foot);
    }

    /** Radius beyond which discs that touch at a site do not lie in the region. */
    double most(int site) {
        double widest = largest.get(site >> 1);
        return isCorner(site) ? widest : Math.min(widest, edges.get(site >> 1).most());
    }

    /** The largest disc in the region that touches at a foot. */
    static final class Disc {

        double radius;

        /** What it touches besides. */
        int site;
    }

    /**
     * Finds the largest disc: from one that is too large, as often as something cuts it, to the one
     * that touches what cuts.
     *
     * @param site that the foot is on
     * @param disc with a radius that is large enough and what limits it
     */
    void shrink(int site, Foot foot, Disc disc) {
        for (int k = 0; k < MOST_TRIES; k++) {
            double x = foot.centreX(disc.radius);
            double y = foot.centreY(disc.radius);
            double limit = disc.radius * (1 - CUT) - SAME;
            int cuts = tree.nearest(x, y, limit, i -> edges.get(i).distance(x, y));
            if (cuts < 0 || !touch(site, cuts, foot, disc)) {
                return;
            }
        }
    }

    /** The smaller disc that touches an edge or one of its ends; whether there is one. */
    private boolean touch(int site, int edge, Foot foot, Disc disc) {
        double before = disc.radius;
        int end = after.get(edge);
        take(2 * edge, site, foot, disc);
        take(2 * edge + 1, site, foot, disc);
        take(2 * end + 1, site, foot, disc);
        return disc.radius < before;
    }

    private void take(int other, int site, Foot foot, Disc disc) {
        if (other == site) {
            return;
        }
        double r = touching(other, foot);
        if (r < disc.radius) {
            disc.radius = r;
            disc.site = other;
        }
    }
}
