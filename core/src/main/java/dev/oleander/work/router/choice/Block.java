package dev.oleander.work.router.choice;

import dev.oleander.book.CutDataException;
import dev.oleander.geometry.Point;
import dev.oleander.quantity.Numbers;
import java.util.List;

/**
 * A piece of stock on which the drawing lies as it is drawn, with the stock's lower left corner at
 * the drawing's zero; or a round one that an axis turns.
 *
 * @param length mm along X; null: it follows from the parts, like a sheet
 * @param width mm along Y; null likewise
 * @param diameter mm of round stock; null: it is flat
 * @param axis along which round stock lies: x
 * @param centre where the middle of round stock begins in the drawing, mm; null: at its zero
 */
public record Block(
        Double length, Double width, Double diameter, String axis, List<Double> centre) {

    private static final double MOST = 10_000;

    /**
     * @throws CutDataException when a size is none, or its axis is not x
     */
    public Block {
        require("length", length);
        require("width", width);
        require("diameter", diameter);
        if (axis != null && !axis.equals("x")) {
            throw new CutDataException(
                    "The axis \"%s\": the work is turned about x.".formatted(axis));
        }
        if (centre != null && centre.size() != 2) {
            throw new CutDataException("The centre of round stock has two numbers, x and y.");
        }
        centre = centre == null ? null : List.copyOf(centre);
    }

    private static void require(String what, Double mm) {
        if (mm != null && !(mm > 0 && mm <= MOST)) {
            throw new CutDataException(
                    "The %s of the stock is %s mm; it must lie above 0, up to %s."
                            .formatted(what, Numbers.plain(mm, 4), Numbers.plain(MOST, 0)));
        }
    }

    /** Whether all of its size is said. */
    boolean isWhole() {
        return diameter != null || length != null && width != null;
    }

    /** Where the axis of round stock begins in the drawing. */
    public Point middle() {
        return centre == null ? Point.ORIGIN : new Point(centre.get(0), centre.get(1));
    }
}
