package dev.oleander.winding.form;

import dev.oleander.winding.surface.WindingException;

/** Numbers that have to be there. */
final class Required {

    private Required() {}

    static double number(String what, Double value) {
        if (value == null) {
            throw new WindingException("%s is missing.", what);
        }
        if (!Double.isFinite(value)) {
            throw new WindingException("%s is no number.", what);
        }
        return value;
    }

    static double positive(String what, Double value, String unit) {
        double number = number(what, value);
        if (!(number > 0)) {
            throw new WindingException("%s %.4g%s; it must be > 0.", what, number, unit);
        }
        return number;
    }

    static double orElse(Double value, double usual) {
        return value == null ? usual : value;
    }
}
