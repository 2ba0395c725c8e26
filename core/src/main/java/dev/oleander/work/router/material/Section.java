package dev.oleander.work.router.material;

import dev.oleander.geometry.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * Depth along a straight line through the work.
 *
 * @param length of the line, mm
 * @param places from its start on; where a wall stands upright two lie at one place
 */
public record Section(double length, List<Place> places) {

    /** Places that are looked at evenly. */
    private static final int EVEN = 400;

    /** mm by which depth changes from one place to the next where there is a wall between. */
    private static final double WALL = 0.05;

    private static final int HALVINGS = 16;

    /**
     * @param at mm from the start
     * @param depth mm below the top of the stock
     */
    public record Place(double at, double depth) {}

    public Section {
        places = List.copyOf(places);
    }

    /**
     * @param depth at any place, mm
     */
    public static Section of(ToDoubleFunction<Point> depth, Point from, Point to) {
        double length = from.distance(to);
        List<Place> places = new ArrayList<>();
        Place before = place(depth, from, to, 0);
        places.add(before);
        for (int i = 1; i <= EVEN; i++) {
            Place next = place(depth, from, to, (double) i / EVEN);
            if (Math.abs(next.depth - before.depth) > WALL) {
                wall(depth, from, to, before, next, places);
            }
            places.add(next);
            before = next;
        }
        return new Section(length, places);
    }

    private static Place place(ToDoubleFunction<Point> depth, Point from, Point to, double share) {
        Point p = from.plus(to.minus(from).times(share));
        return new Place(share * from.distance(to), depth.applyAsDouble(p));
    }

    /** Where between two places the depth changes most. */
    private static void wall(
            ToDoubleFunction<Point> depth,
            Point from,
            Point to,
            Place before,
            Place next,
            List<Place> places) {
        double length = from.distance(to);
        Place low = before;
        Place high = next;
        for (int i = 0; i < HALVINGS; i++) {
            Place middle = place(depth, from, to, (low.at + high.at) / 2 / length);
            boolean first =
                    Math.abs(middle.depth - low.depth) > Math.abs(high.depth - middle.depth);
            low = first ? low : middle;
            high = first ? middle : high;
        }
        places.add(low);
        places.add(high);
    }
}
