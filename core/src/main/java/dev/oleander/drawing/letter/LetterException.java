package dev.oleander.drawing.letter;

/** A font that cannot be read, or a text that cannot be set; the message is for people. */
public final class LetterException extends RuntimeException {

    private static final long serialVersionUID = 1;

    /**
     * @param sentence with places for the values
     */
    public LetterException(String sentence, Object... values) {
        super(values.length == 0 ? sentence : sentence.formatted(values));
    }
}
