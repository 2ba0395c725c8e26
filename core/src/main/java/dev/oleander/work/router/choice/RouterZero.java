package dev.oleander.work.router.choice;

import dev.oleander.book.CutDataException;
import java.util.List;

/**
 * Where the zero of the program lies: written, not planned.
 *
 * @param at on the stock seen from above: -x -y is its lower left corner, centre its middle; null:
 *     the lower left corner
 * @param z top of the stock, or the table under it; null: the top
 */
public record RouterZero(String at, String z) {

    public static final RouterZero USUAL = new RouterZero(null, null);

    /** Nine places, by rows from below. */
    public static final List<String> PLACES =
            List.of("-x -y", "-y", "x -y", "-x", "centre", "x", "-x y", "y", "x y");

    public static final List<String> HEIGHTS = List.of("top", "table");

    /**
     * @throws CutDataException when it is none of these
     */
    public RouterZero {
        require("place", at, PLACES);
        require("height", z, HEIGHTS);
    }

    private static void require(String what, String word, List<String> known) {
        if (word != null && !known.contains(word)) {
            throw new CutDataException(
                    "The %s of the zero is \"%s\"; known are %s."
                            .formatted(what, word, String.join(", ", known)));
        }
    }

    /** Share of the length of the stock. */
    public double x() {
        return place() % 3 / 2.0;
    }

    /** Share of its width. */
    public double y() {
        return place() / 3 / 2.0;
    }

    private int place() {
        return at == null ? 0 : PLACES.indexOf(at);
    }

    public boolean isOnTable() {
        return "table".equals(z);
    }
}
