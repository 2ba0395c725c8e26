package dev.oleander.winding;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.ImportOptions;
import dev.oleander.drawing.file.DrawingFiles;
import dev.oleander.winding.form.MandrelForm;
import dev.oleander.winding.form.ProfileTable;
import dev.oleander.winding.form.WindingForm;
import dev.oleander.winding.path.Circuit;
import dev.oleander.winding.path.CircuitPlanner;
import dev.oleander.winding.surface.Meridian;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Jobs with figures that were worked out by other code. */
public final class Cases {

    private static final Path SAMPLES = Path.of("..", "samples", "winding");

    private static final JsonMapper MAPPER =
            JsonMapper.builder().enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES).build();

    private Cases() {}

    public static byte[] bytes(String name) {
        try {
            return Files.readAllBytes(SAMPLES.resolve(name));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public static WindingForm form(String name) {
        return MAPPER.readValue(bytes(name + ".winding.json"), WindingForm.class);
    }

    public static JsonNode truth(String name) {
        return MAPPER.readTree(bytes(name + ".truth.json"));
    }

    public static Circuit circuit(String name) {
        WindingForm form = form(name);
        return new CircuitPlanner(meridian(name), form.material().band(), 0)
                .plan(form.layers().get(0).toLaw());
    }

    public static Meridian meridian(String name) {
        MandrelForm mandrel = form(name).mandrel();
        if (mandrel.isDrawn()) {
            return mandrel.surface(
                    new DrawingFiles(ImportOptions.defaults())
                            .read(mandrel.file(), bytes(mandrel.file())),
                    0);
        }
        if (mandrel.file() != null) {
            ProfileTable table = ProfileTable.read(bytes(mandrel.file()));
            mandrel = mandrel.withRows(table.rows(), mandrel.file());
        }
        return mandrel.surface(Drawing.empty("empty"), 0);
    }

    /** Within what the truth allows. */
    public static void assertIs(String what, double value, JsonNode truth) {
        assertThat(value)
                .as(what)
                .isCloseTo(truth.get("value").asDouble(), within(truth.get("tol").asDouble()));
    }
}
