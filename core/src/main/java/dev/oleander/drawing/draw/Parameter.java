package dev.oleander.drawing.draw;

/**
 * A value of a command.
 *
 * @param name under which it is kept, and by which later values of the step may use it
 * @param otherwise formula that holds when nothing is given; empty when it must be given
 */
public record Parameter(String name, String label, Kind kind, String otherwise) {

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
        YES_NO
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
