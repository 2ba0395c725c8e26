package dev.oleander.drawing.draw;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.Transform;
import java.util.ArrayList;
import java.util.List;

/** Closed figures about the origin, anticlockwise; mm and radians. */
final class Figures {

    private Figures() {}

    /** Corners in order, each rounded by the same radius where that is more than 0. */
    static Contour polygon(List<Point> corners, double radius) {
        int n = corners.size();
        List<Segment> segments = new ArrayList<>();
        Point start = null;
        Point at = null;
        for (int i = 0; i < n; i++) {
            Point before = corners.get((i + n - 1) % n);
            Point corner = corners.get(i);
            Point after = corners.get((i + 1) % n);
            Point in = corner.minus(before).unit();
            Point out = after.minus(corner).unit();
            double turn = Math.atan2(in.cross(out), in.dot(out));
            double cut = radius > 0 ? radius * Math.tan(Math.abs(turn) / 2) : 0;
            Point arcStart = corner.minus(in.times(cut));
            Point arcEnd = corner.plus(out.times(cut));
            if (at != null && !at.equals(arcStart)) {
                segments.add(new Line(at, arcStart));
            }
            if (cut > 0) {
                segments.add(new Arc(arcStart, arcEnd, Math.tan(turn / 4)));
            }
            start = start == null ? arcStart : start;
            at = arcEnd;
        }
        if (!at.equals(start)) {
            segments.add(new Line(at, start));
        }
        return new Contour(segments);
    }

    static Contour rectangle(double width, double height, double radius) {
        double w = width / 2;
        double h = height / 2;
        List<Point> corners =
                List.of(new Point(-w, -h), new Point(w, -h), new Point(w, h), new Point(-w, h));
        boolean round = radius > 0;
        boolean full = round && 2 * radius >= Math.min(width, height) * (1 - 1e-12);
        if (full && width != height) {
            return width > height
                    ? slot(width, height)
                    : slot(height, width).transformed(Transform.rotation(Math.PI / 2));
        }
        return full ? Contour.circle(Point.ORIGIN, radius) : polygon(corners, radius);
    }

    /** Length over both round ends. */
    static Contour slot(double length, double width) {
        double r = width / 2;
        double c = length / 2 - r;
        Point a = new Point(-c, -r);
        Point b = new Point(c, -r);
        Point d = new Point(c, r);
        Point e = new Point(-c, r);
        return new Contour(
                List.of(new Line(a, b), new Arc(b, d, 1), new Line(d, e), new Arc(e, a, 1)));
    }

    /** Sides that all lie {@code flats / 2} from the centre; the first is the lowest, level. */
    static Contour regular(int sides, double flats) {
        double reach = flats / 2 / Math.cos(Math.PI / sides);
        List<Point> corners = new ArrayList<>();
        for (int i = 0; i < sides; i++) {
            double angle = -Math.PI / 2 + Math.PI * (2 * i - 1) / sides;
            corners.add(Point.polar(reach, angle));
        }
        return polygon(corners, 0);
    }

    static Transform at(Point place, double turn) {
        return Transform.rotation(turn).then(Transform.translation(place));
    }
}
