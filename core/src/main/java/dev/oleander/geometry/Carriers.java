package dev.oleander.geometry;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** The whole lines and circles that segments lie on, and where these meet. */
public final class Carriers {

    /** Sine of the angle below which two lines count as parallel. */
    private static final double PARALLEL = 1e-12;

    private Carriers() {}

    /** The common point of two carriers that is nearest to a place; empty when there is none. */
    public static Optional<Point> meet(Segment a, Segment b, Point near) {
        List<Point> found = new ArrayList<>(2);
        if (a instanceof Line one && b instanceof Line other) {
            lines(one, other, found);
        } else if (a instanceof Line line && b instanceof Arc arc) {
            lineAndCircle(line, arc, found);
        } else if (a instanceof Arc arc && b instanceof Line line) {
            lineAndCircle(line, arc, found);
        } else {
            circles((Arc) a, (Arc) b, found);
        }
        return found.stream().min(Comparator.comparingDouble(near::distance));
    }

    /** The point of a carrier nearest to a place; for a circle not its centre. */
    public static Point foot(Segment carrier, Point p) {
        if (carrier instanceof Line line) {
            return line.start().plus(line.end().minus(line.start()).times(line.foot(p)));
        }
        Arc arc = (Arc) carrier;
        Point centre = arc.centre();
        return centre.plus(p.minus(centre).unit().times(arc.radius()));
    }

    private static void lines(Line a, Line b, List<Point> found) {
        Point u = a.end().minus(a.start());
        Point v = b.end().minus(b.start());
        double cross = u.cross(v);
        if (Math.abs(cross) > PARALLEL * u.norm() * v.norm()) {
            double t = b.start().minus(a.start()).cross(v) / cross;
            found.add(a.start().plus(u.times(t)));
        }
    }

    private static void lineAndCircle(Line line, Arc arc, List<Point> found) {
        Point centre = arc.centre();
        Point foot = foot(line, centre);
        double off = foot.distance(centre);
        double radius = arc.radius();
        double square = (radius - off) * (radius + off);
        if (square >= -1e-9 * radius * radius) {
            Point along = line.direction(0).times(Math.sqrt(Math.max(0, square)));
            found.add(foot.plus(along));
            found.add(foot.minus(along));
        }
    }

    private static void circles(Arc a, Arc b, List<Point> found) {
        Point from = a.centre();
        Point way = b.centre().minus(from);
        double d = way.norm();
        double ra = a.radius();
        double rb = b.radius();
        if (d == 0) {
            return;
        }
        double along = (d * d + (ra - rb) * (ra + rb)) / (2 * d);
        double square = (ra - along) * (ra + along);
        if (square >= -1e-9 * ra * ra) {
            Point unit = way.unit();
            Point foot = from.plus(unit.times(along));
            Point aside = unit.left().times(Math.sqrt(Math.max(0, square)));
            found.add(foot.plus(aside));
            found.add(foot.minus(aside));
        }
    }
}
