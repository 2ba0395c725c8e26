package dev.oleander.geometry;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;

/** Shapes for tests, and their flattened twins for the other library. */
public final class Shapes {

    private static final GeometryFactory JTS = new GeometryFactory();

    private Shapes() {}

    public static Point p(double x, double y) {
        return new Point(x, y);
    }

    public static Contour polygon(double... xy) {
        List<Segment> segments = new ArrayList<>();
        int n = xy.length / 2;
        for (int i = 0; i < n; i++) {
            int j = (i + 1) % n;
            segments.add(new Line(p(xy[2 * i], xy[2 * i + 1]), p(xy[2 * j], xy[2 * j + 1])));
        }
        return new Contour(segments);
    }

    public static Contour rectangle(double width, double height) {
        return Contour.rectangle(new Box(p(0, 0), p(width, height)));
    }

    /** Rectangle with rounded corners; anticlockwise. */
    public static Contour rounded(double width, double height, double radius) {
        double q = Math.tan(Math.PI / 8);
        double w = width;
        double h = height;
        double r = radius;
        return new Contour(
                List.of(
                        new Line(p(r, 0), p(w - r, 0)),
                        new Arc(p(w - r, 0), p(w, r), q),
                        new Line(p(w, r), p(w, h - r)),
                        new Arc(p(w, h - r), p(w - r, h), q),
                        new Line(p(w - r, h), p(r, h)),
                        new Arc(p(r, h), p(0, h - r), q),
                        new Line(p(0, h - r), p(0, r)),
                        new Arc(p(0, r), p(r, 0), q)));
    }

    /** A star-shaped contour whose sides are lines and arcs by turns; radii about the origin. */
    public static Contour star(double[] radii, double bulge) {
        List<Segment> segments = new ArrayList<>();
        int n = radii.length;
        for (int i = 0; i < n; i++) {
            int j = (i + 1) % n;
            Point a = Point.polar(radii[i], 2 * Math.PI * i / n);
            Point b = Point.polar(radii[j], 2 * Math.PI * j / n);
            segments.add(i % 2 == 0 ? new Line(a, b) : new Arc(a, b, bulge));
        }
        return new Contour(segments);
    }

    /** Polygon whose edges are chords of the contour, none farther from it than the given gap. */
    public static Polygon flattened(Contour contour, double gap) {
        List<Coordinate> ring = new ArrayList<>();
        for (Segment segment : contour.segments()) {
            int pieces = 1;
            if (segment instanceof Arc arc) {
                double step = 2 * Math.acos(Math.max(-1, 1 - gap / arc.radius()));
                pieces = Math.max(2, (int) Math.ceil(Math.abs(arc.sweep()) / step));
            }
            for (int i = 0; i < pieces; i++) {
                Point at = segment.at((double) i / pieces);
                ring.add(new Coordinate(at.x(), at.y()));
            }
        }
        ring.add(ring.get(0));
        return JTS.createPolygon(ring.toArray(new Coordinate[0]));
    }
}
