package dev.oleander.plan.panel;

import dev.oleander.plan.panel.clamping.PanelMachine;
import dev.oleander.plan.panel.clamping.PanelMachine.SideSpindle;
import dev.oleander.plan.panel.file.ProductFile;
import dev.oleander.plan.panel.file.ProductReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Products of tests, and what is known of them. */
public final class Panels {

    private static final JsonMapper JSON = new JsonMapper();

    private Panels() {}

    public static String text(String name) {
        try (InputStream in = Panels.class.getResourceAsStream("/cases/router/panels/" + name)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    public static JsonNode json(String name) {
        return JSON.readTree(text(name));
    }

    public static ProductFile file() {
        return ProductReader.parse(text("galley_locker.product.json"));
    }

    public static Product locker() {
        return ProductReader.read(file());
    }

    /** The machine that the known figures are of. */
    public static PanelMachine machine(JsonNode truth) {
        JsonNode side = truth.path("machine").path("side");
        List<SideSpindle> spindles = new ArrayList<>();
        for (JsonNode looks : side.path("looks")) {
            for (JsonNode diameter : side.path("diameters")) {
                Face face = Face.valueOf(looks.asString().toUpperCase(java.util.Locale.ROOT));
                spindles.add(
                        new SideSpindle(face, diameter.asDouble(), side.path("reach").asDouble()));
            }
        }
        JsonNode travel = truth.path("machine").path("travel");
        return new PanelMachine(
                "Hazel",
                travel.get(0).asDouble(),
                travel.get(1).asDouble(),
                side.path("lowest").asDouble(),
                side.path("highest").asDouble(),
                spindles,
                false);
    }

    public static PanelMachine hazel() {
        return machine(json("galley_locker.truth.json"));
    }
}
