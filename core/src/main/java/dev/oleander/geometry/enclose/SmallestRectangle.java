package dev.oleander.geometry.enclose;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.Transform;
import java.util.List;

/**
 * The rectangle of least area round a contour.
 *
 * <p>One side of it lies on a straight side of the hull (H. Freeman, R. Shapira, "Determining the
 * minimum-area encasing rectangle for an arbitrary closed curve", Communications of the ACM 18
 * (1975) 409-413), or turns on arcs: those angles are searched between the straight ones.
 *
 * @param angle of the longer side, radians, in [0, pi)
 * @param length of the longer side, mm
 * @param width of the shorter side, mm
 */
public record SmallestRectangle(double angle, double length, double width, Contour contour) {

    /** Angles looked at between 0 and a quarter turn, for the arcs. */
    private static final int ANGLES = 180;

    private static final int SHRINKS = 60;
    private static final double GOLDEN = (Math.sqrt(5) - 1) / 2;

    public static SmallestRectangle round(Contour contour) {
        Contour hull = ConvexHull.of(List.of(contour));
        double best = 0;
        boolean hasArcs = false;
        for (Segment side : hull.segments()) {
            if (side instanceof Line) {
                best = better(hull, best, side.direction(0).angle());
            }
            hasArcs |= side instanceof Arc;
        }
        if (hasArcs) {
            for (int i = 0; i < ANGLES; i++) {
                best = better(hull, best, searched(hull, i * Math.PI / 2 / ANGLES));
            }
        }
        return at(hull, best);
    }

    private static double better(Contour hull, double a, double b) {
        return area(hull, b) < area(hull, a) ? b : a;
    }

    /** Golden section search within one step to either side. */
    private static double searched(Contour hull, double angle) {
        double step = Math.PI / 2 / ANGLES;
        double low = angle - step;
        double high = angle + step;
        if (area(hull, angle) > Math.min(area(hull, low), area(hull, high))) {
            return angle;
        }
        for (int i = 0; i < SHRINKS; i++) {
            double a = high - GOLDEN * (high - low);
            double b = low + GOLDEN * (high - low);
            if (area(hull, a) < area(hull, b)) {
                high = b;
            } else {
                low = a;
            }
        }
        return (low + high) / 2;
    }

    private static Box box(Contour hull, double angle) {
        return hull.transformed(Transform.rotation(-angle)).box();
    }

    private static double area(Contour hull, double angle) {
        Box box = box(hull, angle);
        return box.width() * box.height();
    }

    private static SmallestRectangle at(Contour hull, double angle) {
        Box box = box(hull, angle);
        boolean lying = box.width() >= box.height();
        double turned = lying ? angle : angle + Math.PI / 2;
        double whole = turned - Math.PI * Math.floor(turned / Math.PI);
        Contour contour = Contour.rectangle(box).transformed(Transform.rotation(angle));
        return new SmallestRectangle(
                whole,
                Math.max(box.width(), box.height()),
                Math.min(box.width(), box.height()),
                contour);
    }
}
