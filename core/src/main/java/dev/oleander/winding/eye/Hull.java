package dev.oleander.winding.eye;

import dev.oleander.winding.surface.Meridian;
import dev.oleander.winding.surface.Piece;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import org.locationtech.jts.algorithm.ConvexHull;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;

/** The least convex body round a mandrel, in a half plane through its axis. */
final class Hull {

    /** Of each piece: chords of so many are within 1e-4 mm of a dome. */
    private static final int POINTS = 600;

    /** From the left end of the axis over the top to its right end. */
    private final Coordinate[] chain;

    Hull(Meridian meridian) {
        List<Coordinate> all = new ArrayList<>();
        for (Piece piece : meridian.pieces()) {
            int points = Math.max(2, POINTS / Math.max(1, meridian.pieces().size() / 8));
            for (int i = 0; i <= points; i++) {
                var p = piece.at(piece.length() * i / points);
                all.add(new Coordinate(p.x(), p.r()));
            }
        }
        all.add(new Coordinate(meridian.leastX(), 0));
        all.add(new Coordinate(meridian.greatestX(), 0));
        Coordinate[] ring =
                new ConvexHull(all.toArray(new Coordinate[0]), new GeometryFactory())
                        .getConvexHull()
                        .getCoordinates();
        this.chain =
                Arrays.stream(ring)
                        .distinct()
                        .sorted(
                                Comparator.comparingDouble((Coordinate c) -> angle(c, middle(ring)))
                                        .reversed())
                        .toArray(Coordinate[]::new);
    }

    private static double middle(Coordinate[] ring) {
        double low = Arrays.stream(ring).mapToDouble(Coordinate::getX).min().orElse(0);
        double high = Arrays.stream(ring).mapToDouble(Coordinate::getX).max().orElse(0);
        return (low + high) / 2;
    }

    /** Seen from the middle of the axis: from a straight angle on the left to nothing. */
    private static double angle(Coordinate c, double middle) {
        return Math.atan2(Math.max(0, c.getY()), c.getX() - middle);
    }

    /** mm from it; 0 inside. */
    double distance(double x, double rho) {
        if (isInside(x, rho)) {
            return 0;
        }
        double best = Double.POSITIVE_INFINITY;
        int low = 0;
        int high = chain.length - 2;
        // seen from outside, the foot on the line of an edge tells on which side the nearest lies
        while (low <= high) {
            int middle = (low + high) >>> 1;
            double along = along(middle, x, rho);
            best = Math.min(best, toEdge(middle, along, x, rho));
            if (along > 1) {
                low = middle + 1;
            } else if (along < 0) {
                high = middle - 1;
            } else {
                break;
            }
        }
        return best;
    }

    private boolean isInside(double x, double rho) {
        int low = 0;
        int high = chain.length - 1;
        if (x <= chain[0].getX() || x >= chain[high].getX()) {
            return false;
        }
        while (high - low > 1) {
            int middle = (low + high) >>> 1;
            if (chain[middle].getX() <= x) {
                low = middle;
            } else {
                high = middle;
            }
        }
        double share = (x - chain[low].getX()) / (chain[high].getX() - chain[low].getX());
        return rho < chain[low].getY() + share * (chain[high].getY() - chain[low].getY());
    }

    private double along(int edge, double x, double rho) {
        Coordinate a = chain[edge];
        Coordinate b = chain[edge + 1];
        double dx = b.getX() - a.getX();
        double dy = b.getY() - a.getY();
        return ((x - a.getX()) * dx + (rho - a.getY()) * dy) / (dx * dx + dy * dy);
    }

    private double toEdge(int edge, double along, double x, double rho) {
        Coordinate a = chain[edge];
        Coordinate b = chain[edge + 1];
        double t = Math.max(0, Math.min(1, along));
        return Math.hypot(
                x - a.getX() - t * (b.getX() - a.getX()),
                rho - a.getY() - t * (b.getY() - a.getY()));
    }
}
