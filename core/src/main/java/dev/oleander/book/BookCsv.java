package dev.oleander.book;

import dev.oleander.quantity.Cells;
import java.io.StringWriter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.MappingIterator;
import tools.jackson.databind.SequenceWriter;
import tools.jackson.dataformat.csv.CsvMapper;
import tools.jackson.dataformat.csv.CsvSchema;

/**
 * A cut book as CSV (RFC 4180): a line of names, then lines of values. Columns may stand in any
 * order; decimals have a point.
 */
public final class BookCsv {

    private static final int MOST_LINES = 5_000;

    private final CsvMapper mapper = new CsvMapper();

    public String write(List<String> columns, List<Map<String, String>> lines) {
        CsvSchema.Builder schema = CsvSchema.builder().setUseHeader(true);
        columns.forEach(schema::addColumn);
        StringWriter text = new StringWriter();
        try (SequenceWriter out =
                mapper.writerFor(Map.class).with(schema.build()).writeValues(text)) {
            lines.forEach(line -> out.write(changed(line, Cells::harmless)));
        }
        return text.toString();
    }

    /**
     * @return values by column; the first one stands in line 2 of the text
     * @throws CutDataException naming the line and what is wrong
     */
    public List<Map<String, String>> read(String text) {
        List<Map<String, String>> read = new ArrayList<>();
        CsvSchema header = CsvSchema.emptySchema().withHeader();
        try (MappingIterator<Map<String, String>> lines =
                mapper.readerForMapOf(String.class).with(header).readValues(clean(text))) {
            while (lines.hasNextValue()) {
                read.add(changed(lines.nextValue(), Cells::plain));
                if (read.size() > MOST_LINES) {
                    throw new CutDataException(
                            "The file has more than %d rows.".formatted(MOST_LINES));
                }
            }
        } catch (JacksonException malformed) {
            throw new CutDataException(
                    "Line %d of the file: %s"
                            .formatted(read.size() + 2, malformed.getOriginalMessage()));
        }
        if (read.isEmpty()) {
            throw new CutDataException("The file has no rows below its line of names.");
        }
        return read;
    }

    private static Map<String, String> changed(
            Map<String, String> line, UnaryOperator<String> change) {
        Map<String, String> changed = new LinkedHashMap<>();
        line.forEach(
                (name, value) -> changed.put(name, value == null ? null : change.apply(value)));
        return changed;
    }

    /** Without the mark that some programs put before UTF-8. */
    private static String clean(String text) {
        return text.startsWith("\uFEFF") ? text.substring(1) : text;
    }

    public static CutDataException unknown(String column) {
        return new CutDataException("The column \"%s\" is not known.".formatted(column));
    }
}
