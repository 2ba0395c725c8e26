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

    /** Of 18 mm boards. */
    public static Product product(String panels) {
        return ProductReader.read(
                ProductReader.parse(
                        """
                        {"name": "Made up", "quantity": 1, "bands": [{"id": "beech", "thickness": 1}],
                         "materials": [{"id": "p", "thickness": 18,
                          "board": {"length": 2500, "width": 1250, "grain": "length"}}], "panels": [%s]}
                        """
                                .formatted(panels)));
    }

    /** One of 600 x 400 x 18. */
    public static String panel(String id, String more, String features) {
        return """
        {"id": "%s", "quantity": 1, "material": "p", "length": 600, "width": 400, "thickness": 18 %s, "features": [%s]}
        """
                .formatted(id, more, features);
    }

    /** A hole of 8 mm. */
    public static String hole(String id, String face, double u, double v, double depth) {
        return """
        {"id": "%s", "face": "%s", "kind": "hole", "at": [%s, %s], "diameter": 8, "depth": %s}
        """
                .formatted(id, face, u, v, depth);
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
