package dev.oleander.winding.surface;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Locale;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Why it cannot be wound: a sentence with what, where, value and limit. */
public class WindingException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private static final Pattern SPECIFIER = Pattern.compile("%(?:\\.(\\d+))?([a-z])");

    /**
     * @param sentence %.4g: a number with so many digits, none of them an idle nought
     */
    public WindingException(String sentence, Object... values) {
        super(said(sentence, values));
    }

    static WindingException about(String what, double value, String limit) {
        return new WindingException("%s %.4g mm %s.", what, value, limit);
    }

    private static String said(String sentence, Object... values) {
        int[] next = {0};
        return SPECIFIER
                .matcher(sentence)
                .replaceAll(match -> Matcher.quoteReplacement(part(match, values[next[0]++])));
    }

    private static String part(MatchResult match, Object value) {
        if (match.group(2).equals("g")) {
            return number((Double) value, Integer.parseInt(match.group(1)));
        }
        return String.format(Locale.ROOT, match.group(), value);
    }

    /** As people write it: 15, 17.92, 0.25. */
    public static String number(double value, int digits) {
        if (!Double.isFinite(value)) {
            return Double.toString(value);
        }
        BigDecimal rounded = new BigDecimal(value).round(new MathContext(digits));
        return rounded.signum() == 0 ? "0" : rounded.stripTrailingZeros().toPlainString();
    }
}
