package dev.oleander.work.router.carve;

import java.util.List;

/**
 * A way of the tip without a lift.
 *
 * @param alongWall whether it goes along the foot of a wall at the floor, instead of up the middle
 *     axis
 */
public record Stroke(List<TipPoint> points, boolean alongWall) {

    public Stroke {
        points = List.copyOf(points);
        if (points.size() < 2) {
            throw new IllegalArgumentException("a stroke of %d points".formatted(points.size()));
        }
    }
}
