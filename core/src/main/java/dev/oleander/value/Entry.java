package dev.oleander.value;

import dev.oleander.geometry.Point;
import dev.oleander.quantity.Typed;
import java.util.Arrays;
import java.util.List;
import java.util.Map;

/**
 * What somebody typed.
 *
 * @param text empty: take back what was set
 * @param names values that formulas may use by name
 */
public record Entry(String text, Map<String, Double> names) {

    /** mm; no place in a drawing is farther from its zero. */
    private static final double FAR = 1e6;

    /** Takes back what was set. */
    public static final Entry NOTHING = new Entry("", Map.of());

    public Entry {
        text = text == null ? "" : text.strip();
        names = Map.copyOf(names);
    }

    public boolean isEmpty() {
        return text.isEmpty();
    }

    /** Another text in which the same names may stand. */
    public Entry with(String other) {
        return new Entry(other, names);
    }

    /**
     * @param what begins sentences about it: The length of the lead-in
     * @throws dev.oleander.quantity.FormulaException when it is no number or out of limits
     */
    public Typed number(String what, double least, double most) {
        return Typed.parse(text, names).within(what, least, most);
    }

    /**
     * @throws dev.oleander.quantity.FormulaException when it is no number or out of limits
     * @throws ValueException when it is not a whole one
     */
    public Typed whole(String what, double least, double most) {
        Typed typed = number(what, least, most);
        if (typed.value() != Math.rint(typed.value())) {
            throw new ValueException("%s: %s is not a whole number.".formatted(what, typed.text()));
        }
        return typed;
    }

    /**
     * Distances between blanks or semicolons, mm; none without a text.
     *
     * @throws dev.oleander.quantity.FormulaException when one is no number or out of limits
     * @throws ValueException when there are very many
     */
    public List<Typed> places(String what) {
        if (isEmpty()) {
            return List.of();
        }
        String[] parts = text.split("[;\\s]+", Places.MOST + 1);
        if (parts.length > Places.MOST) {
            throw new ValueException("%s: more than %d were given.".formatted(what, Places.MOST));
        }
        return Arrays.stream(parts).map(one -> with(one).number(what, 0, FAR)).toList();
    }

    /**
     * Two numbers, x and y in the drawing, mm.
     *
     * @throws dev.oleander.quantity.FormulaException when one is no number or out of limits
     * @throws ValueException when there are not two
     */
    public Point place() {
        String[] parts = text.split("[;\\s]+");
        if (parts.length != 2) {
            throw new ValueException(
                    "\"%s\" is no place: two numbers are, x and y.".formatted(text));
        }
        double x = with(parts[0]).number("X", -FAR, FAR).value();
        double y = with(parts[1]).number("Y", -FAR, FAR).value();
        return new Point(x, y);
    }

    /**
     * @throws ValueException when it says neither yes nor no
     */
    public boolean yes() {
        return switch (text) {
            case "true", "yes" -> true;
            case "false", "no" -> false;
            default -> throw new ValueException("\"%s\" is neither yes nor no.".formatted(text));
        };
    }
}
