package dev.oleander.drawing.svg;

import dev.oleander.drawing.intake.UnreadableException;
import dev.oleander.quantity.LengthUnit;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Lengths as SVG writes them: a number and perhaps a unit. */
final class Lengths {

    private static final Pattern LENGTH =
            Pattern.compile("([+-]?(?:\\d+\\.?\\d*|\\.\\d+)(?:[eE][+-]?\\d+)?)\\s*([a-zA-Z%]*)");
    private static final double INCH = LengthUnit.INCH.millimetres();

    private Lengths() {}

    /** A length in mm when the text names a unit of length; pixels name none. */
    static Optional<Double> millimetres(String text) {
        Matcher m = LENGTH.matcher(text.strip());
        if (!m.matches()) {
            return Optional.empty();
        }
        double value = Double.parseDouble(m.group(1));
        return factor(m.group(2).toLowerCase(Locale.ROOT)).map(f -> f * value);
    }

    /** The unit a text names, where Oleander knows it by itself. */
    static Optional<LengthUnit> unit(String text) {
        Matcher m = LENGTH.matcher(text.strip());
        return m.matches() ? LengthUnit.ofSymbol(m.group(2)) : Optional.empty();
    }

    /** Millimetres of the absolute units of CSS (values and units, level 3, 5.2). */
    private static Optional<Double> factor(String unit) {
        return switch (unit) {
            case "mm" -> Optional.of(1.0);
            case "cm" -> Optional.of(10.0);
            case "q" -> Optional.of(0.25);
            case "in" -> Optional.of(INCH);
            case "pt" -> Optional.of(INCH / 72);
            case "pc" -> Optional.of(INCH / 6);
            default -> Optional.empty();
        };
    }

    /** A length in user units; empty when it is missing, a share, or not understood. */
    static Optional<Double> absolute(SvgNode node, String attribute) {
        Matcher m = LENGTH.matcher(node.text(attribute).strip());
        return m.matches()
                ? pixels(m.group(2)).map(f -> f * Double.parseDouble(m.group(1)))
                : Optional.empty();
    }

    /** Pixels, of which CSS puts 96 on an inch; a user unit is one. */
    private static Optional<Double> pixels(String unit) {
        String name = unit.toLowerCase(Locale.ROOT);
        return name.isEmpty() || name.equals("px")
                ? Optional.of(1.0)
                : factor(name).map(f -> f * 96 / INCH);
    }

    /**
     * A length in user units.
     *
     * @param otherwise when the attribute is missing
     * @param view what percentages are shares of
     * @throws UnreadableException when it is not a length, or one of a unit that depends on a font
     */
    static double user(SvgNode node, String attribute, double otherwise, View view) {
        String text = node.text(attribute);
        if (text.isBlank() || text.strip().equals("auto")) {
            return otherwise;
        }
        Matcher m = LENGTH.matcher(text.strip());
        Optional<Double> factor =
                !m.matches()
                        ? Optional.empty()
                        : m.group(2).equals("%")
                                ? Optional.of(view.whole(attribute) / 100)
                                : pixels(m.group(2));
        if (factor.isEmpty()) {
            throw new UnreadableException(
                    "its %s \"%s\" is not a usable length".formatted(attribute, cut(text)));
        }
        double value = Double.parseDouble(m.group(1)) * factor.get();
        if (!Double.isFinite(value)) {
            throw new UnreadableException(
                    "its %s \"%s\" is too large".formatted(attribute, cut(text)));
        }
        return value;
    }

    private static String cut(String text) {
        return text.length() > 30 ? text.substring(0, 30) + "…" : text;
    }
}
