package dev.oleander.plan.panel.clamping;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.Face.Size;
import dev.oleander.plan.panel.Spot;
import java.util.ArrayList;
import java.util.List;

/**
 * How a panel lies on a machine, its lower left corner at (0, 0) and its lower face at height 0.
 * With its bottom up it is turned over about its width, so that its front edge stays where it was:
 * x becomes length - x.
 *
 * @param up the face that is worked
 * @param turn in degrees anticlockwise, seen from above: 0, 90, 180 or 270
 */
public record Lying(Face up, int turn) {

    private static final int QUARTER = 90;

    /**
     * @throws IllegalArgumentException when an edge is up, or it is turned otherwise
     */
    public Lying {
        if (up.isEdge() || turn % QUARTER != 0 || turn < 0 || turn >= 4 * QUARTER) {
            throw new IllegalArgumentException("no way to lie: %s up, %d".formatted(up, turn));
        }
    }

    /** All of them, those that are turned least first. */
    public static List<Lying> all() {
        List<Lying> all = new ArrayList<>();
        for (int turn = 0; turn < 4 * QUARTER; turn += QUARTER) {
            all.add(new Lying(Face.TOP, turn));
            all.add(new Lying(Face.BOTTOM, turn));
        }
        return all;
    }

    /** Where a place of the panel lies on the machine. */
    public Spot at(Spot place, Size size) {
        Spot flat =
                up == Face.TOP
                        ? place
                        : new Spot(
                                size.length() - place.x(), place.y(), size.thickness() - place.z());
        double x = flat.x();
        double y = flat.y();
        return switch (turn) {
            case QUARTER -> new Spot(size.width() - y, x, flat.z());
            case 2 * QUARTER -> new Spot(size.length() - x, size.width() - y, flat.z());
            case 3 * QUARTER -> new Spot(y, size.length() - x, flat.z());
            default -> flat;
        };
    }

    /** Which way on the machine a way of the panel points. */
    public Spot turned(Spot way) {
        Size none = new Size(0, 0, 0);
        return at(way, none).minus(at(Spot.ORIGIN, none));
    }

    /** What lies along X and along Y of the machine, and how high. */
    public Size on(Size size) {
        return turn % (2 * QUARTER) == 0
                ? size
                : new Size(size.width(), size.length(), size.thickness());
    }

    /**
     * From (u, v) of the top or the bottom to the machine seen from above; mirrored for the one
     * that lies below.
     */
    public Transform of(Face face, Size size) {
        Point origin = above(at(face.at(0, 0, 0, size), size));
        Point u = above(turned(face.u()));
        Point v = above(turned(face.v()));
        return new Transform(u.x(), u.y(), v.x(), v.y(), origin.x(), origin.y());
    }

    /** Which edge of the panel looks which way on the machine: LEFT is towards smaller X. */
    public Face looks(Face edge) {
        Spot way = turned(edge.outward());
        return Face.edges().stream()
                .filter(f -> f.outward().minus(way).length() < 0.5)
                .findFirst()
                .orElseThrow();
    }

    private static Point above(Spot spot) {
        return new Point(spot.x(), spot.y());
    }
}
