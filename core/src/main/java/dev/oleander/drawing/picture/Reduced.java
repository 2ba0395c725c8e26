package dev.oleander.drawing.picture;

/**
 * A picture with fewer pixels, each the mean of some in a square; edges stay where they are.
 *
 * @param by pixels of the whole one along a side of one of it
 * @param height of the whole one, pixels
 */
public record Reduced(Picture picture, int by, int height) {

    /** As it is, when it has no more than so many pixels. */
    public static Reduced of(Picture picture, int mostPixels) {
        int by = 1;
        while ((long) picture.width() * picture.height() / ((long) by * by) > mostPixels) {
            by++;
        }
        return new Reduced(picture.reduced(by), by, picture.height());
    }

    /** Line work of it as that of the whole one, whose lowest rows may fill less than a pixel. */
    Trace whole(Trace own) {
        return by == 1 ? own : own.scaled(by).raised(height - by * picture.height());
    }
}
