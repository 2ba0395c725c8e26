package dev.oleander.geometry;

import java.util.Collection;

/** An axis-parallel rectangle, mm; never empty. */
public record Box(Point min, Point max) {

    public Box {
        if (!(min.x() <= max.x() && min.y() <= max.y())) {
            throw new IllegalArgumentException("box turned inside out: " + min + " .. " + max);
        }
    }

    public static Box of(Point a, Point b) {
        return new Box(
                new Point(Math.min(a.x(), b.x()), Math.min(a.y(), b.y())),
                new Point(Math.max(a.x(), b.x()), Math.max(a.y(), b.y())));
    }

    /**
     * The smallest box round all of them.
     *
     * @throws IllegalArgumentException when there is none
     */
    public static Box around(Collection<Box> boxes) {
        return boxes.stream()
                .reduce(Box::union)
                .orElseThrow(() -> new IllegalArgumentException("no box to enclose"));
    }

    public Box union(Box other) {
        return new Box(
                new Point(Math.min(min.x(), other.min.x()), Math.min(min.y(), other.min.y())),
                new Point(Math.max(max.x(), other.max.x()), Math.max(max.y(), other.max.y())));
    }

    public Box grown(double margin) {
        return new Box(
                new Point(min.x() - margin, min.y() - margin),
                new Point(max.x() + margin, max.y() + margin));
    }

    public double width() {
        return max.x() - min.x();
    }

    public double height() {
        return max.y() - min.y();
    }

    public Point centre() {
        return min.midpoint(max);
    }

    public boolean contains(Point p) {
        return p.x() >= min.x() && p.x() <= max.x() && p.y() >= min.y() && p.y() <= max.y();
    }

    public boolean contains(Box other) {
        return contains(other.min) && contains(other.max);
    }

    /** mm between two boxes; 0 when they touch. */
    public double distance(Box other) {
        double x = Math.max(other.min.x() - max.x(), min.x() - other.max.x());
        double y = Math.max(other.min.y() - max.y(), min.y() - other.max.y());
        return Math.hypot(Math.max(0, x), Math.max(0, y));
    }

    /** How far this reaches out of another box at most, mm; 0 when it lies within. */
    public double beyond(Box other) {
        double x = Math.max(other.min.x() - min.x(), max.x() - other.max.x());
        double y = Math.max(other.min.y() - min.y(), max.y() - other.max.y());
        return Math.max(0, Math.max(x, y));
    }

    public boolean touches(Box other) {
        return other.min.x() <= max.x()
                && other.max.x() >= min.x()
                && other.min.y() <= max.y()
                && other.max.y() >= min.y();
    }

    /** Largest coordinate in size, mm; tolerances relative to the numbers start from it. */
    public double magnitude() {
        return Math.max(
                Math.max(Math.abs(min.x()), Math.abs(max.x())),
                Math.max(Math.abs(min.y()), Math.abs(max.y())));
    }

    /** Least x and y, greatest x and y. */
    public void writeTo(double[] numbers, int at) {
        numbers[at] = min.x();
        numbers[at + 1] = min.y();
        numbers[at + 2] = max.x();
        numbers[at + 3] = max.y();
    }
}
