package dev.oleander.motion;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.core.JsonGenerator;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Motion programs as JSON: positions in mm, feeds in mm/min, arcs by their bulge (the tangent of a
 * quarter of their sweep, above 0 anticlockwise). Each item begins where the one before ends; the
 * first at the zero point.
 */
public final class MotionJson {

    private static final int VERSION = 1;
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
            program.items().forEach(item -> write(item, json));
            json.writeEndArray();
            json.writeEndObject();
        }
    }

    private static void write(Item item, JsonGenerator json) {
        json.writeStartObject();
        if (item instanceof Item.Rapid rapid) {
            json.writeStringProperty("type", "rapid");
            place(rapid.to(), json);
        } else if (item instanceof Item.Event event) {
            json.writeStringProperty("type", "event");
            json.writeStringProperty("kind", event.kind().word());
            json.writeObjectPropertyStart("args");
            event.args().forEach(json::writeNumberProperty);
            json.writeEndObject();
            if (!event.text().isEmpty()) {
                json.writeStringProperty("text", event.text());
            }
        } else if (item instanceof Item.Feed feed) {
            Segment segment = feed.segment();
            json.writeStringProperty("type", segment instanceof Arc ? "arc" : "line");
            place(segment.end(), json);
            if (segment instanceof Arc arc) {
                json.writeNumberProperty("bulge", arc.bulge());
            }
            json.writeNumberProperty("feed", feed.feed());
            json.writeBooleanProperty("on", feed.on());
        }
        Origin origin = item.origin();
        if (!origin.stop().isEmpty()) {
            json.writeStringProperty("stop", origin.stop());
            json.writeNumberProperty("pass", origin.pass());
            json.writeNumberProperty("segment", origin.segment());
        }
        json.writeEndObject();
    }

    private static void place(Point to, JsonGenerator json) {
        json.writeNumberProperty("x", to.x());
        json.writeNumberProperty("y", to.y());
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
        Map<String, EventKind> kinds = new HashMap<>();
        for (EventKind kind : EventKind.values()) {
            kinds.put(kind.word(), kind);
        }
        List<Item> items = new ArrayList<>();
        Point at = Point.ORIGIN;
        for (JsonNode node : root.path("items")) {
            Item item = item(node, at, kinds);
            items.add(item);
            if (!(item instanceof Item.Event)) {
                at = to(node);
            }
        }
        return new Program(items);
    }

    private static Item item(JsonNode node, Point at, Map<String, EventKind> kinds) {
        Origin origin =
                node.has("stop")
                        ? new Origin(
                                node.get("stop").asString(),
                                node.get("pass").asInt(),
                                node.get("segment").asInt())
                        : Origin.FRAME;
        return switch (node.get("type").asString()) {
            case "rapid" -> new Item.Rapid(at, to(node), origin);
            case "event" -> {
                Map<String, Double> args = new HashMap<>();
                node.get("args")
                        .properties()
                        .forEach(e -> args.put(e.getKey(), e.getValue().asDouble()));
                yield new Item.Event(
                        kinds.get(node.get("kind").asString()),
                        args,
                        node.path("text").asString(""),
                        origin);
            }
            case "arc" -> feed(new Arc(at, to(node), node.get("bulge").asDouble()), node, origin);
            case "line" -> feed(new Line(at, to(node)), node, origin);
            default ->
                    throw new IllegalArgumentException(
                            "an item of the type " + node.get("type").asString());
        };
    }

    private static Item.Feed feed(Segment segment, JsonNode node, Origin origin) {
        return new Item.Feed(
                segment, node.get("feed").asDouble(), node.get("on").asBoolean(), origin);
    }

    private static Point to(JsonNode node) {
        return new Point(node.get("x").asDouble(), node.get("y").asDouble());
    }
}
