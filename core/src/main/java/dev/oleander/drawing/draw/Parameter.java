package dev.oleander.drawing.draw;

import dev.oleander.quantity.Worded;
import java.util.Arrays;
import java.util.List;

/**
 * A value of a command.
 *
 * @param name under which it is kept, and by which later values of the step may use it
 * @param otherwise formula that holds when nothing is given; empty when it must be given
 * @param options of a choice
 * @param section heading under which it is offered; empty: always in sight
 */
public record Parameter(
        String name,
        String label,
        Kind kind,
        String otherwise,
        List<Option> options,
        String section) {

    public Parameter {
        options = List.copyOf(options);
    }

    /** One that is no choice and always in sight. */
    public Parameter(String name, String label, Kind kind, String otherwise) {
        this(name, label, kind, otherwise, List.of(), "");
    }

    /** A word of a choice, and what people read. */
    public record Option(String word, String label) {}

    /** What a value measures. */
    public enum Kind {
        /** mm */
        LENGTH,
        /** mm, of a place */
        X,
        /** mm, of the same place as the X before */
        Y,
        /** degrees, anticlockwise from +x */
        ANGLE,
        /** whole number */
        COUNT,
        FACTOR,
        TEXT,
        /** text of several lines */
        LINES,
        YES_NO,
        /** one of some words */
        CHOICE,
        /** SHA-256 of a font */
        FONT,
        /** SHA-256 of a picture */
        PICTURE
    }

    /** Whether it is kept as it was typed, rather than worked out. */
    public boolean isText() {
        return kind.ordinal() >= Kind.TEXT.ordinal();
    }

    /** The same under a heading. */
    Parameter in(String heading) {
        return new Parameter(name, label, kind, otherwise, options, heading);
    }

    static <E extends Enum<E> & Worded> Parameter choice(String name, String label, Class<E> of) {
        List<Option> options =
                Arrays.stream(of.getEnumConstants())
                        .map(e -> new Option(e.word(), e.word()))
                        .toList();
        return new Parameter(name, label, Kind.CHOICE, options.get(0).word(), options, "");
    }

    static Parameter text(String name, String label, String otherwise) {
        return new Parameter(name, label, Kind.TEXT, otherwise);
    }

    static Parameter yesOrNo(String name, String label) {
        return new Parameter(name, label, Kind.YES_NO, "no");
    }

    static Parameter factor(String name, String label, String otherwise) {
        return new Parameter(name, label, Kind.FACTOR, otherwise);
    }

    static Parameter length(String name, String label, String otherwise) {
        return new Parameter(name, label, Kind.LENGTH, otherwise);
    }

    static Parameter angle(String name, String label, String otherwise) {
        return new Parameter(name, label, Kind.ANGLE, otherwise);
    }

    static Parameter count(String name, String label, String otherwise) {
        return new Parameter(name, label, Kind.COUNT, otherwise);
    }

    static Parameter x(String name, String label) {
        return new Parameter(name, label, Kind.X, "");
    }

    static Parameter y(String name, String label) {
        return new Parameter(name, label, Kind.Y, "");
    }
}
