package dev.oleander.quantity;

import java.util.Map;

/** A value with the text it was typed as; lengths in mm, angles in degrees. */
public record Typed(String text, double value) {

    public static Typed parse(String text, Map<String, Double> names) {
        return new Typed(text.strip(), Formula.evaluate(text, names));
    }

    public static Typed of(double value) {
        return new Typed(Numbers.plain(value, 4), value);
    }

    /**
     * The value, which must lie within limits.
     *
     * @throws FormulaException naming the value and the limit
     */
    public Typed within(String what, double least, double most) {
        if (!(value >= least && value <= most)) {
            throw new FormulaException(
                    "%s is %s; it must lie between %s and %s."
                            .formatted(
                                    what,
                                    Numbers.plain(value, 4),
                                    Numbers.plain(least, 4),
                                    Numbers.plain(most, 4)));
        }
        return this;
    }
}
