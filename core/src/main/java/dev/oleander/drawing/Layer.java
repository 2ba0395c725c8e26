package dev.oleander.drawing;

/**
 * A layer of a drawing.
 *
 * @param colour in words or as #rrggbb
 * @param lineType of what is drawn on it without one of its own
 * @param visible false when it is switched off or frozen
 */
public record Layer(String name, String colour, String lineType, boolean visible) {

    /** A layer that nothing is said about. */
    public static Layer plain(String name) {
        return new Layer(name, "black", Style.CONTINUOUS, true);
    }
}
