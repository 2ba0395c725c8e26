package dev.oleander.material;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.fit.FlatShapes;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.TreeMap;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.index.strtree.STRtree;
import org.locationtech.jts.operation.buffer.BufferOp;
import org.locationtech.jts.operation.buffer.BufferParameters;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;

/**
 * What still hangs together when cuts have been made, seen from above: the material of a window
 * less all swaths falls into components. Shapes are flattened, since nothing here is decided by a
 * micrometre; webs that are narrower than asked for do not hold.
 */
public final class Cohesion {

    /** Corners of a quarter of a swath's round end: it is 0.5 % too small at most. */
    private static final int QUARTER = 8;

    /** mm */
    private static final double ROUNDING = 1e-6;

    /** Ways that are widened in one step. */
    private static final int TOGETHER = 16;

    private final Envelope inner;
    private final List<Polygon> components = new ArrayList<>();
    private final STRtree index = new STRtree();

    /** The way of a tool and half the width that it takes, mm. */
    public record Swath(LineString way, double radius) {}

    private Cohesion(Geometry material, Envelope inner) {
        this.inner = inner;
        for (int i = 0; i < material.getNumGeometries(); i++) {
            if (material.getGeometryN(i) instanceof Polygon polygon && !polygon.isEmpty()) {
                index.insert(polygon.getEnvelopeInternal(), components.size());
                components.add(polygon);
            }
        }
        index.build();
    }

    /**
     * @param window what is looked at; the material goes on, or is clamped, beyond its edge
     * @param holes that were there before
     * @param web narrowest that holds, mm
     */
    public static Cohesion of(Box window, List<Swath> swaths, List<Polygon> holes, double web) {
        // what is too narrow goes with the swaths when they are that much wider
        double wider = web / 2;
        Envelope envelope =
                new Envelope(
                        FlatShapes.coordinate(window.min()), FlatShapes.coordinate(window.max()));
        envelope.expandBy(-wider);
        Geometry whole = FlatShapes.FACTORY.toGeometry(envelope);
        List<Geometry> gone = areas(swaths, wider);
        holes.forEach(hole -> gone.add(buffered(hole, wider)));
        Geometry left =
                gone.isEmpty()
                        ? whole
                        : OverlayNGRobust.overlay(
                                whole, OverlayNGRobust.union(gone), OverlayNG.DIFFERENCE);
        envelope.expandBy(-ROUNDING);
        return new Cohesion(left, envelope);
    }

    /** Those of one radius are widened some at a time, which spares most of the unions. */
    private static List<Geometry> areas(List<Swath> swaths, double wider) {
        Map<Double, List<LineString>> byRadius = new TreeMap<>();
        for (Swath swath : swaths) {
            byRadius.computeIfAbsent(swath.radius(), r -> new ArrayList<>()).add(swath.way());
        }
        List<Geometry> areas = new ArrayList<>();
        byRadius.forEach(
                (radius, ways) -> {
                    for (int i = 0; i < ways.size(); i += TOGETHER) {
                        List<LineString> some =
                                ways.subList(i, Math.min(ways.size(), i + TOGETHER));
                        Geometry lines =
                                FlatShapes.FACTORY.createMultiLineString(
                                        some.toArray(LineString[]::new));
                        areas.add(buffered(lines, radius + wider));
                    }
                });
        return areas;
    }

    private static Geometry buffered(Geometry geometry, double distance) {
        return BufferOp.bufferOp(geometry, distance, new BufferParameters(QUARTER));
    }

    /**
     * The component that most of a piece belongs to.
     *
     * @return empty when nothing of it is left that is wide enough to hold
     */
    @SuppressWarnings("unchecked")
    public OptionalInt componentOf(Polygon piece) {
        double most = 0;
        OptionalInt best = OptionalInt.empty();
        for (int i : (List<Integer>) index.query(piece.getEnvelopeInternal())) {
            double area = components.get(i).intersection(piece).getArea();
            if (area > most || (area == most && best.isPresent() && i < best.getAsInt())) {
                most = area;
                best = OptionalInt.of(i);
            }
        }
        return best;
    }

    /** Whether a component reaches the edge of the window. */
    public boolean reachesEdge(int component) {
        return !inner.contains(components.get(component).getEnvelopeInternal());
    }

    /** Whether most of a piece hangs together with what goes on beyond the window. */
    public boolean holds(Polygon piece) {
        OptionalInt component = componentOf(piece);
        return component.isPresent() && reachesEdge(component.getAsInt());
    }
}
