package dev.oleander.geometry.flat;

import java.util.List;

/**
 * Where a computation takes place: an origin near the shapes and a tolerance that fits the size of
 * their numbers, so that the same shape far from the origin, or a hundred times as large, is
 * treated alike.
 *
 * @param x mm; a multiple of a power of two of the size of the shapes, so that moving there and
 *     back costs no digits
 * @param tolerance mm; about a thousand times the rounding of a computation within the frame
 */
public record Frame(double x, double y, double tolerance) {

    /** Largest coordinate taken, mm: 1000 km, where a double still tells 0.0001 um apart. */
    public static final double FARTHEST = 1e9;

    /** Tolerance over the largest number of the computation: 2^13 times the rounding of one sum. */
    private static final double LOCAL = 0x1p-37;

    /** Tolerance over the largest coordinate as given: eight times its own rounding. */
    private static final double GIVEN = 0x1p-49;

    /**
     * The frame for some chains.
     *
     * @param reach mm by which the result may lie outside them
     * @throws TooFarException when a coordinate is not finite or beyond {@link #FARTHEST}
     */
    public static Frame around(List<Vertices> chains, double reach) {
        Extent extent = new Extent();
        for (Vertices chain : chains) {
            extent.add(chain);
        }
        return extent.frame(reach);
    }

    /** Adds a chain to a table as a new loop, moved to the frame; crumbs are passed over. */
    public void add(Vertices chain, Edges table) {
        table.beginLoop();
        double startX = chain.x(0) - x;
        double startY = chain.y(0) - y;
        double atX = startX;
        double atY = startY;
        for (int i = 0; i < chain.edges(); i++) {
            int end = chain.endOf(i);
            boolean closes = end == 0;
            double toX = closes ? startX : chain.x(end) - x;
            double toY = closes ? startY : chain.y(end) - y;
            double bulge = chain.bulge(i);
            boolean crumb = Edges.near(atX, atY, toX, toY, tolerance) && Math.abs(bulge) < 1;
            if (!crumb) {
                table.add(atX, atY, toX, toY, straightened(bulge, atX, atY, toX, toY), i);
                atX = toX;
                atY = toY;
            }
        }
        table.endLoop();
    }

    /** 0 when the arc rises over its chord by less than a tenth of the tolerance. */
    private double straightened(double bulge, double ax, double ay, double bx, double by) {
        double rise = bulge * bulge * ((bx - ax) * (bx - ax) + (by - ay) * (by - ay)) / 4;
        return rise < tolerance * tolerance / 100 ? 0 : bulge;
    }

    /** A chain of this frame back where it belongs. */
    public Vertices back(Vertices local) {
        return x == 0 && y == 0 ? local : local.moved(x, y);
    }

    /** A frame that meets more easily, for edges that cannot be told apart in this one. */
    public Frame coarser(double factor) {
        return new Frame(x, y, tolerance * factor);
    }

    private static final class Extent {
        private double lowX = Double.POSITIVE_INFINITY;
        private double lowY = Double.POSITIVE_INFINITY;
        private double highX = Double.NEGATIVE_INFINITY;
        private double highY = Double.NEGATIVE_INFINITY;

        void add(Vertices chain) {
            for (int i = 0; i < chain.size(); i++) {
                add(chain.x(i), chain.y(i));
            }
            for (int i = 0; i < chain.edges(); i++) {
                if (chain.bulge(i) != 0) {
                    addArc(chain, i);
                }
            }
        }

        /** The farthest corners of the rectangle over the chord, as high as the arc. */
        private void addArc(Vertices chain, int i) {
            int j = chain.endOf(i);
            double sag = chain.bulge(i) / 2;
            double sx = sag * (chain.y(j) - chain.y(i));
            double sy = -sag * (chain.x(j) - chain.x(i));
            add(chain.x(i) + sx, chain.y(i) + sy);
            add(chain.x(j) + sx, chain.y(j) + sy);
        }

        private void add(double px, double py) {
            if (!(Math.abs(px) <= FARTHEST && Math.abs(py) <= FARTHEST)) {
                throw new TooFarException(px, py);
            }
            lowX = px < lowX ? px : lowX;
            lowY = py < lowY ? py : lowY;
            highX = px > highX ? px : highX;
            highY = py > highY ? py : highY;
        }

        Frame frame(double reach) {
            if (lowX > highX) {
                return new Frame(0, 0, LOCAL * Math.max(1, Math.abs(reach)));
            }
            double size = Math.max(highX - lowX, highY - lowY) + Math.abs(reach);
            double world = Math.max(far(lowX, highX), far(lowY, highY));
            double originX = 0;
            double originY = 0;
            if (world > 4 * size) {
                double grid = Math.scalb(1.0, Math.getExponent(size) + 1);
                originX = Math.rint((lowX + highX) / 2 / grid) * grid;
                originY = Math.rint((lowY + highY) / 2 / grid) * grid;
            }
            double local =
                    Math.max(
                            far(lowX - originX, highX - originX),
                            far(lowY - originY, highY - originY));
            double tolerance = Math.max(LOCAL * (local + Math.abs(reach)), GIVEN * world);
            return new Frame(originX, originY, tolerance);
        }

        private static double far(double low, double high) {
            return Math.max(Math.abs(low), Math.abs(high));
        }
    }
}
