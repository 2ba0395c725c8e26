package dev.oleander.work.wire.book;

import dev.oleander.machine.BookCsv;
import dev.oleander.machine.CutDataException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The cut book of a wire machine as CSV, a line for each pass; those of a row follow each other.
 */
public final class WireBookCsv {

    private static final String PASS = "pass";

    private final BookCsv csv = new BookCsv();

    /** All rows as text. */
    public String write(List<WireRow> rows) {
        List<String> columns = new ArrayList<>();
        WireDataField.ofRows().forEach(f -> columns.add(f.word()));
        columns.add(PASS);
        WireDataField.ofPasses().forEach(f -> columns.add(f.word()));
        List<Map<String, String>> lines = new ArrayList<>();
        for (WireRow row : rows) {
            int pass = 0;
            for (Map<WireDataField, String> texts : WireRowText.write(row)) {
                Map<String, String> line = new LinkedHashMap<>();
                texts.forEach((field, value) -> line.put(field.word(), value));
                line.put(PASS, String.valueOf(++pass));
                lines.add(line);
            }
        }
        return csv.write(columns, lines);
    }

    /**
     * Reads rows; their ids are made of wire, material, height and finish.
     *
     * @throws CutDataException naming the line, the column and what is wrong
     */
    public List<WireRow> read(String text) {
        List<WireRow> rows = new ArrayList<>();
        List<Map<WireDataField, String>> passes = new ArrayList<>();
        int number = 1;
        for (Map<String, String> line : csv.read(text)) {
            number++;
            int pass = pass(line, number);
            if (pass == 1 && !passes.isEmpty()) {
                rows.add(row(passes, number - passes.size()));
                passes.clear();
            }
            if (pass != passes.size() + 1) {
                throw new CutDataException(
                        "Line %d: pass %d does not follow pass %d."
                                .formatted(number, pass, passes.size()));
            }
            Map<WireDataField, String> texts = texts(line);
            requireSameRow(passes, texts, number);
            passes.add(texts);
        }
        rows.add(row(passes, number + 1 - passes.size()));
        return rows;
    }

    private static int pass(Map<String, String> line, int number) {
        String text = line.get(PASS);
        try {
            return Integer.parseInt(text == null ? "" : text.strip());
        } catch (NumberFormatException none) {
            throw new CutDataException(
                    "Line %d: the pass \"%s\" is no number."
                            .formatted(number, text == null ? "" : text));
        }
    }

    private static Map<WireDataField, String> texts(Map<String, String> line) {
        Map<WireDataField, String> texts = new EnumMap<>(WireDataField.class);
        for (Map.Entry<String, String> cell : line.entrySet()) {
            String column = cell.getKey().strip();
            if (!column.equals(PASS)) {
                WireDataField field =
                        WireDataField.ofWord(column)
                                .orElseThrow(() -> BookCsv.unknown(cell.getKey()));
                texts.put(field, cell.getValue() == null ? "" : cell.getValue());
            }
        }
        return texts;
    }

    private static void requireSameRow(
            List<Map<WireDataField, String>> passes, Map<WireDataField, String> texts, int number) {
        if (passes.isEmpty()) {
            return;
        }
        for (WireDataField field : WireDataField.ofRows()) {
            String before = passes.get(0).getOrDefault(field, "");
            String now = texts.getOrDefault(field, "");
            if (!before.equals(now)) {
                throw new CutDataException(
                        "Line %d: %s is \"%s\", in the pass before it \"%s\". A row begins with pass 1."
                                .formatted(number, field.label(), now, before));
            }
        }
    }

    private static WireRow row(List<Map<WireDataField, String>> passes, int line) {
        try {
            return WireRowText.read("", List.copyOf(passes));
        } catch (CutDataException wrong) {
            throw new CutDataException("Line %d on: %s".formatted(line, wrong.getMessage()));
        }
    }
}
