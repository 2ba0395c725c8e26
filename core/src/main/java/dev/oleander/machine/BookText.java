package dev.oleander.machine;

import dev.oleander.quantity.Numbers;

/** Values of cut books from text, with their limits. */
public final class BookText {

    private static final int LONGEST = 40;

    private BookText() {}

    /**
     * A number as people write it, with a point or a comma.
     *
     * @param fromZero whether it may be 0; otherwise it must be more
     * @throws CutDataException naming the value and its limits
     */
    public static double number(
            String label, String unit, boolean fromZero, double most, String written) {
        double value;
        try {
            value = Double.parseDouble(written.strip().replace(',', '.'));
        } catch (NumberFormatException none) {
            throw new CutDataException("%s: \"%s\" is no number.".formatted(label, written));
        }
        boolean enough = fromZero ? value >= 0 : value > 0;
        if (!(enough && value <= most)) {
            throw new CutDataException(
                    "%s is %s; it must %s and at most %s%s."
                            .formatted(
                                    label,
                                    Numbers.plain(value, 6),
                                    fromZero ? "not be less than 0" : "be more than 0",
                                    Numbers.plain(most, 0),
                                    unit.isEmpty() ? "" : " " + unit));
        }
        return value;
    }

    /**
     * @throws CutDataException when there is none or it is too long
     */
    public static String text(String label, String written) {
        String value = written.strip();
        if (value.isEmpty() || value.length() > LONGEST) {
            throw new CutDataException(
                    "%s must have from 1 to %d characters.".formatted(label, LONGEST));
        }
        return value;
    }
}
