package dev.oleander.book;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * A book of rows that the shop may change.
 *
 * @param <R> its rows
 * @param <B> the book itself
 */
public interface BookTable<R extends BookRow, B extends BookTable<R, B>> extends Book<R> {

    /** Numbers that a row did not have when it was written down are 0, as who asks for nothing. */
    JsonMapper KEPT_ROWS =
            JsonMapper.builder()
                    .disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
                    .build();

    /** The same with other rows. */
    B of(List<R> rows);

    /** The order in which the rows of a book stand; those that are equal stay as they are. */
    Comparator<R> order(List<R> rows);

    /**
     * @throws CutDataException when a row cannot stand beside another one
     */
    default void requireBeside(R other, R row) {
        if (other.label().equals(row.label())) {
            throw new CutDataException(
                    "The cut book of %s has a row for %s already."
                            .formatted(machine(), row.label()));
        }
    }

    /**
     * The book with a row in the place of the one with its id, or besides the others.
     *
     * @throws CutDataException when another row is for the same
     */
    default B with(R row) {
        List<R> all = new ArrayList<>(rows());
        int place = row(row.id()).map(all::indexOf).orElse(all.size());
        all.removeIf(r -> r.id().equals(row.id()));
        all.forEach(other -> requireBeside(other, row));
        all.add(place, row);
        all.sort(order(all));
        return of(all);
    }

    /** The book without a row. */
    default B without(String id) {
        return of(rows().stream().filter(r -> !r.id().equals(id)).toList());
    }

    @Override
    default Optional<BookTable<R, ?>> table() {
        return Optional.of(this);
    }

    @Override
    default B changed(String subject, Optional<JsonNode> after) {
        return after.map(row -> with(KEPT_ROWS.treeToValue(row, form().type())))
                .orElseGet(() -> without(subject));
    }
}
