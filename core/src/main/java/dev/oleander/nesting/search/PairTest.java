package dev.oleander.nesting.search;

/**
 * Whether two placed bodies overlap, and how deep. Signs that are 0 are decided as if the first
 * body were shifted by very little to the right and by very much less upwards (simulation of
 * simplicity, Edelsbrunner and Muecke 1990), so that edges in line and corners on edges are never
 * both.
 */
final class PairTest {

    /** Largest discs that are looked at before edges are. */
    private static final int FIRST = 5;

    /** Depth from which on discs count as they are, as a share of the larger diameter. */
    private static final double EASE = 0.01;

    /** Discs farther apart than this many times the ease pull no more. */
    private static final double FAR = 4;

    /** mm */
    private static final double CLEAR = 1e-6;

    private long tests;
    private long work;

    /** Places and pairs that were looked at: what rounds of a search are counted in. */
    long work() {
        return work;
    }

    void placeTried() {
        work++;
    }

    /** As much as so many pairs. */
    void done(int pairs) {
        work += pairs;
    }

    /** How many pairs were looked at whose boxes meet. */
    long tests() {
        return tests;
    }

    /**
     * How deep two bodies overlap, in mm of a sort; 0: not at all. Deeper means farther to go until
     * they are apart (overlap of discs after Imamichi, Yagiura, Nagamochi 2009).
     *
     * @param dx place of the first less place of the second
     * @param enough deeper than this need not be told exactly
     */
    double overlap(Turned a, Turned b, double dx, double dy, double enough) {
        return overlaps(a, b, dx, dy) ? depth(a, b, dx, dy, enough) : 0;
    }

    double overlap(Turned a, Turned b, double dx, double dy) {
        return overlap(a, b, dx, dy, Double.POSITIVE_INFINITY);
    }

    boolean overlaps(Turned a, Turned b, double dx, double dy) {
        if (a.maxX + dx <= b.minX
                || a.minX + dx >= b.maxX
                || a.maxY + dy <= b.minY
                || a.minY + dy >= b.maxY) {
            return false;
        }
        tests++;
        work++;
        return discsMeet(a, b, dx, dy) || edgesMeet(a, b, dx, dy);
    }

    /** Whether two bodies whose boxes meet surely overlap: their largest discs do. */
    boolean areDeep(Turned a, Turned b, double dx, double dy) {
        tests++;
        work++;
        return discsMeet(a, b, dx, dy);
    }

    /** Whether two bodies whose boxes meet and whose largest discs do not, overlap. */
    boolean edgesMeet(Turned a, Turned b, double dx, double dy) {
        return !areDiagonallyApart(a, b, dx, dy)
                && (edgesCross(a, b, dx, dy) || oneWithin(a, b, dx, dy));
    }

    /** Whether a line at 45 degrees goes between them, with more to spare than rounding takes. */
    private static boolean areDiagonallyApart(Turned a, Turned b, double dx, double dy) {
        double up = dx + dy;
        double down = dx - dy;
        return a.maxUp + up < b.minUp - CLEAR
                || a.minUp + up > b.maxUp + CLEAR
                || a.maxDown + down < b.minDown - CLEAR
                || a.minDown + down > b.maxDown + CLEAR;
    }

    private static boolean discsMeet(Turned a, Turned b, double dx, double dy) {
        double[] ra = a.body.discR;
        double[] rb = b.body.discR;
        int na = Math.min(FIRST, ra.length);
        int nb = Math.min(FIRST, rb.length);
        for (int p = 0; p < na; p++) {
            double x = a.discX[p] + dx;
            double y = a.discY[p] + dy;
            for (int q = 0; q < nb; q++) {
                double ex = x - b.discX[q];
                double ey = y - b.discY[q];
                double reach = ra[p] + rb[q] - Body.SLACK;
                if (reach > 0 && ex * ex + ey * ey < reach * reach) {
                    return true;
                }
            }
        }
        return false;
    }

    private static boolean edgesCross(Turned a, Turned b, double dx, double dy) {
        Turned.Outline first = a.outline();
        Turned.Outline second = b.outline();
        double lowX = Math.max(a.minX + dx, b.minX);
        double lowY = Math.max(a.minY + dy, b.minY);
        double highX = Math.min(a.maxX + dx, b.maxX);
        double highY = Math.min(a.maxY + dy, b.maxY);
        double[] boxesA = first.boxes;
        double[] boxesB = second.boxes;
        for (int g = 0; g < boxesA.length; g += 4) {
            double x0 = boxesA[g] + dx;
            double y0 = boxesA[g + 1] + dy;
            double x1 = boxesA[g + 2] + dx;
            double y1 = boxesA[g + 3] + dy;
            if (x0 > highX || x1 < lowX || y0 > highY || y1 < lowY) {
                continue;
            }
            for (int h = 0; h < boxesB.length; h += 4) {
                if (x0 <= boxesB[h + 2]
                        && x1 >= boxesB[h]
                        && y0 <= boxesB[h + 3]
                        && y1 >= boxesB[h + 1]
                        && groupsCross(a, g >> 2, b, h >> 2, dx, dy)) {
                    return true;
                }
            }
        }
        return false;
    }

    private static boolean groupsCross(Turned a, int g, Turned b, int h, double dx, double dy) {
        Turned.Outline first = a.outline();
        Turned.Outline second = b.outline();
        double[] bx = second.xs;
        double[] by = second.ys;
        int from = b.body.groupFrom[h];
        int to = b.body.groupTo[h];
        double lowX = second.boxes[4 * h];
        double lowY = second.boxes[4 * h + 1];
        double highX = second.boxes[4 * h + 2];
        double highY = second.boxes[4 * h + 3];
        for (int i = a.body.groupFrom[g]; i < a.body.groupTo[g]; i++) {
            double ax0 = first.xs[i] + dx;
            double ay0 = first.ys[i] + dy;
            double ax1 = first.xs[i + 1] + dx;
            double ay1 = first.ys[i + 1] + dy;
            double minX = Math.min(ax0, ax1);
            double maxX = Math.max(ax0, ax1);
            double minY = Math.min(ay0, ay1);
            double maxY = Math.max(ay0, ay1);
            if (minX > highX || maxX < lowX || minY > highY || maxY < lowY) {
                continue;
            }
            double ex = ax1 - ax0;
            double ey = ay1 - ay0;
            boolean left0 = leftOfFirst(ex, ey, bx[from] - ax0, by[from] - ay0);
            for (int j = from; j < to; j++) {
                boolean left1 = leftOfFirst(ex, ey, bx[j + 1] - ax0, by[j + 1] - ay0);
                if (left0 != left1) {
                    double fx = bx[j + 1] - bx[j];
                    double fy = by[j + 1] - by[j];
                    if (leftOfSecond(fx, fy, ax0 - bx[j], ay0 - by[j])
                            != leftOfSecond(fx, fy, ax1 - bx[j], ay1 - by[j])) {
                        return true;
                    }
                }
                left0 = left1;
            }
        }
        return false;
    }

    /** Whether a corner of the second body lies left of an edge of the first. */
    private static boolean leftOfFirst(double ex, double ey, double wx, double wy) {
        double side = ex * wy - ey * wx;
        if (side != 0) {
            return side > 0;
        }
        return ey != 0 ? ey > 0 : ex < 0;
    }

    /** Whether a corner of the first body lies left of an edge of the second. */
    private static boolean leftOfSecond(double fx, double fy, double vx, double vy) {
        double side = fx * vy - fy * vx;
        if (side != 0) {
            return side > 0;
        }
        return fy != 0 ? fy < 0 : fx > 0;
    }

    private static boolean oneWithin(Turned a, Turned b, double dx, double dy) {
        boolean aInB =
                a.minX + dx >= b.minX
                        && a.maxX + dx <= b.maxX
                        && a.minY + dy >= b.minY
                        && a.maxY + dy <= b.maxY;
        if (aInB && holdsOfFirst(b, a.outline().xs[0] + dx, a.outline().ys[0] + dy)) {
            return true;
        }
        boolean bInA =
                b.minX >= a.minX + dx
                        && b.maxX <= a.maxX + dx
                        && b.minY >= a.minY + dy
                        && b.maxY <= a.maxY + dy;
        return bInA && holdsOfSecond(a, dx, dy, b.outline().xs[0], b.outline().ys[0]);
    }

    /** Whether a corner of the first body lies in the second. */
    private static boolean holdsOfFirst(Turned b, double x, double y) {
        Turned.Outline of = b.outline();
        boolean inside = false;
        int groups = b.body.groupFrom.length;
        for (int g = 0; g < groups; g++) {
            if (of.boxes[4 * g + 1] > y || of.boxes[4 * g + 3] < y || of.boxes[4 * g + 2] < x) {
                continue;
            }
            for (int i = b.body.groupFrom[g]; i < b.body.groupTo[g]; i++) {
                boolean above0 = of.ys[i] > y;
                boolean above1 = of.ys[i + 1] > y;
                if (above0 != above1) {
                    boolean left =
                            leftOfSecond(
                                    of.xs[i + 1] - of.xs[i],
                                    of.ys[i + 1] - of.ys[i],
                                    x - of.xs[i],
                                    y - of.ys[i]);
                    inside ^= left == above1;
                }
            }
        }
        return inside;
    }

    /** Whether a corner of the second body lies in the first. */
    private static boolean holdsOfSecond(Turned a, double dx, double dy, double x, double y) {
        Turned.Outline of = a.outline();
        boolean inside = false;
        int groups = a.body.groupFrom.length;
        for (int g = 0; g < groups; g++) {
            if (of.boxes[4 * g + 1] + dy > y
                    || of.boxes[4 * g + 3] + dy < y
                    || of.boxes[4 * g + 2] + dx < x) {
                continue;
            }
            for (int i = a.body.groupFrom[g]; i < a.body.groupTo[g]; i++) {
                double x0 = of.xs[i] + dx;
                double y0 = of.ys[i] + dy;
                double x1 = of.xs[i + 1] + dx;
                double y1 = of.ys[i + 1] + dy;
                boolean above0 = y0 >= y;
                boolean above1 = y1 >= y;
                if (above0 != above1) {
                    boolean left = leftOfFirst(x1 - x0, y1 - y0, x - x0, y - y0);
                    inside ^= left == above1;
                }
            }
        }
        return inside;
    }

    /** How deep bodies overlap that do; see {@link #overlap}. */
    double depth(Turned a, Turned b, double dx, double dy, double enough) {
        Body first = a.body;
        Body second = b.body;
        double ease = EASE * Math.max(first.diameter, second.diameter);
        double reach = FAR * ease;
        double[] radii = second.discR;
        double scale = Math.sqrt(first.hullRoot * second.hullRoot);
        double most = enough / scale * (enough / scale);
        double sum = ease * ease;
        for (int p = 0; p < first.discR.length && sum <= most; p++) {
            double x = a.discX[p] + dx;
            double y = a.discY[p] + dy;
            double rp = first.discR[p];
            double out = rp + reach;
            if (x + out < b.minX || x - out > b.maxX || y + out < b.minY || y - out > b.maxY) {
                continue;
            }
            for (int q = 0; q < radii.length; q++) {
                double ex = x - b.discX[q];
                double ey = y - b.discY[q];
                double rq = radii[q];
                double far = out + rq;
                double square = ex * ex + ey * ey;
                if (square < far * far) {
                    double t = rp + rq - Math.sqrt(square);
                    double eased = t >= ease ? t : ease * ease / (2 * ease - t);
                    sum += Math.min(rp, rq) * eased;
                }
            }
        }
        return scale * Math.sqrt(sum);
    }
}
