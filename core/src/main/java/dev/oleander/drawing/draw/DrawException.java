package dev.oleander.drawing.draw;

import java.util.Locale;

/** A step that cannot be done; the message is for the person who draws. */
public final class DrawException extends RuntimeException {

    private final String parameter;

    public DrawException(String sentence, Object... values) {
        this("", String.format(Locale.ROOT, sentence, values));
    }

    private DrawException(String parameter, String sentence) {
        super(sentence);
        this.parameter = parameter;
    }

    /** About the value of one parameter. */
    public static DrawException about(String parameter, String sentence) {
        return new DrawException(parameter, sentence);
    }

    /** Name of the parameter that is wrong; empty when it is none alone. */
    public String parameter() {
        return parameter;
    }
}
