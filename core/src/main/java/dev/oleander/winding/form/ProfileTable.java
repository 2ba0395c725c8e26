package dev.oleander.winding.form;

import dev.oleander.winding.surface.WindingException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * Rows of x and r from a text file. What parts the cells, and whether a comma is that of a decimal
 * number, is found by looking and can be shown.
 *
 * @param separator between cells
 * @param decimalComma whether numbers have a comma
 */
public record ProfileTable(List<MandrelForm.Row> rows, String separator, boolean decimalComma) {

    private static final int MOST_ROWS = 20_000;

    /**
     * @throws WindingException naming the row that holds no two numbers
     */
    public static ProfileTable read(byte[] bytes) {
        String text = new String(bytes, StandardCharsets.UTF_8).replace("\uFEFF", "");
        List<String> lines =
                text.lines().map(String::strip).filter(line -> !line.isEmpty()).toList();
        if (lines.isEmpty()) {
            throw new WindingException("The table is empty.");
        }
        boolean headed = !lines.get(0).matches(".*\\d.*");
        List<String> rows = headed ? lines.subList(1, lines.size()) : lines;
        if (rows.size() > MOST_ROWS) {
            throw new WindingException(
                    "The table has %d rows; at most %d.", rows.size(), MOST_ROWS);
        }
        String sample = String.join("\n", rows);
        String separator = separator(sample);
        boolean comma = !",".equals(separator) && sample.contains(",");
        List<MandrelForm.Row> read = new ArrayList<>();
        for (int i = 0; i < rows.size(); i++) {
            read.add(row(rows.get(i), i + 1, separator, comma));
        }
        return new ProfileTable(read, separator, comma);
    }

    private static String separator(String sample) {
        if (sample.contains(";")) {
            return ";";
        }
        if (sample.contains("\t")) {
            return "\t";
        }
        // commas part cells unless blanks do: "12,5 40,0"
        boolean blanks = sample.lines().allMatch(line -> line.matches("\\S+\\s+\\S+.*"));
        boolean commas = sample.lines().allMatch(line -> line.matches("[^,]+,[^,]+.*"));
        return commas && !(blanks && !sample.contains(", ")) ? "," : " ";
    }

    private static MandrelForm.Row row(String line, int number, String separator, boolean comma) {
        String[] cells = line.split(" ".equals(separator) ? "\\s+" : separator);
        if (cells.length < 2) {
            throw new WindingException("Row %d: x and r are needed; it says \"%s\".", number, line);
        }
        return new MandrelForm.Row(
                number(cells[0], number, comma), number(cells[1], number, comma));
    }

    private static double number(String cell, int row, boolean comma) {
        String text = comma ? cell.replace(',', '.') : cell;
        try {
            double value = Double.parseDouble(text.strip().toLowerCase(Locale.ROOT));
            if (Double.isFinite(value)) {
                return value;
            }
        } catch (NumberFormatException e) {
            // said below
        }
        throw new WindingException("Row %d: \"%s\" is no number.", row, cell.strip());
    }
}
