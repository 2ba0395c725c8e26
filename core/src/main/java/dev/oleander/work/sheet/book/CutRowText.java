package dev.oleander.work.sheet.book;

import dev.oleander.machine.CutDataException;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;

/** Rows of the cut book from text, as forms and files bring them. */
public final class CutRowText {

    private CutRowText() {}

    /** The values of a row as text. */
    public static Map<CutField, String> write(CutRow row) {
        Map<CutField, String> texts = new EnumMap<>(CutField.class);
        for (CutField field : CutField.values()) {
            texts.put(field, field.of(row));
        }
        return texts;
    }

    /**
     * @param id of the row; empty: made of material, thickness and quality
     * @throws CutDataException when a value is missing, no number or out of its limits
     */
    public static CutRow read(String id, Map<CutField, String> texts) {
        for (CutField field : CutField.values()) {
            if (texts.getOrDefault(field, "").isBlank()) {
                throw new CutDataException("%s is missing.".formatted(field.label()));
            }
        }
        String material = texts(texts, CutField.MATERIAL);
        String quality = texts(texts, CutField.QUALITY);
        double thickness = number(texts, CutField.THICKNESS);
        return new CutRow(
                id.isEmpty() ? id(material, texts.get(CutField.THICKNESS), quality) : id,
                material,
                thickness,
                quality,
                false,
                number(texts, CutField.KERF),
                number(texts, CutField.FEED),
                number(texts, CutField.MARK_FEED),
                number(texts, CutField.PIERCE_SECONDS),
                number(texts, CutField.PIERCE_HEIGHT),
                number(texts, CutField.CUT_HEIGHT),
                number(texts, CutField.SMALLEST_HOLE),
                number(texts, CutField.LEAD),
                number(texts, CutField.PIERCE_CLEARANCE),
                number(texts, CutField.OVER_RUN),
                number(texts, CutField.POWER),
                texts(texts, CutField.GAS),
                number(texts, CutField.PRESSURE),
                new CutRow.Corner(
                        number(texts, CutField.CORNER_OVER),
                        number(texts, CutField.CORNER_SHARE),
                        number(texts, CutField.CORNER_WITHIN)),
                new CutRow.Cost(
                        number(texts, CutField.HOURLY_COST), number(texts, CutField.PIERCE_COST)));
    }

    private static double number(Map<CutField, String> texts, CutField field) {
        return field.number(texts.get(field));
    }

    private static String texts(Map<CutField, String> texts, CutField field) {
        return field.text(texts.get(field));
    }

    private static String id(String material, String thickness, String quality) {
        return "%s-%s-%s"
                .formatted(material, thickness.strip(), quality)
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9.]+", "-");
    }
}
