package dev.oleander.book;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.JsonNode;

/**
 * The data by which one machine works, of whatever kind it is.
 *
 * @param <R> its rows
 */
public interface Book<R extends BookRow> {

    /** Name of the machine. */
    String machine();

    /** Rows to look through: all there are, or some of what can be computed. */
    List<R> rows();

    /** Materials it has data for, in its order. */
    default List<String> materials() {
        return rows().stream().map(BookRow::material).distinct().toList();
    }

    /** Words by which a person chooses among the data of a material: fine, standard. */
    List<String> words();

    /** What its rows consist of. */
    BookForm<R> form();

    /** Tables beside it, by their words, in the order in which people see them: its tools. */
    default Map<String, Book<?>> beside() {
        return Map.of();
    }

    /** The row with an id. */
    default Optional<R> row(String id) {
        return rows().stream().filter(r -> r.id().equals(id)).findFirst();
    }

    /** Itself, where its rows can be changed; empty when they are computed. */
    default Optional<BookTable<R, ?>> table() {
        return Optional.empty();
    }

    /**
     * The book after a change, as it is written down.
     *
     * @param subject what was changed: mostly the id of a row
     * @param after what it was changed to; empty: taken away
     */
    Book<R> changed(String subject, Optional<JsonNode> after);
}
