package dev.oleander.web.library;

import dev.oleander.book.Book;
import dev.oleander.book.BookForm;
import dev.oleander.book.BookRow;
import dev.oleander.machine.Machine;
import dev.oleander.work.Work;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;

/**
 * How the books of a kind of work are shown. A kind without one is shown by the fields of its rows.
 *
 * @param <R> the rows
 */
public interface BookView<R extends BookRow> {

    /**
     * A number of the machine.
     *
     * @param text with its unit
     */
    record Figure(String label, String text) {}

    /**
     * A column with one cell for a whole row.
     *
     * @param words whether it is read rather than compared
     */
    record Column<R>(String head, Function<R, String> text, boolean words) {

        public Column(String head, Function<R, String> text) {
            this(head, text, false);
        }
    }

    /** A column with a cell for each line of a row; lines count from 1. */
    record LineColumn<R>(String head, BiFunction<R, Integer, String> text) {}

    /**
     * More that stands above the rows.
     *
     * @param fragment of a template
     * @param model what it shows
     */
    record Part(String fragment, Map<String, Object> model) {}

    Work<?, ?> kind();

    /** Words that somebody may look for. */
    String example();

    List<Figure> figures(Machine machine);

    List<Column<R>> columns(BookForm<R> form);

    /** None where rows have no lines. */
    default List<LineColumn<R>> lineColumns() {
        return List.of();
    }

    /** What is said besides of a book, by its kind. */
    default Optional<Part> part(Book<?> book) {
        return Optional.empty();
    }
}
