package dev.oleander.geometry.fit;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.Transform;
import java.util.ArrayList;
import java.util.List;

/**
 * Chains under any affine map. Similarities keep arcs; any other map makes ellipses of them, which
 * are fitted again with tangent arcs.
 */
public final class Mapper {

    /** Gap of the points on an ellipse over the tolerance; so fine that it hardly costs any. */
    private static final double FINE = 0.01;

    private final Transform transform;
    private final double tolerance;

    /**
     * @param tolerance greatest distance of fitted arcs from the ellipse, mm
     */
    public Mapper(Transform transform, double tolerance) {
        if (!(tolerance > 0)) {
            throw new IllegalArgumentException("tolerance must be > 0 mm: " + tolerance);
        }
        this.transform = transform;
        this.tolerance = tolerance;
    }

    public Path map(Path path) {
        return transform.isSimilarity()
                ? path.transformed(transform)
                : new Path(mapped(path.segments()));
    }

    public Contour map(Contour contour) {
        return transform.isSimilarity()
                ? contour.transformed(transform)
                : new Contour(mapped(contour.segments()));
    }

    public Region map(Region region) {
        return new Region(map(region.outer()), region.openings().stream().map(this::map).toList());
    }

    private List<Segment> mapped(List<Segment> segments) {
        List<Segment> mapped = new ArrayList<>();
        for (Segment segment : segments) {
            Point start = transform.apply(segment.start());
            Point end = transform.apply(segment.end());
            if (start.equals(end)) {
                continue;
            }
            if (segment instanceof Arc arc) {
                mapped.addAll(fitted(arc));
            } else {
                mapped.add(new Line(start, end));
            }
        }
        return mapped;
    }

    /** The piece of an ellipse with the tangents it has at its ends. */
    private List<Segment> fitted(Arc arc) {
        List<Point> points =
                new CurveSampler(FINE * tolerance).points(t -> transform.apply(arc.at(t)), 0, 1);
        Point in = transform.applyToVector(arc.direction(0));
        Point out = transform.applyToVector(arc.direction(1));
        return new ArcFitter(new FitOptions(tolerance, Math.PI))
                .fit(points, in.angle(), out.angle())
                .segments();
    }
}
