package dev.oleander.dialect;

import java.util.Arrays;

/**
 * Parts one line after the other into words of an address and a number; comments and spaces are
 * passed over. The words of the present line stand in arrays, since a program has millions.
 */
final class BlockScanner {

    private static final int MOST_DIGITS = 15;

    private final Dialect.Comment comment;
    private final String blockEnd;
    private int count;
    private char[] address = new char[16];
    private double[] mantissa = new double[16];
    private int[] places = new int[16];
    private int[] start = new int[16];
    private int[] end = new int[16];
    private String line = "";

    BlockScanner(Dialect dialect) {
        this.comment = dialect.comment();
        this.blockEnd = dialect.file().blockEnd();
    }

    /**
     * Takes a line apart.
     *
     * @return position from 0 of what is no word; -1 when all is understood
     */
    int scan(String text) {
        line = text;
        count = 0;
        int at = 0;
        int length = text.length();
        while (at < length) {
            char c = text.charAt(at);
            if (c <= ' ') {
                at++;
            } else if (!comment.open().isEmpty() && text.startsWith(comment.open(), at)) {
                int end = text.indexOf(comment.close(), at + comment.open().length());
                at = end < 0 || comment.close().isEmpty() ? length : end + comment.close().length();
            } else if (!blockEnd.isEmpty() && text.startsWith(blockEnd, at)) {
                at += blockEnd.length();
            } else {
                int next = c >= 'A' && c <= 'Z' ? number(at + 1, c) : -1;
                if (next < 0) {
                    return at;
                }
                start[count - 1] = at;
                end[count - 1] = next;
                at = next;
            }
        }
        return -1;
    }

    /** Reads a number; the position behind it, or -1 when there is none or it is too long. */
    private int number(int from, char of) {
        int at = from;
        boolean minus = false;
        if (at < line.length() && (line.charAt(at) == '+' || line.charAt(at) == '-')) {
            minus = line.charAt(at) == '-';
            at++;
        }
        long digits = 0;
        int read = 0;
        int point = -1;
        while (at < line.length()) {
            char c = line.charAt(at);
            if (c == '.' && point < 0) {
                point = read;
            } else if (c >= '0' && c <= '9') {
                digits = 10 * digits + (c - '0');
                read++;
            } else {
                break;
            }
            if (read > MOST_DIGITS) {
                return -1;
            }
            at++;
        }
        if (read == 0) {
            return -1;
        }
        add(of, minus ? -digits : digits, point < 0 ? -1 : read - point);
        return at;
    }

    private void add(char of, long digits, int decimals) {
        if (count == address.length) {
            address = Arrays.copyOf(address, 2 * count);
            mantissa = Arrays.copyOf(mantissa, 2 * count);
            places = Arrays.copyOf(places, 2 * count);
            start = Arrays.copyOf(start, 2 * count);
            end = Arrays.copyOf(end, 2 * count);
        }
        address[count] = of;
        mantissa[count] = digits;
        places[count] = decimals;
        count++;
    }

    /** Number of words in the line. */
    int count() {
        return count;
    }

    char address(int word) {
        return address[word];
    }

    /** The number as it stands, without a dialect's idea of where its point is. */
    double plain(int word) {
        return places[word] <= 0 ? mantissa[word] : mantissa[word] / Math.pow(10, places[word]);
    }

    /** The number in units of the plan. */
    double value(int word, NumberForm form) {
        return form.value(mantissa[word], places[word]);
    }

    /** Column from 1. */
    int column(int word) {
        return start[word] + 1;
    }

    String text(int word) {
        return line.substring(start[word], end[word]);
    }

    /** Whether a word is an address with a number: G01 is G1. */
    boolean is(int word, char of, double number) {
        return address[word] == of && plain(word) == number;
    }
}
