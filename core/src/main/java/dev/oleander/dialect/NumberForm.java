package dev.oleander.dialect;

import com.fasterxml.jackson.annotation.JsonCreator;

/**
 * How numbers of an address are written.
 *
 * @param decimals digits after the point
 * @param implied whether the point is left out, so that the last digits are the decimals
 * @param digits least number of digits before the point, filled with zeros; with an implied point
 *     of all digits
 * @param leadingZero whether a number below 1 begins with a zero
 * @param trailingZeros whether 12.5 is written 12.5000
 * @param plus whether numbers above zero have a sign
 * @param modal whether a word is left out that repeats the one before
 * @param perUnit what one unit of the plan (mm, mm/min, s) is in the text: 1 / 25.4 for inches
 */
public record NumberForm(
        int decimals,
        boolean implied,
        int digits,
        boolean leadingZero,
        boolean trailingZeros,
        boolean plus,
        boolean modal,
        double perUnit) {

    private static final int MOST_DECIMALS = 9;

    /** Steps beyond this are not exact. */
    private static final double MOST_STEPS = 1e15;

    private static final long[] TENS = {
        1, 10, 100, 1_000, 10_000, 100_000, 1_000_000, 10_000_000, 100_000_000, 1_000_000_000
    };

    public NumberForm {
        if (decimals < 0 || decimals > MOST_DECIMALS || digits < 0 || digits > MOST_DECIMALS) {
            throw new DialectException(
                    "decimals and digits must be 0 to %d, not %d and %d"
                            .formatted(MOST_DECIMALS, decimals, digits));
        }
        if (!(perUnit > 0 && perUnit < Double.POSITIVE_INFINITY)) {
            throw new DialectException("perUnit must be above 0, not " + perUnit);
        }
    }

    /** With the usual values for what a description does not say. */
    @JsonCreator
    static NumberForm of(
            Integer decimals,
            Boolean implied,
            Integer digits,
            Boolean leadingZero,
            Boolean trailingZeros,
            Boolean plus,
            Boolean modal,
            Double perUnit) {
        if (decimals == null) {
            throw new DialectException("a number needs its decimals");
        }
        return new NumberForm(
                decimals,
                is(implied, false),
                digits == null ? 0 : digits,
                is(leadingZero, true),
                is(trailingZeros, false),
                is(plus, false),
                is(modal, false),
                perUnit == null ? 1 : perUnit);
    }

    private static boolean is(Boolean value, boolean otherwise) {
        return value == null ? otherwise : value;
    }

    /** Numbers with a point and up to so many decimals. */
    public static NumberForm plain(int decimals, boolean trailingZeros, boolean modal) {
        return new NumberForm(decimals, false, 0, true, trailingZeros, false, modal, 1);
    }

    /** Smallest step that can be written, in units of the plan. */
    public double step() {
        return 1 / (perUnit * TENS[decimals]);
    }

    /**
     * A value in whole steps.
     *
     * @throws DialectException when it is too large to be exact
     */
    public long steps(double value) {
        double steps = Math.rint(value * perUnit * TENS[decimals]);
        if (!(Math.abs(steps) < MOST_STEPS)) {
            throw new DialectException("the number " + value + " is too large to be written");
        }
        return (long) steps;
    }

    /** The value of so many steps, in units of the plan. */
    public double value(long steps) {
        return steps / (perUnit * TENS[decimals]);
    }

    /**
     * The value of a number in a text, in units of the plan.
     *
     * @param mantissa all its digits, with its sign
     * @param places digits after its point; -1 when it has none
     */
    double value(double mantissa, int places) {
        int shift = places >= 0 ? places : implied ? decimals : 0;
        double scaled =
                shift < TENS.length ? mantissa / TENS[shift] : mantissa / Math.pow(10, shift);
        return scaled / perUnit;
    }

    /** A value as text. */
    public String write(double value) {
        StringBuilder text = new StringBuilder();
        append(text, steps(value));
        return text.toString();
    }

    /** Adds so many steps as text. */
    void append(StringBuilder text, long steps) {
        if (steps < 0) {
            text.append('-');
        } else if (plus && steps > 0) {
            text.append('+');
        }
        long size = Math.abs(steps);
        if (implied) {
            appendFilled(text, size, digits);
            return;
        }
        long whole = size / TENS[decimals];
        long part = size % TENS[decimals];
        boolean pointed = decimals > 0 && (trailingZeros || part > 0);
        if (whole > 0 || leadingZero || !pointed) {
            appendFilled(text, whole, digits);
        }
        if (pointed) {
            text.append('.');
            appendDecimals(text, part);
        }
    }

    private void appendDecimals(StringBuilder text, long part) {
        int places = decimals;
        int left = (int) part;
        while (!trailingZeros && left % 10 == 0) {
            left /= 10;
            places--;
        }
        appendFilled(text, left, places);
    }

    private static void appendFilled(StringBuilder text, long number, int width) {
        for (int w = width; w > 1 && number < TENS[w - 1]; w--) {
            text.append('0');
        }
        if (number <= Integer.MAX_VALUE) {
            text.append((int) number);
        } else {
            text.append(number);
        }
    }
}
