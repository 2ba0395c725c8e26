package dev.oleander.web.library;

import dev.oleander.book.Book;
import dev.oleander.book.BookField;
import dev.oleander.book.BookForm;
import dev.oleander.book.BookRow;
import dev.oleander.machine.Machine;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.Work;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;

/** A book as the fields of its rows say it; fields in which no row says anything are left out. */
final class FieldsView<R extends BookRow> implements BookView<R> {

    private final Work<?, ?> kind;
    private final BookForm<R> form;
    private final Book<R> book;

    FieldsView(Work<?, ?> kind, Book<R> book) {
        this.kind = kind;
        this.form = book.form();
        this.book = book;
    }

    @Override
    public Work<?, ?> kind() {
        return kind;
    }

    @Override
    public String example() {
        return "";
    }

    @Override
    public List<Figure> figures(Machine machine) {
        return List.of(
                new Figure("Rapid", Numbers.plain(machine.motion().rapid(), 0) + " mm/min"),
                new Figure(
                        "Acceleration",
                        Numbers.plain(machine.motion().acceleration(), 0) + " mm/s²"));
    }

    @Override
    public List<Column<R>> columns(BookForm<R> of) {
        return of.fields().stream()
                .filter(f -> f.silent().isEmpty() || book.rows().stream().anyMatch(f::speaks))
                .map(f -> new Column<R>(head(f), row -> said(f, row), f.limits().isEmpty()))
                .toList();
    }

    private static <R> String said(BookField<R> field, R row) {
        return field.speaks(row) ? field.get().apply(row) : "";
    }

    @Override
    public List<LineColumn<R>> lineColumns() {
        List<LineColumn<R>> columns = new ArrayList<>();
        form.lines().ifPresent(lines -> columns.addAll(columns(lines)));
        return columns;
    }

    private static <R, L> List<LineColumn<R>> columns(BookForm.Lines<R, L> lines) {
        Function<R, List<L>> of = lines.of();
        return lines.fields().stream()
                .map(
                        f ->
                                new LineColumn<R>(
                                        head(f),
                                        (row, line) -> f.get().apply(of.apply(row).get(line - 1))))
                .toList();
    }

    private static String head(BookField<?> field) {
        return field.unit().isEmpty() ? field.label() : field.label() + " " + field.unit();
    }
}
