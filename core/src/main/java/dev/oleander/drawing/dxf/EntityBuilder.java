package dev.oleander.drawing.dxf;

import dev.oleander.drawing.intake.Collector;
import dev.oleander.drawing.intake.Outline;
import dev.oleander.drawing.intake.OutlinePen;
import dev.oleander.drawing.intake.UnreadableException;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.Transform;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/** Turns records into segments, in mm, wherever their block is put in. */
final class EntityBuilder {

    /** Bulges smaller than this are straight: over 10 m the arc would rise by less than 1e-8 mm. */
    private static final double STRAIGHT = 1e-12;

    /** Bulges larger than this are a full turn but for less than 1e-5 degrees. */
    private static final double FULL = 1e7;

    /** Degrees that a whole ellipse may fall short of or exceed: the rounding of its parameters. */
    private static final double WHOLE = 1e-4;

    private static final int CLOSED = 1;
    private static final int MESH = 16 | 64;
    private static final int CONTROL_VERTEX = 16;

    /** What an entity became, and a place of it. */
    record Built(Outline outline, Point place) {}

    private record Vertex(Point point, double bulge) {}

    private final Collector collector;
    private final Transform map;
    private final double fit;
    private final Map<String, Function<DxfRecord, Built>> builders =
            Map.of(
                    "LINE", this::line,
                    "ARC", this::arc,
                    "CIRCLE", this::circle,
                    "ELLIPSE", this::ellipse,
                    "SPLINE", this::spline,
                    "LWPOLYLINE", this::lightPolyline,
                    "SOLID", this::solid,
                    "TRACE", this::solid);

    /**
     * @param map from the units and axes of the record to mm in the drawing
     */
    EntityBuilder(Collector collector, Transform map) {
        this.collector = collector;
        this.map = map;
        this.fit = collector.options().fit();
    }

    boolean reads(String type) {
        return builders.containsKey(type);
    }

    Built build(DxfRecord entity) {
        return builders.get(entity.type()).apply(entity);
    }

    Point point(DxfRecord entity) {
        return placed(new Point(entity.number(10), entity.number(20)));
    }

    private Point placed(Point p) {
        return collector.checked(map.apply(p));
    }

    private Built line(DxfRecord entity) {
        Point start = point(entity);
        Point end = placed(new Point(entity.number(11), entity.number(21)));
        List<Segment> segments =
                start.equals(end) ? List.of() : List.of((Segment) new Line(start, end));
        return new Built(Outline.exact(segments, false), start);
    }

    private Built circle(DxfRecord entity) {
        return round(entity, centre(entity), radius(entity));
    }

    private Built arc(DxfRecord entity) {
        Point centre = centre(entity);
        double radius = radius(entity);
        double from = Math.toRadians(entity.number(50));
        double sweep = Math.toRadians(turn(entity.number(51) - entity.number(50)));
        if (sweep == 0 || Math.tan(sweep / 4) > FULL) {
            return round(entity, centre, radius);
        }
        Point start = centre.plus(Point.polar(radius, from));
        Point end = centre.plus(Point.polar(radius, from + sweep));
        double bulge = Math.tan(sweep / 4);
        if (start.equals(end) || bulge < STRAIGHT) {
            return new Built(Outline.NOTHING, placed(seen(entity).apply(start)));
        }
        Arc arc = new Arc(start, end, bulge);
        return open(entity, List.of(arc));
    }

    /** Degrees into [0, 360). */
    private static double turn(double degrees) {
        double turned = degrees % 360;
        if (!Double.isFinite(turned)) {
            throw new UnreadableException("its angles are too large");
        }
        return turned < 0 ? turned + 360 : turned;
    }

    private static Point centre(DxfRecord entity) {
        return new Point(entity.number(10), entity.number(20));
    }

    private double radius(DxfRecord entity) {
        double radius = entity.number(40);
        if (!(radius > 0 && radius * map.scale() <= collector.options().farthest())) {
            throw new UnreadableException("its radius is " + entity.text(40).orElse(""));
        }
        return radius;
    }

    /** Axes of an entity that is seen from behind: x counts to the left. */
    private static Transform seen(DxfRecord entity) {
        return entity.isFromBehind() ? Transform.mirror() : Transform.IDENTITY;
    }

    private Built round(DxfRecord entity, Point centre, double radius) {
        Transform to = seen(entity).then(map);
        boolean vanishes = centre.plus(new Point(radius / 4, 0)).equals(centre);
        if (vanishes) {
            return new Built(Outline.NOTHING, placed(centre));
        }
        return mapped(Contour.circle(centre, radius).segments(), true, to);
    }

    private Built open(DxfRecord entity, List<Segment> segments) {
        return mapped(segments, false, seen(entity).then(map));
    }

    /** Maps that are no similarities make ellipses of arcs; these are fitted. */
    private Built mapped(List<Segment> segments, boolean closed, Transform to) {
        segments.forEach(s -> collector.checked(to.apply(s.start())));
        segments.forEach(s -> collector.checked(to.apply(s.end())));
        Point place = to.apply(segments.get(0).start());
        if (to.isSimilarity() || segments.stream().noneMatch(s -> s instanceof Arc)) {
            List<Segment> moved = moved(segments, to);
            return new Built(Outline.exact(moved, closed && moved.size() > 1), place);
        }
        requireNotFlat(to);
        OutlinePen pen = new OutlinePen(fit);
        pen.start(place);
        for (Segment s : segments) {
            if (s instanceof Arc arc) {
                collector.checked(to.apply(arc.middle()));
                pen.curve(
                        t -> to.apply(arc.at(t)),
                        0,
                        1,
                        to.applyToVector(arc.direction(0)),
                        to.applyToVector(arc.direction(1)));
            } else {
                pen.lineTo(to.apply(s.end()));
            }
        }
        return new Built(pen.finish(closed), place);
    }

    private static List<Segment> moved(List<Segment> segments, Transform to) {
        List<Segment> moved = new ArrayList<>(segments.size());
        for (Segment s : segments) {
            Point start = to.apply(s.start());
            Point end = to.apply(s.end());
            if (!start.equals(end)) {
                double bulge = to.isMirrored() ? -s.bulge() : s.bulge();
                moved.add(Segment.of(start, end, bulge));
            }
        }
        return moved;
    }

    private void requireNotFlat(Transform to) {
        double area = Math.abs(to.a() * to.d() - to.b() * to.c());
        double size = Math.hypot(to.a(), to.b()) * Math.hypot(to.c(), to.d());
        if (!(area > 1e-6 * size)) {
            throw new UnreadableException("it is squeezed to a line");
        }
    }

    /** Centre, end of the long half axis, and the ratio of the short one to it. */
    private Built ellipse(DxfRecord entity) {
        Point centre = centre(entity);
        Point axis = new Point(entity.number(11), entity.number(21));
        double ratio = entity.number(40);
        if (!(axis.norm() > 0 && ratio > 1e-6 && ratio <= 1 + 1e-9)) {
            throw new UnreadableException(
                    "its axes are %s and %s times that".formatted(axis.norm(), ratio));
        }
        Point other = axis.left().times(entity.isFromBehind() ? -ratio : ratio);
        Transform toEllipse =
                new Transform(axis.x(), axis.y(), other.x(), other.y(), centre.x(), centre.y());
        double from = entity.number(41, 0);
        double sweep = turn(Math.toDegrees(entity.number(42, 2 * Math.PI) - from));
        boolean whole = sweep < WHOLE || sweep > 360 - WHOLE;
        List<Segment> unit =
                whole
                        ? Contour.circle(Point.ORIGIN, 1).segments()
                        : List.of(Arc.about(Point.ORIGIN, 1, from, Math.toRadians(sweep)));
        return mapped(unit, whole, toEllipse.then(map));
    }

    private Built spline(DxfRecord entity) {
        Spline spline = SplineRecord.read(entity, map, collector);
        OutlinePen pen = new OutlinePen(fit);
        Point start = spline.at(spline.from());
        pen.start(start);
        spline.draw(pen);
        boolean closes = pen.at().distance(start) <= 1e-9 * Math.max(1, spline.size());
        return new Built(pen.finish(closes || spline.closed()), start);
    }

    /** Corners come in the order 1, 2, 4, 3. */
    private Built solid(DxfRecord entity) {
        int[] order =
                entity.text(13).isPresent() ? new int[] {10, 11, 13, 12} : new int[] {10, 11, 12};
        List<Vertex> corners = new ArrayList<>();
        for (int code : order) {
            Point p = new Point(entity.number(code), entity.number(code + 10));
            boolean again = corners.stream().anyMatch(v -> v.point().equals(p));
            if (!again) {
                corners.add(new Vertex(p, 0));
            }
        }
        return chain(entity, corners, true);
    }

    /** Vertices come as runs of 10, 20 and, where the next stretch is an arc, 42. */
    private Built lightPolyline(DxfRecord entity) {
        List<Vertex> vertices = new ArrayList<>();
        Double x = null;
        for (int i = 0; i < entity.size(); i++) {
            if (entity.code(i) == 10) {
                x = entity.numberAt(i);
            } else if (entity.code(i) == 20 && x != null) {
                vertices.add(new Vertex(new Point(x, entity.numberAt(i)), 0));
                x = null;
            } else if (entity.code(i) == 42 && !vertices.isEmpty()) {
                int last = vertices.size() - 1;
                vertices.set(last, new Vertex(vertices.get(last).point(), entity.numberAt(i)));
            }
        }
        return chain(entity, vertices, (entity.integer(70, 0) & CLOSED) != 0);
    }

    /** A heavy polyline: its vertices are records of their own. */
    Built polyline(DxfRecord entity, List<DxfRecord> vertexRecords) {
        if ((entity.integer(70, 0) & MESH) != 0) {
            throw new UnreadableException("it is a surface, not a line");
        }
        List<Vertex> vertices = new ArrayList<>();
        for (DxfRecord vertex : vertexRecords) {
            if ((vertex.integer(70, 0) & CONTROL_VERTEX) == 0) {
                Point place = new Point(vertex.number(10), vertex.number(20));
                vertices.add(new Vertex(place, vertex.number(42, 0)));
            }
        }
        return chain(entity, vertices, (entity.integer(70, 0) & CLOSED) != 0);
    }

    private Built chain(DxfRecord entity, List<Vertex> vertices, boolean closed) {
        if (vertices.size() < 2) {
            throw new UnreadableException("it has %d vertices".formatted(vertices.size()));
        }
        List<Segment> segments = new ArrayList<>();
        int last = closed ? vertices.size() : vertices.size() - 1;
        for (int i = 0; i < last; i++) {
            Vertex from = vertices.get(i);
            Point to = vertices.get((i + 1) % vertices.size()).point();
            if (!from.point().equals(to)) {
                segments.add(segment(from.point(), to, from.bulge()));
            }
        }
        Point first = vertices.get(0).point();
        if (segments.isEmpty()) {
            return new Built(Outline.NOTHING, placed(seen(entity).apply(first)));
        }
        boolean returns =
                segments.size() > 1 && segments.get(segments.size() - 1).end().equals(first);
        return mapped(segments, returns, seen(entity).then(map));
    }

    private static Segment segment(Point from, Point to, double bulge) {
        if (Math.abs(bulge) > FULL) {
            throw new UnreadableException("its bulge %s is more than a full turn".formatted(bulge));
        }
        return Math.abs(bulge) < STRAIGHT ? new Line(from, to) : new Arc(from, to, bulge);
    }
}
