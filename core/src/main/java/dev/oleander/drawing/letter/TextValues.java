package dev.oleander.drawing.letter;

import dev.oleander.quantity.Formula;
import dev.oleander.quantity.FormulaException;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What stands in braces in a text, worked out for each copy: {@code {n}} its number, {@code
 * {n:0000}} the same with leading zeros, {@code {= 20 + 5*n}} a formula, {@code {serial}} a column
 * of a table or another value by its name. Doubled braces are braces.
 */
public final class TextValues {

    private static final Pattern BRACES = Pattern.compile("\\{\\{|}}|\\{([^{}]*)}|[{}]");
    private static final Pattern ZEROS = Pattern.compile("n:(0+)");
    private static final String NUMBER = "n";
    private static final int MOST = 10_000;

    /** Letters of a text with its braces. */
    private static final int LONGEST = 1_000;

    /** Digits after the point of a formula's value. */
    private static final int DIGITS = 6;

    private final String text;
    private final TextTable table;
    private final Map<String, String> names;

    private TextValues(String text, TextTable table, Map<String, String> names) {
        this.text = text;
        this.table = table;
        this.names = Map.copyOf(names);
    }

    /**
     * Numbers of copies.
     *
     * @param from of the first
     * @param step from each to the next
     */
    public record Counting(int copies, long from, long step) {}

    /**
     * The text of each copy.
     *
     * @param csv table with a header, one row for each copy; empty: none
     * @param names other values, such as those of the job
     * @throws LetterException naming what is missing or cannot be read
     */
    public static List<String> of(
            String text, Counting numbers, String csv, Map<String, String> names) {
        if (numbers.copies() < 1 || numbers.copies() > MOST) {
            throw new LetterException("%d copies; there are 1 to %d.", numbers.copies(), MOST);
        }
        if (text.length() > LONGEST) {
            throw new LetterException(
                    "The text has %d letters; %d at most.", text.length(), LONGEST);
        }
        TextTable table = TextTable.read(csv);
        TextValues values = new TextValues(text, table, names);
        List<String> all = new ArrayList<>();
        for (int i = 0; i < numbers.copies(); i++) {
            all.add(values.of(i, numbers.from() + i * numbers.step(), numbers.copies()));
        }
        return all;
    }

    private String of(int copy, long number, int copies) {
        StringBuilder out = new StringBuilder();
        Matcher braces = BRACES.matcher(text);
        int at = 0;
        while (braces.find()) {
            out.append(text, at, braces.start());
            at = braces.end();
            String found = braces.group();
            if (found.equals("{{") || found.equals("}}")) {
                out.append(found.charAt(0));
            } else if (braces.group(1) == null) {
                throw new LetterException(
                        "A brace at letter %d stands alone; {{ and }} are braces in the text.",
                        braces.start() + 1);
            } else {
                out.append(value(braces.group(1).strip(), copy, number, copies));
            }
        }
        return out.append(text.substring(at)).toString();
    }

    private String value(String name, int copy, long number, int copies) {
        if (name.equals(NUMBER)) {
            return String.valueOf(number);
        }
        Matcher zeros = ZEROS.matcher(name);
        if (zeros.matches()) {
            return String.format("%0" + zeros.group(1).length() + "d", number);
        }
        if (name.startsWith("=")) {
            return worked(name.substring(1), number);
        }
        return table.isEmpty() || names.containsKey(name) && !table.has(name)
                ? named(name)
                : table.value(name, copy, copies);
    }

    private String named(String name) {
        String value = names.get(name);
        if (value == null) {
            throw new LetterException(
                    "There is no value \"%s\"; known are n%s, formulas after =, and columns of a table.",
                    name, names.isEmpty() ? "" : ", " + String.join(", ", names.keySet()));
        }
        return value;
    }

    private static String worked(String formula, long number) {
        try {
            double value = Formula.evaluate(formula, Map.of(NUMBER, (double) number));
            return Numbers.plain(value, DIGITS);
        } catch (FormulaException wrong) {
            throw new LetterException("{=%s}: %s", formula, wrong.getMessage());
        }
    }
}
