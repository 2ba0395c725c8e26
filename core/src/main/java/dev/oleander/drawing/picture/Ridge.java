package dev.oleander.drawing.picture;

import dev.oleander.geometry.Point;
import java.util.ArrayList;
import java.util.List;

/**
 * Moves points of thinned strokes half way between both edges of the ink, which are looked for
 * square to the way. x counts from the left of the picture, y from its lower edge.
 */
final class Ridge {

    /** Points on either side that say the direction of the way. */
    private static final int SIDE = 4;

    private static final double STEP = 0.25;

    /** Share of the middle width from which on ink is more than the stroke. */
    private static final double WIDER = 1.2;

    private final Ink ink;

    Ridge(Ink ink) {
        this.ink = ink;
    }

    /**
     * A place in the middle of a stroke.
     *
     * @param width of the stroke there
     */
    record Place(Point at, double width) {}

    /** Of ink above 0, between pixels by their four levels. */
    private double over(double x, double y) {
        double u = x - 0.5;
        double v = ink.height() - y - 0.5;
        int column = (int) Math.floor(u);
        int row = (int) Math.floor(v);
        double p = u - column;
        double q = v - row;
        return (1 - q) * ((1 - p) * ink.over(column, row) + p * ink.over(column + 1, row))
                + q * ((1 - p) * ink.over(column, row + 1) + p * ink.over(column + 1, row + 1));
    }

    /** Way from a place in the ink to where it ends; at most so far. */
    double reach(Point from, Point along, double most) {
        double before = 0;
        double there = over(from.x(), from.y());
        for (double way = STEP; way <= most; way += STEP) {
            double next = over(from.x() + way * along.x(), from.y() + way * along.y());
            if (next <= 0 && there > 0) {
                return before + STEP * there / (there - next);
            }
            before = way;
            there = next;
        }
        return most;
    }

    /**
     * @param closed whether the first point follows the last
     * @param halves half the width of the stroke at each point, nearly
     */
    List<Place> places(List<Point> way, double[] halves, boolean closed) {
        List<Place> places = new ArrayList<>();
        int n = way.size();
        for (int i = 0; i < n; i++) {
            Point before = way.get(closed ? Math.floorMod(i - SIDE, n) : Math.max(0, i - SIDE));
            Point after = way.get(closed ? (i + SIDE) % n : Math.min(n - 1, i + SIDE));
            Point along = after.minus(before);
            Point at = way.get(i);
            if (along.norm() < 1e-9) {
                continue;
            }
            Point left = along.unit().left();
            double most = 2 * halves[i] + 2;
            double toLeft = reach(at, left, most);
            double toRight = reach(at, left.times(-1), most);
            if (toLeft < most && toRight < most) {
                places.add(
                        new Place(at.plus(left.times((toLeft - toRight) / 2)), toLeft + toRight));
            }
        }
        return even(places);
    }

    /** Without those over which others meet it: there the ink is wider. */
    private static List<Place> even(List<Place> places) {
        if (places.isEmpty()) {
            return places;
        }
        double[] widths = places.stream().mapToDouble(Place::width).sorted().toArray();
        double most = WIDER * widths[widths.length / 2];
        return places.stream().filter(p -> p.width() <= most).toList();
    }
}
