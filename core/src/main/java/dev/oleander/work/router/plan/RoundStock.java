package dev.oleander.work.router.plan;

import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.Transform;
import dev.oleander.geometry.fit.Flattener;
import dev.oleander.work.router.way.Leg;
import java.util.ArrayList;
import java.util.List;

/**
 * Round stock about an axis along X. A drawing that is laid round it is turned by 180 y / (pi r).
 *
 * @param radius r, mm
 * @param middle a place of the axis; y is counted from there
 */
public record RoundStock(double radius, Point middle) {

    /** mm between an arc and the lines in its place. */
    private static final double FLAT = 2e-3;

    /** Degrees that the work is turned for a place. */
    public double turn(Point place) {
        return Math.toDegrees((place.y() - middle.y()) / radius);
    }

    /** Where the tool then is. */
    public Point under(Point place) {
        return new Point(place.x(), middle.y());
    }

    /** mm round the stock for a turn, degrees. */
    public double arc(double turn) {
        return Math.toRadians(turn) * radius;
    }

    RoundStock transformed(Transform to) {
        return new RoundStock(radius, to.apply(middle));
    }

    /** Ways in lines alone: an arc that is laid round is none. */
    static List<Leg> inLines(List<Leg> legs) {
        Flattener flattener = new Flattener(FLAT);
        List<Leg> all = new ArrayList<>();
        for (Leg leg : legs) {
            if (leg.segment().isEmpty() || leg.pace() == Leg.Pace.RAPID) {
                all.add(leg);
                continue;
            }
            Segment way = leg.segment().get();
            List<Point> points = flattener.flatten(new Path(List.of(way)));
            double done = 0;
            double whole = length(points);
            for (int i = 1; i < points.size(); i++) {
                double next = done + points.get(i - 1).distance(points.get(i));
                all.add(leg.straight(points.get(i - 1), points.get(i), done / whole, next / whole));
                done = next;
            }
        }
        return all;
    }

    private static double length(List<Point> points) {
        double length = 0;
        for (int i = 1; i < points.size(); i++) {
            length += points.get(i - 1).distance(points.get(i));
        }
        return length;
    }
}
