package dev.oleander.material;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.fit.FlatShapes;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.index.strtree.STRtree;
import org.locationtech.jts.operation.buffer.BufferOp;
import org.locationtech.jts.operation.buffer.BufferParameters;
import org.locationtech.jts.operation.union.UnaryUnionOp;

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

    private final Envelope inner;
    private final List<Polygon> components = new ArrayList<>();
    private final STRtree index = new STRtree();

    /** The way of a tool and half the width that it takes, mm. */
    public record Swath(LineString way, double radius) {

        Geometry area() {
            return BufferOp.bufferOp(way, radius, new BufferParameters(QUARTER));
        }
    }

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
        Envelope envelope =
                new Envelope(
                        FlatShapes.coordinate(window.min()), FlatShapes.coordinate(window.max()));
        List<Geometry> gone = new ArrayList<>(holes);
        swaths.forEach(s -> gone.add(s.area()));
        Geometry whole = FlatShapes.FACTORY.toGeometry(envelope);
        Geometry left = gone.isEmpty() ? whole : whole.difference(UnaryUnionOp.union(gone));
        Geometry strong = web > 0 ? BufferOp.bufferOp(left, -web / 2, QUARTER) : left;
        envelope.expandBy(-web / 2 - ROUNDING);
        return new Cohesion(strong, envelope);
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
