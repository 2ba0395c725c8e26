package dev.oleander.web.api;

import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import dev.oleander.plan.Stop;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.job.JobResult;
import dev.oleander.web.job.NotFoundException;
import dev.oleander.web.job.RefusedEditException;
import dev.oleander.web.job.StopField;
import dev.oleander.web.job.Wires;
import java.util.EnumMap;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** Reads the body of a change of one stop. */
final class StopPatch {

    private final JobResult result;
    private final Stop stop;

    StopPatch(JobResult result, String stopId) {
        this.result = result;
        this.stop = result.stops().get(stopId);
        if (stop == null) {
            throw NotFoundException.stop(stopId);
        }
    }

    /** Text by field; null takes a value back. */
    Map<StopField, String> read(JsonNode body) {
        if (!body.isObject()) {
            throw new RefusedEditException("The body must be a JSON object of values of the stop.");
        }
        Map<StopField, String> values = new EnumMap<>(StopField.class);
        for (Map.Entry<String, JsonNode> entry : body.properties()) {
            boolean lead = entry.getKey().equals("leadIn") || entry.getKey().equals("leadOut");
            if (entry.getKey().equals("start") && entry.getValue().isArray()) {
                values.put(StopField.START, alongContour(entry.getValue()));
            } else if (lead && entry.getValue().isObject()) {
                for (Map.Entry<String, JsonNode> part : entry.getValue().properties()) {
                    put(values, entry.getKey() + "." + part.getKey(), part.getValue());
                }
            } else {
                put(values, entry.getKey(), entry.getValue());
            }
        }
        return values;
    }

    private static void put(Map<StopField, String> values, String name, JsonNode value) {
        StopField field =
                StopField.ofWord(name)
                        .orElseThrow(
                                () ->
                                        new RefusedEditException(
                                                "A stop has no value \"%s\" that can be set."
                                                        .formatted(name)));
        if (!value.isValueNode()) {
            throw new RefusedEditException("%s must be a single value.".formatted(name));
        }
        values.put(field, value.isNull() ? null : value.asString());
    }

    private String alongContour(JsonNode pair) {
        return alongContour(result, stop, pair);
    }

    /** A place on the sheet as distance along the drawn contour, mm. */
    static String alongContour(JobResult result, Stop stop, JsonNode pair) {
        if (pair.size() != 2 || !pair.get(0).isNumber() || !pair.get(1).isNumber()) {
            throw new RefusedEditException("start must be a pair of numbers, x and y.");
        }
        Point wanted = new Point(pair.get(0).asDouble(), pair.get(1).asDouble());
        Feature feature = result.reading().byId().get(stop.feature());
        Transform placed = placed(result, stop.copy());
        Point drawn = placed.inverse().apply(wanted);
        double along = feature.chain().distanceAt(feature.chain().nearest(drawn));
        return Numbers.plain(along, 6);
    }

    private static Transform placed(JobResult result, int copy) {
        return Wires.plan(result)
                .map(plan -> plan.copy(copy).placement())
                .orElseGet(
                        () ->
                                result.run().layout().placements().stream()
                                        .filter(p -> p.copy() == copy)
                                        .findFirst()
                                        .orElseThrow())
                .transform();
    }
}
