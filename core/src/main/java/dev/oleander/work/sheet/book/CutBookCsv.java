package dev.oleander.work.sheet.book;

import dev.oleander.machine.BookCsv;
import dev.oleander.machine.CutDataException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** A cut book as CSV, a line for each row. */
public final class CutBookCsv {

    private final BookCsv csv = new BookCsv();

    /** All rows as text. */
    public String write(List<CutRow> rows) {
        List<Map<String, String>> lines = new ArrayList<>();
        for (CutRow row : rows) {
            Map<String, String> line = new LinkedHashMap<>();
            CutRowText.write(row).forEach((field, value) -> line.put(field.word(), value));
            lines.add(line);
        }
        return csv.write(Arrays.stream(CutField.values()).map(CutField::word).toList(), lines);
    }

    /**
     * Reads rows; their ids are made of material, thickness and quality.
     *
     * @throws CutDataException naming the line, the column and what is wrong
     */
    public List<CutRow> read(String text) {
        List<CutRow> rows = new ArrayList<>();
        for (Map<String, String> line : csv.read(text)) {
            rows.add(row(line, rows.size() + 2));
        }
        return rows;
    }

    private static CutRow row(Map<String, String> line, int number) {
        Map<CutField, String> texts = new EnumMap<>(CutField.class);
        for (Map.Entry<String, String> cell : line.entrySet()) {
            CutField field =
                    CutField.ofWord(cell.getKey().strip())
                            .orElseThrow(() -> BookCsv.unknown(cell.getKey()));
            texts.put(field, cell.getValue() == null ? "" : cell.getValue());
        }
        try {
            return CutRowText.read("", texts);
        } catch (CutDataException wrong) {
            throw new CutDataException("Line %d: %s".formatted(number, wrong.getMessage()));
        }
    }
}
