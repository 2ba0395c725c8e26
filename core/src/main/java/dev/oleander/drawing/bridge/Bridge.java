package dev.oleander.drawing.bridge;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import java.util.ArrayList;
import java.util.List;

/**
 * A strip of material that stays.
 *
 * @param from where its middle line leaves an island
 * @param to where it comes to what holds it
 * @param width mm
 * @param before mm that the strip begins before {@code from}, so that all of its width begins in
 *     material
 * @param beyond mm that it goes on beyond {@code to}
 */
public record Bridge(Point from, Point to, double width, double before, double beyond) {

    public double length() {
        return from.distance(to);
    }

    /** Way from one end to the other; of length 1. */
    public Point way() {
        return to.minus(from).times(1 / length());
    }

    /** What stays, with what lies in the material already. */
    public Region strip() {
        Point way = way();
        Point side = new Point(-way.y(), way.x()).times(width / 2);
        Point start = from.minus(way.times(before));
        Point end = to.plus(way.times(beyond));
        List<Point> corners =
                List.of(start.minus(side), end.minus(side), end.plus(side), start.plus(side));
        List<Segment> lines = new ArrayList<>();
        for (int i = 0; i < corners.size(); i++) {
            lines.add(new Line(corners.get(i), corners.get((i + 1) % corners.size())));
        }
        return new Region(new Contour(lines), List.of());
    }
}
