package dev.oleander.geometry;

import java.util.Optional;
import java.util.function.Function;

/**
 * One piece of a path: a straight {@link Line} or a circular {@link Arc}, with a direction.
 *
 * <p>The parameter {@code t} runs from 0 at the start to 1 at the end, in proportion to length.
 */
public sealed interface Segment permits Line, Arc {

    /**
     * A line when the bulge is 0, else an arc.
     *
     * @param bulge tan(sweep / 4), positive turns left
     */
    static Segment of(Point start, Point end, double bulge) {
        return bulge == 0 ? new Line(start, end) : new Arc(start, end, bulge);
    }

    Point start();

    Point end();

    /** tan(sweep / 4): 0 for a line, positive when turning left. */
    double bulge();

    /** Length, mm. */
    double length();

    /** The point at parameter t; values outside [0, 1] lie on the continued line or circle. */
    Point at(double t);

    /** Unit vector along the travel at parameter t. */
    Point direction(double t);

    /** Parameter of the point of this segment (t in [0, 1]) nearest to {@code p}. */
    double nearest(Point p);

    Segment reversed();

    /**
     * The stretch between two parameters.
     *
     * @param from smaller than {@code to}; both within [0, 1]
     */
    Segment between(double from, double to);

    /** Moves the ends only; an arc keeps its angle of sweep. */
    Segment withEnds(Point newStart, Point newEnd);

    /**
     * The parallel segment at the given distance to the left of the travel, mm (negative: right).
     *
     * @return empty when an arc has no radius left
     */
    Optional<Segment> parallel(double left);

    Segment transformed(Transform transform);

    Box box();

    <R> R fold(Function<Line, R> line, Function<Arc, R> arc);

    default double distance(Point p) {
        return at(nearest(p)).distance(p);
    }

    default Point middle() {
        return at(0.5);
    }
}
