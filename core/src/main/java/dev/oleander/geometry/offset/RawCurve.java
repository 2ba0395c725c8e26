package dev.oleander.geometry.offset;

import dev.oleander.geometry.flat.Edges;
import dev.oleander.geometry.offset.OffsetOptions.Ends;
import dev.oleander.geometry.offset.OffsetOptions.Join;

/**
 * The raw parallel curve of some loops: every edge shifted, neighbours joined, closed but crossing
 * itself. Stretches that cannot belong to the result are marked dead.
 *
 * <p>An arc whose radius would turn negative becomes a dead line: every point of it is nearer to
 * the arc than the distance. Dead lines only keep the curve closed, so that winding numbers stay
 * what they are.
 */
final class RawCurve {

    static final int SHIFTED = 0;
    static final int JOIN = 1;
    static final int CAP = 2;
    static final int DEAD = 3;

    private final Edges source;
    private final double left;
    private final double tolerance;
    private final OffsetOptions options;
    private final Corners corners;
    private final Edges raw;

    private double atX;
    private double atY;

    private RawCurve(
            Edges source, double left, double tolerance, OffsetOptions options, boolean there) {
        this.source = source;
        this.left = left;
        this.tolerance = tolerance;
        this.options = options;
        this.corners = new Corners(source, left, tolerance, there);
        this.raw = new Edges(source.size() + corners.mostEdges());
    }

    /**
     * @param left signed distance to the left of the travel, mm
     * @param thereAndBack whether every loop is an open path run there and back, the ends of which
     *     get caps
     * @return loops tagged with 4 times the source edge plus the kind of piece
     */
    static Edges of(
            Edges source,
            double left,
            double tolerance,
            OffsetOptions options,
            boolean thereAndBack) {
        RawCurve curve = new RawCurve(source, left, tolerance, options, thereAndBack);
        for (int loop = 0; loop < source.loops(); loop++) {
            curve.addLoop(source.first(loop), source.first(loop + 1));
        }
        return curve.raw;
    }

    private void addLoop(int first, int end) {
        int last = end - 1;
        boolean meets = corners.endsMeet(last);
        double startX = meets ? corners.meetX(last) : corners.startX(first);
        double startY = meets ? corners.meetY(last) : corners.startY(first);
        int before = raw.size();
        raw.beginLoop();
        atX = startX;
        atY = startY;
        for (int i = first; i < end; i++) {
            addEdge(i);
            int next = i == last ? first : i + 1;
            if (!corners.endsMeet(i)) {
                addCorner(i, next);
            }
        }
        if (raw.size() > before) {
            raw.moveLastEnd(startX, startY);
        }
        raw.endLoop();
    }

    private void addEdge(int i) {
        boolean meets = corners.endsMeet(i);
        double toX = meets ? corners.meetX(i) : corners.endX(i);
        double toY = meets ? corners.meetY(i) : corners.endY(i);
        if (isHere(toX, toY)) {
            return;
        }
        if (!corners.isAlive(i)) {
            line(toX, toY, 4 * i + DEAD);
        } else {
            shifted(i, toX, toY);
        }
    }

    /**
     * A shifted edge keeps the normal of its source; that of an arc turns on to where it begins.
     */
    private void shifted(int i, double toX, double toY) {
        double nx = source.nx(i);
        double ny = source.ny(i);
        double k = source.curvature(i);
        if (k != 0) {
            k = k / (1 - k * left);
            nx -= k * (atX - corners.startX(i));
            ny -= k * (atY - corners.startY(i));
        }
        double bulge = k == 0 ? 0 : corners.shiftedBulge(i, atX, atY, toX, toY);
        raw.put(atX, atY, toX, toY, bulge, k, nx, ny, 4 * i + SHIFTED);
        atX = toX;
        atY = toY;
    }

    private void addCorner(int i, int next) {
        double toX = corners.startX(next);
        double toY = corners.startY(next);
        if (isHere(toX, toY)) {
            return;
        }
        if (!corners.isOuter(i)) {
            line(toX, toY, 4 * i + DEAD);
        } else if (corners.isPathEnd(i) && options.ends() == Ends.FLAT) {
            line(toX, toY, 4 * i + CAP);
        } else if (isMitred(i, next)) {
            double share = left / (1 + corners.turnCosine(i));
            double tipX = source.x1(i) + share * (source.endNx(i) + source.nx(next));
            double tipY = source.y1(i) + share * (source.endNy(i) + source.ny(next));
            line(tipX, tipY, 4 * i + JOIN);
            line(toX, toY, 4 * i + JOIN);
        } else {
            arc(toX, toY, corners.joinBulge(i), 4 * i + JOIN);
        }
    }

    /** The tip lies 1 / cos(turn / 2) distances from the vertex. */
    private boolean isMitred(int i, int next) {
        double cosine = Math.sqrt(Math.max(0, (1 + corners.turnCosine(i)) / 2));
        return options.join() == Join.MITRED
                && !corners.isPathEnd(i)
                && cosine * options.mitreLimit() >= 1;
    }

    private boolean isHere(double x, double y) {
        double dx = x - atX;
        double dy = y - atY;
        return dx * dx + dy * dy <= tolerance * tolerance;
    }

    private void line(double x, double y, int tag) {
        arc(x, y, 0, tag);
    }

    private void arc(double x, double y, double bulge, int tag) {
        raw.add(atX, atY, x, y, bulge, tag);
        atX = x;
        atY = y;
    }
}
