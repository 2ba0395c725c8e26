package dev.oleander.winding.surface;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/** Mandrels by few numbers. */
public final class Mandrels {

    private Mandrels() {}

    /**
     * An end of a vessel.
     *
     * @param opening radius at which it is open, mm
     */
    public record End(Dome dome, double opening) {}

    /**
     * A cylinder from x = 0 to its length, with an end on either side.
     *
     * @param length mm; 0: both ends meet
     * @throws WindingException naming what cannot be
     */
    public static Meridian vessel(double radius, double length, End left, End right) {
        requirePositive("Radius", radius);
        if (!(length >= 0)) {
            throw WindingException.about("Length", length, "must be >= 0");
        }
        List<Piece> pieces = new ArrayList<>();
        for (Piece piece : left.dome().pieces(radius, left.opening())) {
            pieces.add(piece.mirrored());
        }
        Collections.reverse(pieces);
        if (length > 0) {
            pieces.add(new Straight(0, radius, 0, length));
        }
        for (Piece piece : right.dome().pieces(radius, right.opening())) {
            pieces.add(piece.shifted(length));
        }
        return new Meridian(pieces);
    }

    /** A cylinder from x = 0. */
    public static Meridian tube(double radius, double length) {
        requirePositive("Radius", radius);
        requirePositive("Length", length);
        return new Meridian(List.of(new Straight(0, radius, 0, length)));
    }

    /** A cone from x = 0. */
    public static Meridian cone(double left, double right, double length) {
        requirePositive("Radius", left);
        requirePositive("Radius", right);
        requirePositive("Length", length);
        return new Meridian(List.of(Straight.between(0, left, length, right)));
    }

    private static void requirePositive(String what, double value) {
        if (!(value > 0 && Double.isFinite(value))) {
            throw WindingException.about(what, value, "must be > 0");
        }
    }
}
