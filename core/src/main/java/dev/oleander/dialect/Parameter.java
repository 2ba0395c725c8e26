package dev.oleander.dialect;

import com.fasterxml.jackson.annotation.JsonCreator;
import java.util.List;

/**
 * A value that is asked for when a program is released; it stands for its name in the templates of
 * header and footer.
 *
 * @param label what people read
 * @param least of a number
 * @param most of a number
 * @param choices of a choice
 * @param usual what it is when nobody says otherwise
 */
public record Parameter(
        String name,
        String label,
        Type type,
        Double least,
        Double most,
        List<String> choices,
        String usual) {

    private static final int LONGEST_TEXT = 40;

    /** What it can be. */
    public enum Type {
        NUMBER,
        /** a number without decimals */
        WHOLE,
        CHOICE,
        TEXT
    }

    @JsonCreator
    public Parameter {
        if (name == null || !name.matches("[a-z]\\w*")) {
            throw new DialectException(
                    "a parameter needs a name that begins with a small letter, not " + name);
        }
        label = label == null ? name : label;
        choices = choices == null ? List.of() : List.copyOf(choices);
        if (type == null || (type == Type.CHOICE && choices.isEmpty())) {
            throw new DialectException(
                    "the parameter %s needs a type, and a choice its choices".formatted(name));
        }
        if (usual == null) {
            throw new DialectException("the parameter %s needs a usual value".formatted(name));
        }
    }

    /**
     * What is written for a value as it was typed.
     *
     * @param typed null or empty: as usual
     * @throws DialectException naming the parameter, the value and what is possible
     */
    public String value(String typed) {
        String value = typed == null || typed.isBlank() ? usual : typed.strip();
        switch (type) {
            case NUMBER, WHOLE -> requireNumber(value);
            case CHOICE -> {
                if (!choices.contains(value)) {
                    throw wrong(value, "one of " + String.join(", ", choices));
                }
            }
            case TEXT -> {
                if (value.length() > LONGEST_TEXT) {
                    throw wrong(value, "at most %d characters".formatted(LONGEST_TEXT));
                }
            }
        }
        return value;
    }

    private void requireNumber(String value) {
        String form = type == Type.WHOLE ? "[+-]?\\d{1,9}" : "[+-]?\\d{1,9}(\\.\\d{1,6})?";
        if (!value.matches(form)) {
            throw wrong(value, type == Type.WHOLE ? "a whole number" : "a number");
        }
        double number = Double.parseDouble(value);
        boolean low = least != null && number < least;
        boolean high = most != null && number > most;
        if (low || high) {
            throw wrong(value, low ? "at least " + plain(least) : "at most " + plain(most));
        }
    }

    private static String plain(double number) {
        return number == Math.rint(number) ? String.valueOf((long) number) : String.valueOf(number);
    }

    private DialectException wrong(String value, String possible) {
        return new DialectException(
                "%s is \"%s\"; it must be %s.".formatted(label, value, possible));
    }
}
