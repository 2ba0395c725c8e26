package dev.oleander.nesting.search;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.enclose.ConvexHull;
import dev.oleander.geometry.enclose.SmallestWidth;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.OrderLine;
import java.util.List;

/**
 * What the smallest part needs at least: openings with less hold none, and count as material.
 *
 * @param width least width of a part with its share of the gap, mm
 * @param area least area of one without the gap, mm2
 */
record Smallest(double width, double area) {

    static Smallest of(NestTask task) {
        if (!task.rules().inOpenings()) {
            return new Smallest(Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY);
        }
        double width = Double.POSITIVE_INFINITY;
        double area = Double.POSITIVE_INFINITY;
        for (OrderLine line : task.lines()) {
            Contour outer = line.shape().outer();
            double own = SmallestWidth.of(ConvexHull.of(List.of(outer)));
            width = Math.min(width, own + task.gap(line) - 2 * Body.SLACK);
            area = Math.min(area, line.shape().area());
        }
        return new Smallest(width, area);
    }

    /**
     * @param opening less the share of the gap of the part that it is in
     */
    boolean fitsIn(Contour opening) {
        return opening.area() >= area && SmallestWidth.of(ConvexHull.of(List.of(opening))) >= width;
    }
}
