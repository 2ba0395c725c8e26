package dev.oleander.machine;

import java.io.StringWriter;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.MappingIterator;
import tools.jackson.databind.SequenceWriter;
import tools.jackson.dataformat.csv.CsvMapper;
import tools.jackson.dataformat.csv.CsvSchema;

/**
 * A cut book as CSV (RFC 4180): a line of names, then a line for each row. Columns may stand in any
 * order; decimals have a point.
 */
public final class CutBookCsv {

    private static final int MOST_ROWS = 5_000;

    private final CsvMapper mapper = new CsvMapper();

    /** All rows as text. */
    public String write(List<CutRow> rows) {
        CsvSchema.Builder schema = CsvSchema.builder().setUseHeader(true);
        for (CutField field : CutField.values()) {
            schema.addColumn(field.word());
        }
        StringWriter text = new StringWriter();
        try (SequenceWriter out =
                mapper.writerFor(Map.class).with(schema.build()).writeValues(text)) {
            for (CutRow row : rows) {
                Map<String, String> line = new LinkedHashMap<>();
                CutRowText.write(row).forEach((field, value) -> line.put(field.word(), value));
                out.write(line);
            }
        }
        return text.toString();
    }

    /**
     * Reads rows; their ids are made of material, thickness and quality.
     *
     * @throws CutDataException naming the line, the column and what is wrong
     */
    public List<CutRow> read(String text) {
        List<CutRow> rows = new ArrayList<>();
        CsvSchema header = CsvSchema.emptySchema().withHeader();
        try (MappingIterator<Map<String, String>> lines =
                mapper.readerForMapOf(String.class).with(header).readValues(clean(text))) {
            while (lines.hasNextValue()) {
                rows.add(row(lines.nextValue(), rows.size() + 2));
                if (rows.size() > MOST_ROWS) {
                    throw new CutDataException(
                            "The file has more than %d rows.".formatted(MOST_ROWS));
                }
            }
        } catch (JacksonException malformed) {
            throw new CutDataException(
                    "Line %d of the file: %s"
                            .formatted(rows.size() + 2, malformed.getOriginalMessage()));
        }
        if (rows.isEmpty()) {
            throw new CutDataException("The file has no rows below its line of names.");
        }
        return rows;
    }

    /** Without the mark that some programs put before UTF-8. */
    private static String clean(String text) {
        return text.startsWith("\uFEFF") ? text.substring(1) : text;
    }

    private static CutRow row(Map<String, String> line, int number) {
        Map<CutField, String> texts = new EnumMap<>(CutField.class);
        for (Map.Entry<String, String> cell : line.entrySet()) {
            CutField field =
                    CutField.ofWord(cell.getKey().strip())
                            .orElseThrow(
                                    () ->
                                            new CutDataException(
                                                    "The column \"%s\" is not known."
                                                            .formatted(cell.getKey())));
            texts.put(field, cell.getValue() == null ? "" : cell.getValue());
        }
        try {
            return CutRowText.read("", texts);
        } catch (CutDataException wrong) {
            throw new CutDataException("Line %d: %s".formatted(number, wrong.getMessage()));
        }
    }
}
