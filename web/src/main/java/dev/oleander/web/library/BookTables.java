package dev.oleander.web.library;

import dev.oleander.book.Book;
import dev.oleander.book.BookForm;
import dev.oleander.book.BookRow;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** The rows of a book as a page shows them: a table for each material. */
final class BookTables {

    private BookTables() {}

    /**
     * A table.
     *
     * @param rows of the material
     */
    public record Table(String material, List<Row> rows) {}

    /**
     * A row.
     *
     * @param cells of the whole row
     * @param lines cells of each line; one empty line where rows have none
     */
    public record Row(String id, List<String> cells, List<List<String>> lines) {}

    /** Those that have all words that are looked for. */
    static <R extends BookRow> List<Table> of(Book<R> book, BookView<R> view, String find) {
        Map<String, List<Row>> byMaterial = new LinkedHashMap<>();
        List<BookView.Column<R>> columns = view.columns(book.form());
        for (R row : book.rows()) {
            Row shown = row(row, book.form(), columns, view.lineColumns());
            if (matches(words(row, book.form()), find)) {
                byMaterial.computeIfAbsent(row.material(), m -> new ArrayList<>()).add(shown);
            }
        }
        return byMaterial.entrySet().stream()
                .map(e -> new Table(e.getKey(), e.getValue()))
                .toList();
    }

    private static <R extends BookRow> Row row(
            R row,
            BookForm<R> form,
            List<BookView.Column<R>> columns,
            List<BookView.LineColumn<R>> lineColumns) {
        int count = form.lines().map(lines -> lines.of().apply(row).size()).orElse(1);
        return new Row(
                row.id(),
                columns.stream().map(c -> c.text().apply(row)).toList(),
                IntStream.rangeClosed(1, count)
                        .mapToObj(
                                i -> lineColumns.stream().map(c -> c.text().apply(row, i)).toList())
                        .toList());
    }

    /** What a row is for, and its values that are words. */
    private static <R extends BookRow> String words(R row, BookForm<R> form) {
        return form.fields().stream()
                .filter(f -> f.limits().isEmpty())
                .map(f -> f.get().apply(row))
                .collect(Collectors.joining(" ", row.label() + " ", ""));
    }

    private static boolean matches(String row, String find) {
        String text = row.toLowerCase(Locale.ROOT);
        return Arrays.stream(find.strip().toLowerCase(Locale.ROOT).split("\\s+"))
                .allMatch(text::contains);
    }
}
