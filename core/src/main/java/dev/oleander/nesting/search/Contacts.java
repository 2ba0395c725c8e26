package dev.oleander.nesting.search;

/**
 * What keeps near bodies out of each other while all of them move a little: for every corner of one
 * near the other, it stays in front of the edge or corner that is nearest to it. To first order
 * that is a row of a linear program in shifts and turns of both (Li, Milenkovic 1995, for
 * compaction by translation).
 */
final class Contacts {

    /** mm that are kept beyond touching, so that rounding decides nothing. */
    private static final double SPARE = 1e-5;

    /** mm2; squares of distances that differ by less are the same. */
    private static final double SAME = 1e-10;

    private final Moves moves;
    private final LeastCost rows;

    /** Bounds of moves up to which corners are looked at: those farther apart hardly meet. */
    private static final double REACH = 4;

    /** How much of an overlap is taken out at once, in bounds of moves. */
    private static final double AT_ONCE = 0.5;

    /** Edges that one corner faces at most: more say the same. */
    private static final int MOST_FACING = 12;

    private final double bound;
    private final double reach;

    private long looked;
    private double deepest;

    /** The place of an edge that is nearest to a corner, and the way off it. */
    private double square;

    private double side;
    private double qx;
    private double qy;
    private double nx;
    private double ny;
    private boolean atCorner;

    /** Edges in front of which the corner lies: distance, place and way off of each. */
    private final double[] front = new double[5 * MOST_FACING];

    private int facing;

    /**
     * @param bound of all moves, mm
     */
    Contacts(Moves moves, LeastCost rows, double bound) {
        this.moves = moves;
        this.rows = rows;
        this.bound = bound;
        this.reach = REACH * bound;
    }

    /** Corners and edges that were looked at. */
    long looked() {
        return looked;
    }

    /** mm; how far a corner lies within another body at most. */
    double deepest() {
        return deepest;
    }

    /** A body where it lies; not one of those that move when its number is -1. */
    record Laid(int number, Turned way, double x, double y) {

        boolean isNear(Laid other, double reach) {
            return way.minX + x < other.way.maxX + other.x + reach
                    && way.maxX + x > other.way.minX + other.x - reach
                    && way.minY + y < other.way.maxY + other.y + reach
                    && way.maxY + y > other.way.minY + other.y - reach;
        }
    }

    /** Adds rows for the corners of both. */
    void between(Laid a, Laid b) {
        if (a.isNear(b, reach)) {
            corners(a, b);
            corners(b, a);
        }
    }

    private void corners(Laid a, Laid b) {
        Turned.Outline of = a.way.outline();
        double lowX = b.way.minX + b.x - reach - a.x;
        double lowY = b.way.minY + b.y - reach - a.y;
        double highX = b.way.maxX + b.x + reach - a.x;
        double highY = b.way.maxY + b.y + reach - a.y;
        Body body = a.way.body;
        for (int g = 0; g < body.groupFrom.length; g++) {
            if (of.boxes[4 * g] > highX
                    || of.boxes[4 * g + 1] > highY
                    || of.boxes[4 * g + 2] < lowX
                    || of.boxes[4 * g + 3] < lowY) {
                continue;
            }
            for (int i = body.groupFrom[g]; i < body.groupTo[g]; i++) {
                double px = of.xs[i];
                double py = of.ys[i];
                if (px >= lowX && px <= highX && py >= lowY && py <= highY) {
                    corner(a, px + a.x, py + a.y, b);
                }
            }
        }
    }

    private void corner(Laid a, double px, double py, Laid b) {
        facing = 0;
        findNearest(px - b.x, py - b.y, b.way);
        if (square > reach * reach) {
            return;
        }
        double gap = atCorner ? offCorner(px - b.x, py - b.y) : side;
        deepest = Math.max(deepest, -gap);
        row(a, px, py, b, gap);
        for (int k = 0; k < facing; k += 5) {
            if (front[k] > gap + SPARE) {
                qx = front[k + 1];
                qy = front[k + 2];
                nx = front[k + 3];
                ny = front[k + 4];
                row(a, px, py, b, front[k]);
            }
        }
    }

    private void row(Laid a, double px, double py, Laid b, double gap) {
        rows.row(Math.max(gap - SPARE, -AT_ONCE * bound));
        moves.add(rows, a.number, px, py, -nx, -ny);
        moves.add(rows, b.number, qx + b.x, qy + b.y, nx, ny);
    }

    /** Turns the way off to the one from corner to corner; how far it is. */
    private double offCorner(double px, double py) {
        double distance = Math.sqrt(square);
        if (distance < SPARE) {
            return side;
        }
        // Within the material, where a notch is nearest, the way off is into the notch.
        double sign = side < 0 ? -1 : 1;
        nx = sign * (px - qx) / distance;
        ny = sign * (py - qy) / distance;
        return sign * distance;
    }

    private void findNearest(double px, double py, Turned of) {
        square = reach * reach + SAME;
        Turned.Outline outline = of.outline();
        Body body = of.body;
        double turning = of.mirrored ? -1 : 1;
        for (int g = 0; g < body.groupFrom.length; g++) {
            if (squareToBox(px, py, outline.boxes, 4 * g) <= reach * reach) {
                looked += body.groupTo[g] - body.groupFrom[g];
                for (int i = body.groupFrom[g]; i < body.groupTo[g]; i++) {
                    edge(px, py, outline, i, turning);
                }
            }
        }
    }

    private static double squareToBox(double px, double py, double[] boxes, int at) {
        double dx = Math.max(0, Math.max(boxes[at] - px, px - boxes[at + 2]));
        double dy = Math.max(0, Math.max(boxes[at + 1] - py, py - boxes[at + 3]));
        return dx * dx + dy * dy;
    }

    private void edge(double px, double py, Turned.Outline outline, int i, double turning) {
        double x0 = outline.xs[i];
        double y0 = outline.ys[i];
        double ex = outline.xs[i + 1] - x0;
        double ey = outline.ys[i + 1] - y0;
        double length = ex * ex + ey * ey;
        if (length == 0) {
            return;
        }
        double along = ((px - x0) * ex + (py - y0) * ey) / length;
        double t = Math.max(0, Math.min(1, along));
        double fx = px - x0 - t * ex;
        double fy = py - y0 - t * ey;
        double to = fx * fx + fy * fy;
        double root = turning / Math.sqrt(length);
        double off = ((px - x0) * ey - (py - y0) * ex) * root;
        boolean closer = to < square - SAME;
        if (closer || to <= square + SAME && off > side) {
            square = closer ? to : Math.min(to, square);
            side = off;
            qx = x0 + t * ex;
            qy = y0 + t * ey;
            nx = ey * root;
            ny = -ex * root;
            atCorner = t != along;
        }
        if (t == along && off > 0 && off < reach && facing + 5 <= front.length) {
            front[facing] = off;
            front[facing + 1] = x0 + t * ex;
            front[facing + 2] = y0 + t * ey;
            front[facing + 3] = ey * root;
            front[facing + 4] = -ex * root;
            facing += 5;
        }
    }
}
