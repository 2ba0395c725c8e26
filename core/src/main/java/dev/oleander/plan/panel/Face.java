package dev.oleander.plan.panel;

import dev.oleander.quantity.Named;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/**
 * A face of a panel that fills [0, length] x [0, width] x [0, thickness]. Each has coordinates (u,
 * v) as seen from outside: u to the right, v upwards, so that u x v points away from the panel.
 */
public enum Face implements Named {
    /** (x, y). */
    TOP(new Spot(0, 0, 1), new Spot(1, 0, 0), new Spot(0, 1, 0)),
    /** (x, width - y). */
    BOTTOM(new Spot(0, 1, 0), new Spot(1, 0, 0), new Spot(0, -1, 0)),
    /** y = 0: (x, z). */
    FRONT(new Spot(0, 0, 0), new Spot(1, 0, 0), new Spot(0, 0, 1)),
    /** y = width: (length - x, z). */
    BACK(new Spot(1, 1, 0), new Spot(-1, 0, 0), new Spot(0, 0, 1)),
    /** x = 0: (width - y, z). */
    LEFT(new Spot(0, 1, 0), new Spot(0, -1, 0), new Spot(0, 0, 1)),
    /** x = length: (y, z). */
    RIGHT(new Spot(1, 0, 0), new Spot(0, 1, 0), new Spot(0, 0, 1));

    /** Where (0, 0) lies, in lengths, widths and thicknesses. */
    private final Spot corner;

    private final Spot u;
    private final Spot v;

    Face(Spot corner, Spot u, Spot v) {
        this.corner = corner;
        this.u = u;
        this.v = v;
    }

    /** Way of u on the panel; its length is 1. */
    public Spot u() {
        return u;
    }

    /** Way of v on the panel; its length is 1. */
    public Spot v() {
        return v;
    }

    /** Away from the panel; its length is 1. */
    public Spot outward() {
        return u.cross(v);
    }

    /** Whether it is one of the narrow faces. */
    public boolean isEdge() {
        return this != TOP && this != BOTTOM;
    }

    /** The one on the other side. */
    public Face opposite() {
        Spot away = outward().times(-1);
        return Arrays.stream(values())
                .filter(f -> f.outward().minus(away).length() < 0.5)
                .findFirst()
                .orElseThrow();
    }

    /**
     * A place on the panel.
     *
     * @param depth mm below the face
     */
    public Spot at(double a, double b, double depth, Size size) {
        Spot origin =
                new Spot(
                        corner.x() * size.length(),
                        corner.y() * size.width(),
                        corner.z() * size.thickness());
        return origin.plus(u.times(a)).plus(v.times(b)).plus(outward().times(-depth));
    }

    /** How far u goes, mm. */
    public double across(Size size) {
        return Math.abs(u.dot(size.asSpot()));
    }

    /** How far v goes, mm. */
    public double up(Size size) {
        return Math.abs(v.dot(size.asSpot()));
    }

    /** How far the panel reaches below the face, mm. */
    public double below(Size size) {
        return Math.abs(outward().dot(size.asSpot()));
    }

    @Override
    public String label() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** Their words, for sentences. */
    public static String all() {
        return Arrays.stream(values()).map(Face::word).collect(Collectors.joining(", "));
    }

    /** The narrow faces. */
    public static List<Face> edges() {
        return List.of(LEFT, RIGHT, FRONT, BACK);
    }

    /**
     * Of a finished panel, mm.
     *
     * @param length along x
     * @param width along y
     * @param thickness along z
     */
    public record Size(double length, double width, double thickness) {

        Spot asSpot() {
            return new Spot(length, width, thickness);
        }
    }
}
