package dev.oleander.web.library;

import dev.oleander.book.BookField;
import dev.oleander.book.BookForm;
import dev.oleander.book.RowText;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Rows of books as forms send them: values by word, those of a line by word and number. */
final class SentRows {

    private SentRows() {}

    /** A line in which nothing stands is none. */
    static RowText read(BookForm<?> form, Map<String, String> sent) {
        Map<String, String> values = new HashMap<>();
        form.fields().forEach(f -> values.put(f.word(), sent.getOrDefault(f.word(), "")));
        return new RowText(values, form.lines().map(l -> lines(l, sent)).orElse(List.of()));
    }

    private static List<Map<String, String>> lines(
            BookForm.Lines<?, ?> form, Map<String, String> sent) {
        List<Map<String, String>> lines = new ArrayList<>();
        for (int number = 1; number <= form.most(); number++) {
            Map<String, String> line = new HashMap<>();
            for (BookField<?> field : form.fields()) {
                line.put(field.word(), sent.getOrDefault(field.word() + "." + number, ""));
            }
            if (line.values().stream().anyMatch(text -> !text.isBlank())) {
                lines.add(line);
            }
        }
        return lines;
    }

    /** The lines of a row and an empty one to fill, where there may be one more. */
    static List<Map<String, String>> withOneMore(BookForm.Lines<?, ?> form, RowText text) {
        List<Map<String, String>> lines = new ArrayList<>(text.lines());
        if (lines.size() < form.most()) {
            lines.add(Map.of());
        }
        return lines;
    }
}
