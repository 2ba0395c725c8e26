package dev.oleander.drawing;

/**
 * How a thing is drawn: what people tell purposes by.
 *
 * @param colour in words or as #rrggbb, resolved from the layer when the thing has none of its own
 * @param lineType as the file names it, in lower case; continuous when it says nothing
 */
public record Style(String layer, String colour, String lineType) {

    public static final String CONTINUOUS = "continuous";

    /** Black and continuous. */
    public static Style onLayer(String layer) {
        return new Style(layer, "black", CONTINUOUS);
    }
}
