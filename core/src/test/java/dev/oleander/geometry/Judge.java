package dev.oleander.geometry;

import dev.oleander.geometry.fit.Flattener;
import java.util.Collection;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.operation.buffer.BufferOp;
import org.locationtech.jts.operation.buffer.BufferParameters;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;

/** Another library on flattened shapes, as an independent judge. */
public final class Judge {

    private static final GeometryFactory JTS = new GeometryFactory();

    private Judge() {}

    public static Geometry flat(Region region, double gap) {
        LinearRing outer = ring(region.outer(), gap);
        LinearRing[] holes =
                region.openings().stream().map(o -> ring(o, gap)).toArray(LinearRing[]::new);
        return JTS.createPolygon(outer, holes);
    }

    public static Geometry flat(Collection<Region> regions, double gap) {
        Geometry[] parts = regions.stream().map(r -> flat(r, gap)).toArray(Geometry[]::new);
        return OverlayNGRobust.union(JTS.createGeometryCollection(parts));
    }

    private static LinearRing ring(Contour contour, double gap) {
        List<Point> points = new Flattener(gap).flatten(contour);
        Coordinate[] ring =
                points.stream().map(p -> new Coordinate(p.x(), p.y())).toArray(Coordinate[]::new);
        return JTS.createLinearRing(ring);
    }

    /** Rounded buffer; joins as fine as the gap, the source not simplified beforehand. */
    public static Geometry buffer(Geometry flat, double distance, double gap) {
        double angle = 2 * Math.acos(1 - Math.min(0.5, gap / Math.abs(distance)));
        BufferParameters round = new BufferParameters((int) Math.ceil(Math.PI / 2 / angle));
        round.setSimplifyFactor(1e-7);
        return BufferOp.bufferOp(flat, distance, round);
    }

    public static double area(Collection<Region> regions) {
        return regions.stream().mapToDouble(Region::area).sum();
    }

    public static double border(Collection<Region> regions) {
        return regions.stream()
                .flatMap(r -> r.contours().stream())
                .mapToDouble(Contour::length)
                .sum();
    }
}
