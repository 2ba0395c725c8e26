package dev.oleander.winding.surface;

import java.util.Locale;

/** Why there is no such mandrel. */
public class MandrelException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    public MandrelException(String sentence, Object... values) {
        super(sentence.formatted(values));
    }

    static MandrelException about(String what, double value, String limit) {
        return new MandrelException(
                "%s %s mm %s.", what, String.format(Locale.ROOT, "%.4g", value), limit);
    }
}
