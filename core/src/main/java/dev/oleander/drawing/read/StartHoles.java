package dev.oleander.drawing.read;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import java.util.List;
import java.util.Optional;

/**
 * Gives start holes to contours: one inside an opening to that opening, one outside of parts to the
 * nearest outline, one inside a part's material to its nearest contour.
 */
final class StartHoles {

    private final List<Feature> contours;
    private final Nesting nesting;

    StartHoles(List<Feature> contours, Nesting nesting) {
        this.contours = contours;
        this.nesting = nesting;
    }

    Feature assign(Feature hole) {
        Point centre = hole.contour().centroid();
        int around = nesting.around(centre);
        Optional<Feature> contour =
                around >= 0 && nesting.depth(around) % 2 == 1
                        ? Optional.of(contours.get(around))
                        : nearest(centre);
        return contour.map(c -> hole.placed(hole.place().startingAt(c.id()))).orElse(hole);
    }

    private Optional<Feature> nearest(Point p) {
        Feature best = null;
        double least = Double.POSITIVE_INFINITY;
        for (Feature contour : contours) {
            if (distance(contour.chain().box(), p) < least) {
                double distance = contour.contour().nearest(p).point().distance(p);
                if (distance < least) {
                    least = distance;
                    best = contour;
                }
            }
        }
        return Optional.ofNullable(best);
    }

    private static double distance(Box box, Point p) {
        double dx = Math.max(0, Math.max(box.min().x() - p.x(), p.x() - box.max().x()));
        double dy = Math.max(0, Math.max(box.min().y() - p.y(), p.y() - box.max().y()));
        return Math.hypot(dx, dy);
    }
}
