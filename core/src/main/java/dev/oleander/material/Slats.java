package dev.oleander.material;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.enclose.ConvexHull;
import java.util.ArrayList;
import java.util.List;

/**
 * The slats that carry the sheet: upright strips along y at every whole multiple of their pitch.
 *
 * @param pitch mm between two; 0: the sheet lies on a plane
 */
public record Slats(double pitch) {

    /** mm; a piece whose weight is less than this outside of its support stays. */
    private static final double STEADY = 0.5;

    /**
     * What becomes of a free piece: it falls when no slat is under it, and tips when its centre of
     * mass lies outside of the hull of the places where slats touch it.
     */
    public Rest under(Region region) {
        if (pitch <= 0) {
            return Rest.RESTS;
        }
        List<Point> touched = new ArrayList<>();
        double first = Math.ceil(region.box().min().x() / pitch) * pitch;
        for (double x = first; x <= region.box().max().x(); x += pitch) {
            touch(region, x, touched);
        }
        if (touched.isEmpty()) {
            return Rest.FALLS;
        }
        return carries(touched, region.centroid()) ? Rest.RESTS : Rest.TIPS;
    }

    /** The outermost places where a slat touches a piece; what is between them adds nothing. */
    private static void touch(Region region, double x, List<Point> touched) {
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;
        for (Segment segment : region.outer().segments()) {
            for (double y : crossings(segment, x)) {
                low = Math.min(low, y);
                high = Math.max(high, y);
            }
        }
        if (low <= high) {
            touched.add(new Point(x, low));
            touched.add(new Point(x, high));
        }
    }

    private static double[] crossings(Segment segment, double x) {
        if (segment instanceof Arc arc) {
            double dx = x - arc.centre().x();
            double square = arc.radius() * arc.radius() - dx * dx;
            if (square < 0) {
                return new double[0];
            }
            double dy = Math.sqrt(square);
            return both(arc, x, arc.centre().y() + dy, arc.centre().y() - dy);
        }
        double from = segment.start().x();
        double to = segment.end().x();
        if (from == to || x < Math.min(from, to) || x > Math.max(from, to)) {
            return new double[0];
        }
        return new double[] {segment.at((x - from) / (to - from)).y()};
    }

    private static double[] both(Arc arc, double x, double high, double low) {
        boolean up = isOn(arc, new Point(x, high));
        boolean down = isOn(arc, new Point(x, low));
        if (up && down) {
            return new double[] {high, low};
        }
        return up ? new double[] {high} : down ? new double[] {low} : new double[0];
    }

    private static boolean isOn(Arc arc, Point p) {
        return arc.distance(p) < 1e-6;
    }

    /** Whether a point lies within the hull of others, or nearly. */
    private static boolean carries(List<Point> touched, Point weight) {
        List<Segment> ways = new ArrayList<>();
        for (int i = 1; i < touched.size(); i++) {
            if (!touched.get(i).equals(touched.get(i - 1))) {
                ways.add(new Line(touched.get(i - 1), touched.get(i)));
            }
        }
        if (ways.size() < 2) {
            Point only = touched.get(0);
            double off = ways.isEmpty() ? only.distance(weight) : ways.get(0).distance(weight);
            return off <= STEADY;
        }
        Contour hull = ConvexHull.of(List.of(new Path(ways)));
        return hull.contains(weight) || hull.nearest(weight).point().distance(weight) <= STEADY;
    }
}
