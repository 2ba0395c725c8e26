package dev.oleander.web.api;

import dev.oleander.plan.bed.BedValues;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.value.Value;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.Orders;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.result.JobResult;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;

/** Values of the sheet as a program sends them; null puts a value back to what is usual. */
final class SheetPatch {

    /** Names that are other words in the body than on the page. */
    private static final Map<String, String> CALLED = Map.of("heldEdge", BedValues.HELD_AT.word());

    private static final List<String> CLAMP = List.of("x", "y", "width", "depth", "height");

    /**
     * The body, for its description.
     *
     * @param stock its size, or round the parts
     * @param gap between neighbours, mm
     * @param margin to the edge of the stock, mm
     * @param turn of the parts, degrees
     * @param heldEdge left, right, bottom or top
     * @param clamps what the head must not hit
     * @param rest of a quantity: same or around, the stock of the last sheet
     * @param parts copies of single parts, by id
     * @param order rule of the order of the stops
     */
    record SheetRequest(
            StockRequest stock,
            Double gap,
            Double margin,
            Double turn,
            Integer rows,
            Integer columns,
            Boolean mirrored,
            Boolean commonLines,
            String heldEdge,
            List<ClampRequest> clamps,
            String rest,
            Map<String, Integer> parts,
            String order) {}

    /**
     * @param allowance mm round the parts, in the place of width and height
     */
    record StockRequest(Double width, Double height, Double allowance) {}

    /** Corner and size, mm. */
    record ClampRequest(double x, double y, double width, double depth, double height) {}

    private SheetPatch() {}

    /**
     * @throws RefusedEditException naming what is not understood
     */
    static JobDocument apply(JobResult before, JsonNode body) {
        if (!body.isObject()) {
            throw new RefusedEditException(
                    "The body must be a JSON object of values of the sheet.");
        }
        JobDocument changed = before.document();
        for (Map.Entry<String, JsonNode> entry : body.properties()) {
            changed = one(changed, before, entry.getKey(), entry.getValue());
        }
        return changed;
    }

    private static JobDocument one(
            JobDocument document, JobResult before, String name, JsonNode value) {
        return switch (name) {
            case "order" -> Orders.by(document, before.kind(), text(name, value));
            case "parts" -> document.withSheet(parts(document.sheet(), before, value));
            case "stock" -> document.withSheet(stock(document.sheet(), value));
            case "clamps" ->
                    document.withSheet(BedValues.KEEP_OUT.put(document.sheet(), clamps(value)));
            default -> document.withSheet(set(document.sheet(), name, value));
        };
    }

    private static SheetChoices set(SheetChoices sheet, String name, JsonNode value) {
        Value<SheetChoices> field =
                Value.find(BedValues.ALL, CALLED.getOrDefault(name, name))
                        .filter(f -> f != BedValues.KEEP_OUT && f != BedValues.STOCK)
                        .orElseThrow(
                                () ->
                                        new RefusedEditException(
                                                "A sheet has no value \"%s\" that can be set."
                                                        .formatted(name)));
        return field.put(sheet, text(name, value));
    }

    private static SheetChoices parts(SheetChoices sheet, JobResult before, JsonNode parts) {
        if (parts.isNull()) {
            return sheet.withParts(Map.of());
        }
        if (!parts.isObject()) {
            throw new RefusedEditException(
                    "parts must be an object with a number by id of a part.");
        }
        SheetChoices changed = sheet;
        for (Map.Entry<String, JsonNode> entry : parts.properties()) {
            Value<SheetChoices> value = BedValues.ofPart(entry.getKey());
            BedValues.requirePart(value.word(), before.reading());
            changed = value.put(changed, text(entry.getKey(), entry.getValue()));
        }
        return changed;
    }

    private static SheetChoices stock(SheetChoices sheet, JsonNode stock) {
        if (stock.isNull()) {
            SheetChoices usual = SheetChoices.usual();
            return sheet.withStock(usual.stock());
        }
        if (!stock.isObject()) {
            throw new RefusedEditException(
                    "stock must be an object with width and height, or with allowance.");
        }
        boolean around = stock.hasNonNull("allowance");
        boolean sized = stock.hasNonNull("width") || stock.hasNonNull("height");
        if (around && sized) {
            throw new RefusedEditException(
                    "stock has a size or an allowance round the parts, not both.");
        }
        SheetChoices changed = BedValues.STOCK.put(sheet, around ? "around" : "sheet");
        for (Map.Entry<String, JsonNode> entry : stock.properties()) {
            Value<SheetChoices> field =
                    Value.find(BedValues.ALL, entry.getKey())
                            .filter(
                                    f ->
                                            f == BedValues.WIDTH
                                                    || f == BedValues.HEIGHT
                                                    || f == BedValues.ALLOWANCE)
                            .orElseThrow(
                                    () ->
                                            new RefusedEditException(
                                                    "A stock has no value \"%s\": width, height and allowance."
                                                            .formatted(entry.getKey())));
            if (!entry.getValue().isNull()) {
                changed = field.put(changed, text(entry.getKey(), entry.getValue()));
            }
        }
        return changed;
    }

    /** As people type them, so that the limits are looked after in one place. */
    private static String clamps(JsonNode value) {
        if (value.isNull()) {
            return "";
        }
        if (!value.isArray()) {
            throw new RefusedEditException("clamps must be a list.");
        }
        List<String> clamps = new ArrayList<>();
        for (JsonNode clamp : value) {
            int number = clamps.size() + 1;
            clamps.add(
                    CLAMP.stream()
                            .map(name -> number(clamp, name, number))
                            .collect(Collectors.joining(", ")));
        }
        return String.join("; ", clamps);
    }

    private static String number(JsonNode clamp, String name, int number) {
        JsonNode value = clamp.path(name);
        if (!value.isNumber()) {
            throw new RefusedEditException(
                    "Clamp %d needs five numbers: %s.".formatted(number, String.join(", ", CLAMP)));
        }
        return value.decimalValue().toPlainString();
    }

    private static String text(String name, JsonNode value) {
        if (value.isNull()) {
            return "";
        }
        if (!value.isValueNode()) {
            throw new RefusedEditException("%s must be a single value.".formatted(name));
        }
        return value.asString();
    }
}
