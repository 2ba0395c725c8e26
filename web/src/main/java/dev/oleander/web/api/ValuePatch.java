package dev.oleander.web.api;

import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Point;
import dev.oleander.plan.bed.Placement;
import dev.oleander.plan.stop.Stop;
import dev.oleander.quantity.Numbers;
import dev.oleander.value.Value;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.result.JobResult;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** Reads the body of a change of one stop, of any kind of work. */
final class ValuePatch {

    /** Where work begins; also as a place on the sheet. */
    private static final String START = "start";

    private final JobResult result;
    private final Stop stop;
    private final Map<String, String> values = new LinkedHashMap<>();

    private ValuePatch(JobResult result, Stop stop) {
        this.result = result;
        this.stop = stop;
    }

    /**
     * Text by word of a value; an empty one takes the value back.
     *
     * @param body names what belongs together also as objects: {"leadIn": {"length": 5}}
     */
    static Map<String, String> read(JobResult result, String stopId, JsonNode body) {
        Stop stop = result.requireStops(List.of(stopId)).get(0);
        if (!body.isObject()) {
            throw new RefusedEditException("The body must be a JSON object of values of the stop.");
        }
        ValuePatch patch = new ValuePatch(result, stop);
        patch.read("", body);
        return patch.values;
    }

    private void read(String before, JsonNode body) {
        for (Map.Entry<String, JsonNode> entry : body.properties()) {
            String word = before + entry.getKey();
            JsonNode value = entry.getValue();
            if (value.isObject() && before.isEmpty()) {
                read(word + ".", value);
            } else if (word.equals(START) && value.isArray()) {
                put(word, alongContour(value));
            } else if (!value.isValueNode()) {
                throw new RefusedEditException("%s must be a single value.".formatted(word));
            } else {
                put(word, value.isNull() ? "" : value.asString());
            }
        }
    }

    private void put(String word, String text) {
        if (Value.find(List.copyOf(result.kind().stopValues()), word).isEmpty()) {
            throw new RefusedEditException(
                    "A stop has no value \"%s\" that can be set.".formatted(word));
        }
        values.put(word, text);
    }

    /** A place on the sheet as distance along the drawn contour, mm. */
    private String alongContour(JsonNode pair) {
        if (pair.size() != 2 || !pair.get(0).isNumber() || !pair.get(1).isNumber()) {
            throw new RefusedEditException("start must be a pair of numbers, x and y.");
        }
        Point wanted = new Point(pair.get(0).asDouble(), pair.get(1).asDouble());
        Feature feature = result.reading().byId().get(stop.feature());
        Placement placed =
                result.plan().copies().stream()
                        .filter(copy -> copy.copy() == stop.copy())
                        .findFirst()
                        .orElseThrow();
        Point drawn = placed.transform().inverse().apply(wanted);
        double along = feature.chain().distanceAt(feature.chain().nearest(drawn));
        return Numbers.plain(along, 6);
    }
}
