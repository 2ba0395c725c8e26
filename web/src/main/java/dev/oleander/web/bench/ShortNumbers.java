package dev.oleander.web.bench;

import java.util.List;
import tools.jackson.core.JsonGenerator;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueSerializer;

/** Rows of numbers; whole ones without their point, which many are. */
final class ShortNumbers extends ValueSerializer<List<double[]>> {

    private static final double MOST = 1e15;

    @Override
    public void serialize(List<double[]> rows, JsonGenerator json, SerializationContext context) {
        json.writeStartArray();
        for (double[] row : rows) {
            json.writeStartArray();
            for (double value : row) {
                if (value == Math.rint(value) && Math.abs(value) < MOST) {
                    json.writeNumber((long) value);
                } else {
                    json.writeNumber(value);
                }
            }
            json.writeEndArray();
        }
        json.writeEndArray();
    }
}
