package dev.oleander.drawing.code;

/** A text that cannot become a code; the message is for people. */
public class CodeException extends RuntimeException {

    private static final long serialVersionUID = 1;

    public CodeException(String sentence) {
        super(sentence);
    }
}
