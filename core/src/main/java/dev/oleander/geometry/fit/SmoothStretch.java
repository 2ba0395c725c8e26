package dev.oleander.geometry.fit;

import dev.oleander.geometry.flat.Edges;

/** One stretch of a polyline without corners, as tangent arcs and lines. */
final class SmoothStretch {

    /** Share of the tolerance that chords of the polyline may take up at most. */
    private static final double MOST_SAG = 0.5;

    /** Share of the tolerance within which points are kept; the rest is for those left out. */
    private static final double PLACING = 0.985;

    /** Share aimed at first; points near joints may then lie a little farther off. */
    private static final double WALKING = 0.955;

    /** Share of the tolerance for the next try, and tries before tangency is given up. */
    private static final double TIGHTER = 0.94;

    private static final int TRIES = 5;

    /** Length of edges over the mean: at first, and after a miss. */
    private static final double EVEN = 1.5;

    private static final double FINE = 0.5;

    private final Polyline whole;
    private final int first;
    private final int end;

    /** The stretch with points as close as the present try needs them. */
    private Polyline line;

    private int last;
    private final double tolerance;
    private final double startAngle;
    private final double endAngle;

    /**
     * @param startAngle angle that the start must have, radians; NaN where it is free
     */
    SmoothStretch(
            Polyline whole,
            int first,
            int end,
            double tolerance,
            double startAngle,
            double endAngle) {
        this.whole = whole;
        this.first = first;
        this.end = end;
        this.tolerance = tolerance;
        this.startAngle = startAngle;
        this.endAngle = endAngle;
    }

    /** Edges from the first to the last point. */
    Edges fit() {
        double within = WALKING * tolerance;
        for (int n = 0; n < TRIES; n++) {
            line = whole.even(first, end, n == 0 ? EVEN : FINE);
            last = line.size - 1;
            TangentChain chain = new TangentChain(line, room(within));
            Edges found = chain.from(startAngle, guess(), endAngle);
            if (found != null && keepsTolerance(found)) {
                return found;
            }
            within *= TIGHTER;
        }
        return sharp();
    }

    /** What the arcs between points may rise over their chords is taken off the tolerance. */
    private double[] room(double within) {
        double[] room = new double[line.size];
        for (int i = 0; i <= last; i++) {
            double turn = i > 0 && i < last ? Math.abs(line.turn(i)) : 0;
            double longer = 0;
            if (i > 0) {
                longer = line.length(i - 1);
            }
            if (i < last) {
                longer = Math.max(longer, line.length(i));
            }
            room[i] = within - Math.min(MOST_SAG * within, longer * turn / 8);
        }
        return room;
    }

    /** Points near a joint may turn out to lie beside the other arc; so all are asked again. */
    private boolean keepsTolerance(Edges edges) {
        int arc = 0;
        for (int i = 0; i <= last; i++) {
            arc = nearer(edges, arc, line.x[i], line.y[i]);
            int next = Math.min(last, i + 1);
            double x = (line.x[i] + line.x[next]) / 2;
            double y = (line.y[i] + line.y[next]) / 2;
            int middle = nearer(edges, arc, x, y);
            if (edges.distance(arc, line.x[i], line.y[i]) > PLACING * tolerance
                    || edges.distance(middle, x, y) > PLACING * tolerance) {
                return false;
            }
        }
        return true;
    }

    /** The arc on from this one that is nearest to a point. */
    private static int nearer(Edges edges, int arc, double x, double y) {
        int at = arc;
        while (at + 1 < edges.size() && edges.distance(at + 1, x, y) <= edges.distance(at, x, y)) {
            at++;
        }
        return at;
    }

    /** Angle of the parabola through the first three points at the first. */
    private double guess() {
        double angle = line.angle(0);
        if (last < 2) {
            return angle;
        }
        double a = line.length(0);
        double b = line.length(1);
        return angle - line.turn(1) * a / (a + b);
    }

    /** Arcs that need not be tangent, for stretches where none that are stay within. */
    private Edges sharp() {
        ArcReach reach = new ArcReach(line, PLACING * tolerance);
        Edges edges = new Edges(8);
        int at = 0;
        while (at < last) {
            int end = reach.farthest(at, last);
            double bulge = end == at + 1 || !reach.fits(at, end) ? 0 : reach.bulge();
            edges.add(line.x[at], line.y[at], line.x[end], line.y[end], bulge, end);
            at = end;
        }
        return edges;
    }
}
