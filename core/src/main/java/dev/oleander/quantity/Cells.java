package dev.oleander.quantity;

import java.util.regex.Pattern;

/** Cells of tables that spreadsheets open: none is worked out as a formula. */
public final class Cells {

    /** How a formula begins, after apostrophes that were put before it already. */
    private static final Pattern FORMULA = Pattern.compile("'*+[=+\\-@\\t\\r|%]");

    private static final Pattern NUMBER = Pattern.compile("[+-]?[0-9.]+(?:[eE][+-]?[0-9]+)?");

    private Cells() {}

    /** A text that would be a formula gets an apostrophe before it; numbers stay as they are. */
    public static String harmless(String cell) {
        return FORMULA.matcher(cell).lookingAt() && !NUMBER.matcher(cell).matches()
                ? "'" + cell
                : cell;
    }

    /** The text that {@link #harmless} made a cell of. */
    public static String plain(String cell) {
        boolean guarded = cell.startsWith("'") && FORMULA.matcher(cell).lookingAt();
        return guarded ? cell.substring(1) : cell;
    }

    /** Values as a line of CSV (RFC 4180), none of them a formula; null is empty. */
    public static String line(Object... values) {
        StringBuilder line = new StringBuilder();
        for (Object value : values) {
            String cell = value == null ? "" : harmless(String.valueOf(value));
            line.append(line.length() == 0 ? "\"" : ",\"").append(cell.replace("\"", "\"\""));
            line.append('"');
        }
        return line.append("\r\n").toString();
    }
}
