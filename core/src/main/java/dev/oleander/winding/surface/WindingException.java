package dev.oleander.winding.surface;

import java.util.Locale;

/** Why it cannot be wound: a sentence with what, where, value and limit. */
public class WindingException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    public WindingException(String sentence, Object... values) {
        super(String.format(Locale.ROOT, sentence, values));
    }

    static WindingException about(String what, double value, String limit) {
        return new WindingException("%s %.4g mm %s.", what, value, limit);
    }
}
