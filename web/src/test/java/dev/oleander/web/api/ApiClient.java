package dev.oleander.web.api;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Calls the HTTP interface as a program would. */
public final class ApiClient {

    private static final String BOUNDARY = "part-of-a-form";

    private final HttpClient http = HttpClient.newHttpClient();
    private final String base;
    private final String authorization;
    private final String tag;
    private final String prefer;

    /**
     * @param user null: not signed in
     */
    public ApiClient(int port, String user) {
        this(port, user, "slipway-" + user);
    }

    public ApiClient(int port, String user, String password) {
        this(
                "http://127.0.0.1:" + port,
                user == null ? null : "Basic " + encoded(user + ":" + password),
                null,
                null);
    }

    /** One that signs in with a personal token. */
    public static ApiClient withToken(int port, String token) {
        return new ApiClient("http://127.0.0.1:" + port, "Bearer " + token, null, null);
    }

    private static String encoded(String text) {
        return Base64.getEncoder().encodeToString(text.getBytes(StandardCharsets.UTF_8));
    }

    private ApiClient(String base, String authorization, String tag, String prefer) {
        this.prefer = prefer;
        this.base = base;
        this.authorization = authorization;
        this.tag = tag;
    }

    /** The same client, whose calls are for what has this tag only. */
    public ApiClient ifMatch(String entityTag) {
        return new ApiClient(base, authorization, entityTag, prefer);
    }

    /** The same client, which says how long it waits (RFC 7240). */
    public ApiClient prefer(String wish) {
        return new ApiClient(base, authorization, tag, wish);
    }

    /** An answer; the body as JSON where it is some. */
    public record Answer(int status, String text, HttpResponse<String> response) {

        public JsonNode json() {
            return JsonMapper.shared().readTree(text);
        }

        public String detail() {
            return json().path("detail").asString();
        }

        public String tag() {
            return response.headers().firstValue("ETag").orElse("");
        }

        public String header(String name) {
            return response.headers().firstValue(name).orElse("");
        }

        public String type() {
            return response.headers().firstValue("Content-Type").orElse("");
        }
    }

    public Answer get(String path) {
        return send(request(path).GET());
    }

    public Answer post(String path, String json) {
        return send("POST", path, json);
    }

    public Answer send(String method, String path, String json) {
        HttpRequest.Builder request = request(path).header("Content-Type", "application/json");
        return send(request.method(method, BodyPublishers.ofString(json)));
    }

    public Answer postText(String path, String text) {
        HttpRequest.Builder request = request(path).header("Content-Type", "text/plain");
        return send(request.POST(BodyPublishers.ofString(text)));
    }

    /** A form with one or more files; names of files by their content. */
    public Answer upload(String path, Map<String, String> fields, Map<String, byte[]> files) {
        return upload("POST", path, fields, files);
    }

    /** The same with another method. */
    public Answer upload(
            String method, String path, Map<String, String> fields, Map<String, byte[]> files) {
        ByteArrayOutputStream body = new ByteArrayOutputStream();
        fields.forEach(
                (name, value) ->
                        part(
                                body,
                                "name=\"" + name + "\"",
                                value.getBytes(StandardCharsets.UTF_8)));
        files.forEach(
                (name, content) -> part(body, "name=\"file\"; filename=\"" + name + "\"", content));
        write(body, ("--" + BOUNDARY + "--\r\n").getBytes(StandardCharsets.US_ASCII));
        return send(
                request(path)
                        .header("Content-Type", "multipart/form-data; boundary=" + BOUNDARY)
                        .method(method, BodyPublishers.ofByteArray(body.toByteArray())));
    }

    private static void part(ByteArrayOutputStream body, String disposition, byte[] content) {
        String head =
                "--%s\r\nContent-Disposition: form-data; %s\r\n\r\n"
                        .formatted(BOUNDARY, disposition);
        write(body, head.getBytes(StandardCharsets.UTF_8));
        write(body, content);
        write(body, "\r\n".getBytes(StandardCharsets.US_ASCII));
    }

    private static void write(ByteArrayOutputStream body, byte[] bytes) {
        body.write(bytes, 0, bytes.length);
    }

    private HttpRequest.Builder request(String path) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(base + path));
        if (authorization != null) {
            request.header("Authorization", authorization);
        }
        if (tag != null) {
            request.header("If-Match", tag);
        }
        if (prefer != null) {
            request.header("Prefer", prefer);
        }
        return request;
    }

    private Answer send(HttpRequest.Builder request) {
        try {
            HttpResponse<String> response = http.send(request.build(), BodyHandlers.ofString());
            return new Answer(response.statusCode(), response.body(), response);
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        } catch (InterruptedException interrupted) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(interrupted);
        }
    }
}
