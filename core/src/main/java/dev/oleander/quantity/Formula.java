package dev.oleander.quantity;

import com.ezylang.evalex.BaseException;
import com.ezylang.evalex.Expression;
import java.util.Map;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Evaluates what a person types where a number is asked for: {@code 3*12.5}, {@code r/2}, {@code
 * 1/2 in + 0.4}. Lengths come out in mm. A unit multiplies everything before it up to the last plus
 * or minus, so {@code 1/2 in} is half an inch. The same text gives the same number every time.
 */
public final class Formula {

    private static final int LONGEST = 200;
    private static final Pattern UNIT =
            Pattern.compile("(?<=[0-9.)\\s])(mm|cm|thou|um|in|ft|m|\"|°|deg)(?![A-Za-z])");
    private static final Pattern ALLOWED = Pattern.compile("[0-9A-Za-z_+\\-*/^().\\s]*");

    /** Numbers with more than two digits of exponent: no size, and slow to work with. */
    private static final Pattern HUGE = Pattern.compile("[0-9.][eE][+-]?\\d{3}");

    private static final Pattern DECIMAL_COMMA = Pattern.compile("(?<=\\d),(?=\\d)");

    private Formula() {}

    /**
     * @param text as typed; a decimal comma counts as a point
     * @param names values that may be used by name, for example r; mm
     * @return a finite number
     * @throws FormulaException when it is empty, too long, not understood or not finite
     */
    public static double evaluate(String text, Map<String, Double> names) {
        if (text == null || text.isBlank()) {
            throw new FormulaException("A number is missing.");
        }
        if (text.length() > LONGEST) {
            throw new FormulaException(
                    "\"%s…\" is longer than %d characters."
                            .formatted(text.substring(0, 20), LONGEST));
        }
        String plain = DECIMAL_COMMA.matcher(text.strip()).replaceAll(".");
        String factors = UNIT.matcher(plain).replaceAll(Formula::factor);
        boolean sane = ALLOWED.matcher(factors).matches() && !HUGE.matcher(factors).find();
        if (!sane) {
            throw notUnderstood(text, names);
        }
        double value = compute(text, factors, names);
        if (!Double.isFinite(value)) {
            throw new FormulaException("\"%s\" is not a finite number.".formatted(text));
        }
        return value;
    }

    private static double compute(String text, String expression, Map<String, Double> names) {
        try {
            Expression parsed = new Expression(expression, FormulaLanguage.CONFIGURATION);
            names.forEach(parsed::with);
            return parsed.evaluate().getNumberValue().doubleValue();
        } catch (BaseException | ArithmeticException | NumberFormatException failed) {
            throw notUnderstood(text, names);
        }
    }

    private static String factor(MatchResult match) {
        String unit = match.group(1);
        if (unit.equals("°") || unit.equals("deg")) {
            return " ";
        }
        String symbol = unit.equals("\"") ? "in" : unit;
        double factor = LengthUnit.ofSymbol(symbol).orElseThrow().millimetres();
        return Matcher.quoteReplacement(" *" + Numbers.plain(factor, 6));
    }

    private static FormulaException notUnderstood(String text, Map<String, Double> names) {
        String also = names.isEmpty() ? "" : " or " + String.join(", ", names.keySet());
        return new FormulaException(
                "\"%s\" is not a number: use digits, + - * / ( ), units such as mm and in%s."
                        .formatted(text, also));
    }
}
