package dev.oleander.drawing.dxf;

import dev.oleander.drawing.dxf.DxfRecord.Group;
import dev.oleander.drawing.dxf.DxfRecord.UnreadableEntityException;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/** Turns records into segments, in mm. */
final class EntityBuilder {

    /** Bulges smaller than this are straight: over 10 m the arc would rise by less than 1e-8 mm. */
    private static final double STRAIGHT = 1e-12;

    private static final int CLOSED = 1;
    private static final int MESH = 16 | 64;
    private static final int CONTROL_VERTEX = 16;

    /** Joined segments, and whether the entity says that it closes; none when it has no length. */
    record Shape(List<Segment> segments, boolean closed, Point place) {}

    private record Vertex(Point point, double bulge) {}

    private final double scale;
    private final double farthest;
    private final Map<String, Function<DxfRecord, Shape>> builders =
            Map.of(
                    "LINE", this::line,
                    "ARC", this::arc,
                    "CIRCLE", this::circle,
                    "LWPOLYLINE", this::lightPolyline);

    EntityBuilder(double scale, double farthest) {
        this.scale = scale;
        this.farthest = farthest;
    }

    boolean reads(String type) {
        return builders.containsKey(type);
    }

    Shape build(DxfRecord entity) {
        return builders.get(entity.type()).apply(entity);
    }

    private Shape line(DxfRecord entity) {
        Point start = point(entity.number(10), entity.number(20));
        Point end = point(entity.number(11), entity.number(21));
        List<Segment> segments =
                start.equals(end) ? List.of() : List.of((Segment) new Line(start, end));
        return new Shape(segments, false, start);
    }

    private Shape circle(DxfRecord entity) {
        Point centre = seen(entity, entity.number(10), entity.number(20));
        return new Shape(Contour.circle(centre, radius(entity)).segments(), true, centre);
    }

    private Shape arc(DxfRecord entity) {
        Point centre = seen(entity, entity.number(10), entity.number(20));
        double radius = radius(entity);
        double from = Math.toRadians(entity.number(50));
        double sweep = Math.toRadians(turn(entity.number(51) - entity.number(50)));
        if (sweep == 0) {
            return new Shape(Contour.circle(centre, radius).segments(), true, centre);
        }
        Arc arc =
                isFromBehind(entity)
                        ? Arc.about(centre, radius, Math.PI - from, -sweep)
                        : Arc.about(centre, radius, from, sweep);
        return new Shape(List.of(arc), false, arc.start());
    }

    /** Degrees into [0, 360). */
    private static double turn(double degrees) {
        double turned = degrees % 360;
        return turned < 0 ? turned + 360 : turned;
    }

    private double radius(DxfRecord entity) {
        double radius = entity.number(40) * scale;
        if (!(radius > 0 && radius <= farthest)) {
            throw new UnreadableEntityException("its radius is " + entity.text(40).orElse(""));
        }
        return radius;
    }

    /** Vertices come as runs of 10, 20 and, where the next stretch is an arc, 42. */
    private Shape lightPolyline(DxfRecord entity) {
        List<Vertex> vertices = new ArrayList<>();
        Double x = null;
        for (Group group : entity.groups()) {
            if (group.code() == 10) {
                x = DxfRecord.number(group);
            } else if (group.code() == 20 && x != null) {
                vertices.add(new Vertex(seen(entity, x, DxfRecord.number(group)), 0));
                x = null;
            } else if (group.code() == 42 && !vertices.isEmpty()) {
                int last = vertices.size() - 1;
                vertices.set(last, new Vertex(vertices.get(last).point(), DxfRecord.number(group)));
            }
        }
        return chain(entity, vertices);
    }

    /** A heavy polyline: its vertices are records of their own. */
    Shape polyline(DxfRecord entity, List<DxfRecord> vertexRecords) {
        if ((entity.integer(70, 0) & MESH) != 0) {
            throw new UnreadableEntityException("it is a surface, not a line");
        }
        List<Vertex> vertices = new ArrayList<>();
        for (DxfRecord vertex : vertexRecords) {
            if ((vertex.integer(70, 0) & CONTROL_VERTEX) == 0) {
                Point place = seen(entity, vertex.number(10), vertex.number(20));
                vertices.add(new Vertex(place, vertex.number(42, 0)));
            }
        }
        return chain(entity, vertices);
    }

    private Shape chain(DxfRecord entity, List<Vertex> vertices) {
        if (vertices.size() < 2) {
            throw new UnreadableEntityException("it has %d vertices".formatted(vertices.size()));
        }
        boolean closed = (entity.integer(70, 0) & CLOSED) != 0;
        double side = isFromBehind(entity) ? -1 : 1;
        List<Segment> segments = new ArrayList<>();
        int last = closed ? vertices.size() : vertices.size() - 1;
        for (int i = 0; i < last; i++) {
            Vertex from = vertices.get(i);
            Point to = vertices.get((i + 1) % vertices.size()).point();
            if (!from.point().equals(to)) {
                segments.add(segment(from.point(), to, side * from.bulge()));
            }
        }
        Point first = vertices.get(0).point();
        boolean returns =
                segments.size() > 1 && segments.get(segments.size() - 1).end().equals(first);
        return new Shape(segments, returns, first);
    }

    private static Segment segment(Point from, Point to, double bulge) {
        return Math.abs(bulge) < STRAIGHT ? new Line(from, to) : new Arc(from, to, bulge);
    }

    /**
     * A point in the entity's own axes: seen from behind (extrusion 0, 0, -1) x counts to the left.
     */
    private Point seen(DxfRecord entity, double x, double y) {
        return isFromBehind(entity) ? point(-x, y) : point(x, y);
    }

    private static boolean isFromBehind(DxfRecord entity) {
        double x = entity.number(210, 0);
        double y = entity.number(220, 0);
        double z = entity.number(230, 1);
        if (Math.hypot(x, y) > 1e-6 * Math.abs(z)) {
            throw new UnreadableEntityException("it is tilted out of the plane");
        }
        return z < 0;
    }

    private Point point(double x, double y) {
        Point p = new Point(x * scale, y * scale);
        if (!(Math.abs(p.x()) <= farthest && Math.abs(p.y()) <= farthest)) {
            throw new UnreadableEntityException(
                    "its place (%s, %s) is farther than %s mm away"
                            .formatted(x, y, Numbers.plain(farthest, 0)));
        }
        return p;
    }
}
