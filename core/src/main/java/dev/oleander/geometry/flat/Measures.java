package dev.oleander.geometry.flat;

/** Exact measures of single edges given by their ends and bulge. */
public final class Measures {

    /**
     * Bulge below which the series of an arc's measures is shorter and more exact than the formula.
     */
    private static final double FLAT = 0.05;

    private Measures() {}

    /**
     * Twice the signed area between an edge from a to b and the origin, mm2: the summand of Green's
     * theorem.
     *
     * <p>The part between chord c and arc of bulge b is r^2 (s - sin s) / 2 with s = 4 atan b,
     * which is c^2 ((1 + b^2)^2 atan b - b (1 - b^2)) / (8 b^2).
     */
    public static double doubleArea(double ax, double ay, double bx, double by, double bulge) {
        double cross = ax * by - ay * bx;
        if (bulge == 0) {
            return cross;
        }
        double dx = bx - ax;
        double dy = by - ay;
        return cross + 2 * (dx * dx + dy * dy) * segmentFactor(bulge);
    }

    /** Area between chord and arc for a chord of 1 mm, mm2; has the sign of the bulge. */
    static double segmentFactor(double b) {
        double s = b * b;
        if (s < FLAT * FLAT) {
            return b * (1 / 3.0 + s * (1 / 15.0 - s * (1 / 105.0 - s * (1 / 315.0 - s / 693))));
        }
        return ((1 + s) * (1 + s) * Math.atan(b) - b * (1 - s)) / (8 * s);
    }

    /**
     * Moment of the area between chord and arc about the chord, for a chord of 1 mm, mm3; positive
     * to the right of the chord. From the middle of the circle it is (2 / 3) (c / 2)^3, whatever
     * the arc; less the area times the middle's distance from the chord that is c^3 / 12 - A c (1 -
     * b^2) / 4 b.
     */
    static double segmentMoment(double b) {
        double s = b * b;
        if (s < FLAT * FLAT) {
            return s * (1 / 15.0 + s * (2 / 105.0 - s / 315));
        }
        return 1 / 12.0 - segmentFactor(b) * (1 - s) / (4 * b);
    }

    /** Length of an edge, mm: radius times sweep, c (1 + b^2) atan(b) / b. */
    public static double length(double chord, double bulge) {
        double b = Math.abs(bulge);
        return b == 0 ? chord : chord * (1 + b * b) * Math.atan(b) / b;
    }

    /**
     * How often the ray from a point to the right crosses an edge, counted +1 upwards and -1
     * downwards: that of the chord, and once more where the point lies between chord and arc.
     * Summed over a closed chain it is its winding number; a point on a line belongs to one side of
     * it.
     */
    public static int crossingsRightOf(
            double ax, double ay, double bx, double by, double bulge, double x, double y) {
        double dx = bx - ax;
        double dy = by - ay;
        double qx = x - ax;
        double qy = y - ay;
        double side = dx * qy - dy * qx;
        // a point at the height of a vertex counts as a little higher, also towards the chord
        boolean isLeft = side > 0 || side == 0 && dx > 0;
        int count = 0;
        if (ay <= y != by <= y) {
            if (by > ay) {
                count = isLeft ? 1 : 0;
            } else {
                count = isLeft ? 0 : -1;
            }
        }
        boolean onArcSide = bulge > 0 ? !isLeft : bulge < 0 && isLeft;
        if (onArcSide && isWithinCircle(dx, dy, bulge, qx, qy)) {
            return bulge > 0 ? count + 1 : count - 1;
        }
        return count;
    }

    /** Whether q lies within the circle of an arc with the chord d, both from its start. */
    private static boolean isWithinCircle(
            double dx, double dy, double bulge, double qx, double qy) {
        // the carrier's form times the chord and 1 + b^2, which saves the roots
        double cos = 1 - bulge * bulge;
        double sin = 2 * bulge;
        double nx = dx * sin - dy * cos;
        double ny = dx * cos + dy * sin;
        double form = sin * (qx * qx + qy * qy) - nx * qx - ny * qy;
        return bulge > 0 ? form < 0 : form > 0;
    }

    /**
     * Twice the area between an edge from a to b and the origin, mm2, positive when it turns left
     * round it. The part between chord and arc is c^2 b (1/3 + b^2/15 - b^4/105 + b^6/315 ...) to
     * within 0.1 %: enough to tell inside from outside. For more than half a turn it is exact.
     */
    public static double roughDoubleArea(double ax, double ay, double bx, double by, double bulge) {
        double cross = ax * by - ay * bx;
        if (bulge == 0) {
            return cross;
        }
        double s = bulge * bulge;
        if (s > 1) {
            return doubleArea(ax, ay, bx, by, bulge);
        }
        double chord = (bx - ax) * (bx - ax) + (by - ay) * (by - ay);
        return cross + 2 * chord * bulge * (1 / 3.0 + s * (1 / 15.0 - s * (1 / 105.0 - s / 315)));
    }
}
