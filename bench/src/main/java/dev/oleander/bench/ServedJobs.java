package dev.oleander.bench;

import java.io.IOException;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Calls to the served application about jobs of plates. */
final class ServedJobs {

    private static final String EDGE = "oleander-bench";

    private final ServedApp app;
    private final HttpClient http = HttpClient.newHttpClient();

    ServedJobs(ServedApp app) {
        this.app = app;
    }

    /** A request of somebody with an account. */
    HttpRequest.Builder request(String path) {
        byte[] account = "mira:slipway-mira".getBytes(StandardCharsets.UTF_8);
        return HttpRequest.newBuilder(app.address(path))
                .header("Authorization", "Basic " + Base64.getEncoder().encodeToString(account));
    }

    /** Asks for a job of so many different plates, each as often as the quantity says. */
    HttpRequest.Builder upload(int plates, int seed, int quantity) {
        Map<String, String> fields = new LinkedHashMap<>();
        fields.put("machine", "teasel");
        fields.put("material", "mild steel");
        fields.put("thickness", "6");
        fields.put("quantity", String.valueOf(quantity));
        StringBuilder body = new StringBuilder();
        fields.forEach((name, value) -> body.append(part("\"%s\"".formatted(name), value)));
        body.append(part("\"file\"; filename=\"plates.dxf\"", PlateSheet.of(plates, seed)));
        body.append("--").append(EDGE).append("--\r\n");
        return request("/api/jobs")
                .header("Content-Type", "multipart/form-data; boundary=" + EDGE)
                .POST(BodyPublishers.ofString(body.toString()));
    }

    private static String part(String name, String value) {
        return "--%s\r\nContent-Disposition: form-data; name=%s\r\n\r\n%s\r\n"
                .formatted(EDGE, name, value);
    }

    /** Makes such a job and returns its id. */
    long make(int plates, int seed, int quantity) throws IOException, InterruptedException {
        return JsonMapper.shared()
                .readTree(answer(upload(plates, seed, quantity)))
                .get("id")
                .asLong();
    }

    JsonNode job(long id) throws IOException, InterruptedException {
        return read("/api/jobs/" + id);
    }

    JsonNode read(String path) throws IOException, InterruptedException {
        return JsonMapper.shared().readTree(answer(request(path)));
    }

    JsonNode post(String path, String json) throws IOException, InterruptedException {
        return JsonMapper.shared()
                .readTree(
                        answer(
                                request(path)
                                        .header("Content-Type", "application/json")
                                        .POST(BodyPublishers.ofString(json))));
    }

    /** Waits until a job is planned and proved. */
    void requirePlan(long id) throws IOException, InterruptedException {
        answer(request("/api/jobs/%d/proof".formatted(id)).header("Prefer", "wait=300"));
    }

    private String answer(HttpRequest.Builder request) throws IOException, InterruptedException {
        HttpResponse<String> answer = http.send(request.build(), BodyHandlers.ofString());
        if (answer.statusCode() >= 400) {
            throw new IllegalStateException(
                    "%s answers %d: %s"
                            .formatted(answer.uri(), answer.statusCode(), answer.body()));
        }
        return answer.body();
    }
}
