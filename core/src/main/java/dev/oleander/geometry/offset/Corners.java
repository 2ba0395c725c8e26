package dev.oleander.geometry.offset;

import dev.oleander.geometry.flat.Edges;
import dev.oleander.geometry.flat.Meeting;

/**
 * The shifted edges of some loops and what becomes of the corners between them.
 *
 * <p>At an outer corner a gap opens, which is closed round the vertex. At an inner corner the
 * shifted edges cross; they are cut back to the crossing where that is certain to lose nothing,
 * else a dead line bridges their ends. Where the path goes on smoothly both ends meet.
 */
final class Corners {

    private static final byte MEET = 0;
    private static final byte TRIM = 1;
    private static final byte OUTER = 2;
    private static final byte BRIDGE = 3;

    /** 1 + cosine of a turn below which the path turns back on itself. */
    private static final double REVERSAL = 1e-9;

    /** Cosine of a turn above which both ends may be able to meet. */
    private static final double SMOOTH = 0.99;

    /** Share of the shorter neighbour which a gap may have to be closed by moving both ends. */
    private static final double SMALL_SHARE = 0.05;

    /** Product of curvature and chord that a cut off stretch may have: below a quarter turn. */
    private static final double SHORT_ARC = 1.4;

    private final Edges source;
    private final double left;
    private final double tolerance;
    private final boolean thereAndBack;

    /** A gap that costs a quarter of the tolerance when both ends move to its middle, mm. */
    private final double roundedGap;

    /** Start and end of each shifted edge, four numbers per edge. */
    private final double[] shifted;

    private final byte[] kind;

    /** Where edges with a common end meet, two numbers per corner. */
    private final double[] meet;

    /** What is left of each edge between the crossings, as keys from 0 to 1, two per edge. */
    private final double[] rest;

    private int openings;
    private int bridges;
    private final Meeting meeting;
    private final Edges pair = new Edges(4);

    Corners(Edges source, double left, double tolerance, boolean thereAndBack) {
        int n = source.size();
        this.source = source;
        this.left = left;
        this.tolerance = tolerance;
        this.thereAndBack = thereAndBack;
        this.roundedGap = Math.sqrt(2 * Math.abs(left) * tolerance);
        this.shifted = new double[4 * n];
        this.kind = new byte[n];
        this.meet = new double[2 * n];
        this.rest = new double[2 * n];
        this.meeting = new Meeting(tolerance);
        for (int i = 0; i < n; i++) {
            shift(i);
        }
        for (int loop = 0; loop < source.loops(); loop++) {
            int first = source.first(loop);
            int end = source.first(loop + 1);
            for (int i = first; i < end; i++) {
                decide(i, i + 1 < end ? i + 1 : first);
            }
            dropConflicts(first, end);
        }
    }

    private void shift(int i) {
        shifted[4 * i] = source.x0(i) + left * source.nx(i);
        shifted[4 * i + 1] = source.y0(i) + left * source.ny(i);
        shifted[4 * i + 2] = source.x1(i) + left * source.endNx(i);
        shifted[4 * i + 3] = source.y1(i) + left * source.endNy(i);
        rest[2 * i + 1] = 1;
    }

    private void decide(int i, int next) {
        double ax = source.endNx(i);
        double ay = source.endNy(i);
        double bx = source.nx(next);
        double by = source.ny(next);
        double cosine = ax * bx + ay * by;
        double gapX = shifted[4 * next] - shifted[4 * i + 2];
        double gapY = shifted[4 * next + 1] - shifted[4 * i + 3];
        double gap = gapX * gapX + gapY * gapY;
        if (gap <= tolerance * tolerance && cosine > 0) {
            meetAt(i, shifted[4 * next], shifted[4 * next + 1], MEET);
            return;
        }
        if (cosine > SMOOTH && isSmall(Math.sqrt(gap), i, next)) {
            // on the circle about the vertex: moving both ends there costs gap^2 / 8 d at most
            double scale = left / Math.sqrt((ax + bx) * (ax + bx) + (ay + by) * (ay + by));
            meetAt(i, source.x1(i) + scale * (ax + bx), source.y1(i) + scale * (ay + by), MEET);
            return;
        }
        boolean opens = (ax * by - ay * bx) * left < 0 || cosine < REVERSAL - 1;
        if (opens) {
            kind[i] = OUTER;
            openings++;
            return;
        }
        kind[i] = BRIDGE;
        bridges++;
        if (isAlive(i) && isAlive(next)) {
            if (source.curvature(i) == 0 && source.curvature(next) == 0) {
                trimLines(i, next, cosine);
            } else {
                trimArcs(i, next);
            }
        }
    }

    private boolean isSmall(double gap, int i, int next) {
        return gap <= roundedGap
                && gap <= SMALL_SHARE * Math.min(shiftedChord(i), shiftedChord(next));
    }

    private double shiftedChord(int i) {
        double dx = shifted[4 * i + 2] - shifted[4 * i];
        double dy = shifted[4 * i + 3] - shifted[4 * i + 1];
        return Math.sqrt(dx * dx + dy * dy);
    }

    private void meetAt(int i, double x, double y, byte how) {
        meet[2 * i] = x;
        meet[2 * i + 1] = y;
        kind[i] = how;
    }

    /** Either line loses d tan(turn / 2); all of that is nearer to the other one than d. */
    private void trimLines(int i, int next, double cosine) {
        double ax = source.endNx(i);
        double ay = source.endNy(i);
        double bx = source.nx(next);
        double by = source.ny(next);
        double share = left / (1 + cosine);
        double loss = Math.abs(share * (ax * by - ay * bx));
        double a = source.chord(i);
        double b = source.chord(next);
        if (loss < a && loss < b) {
            meetAt(i, source.x1(i) + share * (ax + bx), source.y1(i) + share * (ay + by), TRIM);
            rest[2 * i + 1] = 1 - loss / a;
            rest[2 * next] = loss / b;
        }
    }

    private void trimArcs(int i, int next) {
        pair.clear();
        putShifted(i);
        putShifted(next);
        meeting.find(pair, 0, pair, 1);
        if (meeting.count() != 1) {
            return;
        }
        double x = meeting.x(0);
        double y = meeting.y(0);
        boolean nothingLost =
                liesWithin(0, x, y, endX(i), endY(i), next)
                        && liesWithin(1, startX(next), startY(next), x, y, i);
        if (nothingLost) {
            meetAt(i, x, y, TRIM);
            rest[2 * i + 1] = pair.key(0, x, y);
            rest[2 * next] = pair.key(1, x, y);
        }
    }

    /**
     * Whether all of a stretch of a shifted edge is certainly nearer than d to a neighbour of its
     * source. From the crossing at its one end on it is, until it crosses the neighbour's shifted
     * edge again, which it does not, or has its foot off the neighbour, or has passed it to the far
     * side. For the foot it is enough that the ends of the stretch and the crossing of its end
     * tangents have theirs on the neighbour; to the far side it would have to be longer than 2 d.
     */
    private boolean liesWithin(int of, double px, double py, double qx, double qy, int neighbour) {
        double dx = qx - px;
        double dy = qy - py;
        double chord = size(dx, dy);
        if (chord > Math.abs(left) || Math.abs(pair.curvature(of)) * chord > SHORT_ARC) {
            return false;
        }
        if (chord <= tolerance) {
            return true;
        }
        double bulge = pair.bulgeBetween(of, px, py, qx, qy);
        double rise = bulge / (1 - bulge * bulge);
        double apexX = (px + qx) / 2 + rise * dy;
        double apexY = (py + qy) / 2 - rise * dx;
        return source.hasFoot(neighbour, px, py, 0)
                && source.hasFoot(neighbour, qx, qy, 0)
                && source.hasFoot(neighbour, apexX, apexY, 0);
    }

    private void putShifted(int i) {
        double k = source.curvature(i);
        pair.put(
                startX(i),
                startY(i),
                endX(i),
                endY(i),
                source.bulge(i),
                k / (1 - k * left),
                source.nx(i),
                source.ny(i),
                0);
    }

    /** An edge of which both cuts leave nothing keeps its length; its corners are bridged. */
    private void dropConflicts(int first, int end) {
        for (int i = first; i < end; i++) {
            if (rest[2 * i] >= rest[2 * i + 1]) {
                bridge(i);
                bridge(i > first ? i - 1 : end - 1);
            }
        }
    }

    private void bridge(int i) {
        if (kind[i] == TRIM) {
            kind[i] = BRIDGE;
        }
    }

    /** How many edges the corners may need at most; a mitre has two. */
    int mostEdges() {
        return 2 * openings + bridges;
    }

    /** Whether the shifted edge still runs the way of its source. */
    boolean isAlive(int i) {
        double k = source.curvature(i);
        // a radius within the tolerance of nothing is a point
        return k == 0 || 1 - k * left > tolerance * Math.abs(k);
    }

    /** Bulge of the stretch of a shifted arc between two of its points. */
    double shiftedBulge(int i, double px, double py, double qx, double qy) {
        if (isNear(px, py, startX(i), startY(i)) && isNear(qx, qy, endX(i), endY(i))) {
            return source.bulge(i);
        }
        pair.clear();
        putShifted(i);
        return pair.bulgeBetween(0, px, py, qx, qy);
    }

    private boolean isNear(double px, double py, double qx, double qy) {
        double dx = qx - px;
        double dy = qy - py;
        return dx * dx + dy * dy <= tolerance * tolerance;
    }

    double startX(int i) {
        return shifted[4 * i];
    }

    double startY(int i) {
        return shifted[4 * i + 1];
    }

    double endX(int i) {
        return shifted[4 * i + 2];
    }

    double endY(int i) {
        return shifted[4 * i + 3];
    }

    /** Whether the edge and its follower have a common end. */
    boolean endsMeet(int i) {
        return kind[i] == MEET || kind[i] == TRIM;
    }

    double meetX(int i) {
        return meet[2 * i];
    }

    double meetY(int i) {
        return meet[2 * i + 1];
    }

    boolean isOuter(int i) {
        return kind[i] == OUTER;
    }

    /** Whether the edge ends at an end of an open path that is run there and back. */
    boolean isPathEnd(int i) {
        if (!thereAndBack) {
            return false;
        }
        int loop = source.loopOf(i);
        int first = source.first(loop);
        int end = source.first(loop + 1);
        return i == end - 1 || i == (first + end) / 2 - 1;
    }

    private int next(int i) {
        int loop = source.loopOf(i);
        return i + 1 < source.first(loop + 1) ? i + 1 : source.first(loop);
    }

    /** Cosine of the turn at the end of an edge. */
    double turnCosine(int i) {
        int next = next(i);
        return source.endNx(i) * source.nx(next) + source.endNy(i) * source.ny(next);
    }

    /** Bulge of the arc about the vertex: a quarter of the turn, against the side of the curve. */
    double joinBulge(int i) {
        int next = next(i);
        double ax = source.endNx(i);
        double ay = source.endNy(i);
        double bx = source.nx(next);
        double by = source.ny(next);
        double apart = size(bx - ax, by - ay);
        double along = size(bx + ax, by + ay);
        // tan(turn / 4) from tan(turn / 2) = apart / along, without dividing by nothing
        double quarter = apart / (along + Math.sqrt(along * along + apart * apart));
        boolean theLongWay = (ax * by - ay * bx) * left > 0;
        double size = theLongWay ? 1 / quarter : quarter;
        return left > 0 ? -size : size;
    }

    /** Coordinates are bounded, so the slow and safe way to the root of squares is not needed. */
    private static double size(double x, double y) {
        return Math.sqrt(x * x + y * y);
    }
}
