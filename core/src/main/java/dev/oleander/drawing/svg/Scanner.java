package dev.oleander.drawing.svg;

import dev.oleander.drawing.intake.UnreadableException;

/**
 * Reads the numbers, flags and words of attributes, in double precision: the parsers of the usual
 * libraries keep seven digits only, which are too few for a sheet of several metres.
 */
final class Scanner {

    private final String text;
    private final String what;
    private int at;

    /**
     * @param what completes "its ... is broken at character 7"
     */
    Scanner(String text, String what) {
        this.text = text;
        this.what = what;
    }

    /** Whether something other than space and commas is left. */
    boolean hasMore() {
        while (at < text.length() && (isSpace(text.charAt(at)) || text.charAt(at) == ',')) {
            at++;
        }
        return at < text.length();
    }

    private static boolean isSpace(char c) {
        return c == ' ' || c == '\t' || c == '\n' || c == '\r' || c == '\f';
    }

    boolean isAtNumber() {
        if (!hasMore()) {
            return false;
        }
        char c = text.charAt(at);
        return c == '+' || c == '-' || c == '.' || isDigit(c);
    }

    private static boolean isDigit(char c) {
        return c >= '0' && c <= '9';
    }

    char next() {
        hasMore();
        if (at >= text.length()) {
            throw broken();
        }
        return text.charAt(at++);
    }

    /** The text up to a character, which is passed over. */
    String until(char end) {
        int found = text.indexOf(end, at);
        if (found < 0) {
            throw broken();
        }
        String passed = text.substring(at, found).strip();
        at = found + 1;
        return passed;
    }

    /** A flag of an arc: one digit, which may stand right before the next number. */
    boolean flag() {
        char c = next();
        if (c != '0' && c != '1') {
            at--;
            throw broken();
        }
        return c == '1';
    }

    double number() {
        hasMore();
        int start = at;
        skipSign();
        skipDigits();
        if (at < text.length() && text.charAt(at) == '.') {
            at++;
            skipDigits();
        }
        skipExponent();
        try {
            double value = Double.parseDouble(text.substring(start, at));
            if (Double.isFinite(value)) {
                return value;
            }
        } catch (NumberFormatException notANumber) {
            // told below
        }
        at = start;
        throw broken();
    }

    private void skipExponent() {
        if (at < text.length() && (text.charAt(at) | 32) == 'e') {
            int before = at;
            at++;
            skipSign();
            int digits = at;
            skipDigits();
            if (at == digits) {
                at = before;
            }
        }
    }

    private void skipSign() {
        if (at < text.length() && (text.charAt(at) == '+' || text.charAt(at) == '-')) {
            at++;
        }
    }

    private void skipDigits() {
        while (at < text.length() && isDigit(text.charAt(at))) {
            at++;
        }
    }

    UnreadableException broken() {
        return new UnreadableException("its %s is broken at character %d".formatted(what, at + 1));
    }
}
