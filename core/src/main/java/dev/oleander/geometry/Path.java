package dev.oleander.geometry;

import dev.oleander.geometry.flat.Vertices;
import java.util.List;

/** An open chain of segments, mm. */
public final class Path implements Chain {

    private final Vertices vertices;
    private final NearestFinder nearest = new NearestFinder(this);

    /** Made when first asked for; it never changes, so a race only makes it twice. */
    private List<Segment> segments;

    private Path(Vertices vertices, List<Segment> segments) {
        this.vertices = vertices;
        this.segments = segments;
    }

    public Path(List<Segment> segments) {
        this(Chain.flat(segments, false), List.copyOf(segments));
    }

    /**
     * @throws IllegalArgumentException when the chain is closed
     */
    public static Path of(Vertices vertices) {
        if (vertices.isClosed()) {
            throw new IllegalArgumentException("a path is open: " + vertices);
        }
        return new Path(vertices, null);
    }

    @Override
    public Vertices vertices() {
        return vertices;
    }

    @Override
    public List<Segment> segments() {
        if (segments == null) {
            segments = Chain.segments(vertices);
        }
        return segments;
    }

    @Override
    public Path reversed() {
        return of(vertices.reversed());
    }

    @Override
    public Path transformed(Transform transform) {
        return new Path(Chain.transformed(segments(), transform));
    }

    @Override
    public Station nearest(Point p) {
        return nearest.nearest(p);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Path that && vertices.equals(that.vertices);
    }

    @Override
    public int hashCode() {
        return vertices.hashCode();
    }

    @Override
    public String toString() {
        return "Path" + segments();
    }
}
