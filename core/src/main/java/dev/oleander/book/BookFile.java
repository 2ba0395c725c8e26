package dev.oleander.book;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/**
 * A book as CSV: a line for each row, or for each line of a row; those of a row follow each other.
 *
 * @param <R> the row
 */
public final class BookFile<R extends BookRow> {

    private final BookCsv csv = new BookCsv();
    private final BookForm<R> form;

    public BookFile(BookForm<R> form) {
        this.form = form;
    }

    private List<String> columns() {
        List<String> columns = new ArrayList<>();
        form.fields().forEach(f -> columns.add(f.word()));
        form.lines()
                .ifPresent(
                        several -> {
                            columns.add(several.word());
                            several.fields().forEach(f -> columns.add(f.word()));
                        });
        return columns;
    }

    /** All rows as text. */
    public String write(List<R> rows) {
        List<Map<String, String>> all = new ArrayList<>();
        for (R row : rows) {
            RowText text = form.write(row);
            if (form.lines().isEmpty()) {
                all.add(text.values());
            } else {
                all.addAll(lines(text, form.lines().get().word()));
            }
        }
        return csv.write(columns(), all);
    }

    private static List<Map<String, String>> lines(RowText text, String number) {
        List<Map<String, String>> lines = new ArrayList<>();
        for (Map<String, String> values : text.lines()) {
            Map<String, String> line = new LinkedHashMap<>(text.values());
            line.put(number, String.valueOf(lines.size() + 1));
            line.putAll(values);
            lines.add(line);
        }
        return lines;
    }

    /**
     * Reads rows; their ids are made of what tells them from each other.
     *
     * @throws CutDataException naming the line, the column and what is wrong
     */
    public List<R> read(String text) {
        List<Map<String, String>> lines = new ArrayList<>();
        Set<String> known = new TreeSet<>(columns());
        for (Map<String, String> line : csv.read(text)) {
            lines.add(clean(line, known));
        }
        return form.lines().isPresent() ? rowsOfLines(lines, form.lines().get()) : rowOfEach(lines);
    }

    private static Map<String, String> clean(Map<String, String> line, Set<String> known) {
        Map<String, String> clean = new HashMap<>();
        line.forEach(
                (column, value) -> {
                    if (!known.contains(column.strip())) {
                        throw BookCsv.unknown(column);
                    }
                    clean.put(column.strip(), value == null ? "" : value);
                });
        return clean;
    }

    private List<R> rowOfEach(List<Map<String, String>> lines) {
        List<R> rows = new ArrayList<>();
        for (Map<String, String> line : lines) {
            // the first one stands below the names
            rows.add(row(new RowText(line), "Line %d".formatted(rows.size() + 2)));
        }
        return rows;
    }

    private R row(RowText text, String where) {
        try {
            return form.read("", text);
        } catch (CutDataException wrong) {
            throw new CutDataException("%s: %s".formatted(where, wrong.getMessage()));
        }
    }

    private List<R> rowsOfLines(List<Map<String, String>> lines, BookForm.Lines<R, ?> several) {
        List<R> rows = new ArrayList<>();
        List<Map<String, String>> open = new ArrayList<>();
        int number = 1;
        for (Map<String, String> line : lines) {
            number++;
            int place = place(line, several, number);
            if (place == 1 && !open.isEmpty()) {
                rows.add(closed(open, number - open.size()));
                open.clear();
            }
            if (place != open.size() + 1) {
                throw new CutDataException(
                        "Line %d: %s %d does not follow %s %d."
                                .formatted(
                                        number,
                                        several.word(),
                                        place,
                                        several.word(),
                                        open.size()));
            }
            requireSameRow(open, line, number);
            open.add(line);
        }
        rows.add(closed(open, number + 1 - open.size()));
        return rows;
    }

    private R closed(List<Map<String, String>> lines, int number) {
        return row(new RowText(lines.get(0), lines), "Line %d on".formatted(number));
    }

    private static int place(Map<String, String> line, BookForm.Lines<?, ?> several, int number) {
        String text = line.getOrDefault(several.word(), "");
        try {
            return Integer.parseInt(text.strip());
        } catch (NumberFormatException none) {
            throw new CutDataException(
                    "Line %d: the %s \"%s\" is no number.".formatted(number, several.word(), text));
        }
    }

    private void requireSameRow(
            List<Map<String, String>> open, Map<String, String> line, int number) {
        if (open.isEmpty()) {
            return;
        }
        for (BookField<R> field : form.fields()) {
            String before = open.get(0).getOrDefault(field.word(), "");
            String now = line.getOrDefault(field.word(), "");
            if (!before.equals(now)) {
                throw new CutDataException(
                        "Line %d: %s is \"%s\", in the line before it \"%s\". A row begins with %s 1."
                                .formatted(
                                        number,
                                        field.label(),
                                        now,
                                        before,
                                        form.lines().orElseThrow().word()));
            }
        }
    }
}
