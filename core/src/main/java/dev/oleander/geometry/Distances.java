package dev.oleander.geometry;

import dev.oleander.geometry.flat.BoxTree;
import java.util.ArrayList;
import java.util.List;

/** Least distances, exact for arcs. */
public final class Distances {

    /** mm; far below any tolerance of cutting, far above rounding at 10 m (2e-12). */
    private static final double TOUCH = 1e-9;

    private Distances() {}

    /** The nearest pair of points of two things and their distance, mm. */
    public record Nearest(double distance, Point onFirst, Point onSecond) {

        static final Nearest NONE = new Nearest(Double.POSITIVE_INFINITY, null, null);

        Nearest orNearer(Point p, Point q) {
            double d = p.distance(q);
            return d < distance ? new Nearest(d, p, q) : this;
        }

        Nearest orNearer(Nearest other) {
            return other.distance < distance ? other : this;
        }
    }

    public static Nearest between(Segment a, Segment b) {
        for (Intersections.Crossing c : Intersections.of(a, b, TOUCH)) {
            return new Nearest(0, c.point(), c.point());
        }
        Nearest nearest = Nearest.NONE;
        for (Point p : List.of(a.start(), a.end())) {
            nearest = nearest.orNearer(p, b.at(b.nearest(p)));
        }
        for (Point q : List.of(b.start(), b.end())) {
            nearest = nearest.orNearer(a.at(a.nearest(q)), q);
        }
        for (Point p : innerCandidates(a, b)) {
            nearest = nearest.orNearer(p, b.at(b.nearest(p)));
        }
        return nearest;
    }

    /** The nearest points of two chains; about n log m for n and m segments. */
    public static Nearest between(Chain a, Chain b) {
        List<Segment> others = b.segments();
        double[] boxes = new double[BoxTree.room(others.size())];
        for (int i = 0; i < others.size(); i++) {
            others.get(i).box().writeTo(boxes, 4 * i);
        }
        BoxTree tree = BoxTree.of(boxes, others.size());
        Nearest[] best = {Nearest.NONE};
        for (Segment segment : a.segments()) {
            Box box = segment.box();
            tree.nearest(
                    box.min().x(),
                    box.min().y(),
                    box.max().x(),
                    box.max().y(),
                    best[0].distance(),
                    i -> {
                        Nearest here = between(segment, others.get(i));
                        best[0] = best[0].orNearer(here);
                        return here.distance();
                    });
        }
        return best[0];
    }

    /** Points of {@code a} where both normals agree: only an arc has such places off its ends. */
    private static List<Point> innerCandidates(Segment a, Segment b) {
        List<Point> points = new ArrayList<>(4);
        if (b instanceof Arc arc) {
            Point centre = arc.centre();
            if (a instanceof Arc other) {
                addOnAxis(points, other, centre);
            } else {
                points.add(a.at(a.nearest(centre)));
            }
        } else if (a instanceof Arc arc && b instanceof Line line) {
            Point centre = arc.centre();
            Point foot = line.at(line.nearest(centre));
            addOnAxis(points, arc, foot);
        }
        return points;
    }

    /** The two points of an arc's circle in line with its centre and {@code through}, if on it. */
    private static void addOnAxis(List<Point> points, Arc arc, Point through) {
        Point centre = arc.centre();
        Point axis = through.minus(centre).unit().times(arc.radius());
        for (Point p : List.of(centre.plus(axis), centre.minus(axis))) {
            double t = arc.parameterOf(p);
            if (t > 0 && t < 1) {
                points.add(arc.at(t));
            }
        }
    }
}
