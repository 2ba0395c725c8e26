package dev.oleander.web.work.router;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.web.api.ApiClient;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Calls that make jobs on the router of samples with known results. */
public final class RouterCalls {

    private static final Path SAMPLES = Path.of("..", "samples", "router");

    private final ApiClient api;

    public RouterCalls(int port) {
        this.api = new ApiClient(port, "mira").prefer("wait=60");
    }

    static JsonNode truth(String name) {
        return JsonMapper.shared().readTree(SAMPLES.resolve(name + ".truth.json").toFile());
    }

    private static byte[] drawing(String name) {
        try {
            return Files.readAllBytes(SAMPLES.resolve(name + ".dxf"));
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /** A job of which nobody has said anything. */
    public long make(String name, String material, double thickness, int quantity) {
        ApiClient.Answer made =
                api.upload(
                        "/api/jobs",
                        Map.of(
                                "machine",
                                "hazel",
                                "material",
                                material,
                                "thickness",
                                String.valueOf(thickness),
                                "quantity",
                                String.valueOf(quantity),
                                "name",
                                name),
                        Map.of(name + ".dxf", drawing(name)));
        assertThat(made.status()).as(made.text()).isEqualTo(201);
        return made.json().get("id").asLong();
    }

    /** A job as its sample asks for it. */
    public long requested(String name) {
        JsonNode truth = truth(name);
        long job =
                make(
                        name,
                        truth.at("/job/material").asString(),
                        truth.at("/job/thickness").asDouble(),
                        1);
        ApiClient.Answer run = put(job, truth.get("request").toString());
        assertThat(run.status()).as(run.text()).isEqualTo(200);
        return job;
    }

    ApiClient.Answer put(long job, String request) {
        return api.send("PUT", "/api/jobs/%d/operations".formatted(job), request);
    }

    ApiClient.Answer get(String path) {
        return api.get(path);
    }

    ApiClient.Answer post(String path, String json) {
        return api.post(path, json);
    }

    JsonNode run(long job) {
        return api.get("/api/jobs/%d/run".formatted(job)).json();
    }

    /** The first stop of an operation. */
    JsonNode stop(long job, String operation) {
        for (JsonNode stop : run(job).get("stops")) {
            if (stop.get("operation").asString().equals(operation)) {
                return stop;
            }
        }
        throw new AssertionError("no stop of " + operation);
    }
}
