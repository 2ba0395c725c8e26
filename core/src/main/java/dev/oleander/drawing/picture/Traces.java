package dev.oleander.drawing.picture;

/** Line work of pictures, by the SHA-256 of their files; the same again costs nothing. */
@FunctionalInterface
public interface Traces {

    /** There are no pictures. */
    Traces NONE =
            (sha256, spec) -> {
                throw new PictureException("The shop has no picture %s.", sha256);
            };

    /**
     * A picture's line work.
     *
     * @param width of the picture, pixels
     * @param height of it
     * @param trace pixels
     */
    record Traced(int width, int height, Trace trace) {}

    /**
     * @throws PictureException when there is no such picture, or nothing in it
     */
    Traced trace(String sha256, TraceSpec spec);

    /** The same of pictures with fewer pixels, at once; for looking at. */
    default Traces rough() {
        return this;
    }

    /**
     * How many pixels of a picture have each level.
     *
     * @throws PictureException when there is no such picture
     */
    default int[] histogram(String sha256) {
        throw new PictureException("The shop has no picture %s.", sha256);
    }

    /**
     * A picture as holes.
     *
     * @throws PictureException when there is no such picture, or there would be far too many
     */
    default Dots.Made dots(String sha256, DotSpec spec) {
        throw new PictureException("The shop has no picture %s.", sha256);
    }
}
