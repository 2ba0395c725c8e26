package dev.oleander.drawing.draw;

import dev.oleander.geometry.Point;
import dev.oleander.quantity.Formula;
import dev.oleander.quantity.FormulaException;
import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Worded;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** The values of one step, worked out from its formulas. */
final class Args {

    /** mm; farther off nothing is drawn. */
    private static final double FARTHEST = 1e6;

    private static final int MOST_COPIES = 10_000;

    private final DrawStep step;
    private final Map<String, Double> numbers = new TreeMap<>();
    private final Map<String, String> texts = new HashMap<>();

    /**
     * @param names values of the job that formulas may use
     * @throws DrawException naming the parameter that cannot be worked out
     */
    Args(DrawStep step, List<Parameter> parameters, Map<String, Double> names) {
        this.step = step;
        Map<String, Double> known = new TreeMap<>(names);
        for (Parameter p : parameters) {
            String given = step.values().getOrDefault(p.name(), "");
            String text = given.isBlank() ? p.otherwise() : given;
            if (p.isText()) {
                texts.put(p.name(), text.strip());
                requireOption(p, text.strip());
            } else {
                double value = value(p, text, known);
                known.put(p.name(), value);
                numbers.put(p.name(), value);
            }
        }
    }

    private static void requireOption(Parameter p, String word) {
        if (p.kind() == Parameter.Kind.CHOICE
                && p.options().stream().noneMatch(o -> o.word().equals(word))) {
            throw DrawException.about(
                    p.name(),
                    "%s is \"%s\"; known are %s."
                            .formatted(
                                    p.label(),
                                    word,
                                    String.join(
                                            ", ",
                                            p.options().stream()
                                                    .map(Parameter.Option::word)
                                                    .toList())));
        }
    }

    private static double value(Parameter p, String text, Map<String, Double> known) {
        try {
            double value = Formula.evaluate(text, known);
            if (Math.abs(value) > FARTHEST) {
                throw DrawException.about(
                        p.name(),
                        "%s is %s; the limit is %s."
                                .formatted(
                                        p.label(),
                                        Numbers.plain(value, 3),
                                        Numbers.plain(FARTHEST, 0)));
            }
            return value;
        } catch (FormulaException wrong) {
            throw DrawException.about(p.name(), p.label() + ": " + wrong.getMessage());
        }
    }

    DrawStep step() {
        return step;
    }

    double number(String name) {
        return numbers.get(name);
    }

    /**
     * @throws DrawException when it is not greater than 0
     */
    double positive(String name, String label) {
        double value = number(name);
        if (!(value > 0)) {
            throw DrawException.about(
                    name,
                    "%s is %s; it must be more than 0.".formatted(label, Numbers.plain(value, 4)));
        }
        return value;
    }

    double within(String name, String label, double least, double most) {
        double value = number(name);
        if (!(value >= least && value <= most)) {
            throw DrawException.about(
                    name,
                    "%s is %s; it is from %s to %s."
                            .formatted(
                                    label,
                                    Numbers.plain(value, 4),
                                    Numbers.plain(least, 2),
                                    Numbers.plain(most, 2)));
        }
        return value;
    }

    double notNegative(String name, String label) {
        double value = number(name);
        if (!(value >= 0)) {
            throw DrawException.about(
                    name,
                    "%s is %s; it must not be less than 0."
                            .formatted(label, Numbers.plain(value, 4)));
        }
        return value;
    }

    /**
     * @throws DrawException when it is no whole number within the limits
     */
    int count(String name, String label, int least) {
        double value = number(name);
        if (value != Math.rint(value) || value < least || value > MOST_COPIES) {
            throw DrawException.about(
                    name,
                    "%s is %s; it must be a whole number from %d to %d."
                            .formatted(label, Numbers.plain(value, 3), least, MOST_COPIES));
        }
        return (int) value;
    }

    /** Radians. */
    double angle(String name) {
        return Math.toRadians(number(name));
    }

    Point point(String x, String y) {
        return new Point(number(x), number(y));
    }

    /** The value of a choice. */
    <E extends Enum<E> & Worded> E choice(String name, Class<E> of) {
        String word = text(name);
        return Arrays.stream(of.getEnumConstants())
                .filter(e -> e.word().equals(word))
                .findFirst()
                .orElseThrow();
    }

    String text(String name) {
        return texts.getOrDefault(name, "");
    }

    boolean yes(String name) {
        return text(name).equals("yes");
    }

    /**
     * @throws DrawException when a length that is drawn does not stay within another
     */
    static void require(boolean holds, String parameter, String sentence, double... values) {
        if (!holds) {
            Object[] shown = new Object[values.length];
            for (int i = 0; i < values.length; i++) {
                shown[i] = Numbers.plain(values[i], 3);
            }
            throw DrawException.about(parameter, sentence.formatted(shown));
        }
    }
}
