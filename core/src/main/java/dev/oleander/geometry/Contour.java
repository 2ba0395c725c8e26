package dev.oleander.geometry;

import dev.oleander.geometry.flat.Vertices;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/** A closed chain of segments, mm. It runs anticlockwise when its signed area is positive. */
public final class Contour implements Chain {

    private final Vertices vertices;
    private final NearestFinder nearest = new NearestFinder(this);

    // made when first asked for; they never change, so a race only makes them twice
    private List<Segment> segments;
    private Box box;

    /** 1 when anticlockwise, -1 when clockwise, 0 while nobody has asked. */
    private int turn;

    private Contour(Vertices vertices, List<Segment> segments) {
        this.vertices = vertices;
        this.segments = segments;
    }

    /**
     * @throws IllegalArgumentException when the segments do not join to a closed chain
     */
    public Contour(List<Segment> segments) {
        this(Chain.flat(segments, true), List.copyOf(segments));
    }

    /**
     * @throws IllegalArgumentException when the chain is open
     */
    public static Contour of(Vertices vertices) {
        if (!vertices.isClosed()) {
            throw new IllegalArgumentException("a contour is closed: " + vertices);
        }
        return new Contour(vertices, null);
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
    public Box box() {
        if (box == null) {
            box = Chain.super.box();
        }
        return box;
    }

    /** An anticlockwise circle as two arcs, starting at its rightmost point. */
    public static Contour circle(Point centre, double radius) {
        Point right = new Point(centre.x() + radius, centre.y());
        Point left = new Point(centre.x() - radius, centre.y());
        return new Contour(List.of(new Arc(right, left, 1), new Arc(left, right, 1)));
    }

    /** An anticlockwise rectangle from its lower left corner. */
    public static Contour rectangle(Box box) {
        Point a = box.min();
        Point b = new Point(box.max().x(), box.min().y());
        Point c = box.max();
        Point d = new Point(box.min().x(), box.max().y());
        return new Contour(List.of(new Line(a, b), new Line(b, c), new Line(c, d), new Line(d, a)));
    }

    /** Enclosed area, mm2; positive when the contour runs anticlockwise. Exact for arcs. */
    public double signedArea() {
        return vertices.signedArea();
    }

    /** Centre of the enclosed area, exact for arcs. */
    public Point centroid() {
        double[] moments = vertices.areaMoments();
        double area = signedArea();
        return start().plus(new Point(moments[0] / area, moments[1] / area));
    }

    public double area() {
        return Math.abs(signedArea());
    }

    public boolean isAnticlockwise() {
        if (turn == 0) {
            turn = vertices.isAnticlockwise() ? 1 : -1;
        }
        return turn > 0;
    }

    @Override
    public Contour reversed() {
        return of(vertices.reversed());
    }

    /** The same contour, run anticlockwise or clockwise. */
    public Contour turning(boolean anticlockwise) {
        return isAnticlockwise() == anticlockwise ? this : reversed();
    }

    @Override
    public Contour transformed(Transform transform) {
        return new Contour(Chain.transformed(segments(), transform));
    }

    /**
     * Unit vector along the travel that leaves a station: at a corner that of the next segment, as
     * {@link #startedAt} begins with it.
     */
    public Point departure(Station station) {
        List<Segment> segments = segments();
        boolean atEnd = station.t() >= 1 - leastShare(station.segment());
        return atEnd
                ? segments.get((station.index() + 1) % segments.size()).direction(0)
                : station.direction();
    }

    /** Share of a segment below which a place counts as its end. */
    private static double leastShare(Segment segment) {
        return Math.min(0.5, 1e-9 / segment.length());
    }

    /** The same contour begun at a station; the segment there is split unless it is an end. */
    public Contour startedAt(Station station) {
        List<Segment> segments = segments();
        int n = segments.size();
        int index = station.index();
        Segment at = segments.get(index);
        double least = leastShare(at);
        List<Segment> turned = new ArrayList<>(n + 1);
        boolean split = station.t() > least && station.t() < 1 - least;
        if (split) {
            turned.add(at.between(station.t(), 1));
        }
        int first = split || station.t() >= 1 - least ? index + 1 : index;
        int whole = split ? n - 1 : n;
        for (int i = 0; i < whole; i++) {
            turned.add(segments.get((first + i) % n));
        }
        if (split) {
            turned.add(at.between(0, station.t()).withEnds(at.start(), turned.get(0).start()));
        }
        return new Contour(turned);
    }

    /** Diameter, mm, when all segments are arcs of one circle within {@code tolerance} mm. */
    public OptionalDouble circleDiameter(double tolerance) {
        List<Segment> segments = segments();
        if (!(segments.get(0) instanceof Arc first)) {
            return OptionalDouble.empty();
        }
        Point centre = first.centre();
        double radius = first.radius();
        for (Segment segment : segments) {
            if (!(segment instanceof Arc arc)
                    || arc.isLeft() != first.isLeft()
                    || arc.centre().distance(centre) > tolerance
                    || Math.abs(arc.radius() - radius) > tolerance) {
                return OptionalDouble.empty();
            }
        }
        // a mean over the contour, since mended arcs differ a little; 2 sqrt(A / pi) weighs them
        // fairly
        return OptionalDouble.of(2 * Math.sqrt(area() / Math.PI));
    }

    /** Whether a point lies inside; on the line itself either answer may come. */
    public boolean contains(Point p) {
        return vertices.winding(p.x(), p.y()) != 0;
    }

    @Override
    public Station nearest(Point p) {
        return nearest.nearest(p);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Contour that && vertices.equals(that.vertices);
    }

    @Override
    public int hashCode() {
        return vertices.hashCode();
    }

    @Override
    public String toString() {
        return "Contour" + segments();
    }
}
