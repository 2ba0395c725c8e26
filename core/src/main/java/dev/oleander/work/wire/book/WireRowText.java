package dev.oleander.work.wire.book;

import dev.oleander.machine.CutDataException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * Rows of the cut book of a wire machine from text, as forms and files bring them: a line of values
 * for each pass, those of the row in every line.
 */
public final class WireRowText {

    /** Passes of a row at most. */
    public static final int MOST_PASSES = 9;

    private WireRowText() {}

    /** The values of a row as text, a line for each pass. */
    public static List<Map<WireDataField, String>> write(WireRow row) {
        List<Map<WireDataField, String>> lines = new ArrayList<>();
        for (WirePass pass : row.passes()) {
            Map<WireDataField, String> line = new EnumMap<>(WireDataField.class);
            for (WireDataField field : WireDataField.values()) {
                line.put(field, field.of(row, pass));
            }
            lines.add(line);
        }
        return lines;
    }

    /**
     * @param id of the row; empty: made of wire, material, height and finish
     * @param lines the rough pass first
     * @throws CutDataException when a value is missing, no number or out of its limits, with the
     *     pass where it is one of a pass
     */
    public static WireRow read(String id, List<Map<WireDataField, String>> lines) {
        if (lines.isEmpty() || lines.size() > MOST_PASSES) {
            throw new CutDataException(
                    "A row has from 1 to %d passes; this one has %d."
                            .formatted(MOST_PASSES, lines.size()));
        }
        Map<WireDataField, String> head = lines.get(0);
        for (WireDataField field : WireDataField.ofRows()) {
            requireThere(head, field);
        }
        String wire = WireDataField.WIRE.text(head.get(WireDataField.WIRE));
        String material = WireDataField.MATERIAL.text(head.get(WireDataField.MATERIAL));
        String finish = WireDataField.FINISH.text(head.get(WireDataField.FINISH));
        double diameter = WireDataField.WIRE_DIAMETER.number(head.get(WireDataField.WIRE_DIAMETER));
        double height = WireDataField.HEIGHT.number(head.get(WireDataField.HEIGHT));
        List<WirePass> passes = new ArrayList<>();
        for (Map<WireDataField, String> line : lines) {
            passes.add(pass(passes.size() + 1, line));
        }
        String own = id.isEmpty() ? id(wire, material, head.get(WireDataField.HEIGHT), finish) : id;
        return new WireRow(own, wire, diameter, material, height, finish, false, passes);
    }

    private static WirePass pass(int number, Map<WireDataField, String> line) {
        try {
            WireDataField.ofPasses().forEach(f -> requireThere(line, f));
            return new WirePass(
                    WireDataField.GAP.number(line.get(WireDataField.GAP)),
                    WireDataField.STOCK.number(line.get(WireDataField.STOCK)),
                    WireDataField.REGISTER.whole(line.get(WireDataField.REGISTER)),
                    WireDataField.CONDITION.whole(line.get(WireDataField.CONDITION)),
                    WireDataField.RATE.number(line.get(WireDataField.RATE)),
                    WireDataField.FLUSHING.number(line.get(WireDataField.FLUSHING)),
                    WireDataField.TENSION.number(line.get(WireDataField.TENSION)));
        } catch (CutDataException wrong) {
            throw new CutDataException("Pass %d: %s".formatted(number, wrong.getMessage()));
        }
    }

    private static void requireThere(Map<WireDataField, String> line, WireDataField field) {
        if (line.getOrDefault(field, "").isBlank()) {
            throw new CutDataException("%s is missing.".formatted(field.label()));
        }
    }

    private static String id(String wire, String material, String height, String finish) {
        return "%s-%s-%s-%s"
                .formatted(wire, material, height.strip(), finish)
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9.]+", "-");
    }
}
