package dev.oleander.plan.wire;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;

/** Contours with their arcs as chords. */
final class FlatShapes {

    static final GeometryFactory FACTORY = new GeometryFactory();

    /** Chords of an arc per radian. */
    private static final double PER_RADIAN = 10;

    private FlatShapes() {}

    static Polygon polygon(Contour contour) {
        List<Coordinate> ring = new ArrayList<>();
        for (Segment segment : contour.segments()) {
            int parts = 1;
            if (segment instanceof Arc arc) {
                parts += (int) Math.ceil(Math.abs(arc.sweep()) * PER_RADIAN);
            }
            for (int i = 0; i < parts; i++) {
                ring.add(coordinate(segment.at((double) i / parts)));
            }
        }
        ring.add(new Coordinate(ring.get(0)));
        return FACTORY.createPolygon(ring.toArray(Coordinate[]::new));
    }

    static Coordinate coordinate(Point p) {
        return new Coordinate(p.x(), p.y());
    }
}
