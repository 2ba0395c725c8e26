package dev.oleander.book;

import dev.oleander.quantity.Numbers;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;

/**
 * A value of the rows of a book, by the name it has in forms and in CSV files.
 *
 * @param word its name in files
 * @param label its name for people
 * @param unit empty when it has none
 * @param limits of a number; empty: it is text
 * @param get the value as it is written
 * @param silent the value that says nothing; empty: each says something
 * @param <T> what has the value: a row, or a line of one
 */
public record BookField<T>(
        String word,
        String label,
        String unit,
        Optional<Limits> limits,
        Function<T, String> get,
        Optional<String> silent) {

    private static final int LONGEST = 120;
    private static final int DECIMALS = 6;

    /**
     * What a number may be.
     *
     * @param fromZero whether it may be 0; otherwise it must be more
     */
    public record Limits(boolean fromZero, double most, boolean whole) {}

    /** Text. */
    public static <T> BookField<T> text(String word, String label, Function<T, String> get) {
        return new BookField<>(word, label, "", Optional.empty(), get, Optional.empty());
    }

    /** A number above 0. */
    public static <T> BookField<T> above0(
            String word, String label, String unit, double most, ToDoubleFunction<T> get) {
        return number(word, label, unit, new Limits(false, most, false), get);
    }

    /** A number that may be 0. */
    public static <T> BookField<T> from0(
            String word, String label, String unit, double most, ToDoubleFunction<T> get) {
        return number(word, label, unit, new Limits(true, most, false), get);
    }

    private static <T> BookField<T> number(
            String word, String label, String unit, Limits limits, ToDoubleFunction<T> get) {
        return new BookField<>(
                word,
                label,
                unit,
                Optional.of(limits),
                of -> Numbers.plain(get.applyAsDouble(of), DECIMALS),
                Optional.empty());
    }

    /** The same, which must be a whole number. */
    public BookField<T> whole() {
        return new BookField<>(
                word,
                label,
                unit,
                limits.map(l -> new Limits(l.fromZero(), l.most(), true)),
                get,
                silent);
    }

    /** The same, of which one value says nothing. */
    public BookField<T> silent(String value) {
        return new BookField<>(word, label, unit, limits, get, Optional.of(value));
    }

    /** Whether it says something in a row, or a line. */
    public boolean speaks(T of) {
        return silent.filter(get.apply(of)::equals).isEmpty();
    }

    /** The same under another name for people. */
    public BookField<T> named(String other, String otherUnit) {
        return new BookField<>(word, other, otherUnit, limits, get, silent);
    }

    /**
     * Reads a number as people write it, with a point or a comma.
     *
     * @throws CutDataException naming the value and its limits
     */
    public double number(String written) {
        Limits within = limits.orElseThrow();
        double value = parsed(written);
        boolean enough = within.fromZero() ? value >= 0 : value > 0;
        if (!(enough && value <= within.most())) {
            throw new CutDataException(
                    "%s is %s; it must %s and at most %s%s."
                            .formatted(
                                    label,
                                    Numbers.plain(value, DECIMALS),
                                    within.fromZero() ? "not be less than 0" : "be more than 0",
                                    Numbers.plain(within.most(), 0),
                                    unit.isEmpty() ? "" : " " + unit));
        }
        if (within.whole() && value != Math.rint(value)) {
            throw new CutDataException(
                    "%s is %s; it must be a whole number."
                            .formatted(label, Numbers.plain(value, DECIMALS)));
        }
        return value;
    }

    private double parsed(String written) {
        try {
            return Double.parseDouble(written.strip().replace(',', '.'));
        } catch (NumberFormatException none) {
            throw new CutDataException("%s: \"%s\" is no number.".formatted(label, written));
        }
    }

    /**
     * Reads text.
     *
     * @throws CutDataException when there is none or it is too long
     */
    public String text(String written) {
        String value = written.strip();
        if (value.isEmpty() || value.length() > LONGEST) {
            throw new CutDataException(
                    "%s must have from 1 to %d characters.".formatted(label, LONGEST));
        }
        return value;
    }
}
