package dev.oleander.web.api;

import dev.oleander.plan.bed.KeepOut;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.KeepOutText;
import dev.oleander.web.job.document.Orders;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.document.SheetField;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.work.Work;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** Values of the sheet as a program sends them; null puts a value back to what is usual. */
final class SheetPatch {

    /** Names that are other words in the body than on the page. */
    private static final Map<String, String> CALLED = Map.of("heldEdge", SheetField.HELD_AT.word());

    /**
     * The body, for its description.
     *
     * @param stock its size, or round the parts
     * @param gap between neighbours, mm
     * @param margin to the edge of the stock, mm
     * @param turn of the parts, degrees
     * @param heldEdge left, right, bottom or top
     * @param clamps what the head must not hit
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
            changed = one(changed, before.kind(), entry.getKey(), entry.getValue());
        }
        return changed;
    }

    private static JobDocument one(
            JobDocument document, Work<?, ?> kind, String name, JsonNode value) {
        return switch (name) {
            case "order" -> Orders.by(document, kind, text(name, value));
            case "stock" -> document.withSheet(stock(document.sheet(), value));
            case "clamps" ->
                    document.withSheet(
                            SheetField.KEEP_OUT.set(
                                    document.sheet(), KeepOutText.write(clamps(value))));
            default -> document.withSheet(set(document.sheet(), name, value));
        };
    }

    private static SheetChoices set(SheetChoices sheet, String name, JsonNode value) {
        SheetField field =
                SheetField.ofWord(CALLED.getOrDefault(name, name))
                        .filter(f -> f != SheetField.KEEP_OUT && f != SheetField.STOCK)
                        .orElseThrow(
                                () ->
                                        new RefusedEditException(
                                                "A sheet has no value \"%s\" that can be set."
                                                        .formatted(name)));
        return field.set(sheet, text(name, value));
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
        SheetChoices changed = SheetField.STOCK.set(sheet, around ? "around" : "sheet");
        for (Map.Entry<String, JsonNode> entry : stock.properties()) {
            SheetField field =
                    SheetField.ofWord(entry.getKey())
                            .filter(
                                    f ->
                                            f == SheetField.WIDTH
                                                    || f == SheetField.HEIGHT
                                                    || f == SheetField.ALLOWANCE)
                            .orElseThrow(
                                    () ->
                                            new RefusedEditException(
                                                    "A stock has no value \"%s\": width, height and allowance."
                                                            .formatted(entry.getKey())));
            if (!entry.getValue().isNull()) {
                changed = field.set(changed, text(entry.getKey(), entry.getValue()));
            }
        }
        return changed;
    }

    private static List<KeepOut> clamps(JsonNode value) {
        List<KeepOut> clamps = new ArrayList<>();
        if (value.isNull()) {
            return clamps;
        }
        if (!value.isArray()) {
            throw new RefusedEditException("clamps must be a list.");
        }
        for (JsonNode clamp : value) {
            int number = clamps.size() + 1;
            clamps.add(
                    new KeepOut(
                            number(clamp, "x", number),
                            number(clamp, "y", number),
                            number(clamp, "width", number),
                            number(clamp, "depth", number),
                            number(clamp, "height", number)));
        }
        return clamps;
    }

    private static double number(JsonNode clamp, String name, int number) {
        JsonNode value = clamp.path(name);
        if (!value.isNumber()) {
            throw new RefusedEditException(
                    "Clamp %d needs five numbers: x, y, width, depth, height.".formatted(number));
        }
        return value.asDouble();
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
