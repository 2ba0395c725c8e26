package dev.oleander.drawing.picture;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Point;
import java.util.List;

/**
 * How large a picture is; one of these is said, others are null.
 *
 * @param mmPerPixel mm of a pixel
 * @param width of the whole picture, mm
 * @param lineWorkWidth of all line work, mm, when its corners are sharp again
 * @param places two places of the picture, pixels from its lower left corner
 * @param distance between them, mm
 */
public record PictureScale(
        Double mmPerPixel,
        Double width,
        Double lineWorkWidth,
        List<Point> places,
        Double distance) {

    private static final double LARGEST = 100_000;

    /** A millimetre for each pixel. */
    public static final PictureScale NONE = new PictureScale(1.0, null, null, null, null);

    /**
     * @param pixels that the picture is wide
     * @throws PictureException when not just one way is said, or with a figure that cannot be
     */
    public double mmPerPixel(int pixels, Trace trace) {
        int said = (mmPerPixel == null ? 0 : 1) + (width == null ? 0 : 1);
        said += (lineWorkWidth == null ? 0 : 1) + (places == null ? 0 : 1);
        if (said != 1) {
            throw new PictureException(
                    "The scale is said in %d ways; one is needed: mmPerPixel, width, lineWorkWidth, or places and their distance.",
                    said);
        }
        if (mmPerPixel != null) {
            return positive(mmPerPixel, "A pixel");
        }
        if (width != null) {
            return positive(width, "The picture") / pixels;
        }
        return lineWorkWidth != null
                ? positive(lineWorkWidth, "The line work") / box(trace.chains()).width()
                : byPlaces();
    }

    private static Box box(List<Chain> chains) {
        Box box = Box.around(chains.stream().map(Chain::box).toList());
        if (!(box.width() > 0)) {
            throw new PictureException("The line work has no width, so it gives no scale.");
        }
        return box;
    }

    private double byPlaces() {
        if (places.size() != 2 || distance == null || places.get(0).distance(places.get(1)) < 1) {
            throw new PictureException(
                    "Two places at least a pixel apart, and the mm between them, give a scale.");
        }
        return positive(distance, "The distance") / places.get(0).distance(places.get(1));
    }

    private static double positive(double mm, String what) {
        if (!(mm > 0 && mm <= LARGEST)) {
            throw new PictureException(
                    "%s is %s mm; it is more than 0 and at most 100,000.", what, mm);
        }
        return mm;
    }
}
