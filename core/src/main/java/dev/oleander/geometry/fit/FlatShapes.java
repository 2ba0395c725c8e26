package dev.oleander.geometry.fit;

import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Polygon;

/** Contours and regions with their arcs as chords, for questions that a micrometre decides not. */
public final class FlatShapes {

    public static final GeometryFactory FACTORY = new GeometryFactory();

    private final Flattener flattener;

    /**
     * @param gap greatest distance between an arc and its chords, mm
     */
    public FlatShapes(double gap) {
        this.flattener = new Flattener(gap);
    }

    public Polygon polygon(Contour contour) {
        return FACTORY.createPolygon(ring(contour));
    }

    public Polygon polygon(Region region) {
        LinearRing[] openings =
                region.openings().stream().map(this::ring).toArray(LinearRing[]::new);
        return FACTORY.createPolygon(ring(region.outer()), openings);
    }

    public LineString line(Path path) {
        return FACTORY.createLineString(coordinates(path));
    }

    private LinearRing ring(Contour contour) {
        return FACTORY.createLinearRing(coordinates(contour));
    }

    private Coordinate[] coordinates(Chain chain) {
        List<Point> points = flattener.flatten(chain);
        Coordinate[] coordinates =
                points.stream().map(FlatShapes::coordinate).toArray(Coordinate[]::new);
        if (chain instanceof Contour) {
            // rounding may leave the last a hair off the first
            coordinates[coordinates.length - 1] = new Coordinate(coordinates[0]);
        }
        return coordinates;
    }

    public static Coordinate coordinate(Point p) {
        return new Coordinate(p.x(), p.y());
    }

    public static Point point(Coordinate c) {
        return new Point(c.x, c.y);
    }
}
