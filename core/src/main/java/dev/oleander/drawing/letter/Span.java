package dev.oleander.drawing.letter;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import java.util.ArrayList;
import java.util.List;

/**
 * A piece of an outline: a straight line of two points, or a Bezier curve of three or four, whose
 * first and last it goes through.
 */
record Span(List<Point> points) {

    private static final int LINE = 2;
    private static final int QUADRATIC = 3;

    Span {
        points = List.copyOf(points);
    }

    static Span of(Point... points) {
        return new Span(List.of(points));
    }

    Point start() {
        return points.get(0);
    }

    Point end() {
        return points.get(points.size() - 1);
    }

    boolean isLine() {
        return points.size() == LINE;
    }

    Span transformed(Transform to) {
        return new Span(points.stream().map(to::apply).toList());
    }

    /** Where it leaves its start for, the next point that is another. */
    Point leaves() {
        return points.stream().filter(p -> p.distance(start()) > 0).findFirst().orElse(end());
    }

    /** From where it comes to its end. */
    Point comes() {
        for (int i = points.size() - 1; i >= 0; i--) {
            if (points.get(i).distance(end()) > 0) {
                return points.get(i);
            }
        }
        return start();
    }

    Point at(double t) {
        double s = 1 - t;
        if (isLine()) {
            return start().times(s).plus(end().times(t));
        }
        if (points.size() == QUADRATIC) {
            return start().times(s * s)
                    .plus(points.get(1).times(2 * s * t))
                    .plus(end().times(t * t));
        }
        return start().times(s * s * s)
                .plus(points.get(1).times(3 * s * s * t))
                .plus(points.get(2).times(3 * s * t * t))
                .plus(end().times(t * t * t));
    }

    /**
     * Places along it, without the first, from which no chord is farther than {@code error}: of a
     * quadratic curve ceil sqrt(|p0 - 2 p1 + p2| / (4 e)) chords, of a cubic one ceil sqrt(0.75 M /
     * e), M the greater of its second differences.
     */
    List<Point> flat(double error) {
        int chords = chords(error);
        List<Point> flat = new ArrayList<>();
        for (int i = 1; i <= chords; i++) {
            flat.add(i == chords ? end() : at((double) i / chords));
        }
        return flat;
    }

    private int chords(double error) {
        if (isLine()) {
            return 1;
        }
        double first = second(0);
        double count =
                points.size() == QUADRATIC
                        ? Math.sqrt(first / (4 * error))
                        : Math.sqrt(0.75 * Math.max(first, second(1)) / error);
        return Math.max(2, (int) Math.ceil(count));
    }

    private double second(int from) {
        Point middle = points.get(from + 1);
        return points.get(from).plus(points.get(from + 2)).distance(middle.times(2));
    }
}
