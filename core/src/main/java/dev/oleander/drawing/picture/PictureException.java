package dev.oleander.drawing.picture;

/** A picture that cannot be read or traced; the message is a sentence for people. */
public final class PictureException extends RuntimeException {

    private static final long serialVersionUID = 1;

    /**
     * @param sentence a format
     */
    public PictureException(String sentence, Object... values) {
        super(String.format(java.util.Locale.ROOT, sentence, values));
    }
}
