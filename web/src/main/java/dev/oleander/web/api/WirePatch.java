package dev.oleander.web.api;

import dev.oleander.plan.Stop;
import dev.oleander.web.job.JobResult;
import dev.oleander.web.job.NotFoundException;
import dev.oleander.web.job.RefusedEditException;
import dev.oleander.web.job.WireField;
import java.util.EnumMap;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** Reads the body of a change of one stop of a wire machine. */
final class WirePatch {

    private WirePatch() {}

    /** Text by field; null takes a value back. */
    static Map<WireField, String> read(JobResult before, String stopId, JsonNode body) {
        if (!body.isObject()) {
            throw new RefusedEditException("The body must be a JSON object of values of the stop.");
        }
        Map<WireField, String> values = new EnumMap<>(WireField.class);
        for (Map.Entry<String, JsonNode> entry : body.properties()) {
            WireField field =
                    WireField.ofWord(entry.getKey())
                            .orElseThrow(
                                    () ->
                                            new RefusedEditException(
                                                    "A stop of a wire has no value \"%s\" that can be set."
                                                            .formatted(entry.getKey())));
            if (field == WireField.START && entry.getValue().isArray()) {
                Stop stop = before.stops().get(stopId);
                if (stop == null) {
                    throw NotFoundException.stop(stopId);
                }
                values.put(field, StopPatch.alongContour(before, stop, entry.getValue()));
                continue;
            }
            if (!entry.getValue().isValueNode()) {
                throw new RefusedEditException(
                        "%s must be a single value.".formatted(entry.getKey()));
            }
            values.put(field, entry.getValue().isNull() ? null : entry.getValue().asString());
        }
        return values;
    }
}
