package dev.oleander.geometry;

import java.util.Optional;
import java.util.function.Function;

/** A straight segment, mm. Its ends differ. */
public record Line(Point start, Point end) implements Segment {

    public Line {
        if (!start.isFinite() || !end.isFinite()) {
            throw new NotFiniteException("line not finite: " + start + " to " + end);
        }
        if (start.equals(end)) {
            throw new IllegalArgumentException("line without length at " + start);
        }
    }

    @Override
    public double bulge() {
        return 0;
    }

    @Override
    public double length() {
        return start.distance(end);
    }

    @Override
    public Point at(double t) {
        if (t == 0) {
            return start;
        }
        return t == 1 ? end : start.plus(end.minus(start).times(t));
    }

    @Override
    public Point direction(double t) {
        return end.minus(start).unit();
    }

    /** Parameter of the foot of the perpendicular from {@code p}, not limited to [0, 1]. */
    double foot(Point p) {
        Point along = end.minus(start);
        return p.minus(start).dot(along) / along.dot(along);
    }

    @Override
    public double nearest(Point p) {
        return Math.max(0, Math.min(1, foot(p)));
    }

    @Override
    public Line reversed() {
        return new Line(end, start);
    }

    @Override
    public Line between(double from, double to) {
        return new Line(at(from), at(to));
    }

    @Override
    public Line withEnds(Point newStart, Point newEnd) {
        return new Line(newStart, newEnd);
    }

    @Override
    public Optional<Segment> parallel(double left) {
        Point shift = direction(0).left().times(left);
        return Optional.of(new Line(start.plus(shift), end.plus(shift)));
    }

    @Override
    public Line transformed(Transform transform) {
        return new Line(transform.apply(start), transform.apply(end));
    }

    @Override
    public Box box() {
        return Box.of(start, end);
    }

    @Override
    public <R> R fold(Function<Line, R> line, Function<Arc, R> arc) {
        return line.apply(this);
    }
}
