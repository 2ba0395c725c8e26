package dev.oleander.motion;

import dev.oleander.geometry.Point;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.List;
import tools.jackson.core.JsonGenerator;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Motion programs as JSON, item by item as {@link MotionItem} says. Each item begins where the one
 * before ends; the first at the zero point.
 */
public final class MotionJson {

    private static final int VERSION = 2;
    private static final JsonMapper MAPPER = JsonMapper.shared();

    private MotionJson() {}

    /**
     * @throws IOException when the stream takes no more
     */
    public static void write(Program program, OutputStream out) throws IOException {
        try (JsonGenerator json = MAPPER.createGenerator(out)) {
            json.writeStartObject();
            json.writeNumberProperty("version", VERSION);
            json.writeArrayPropertyStart("items");
            boolean down = false;
            for (int i = 0; i < program.size(); i++) {
                Item item = program.items().get(i);
                down = MotionItem.isDown(item, down);
                json.writePOJO(MotionItem.of(i, item, down, null));
            }
            json.writeEndArray();
            json.writeEndObject();
        }
    }

    /**
     * A program that was written before.
     *
     * @throws IllegalArgumentException when it was written otherwise
     */
    public static Program read(InputStream in) {
        JsonNode root = MAPPER.readTree(in);
        if (root.path("version").asInt(0) != VERSION) {
            throw new IllegalArgumentException(
                    "motion of version %s, known is %d".formatted(root.path("version"), VERSION));
        }
        List<Item> items = new ArrayList<>();
        Point at = Point.ORIGIN;
        Point lean = Point.ORIGIN;
        Pose pose = Pose.FLAT;
        for (JsonNode node : root.path("items")) {
            Item item = MAPPER.treeToValue(node, MotionItem.class).item(at, lean, pose);
            items.add(item);
            pose = item instanceof Item.Event ? pose : item.rise().to();
            if (item instanceof Item.Rapid rapid) {
                at = rapid.to();
            } else if (item instanceof Item.AtFeed feed) {
                at = feed.end();
                lean = feed instanceof Item.TwoPlane both ? both.lean() : lean;
            }
        }
        return new Program(items);
    }
}
