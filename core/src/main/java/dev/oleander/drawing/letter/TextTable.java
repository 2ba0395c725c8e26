package dev.oleander.drawing.letter;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.MappingIterator;
import tools.jackson.dataformat.csv.CsvMapper;
import tools.jackson.dataformat.csv.CsvReadFeature;
import tools.jackson.dataformat.csv.CsvSchema;

/** A table whose rows are values for copies: comma, semicolon or tab, quotes, a header. */
final class TextTable {

    private static final CsvMapper CSV =
            CsvMapper.builder().enable(CsvReadFeature.WRAP_AS_ARRAY).build();
    private static final char[] SEPARATORS = {',', ';', '\t'};

    private final List<String> header;
    private final List<String[]> rows;

    private TextTable(List<String> header, List<String[]> rows) {
        this.header = List.copyOf(header);
        this.rows = rows;
    }

    /**
     * @param csv empty: no table
     * @throws LetterException when it cannot be read
     */
    static TextTable read(String csv) {
        String text = csv == null ? "" : csv.strip();
        if (text.isEmpty()) {
            return new TextTable(List.of(), List.of());
        }
        if (text.charAt(0) == '\ufeff') {
            text = text.substring(1);
        }
        CsvSchema schema = CsvSchema.emptySchema().withColumnSeparator(separator(text));
        List<String[]> all = new ArrayList<>();
        try (MappingIterator<String[]> lines =
                CSV.readerFor(String[].class).with(schema).readValues(text)) {
            lines.forEachRemaining(all::add);
        } catch (JacksonException broken) {
            throw new LetterException("The table cannot be read: %s", broken.getOriginalMessage());
        }
        List<String> header = Arrays.stream(all.get(0)).map(String::strip).toList();
        return new TextTable(header, all.subList(1, all.size()));
    }

    /** The one that stands most often in the header. */
    private static char separator(String text) {
        String first = text.lines().findFirst().orElse("");
        char best = SEPARATORS[0];
        for (char one : SEPARATORS) {
            if (count(first, one) > count(first, best)) {
                best = one;
            }
        }
        return best;
    }

    private static long count(String text, char of) {
        return text.chars().filter(c -> c == of).count();
    }

    boolean isEmpty() {
        return header.isEmpty();
    }

    boolean has(String column) {
        return header.contains(column);
    }

    /**
     * @param copy from 0
     * @param copies that are asked for
     * @throws LetterException when there is no such column, or no row for the copy
     */
    String value(String column, int copy, int copies) {
        int index = header.indexOf(column);
        if (index < 0) {
            throw new LetterException(
                    "The table has no column \"%s\"; it has %s.",
                    column, String.join(", ", header));
        }
        if (rows.size() < copies) {
            throw new LetterException(
                    "The table has %d rows, %d copies are asked for.", rows.size(), copies);
        }
        String[] row = rows.get(copy);
        return index < row.length ? row[index] : "";
    }
}
