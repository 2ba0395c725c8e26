package dev.oleander.plan.stop;

import dev.oleander.geometry.Point;
import java.util.ArrayList;
import java.util.List;

/**
 * How the head comes to a stop from the one before.
 *
 * @param low whether it stays down on the way
 * @param round corners of a way round what has come free; empty when the way is straight
 */
public record Approach(boolean low, List<Point> round) {

    /** Straight, with the head up. */
    public static final Approach UP = new Approach(false, List.of());

    public Approach {
        round = List.copyOf(round);
    }

    /** With the head down. */
    public static Approach low(List<Point> round) {
        return new Approach(true, round);
    }

    /** All points of the way. */
    public List<Point> way(Point from, Point to) {
        List<Point> way = new ArrayList<>(round.size() + 2);
        way.add(from);
        way.addAll(round);
        way.add(to);
        return way;
    }
}
