package dev.oleander.book;

import java.util.List;
import java.util.Map;

/**
 * A row of a book as text, as forms and files bring it.
 *
 * @param values of the row, by the words of its fields
 * @param lines values of each of its lines, by theirs; empty where rows have none
 */
public record RowText(Map<String, String> values, List<Map<String, String>> lines) {

    public RowText {
        values = Map.copyOf(values);
        lines = List.copyOf(lines);
    }

    /** One without lines. */
    public RowText(Map<String, String> values) {
        this(values, List.of());
    }
}
