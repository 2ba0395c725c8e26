package dev.oleander.drawing.bridge;

import dev.oleander.geometry.Point;
import java.util.List;
import java.util.Optional;

/**
 * What bridges should be like.
 *
 * @param width of each that is found, mm
 * @param direction degrees along which they are wished; empty: none
 * @param perIsland 2: islands that are longer than 40 widths are held twice
 * @param stencil whether each letter is held by one strip through all that lies in it
 * @param fillet radius of what is cut away beside the ends of a bridge, mm; 0: corners
 * @param placed those that somebody put, before others are looked for
 * @param without places at which none is to be found
 */
public record BridgeWish(
        double width,
        Optional<Double> direction,
        int perIsland,
        boolean stencil,
        double fillet,
        List<Placed> placed,
        List<Point> without) {

    /** Part of the width that a fillet may have: more would leave nothing straight. */
    private static final double ROUNDEST = 0.25;

    /**
     * A bridge that somebody put.
     *
     * @param at a place of what is cut away
     * @param angle degrees that it runs
     * @param width mm
     */
    public record Placed(Point at, double angle, double width) {

        public Placed {
            if (!(width > 0)) {
                throw new IllegalArgumentException("a bridge is wider than 0 mm: " + width);
            }
        }

        Point way() {
            return Point.polar(1, Math.toRadians(angle));
        }
    }

    /**
     * @throws IllegalArgumentException when bridges are no wider than 0, or rounder than a quarter
     *     of their width
     */
    public BridgeWish {
        if (!(width > 0)) {
            throw new IllegalArgumentException("bridges are wider than 0 mm: " + width);
        }
        if (!(fillet >= 0 && fillet <= ROUNDEST * width)) {
            throw new IllegalArgumentException(
                    "fillets of %s mm at bridges of %s mm; at most a quarter"
                            .formatted(fillet, width));
        }
        placed = List.copyOf(placed);
        without = List.copyOf(without);
    }

    /** As few as hold, wherever they are cheapest. */
    public static BridgeWish of(double width) {
        return new BridgeWish(width, Optional.empty(), 1, false, 0, List.of(), List.of());
    }

    public BridgeWish along(Optional<Double> degrees) {
        return new BridgeWish(width, degrees, perIsland, stencil, fillet, placed, without);
    }

    /** 1 or 2 for each island. */
    public BridgeWish each(int bridges) {
        return new BridgeWish(width, direction, bridges, stencil, fillet, placed, without);
    }

    /** Letters as a stencil has them, or not. */
    public BridgeWish asStencil(boolean wished) {
        return new BridgeWish(width, direction, perIsland, wished, fillet, placed, without);
    }

    public BridgeWish rounded(double radius) {
        return new BridgeWish(width, direction, perIsland, stencil, radius, placed, without);
    }

    /** With what somebody put, and left out. */
    public BridgeWish byHand(List<Placed> put, List<Point> left) {
        return new BridgeWish(width, direction, perIsland, stencil, fillet, put, left);
    }

    /** Of length 1; empty when bridges may run any way. */
    Optional<Point> way() {
        return direction.map(degrees -> Point.polar(1, Math.toRadians(degrees)));
    }
}
