package dev.oleander.drawing.letter;

import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Texts whose places were worked out by other code. */
public final class LetterCases {

    static final TypeFace BLOCK = FontFile.read(bytes("slip_block.ttf"), "slip_block.ttf");

    private LetterCases() {}

    static byte[] bytes(String name) {
        try (InputStream in = LetterCases.class.getResourceAsStream("/cases/lettering/" + name)) {
            return in.readAllBytes();
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    public static JsonNode of(String name) {
        return JsonMapper.shared().readTree(bytes(name + ".case.json"));
    }

    static TextSpec plain(String text, double capHeight) {
        return TextSpec.plain(text, capHeight);
    }

    static TextSpec spec(JsonNode request) {
        TextSpec plain = plain(request.get("text").asString(), request.get("capHeight").asDouble());
        JsonNode at = request.get("at");
        Optional<TextSpec.Way> way =
                request.has("path") ? Optional.of(way(request)) : Optional.empty();
        String along = request.path("anchor").path("x").asString("start");
        return new TextSpec(
                plain.text(),
                plain.capHeight(),
                plain.form(),
                new TextSpec.Spacing(request.path("letterSpacing").asDouble(0), 0, true),
                plain.lines(),
                new TextSpec.Anchor(
                        TextSpec.Along.valueOf(along.toUpperCase(Locale.ROOT)),
                        TextSpec.Across.BASE),
                new Point(at.get(0).asDouble(), at.get(1).asDouble()),
                0,
                false,
                way);
    }

    private static TextSpec.Way way(JsonNode request) {
        Optional<TextSpec.Fit> fit =
                request.has("fit")
                        ? Optional.of(
                                new TextSpec.Fit(
                                        TextSpec.Mode.SPREAD, request.at("/fit/length").asDouble()))
                        : Optional.empty();
        return new TextSpec.Way(
                chain(request.get("path")),
                false,
                request.get("from").asDouble(),
                request.get("distance").asDouble(),
                TextSpec.Across.BASE,
                TextSpec.Turn.ALONG,
                fit);
    }

    /** Of vertices x, y and bulge. */
    public static Chain chain(JsonNode path) {
        boolean closed = path.get("closed").asBoolean();
        JsonNode vertices = path.get("vertices");
        List<Segment> segments = new ArrayList<>();
        int count = vertices.size() - (closed ? 0 : 1);
        for (int i = 0; i < count; i++) {
            JsonNode here = vertices.get(i);
            JsonNode next = vertices.get((i + 1) % vertices.size());
            segments.add(
                    Segment.of(
                            new Point(here.get(0).asDouble(), here.get(1).asDouble()),
                            new Point(next.get(0).asDouble(), next.get(1).asDouble()),
                            here.get(2).asDouble()));
        }
        return closed ? new Contour(segments) : new Path(segments);
    }
}
