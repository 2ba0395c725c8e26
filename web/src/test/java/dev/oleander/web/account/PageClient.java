package dev.oleander.web.account;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Visits pages as a browser does, with a session and its token, but without running scripts. */
public final class PageClient {

    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");

    private final HttpClient http =
            HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
    private final String base;
    private String token = "";

    public PageClient(int port) {
        this.base = "http://127.0.0.1:" + port;
    }

    /** The same client, signed in as one of the demo accounts. */
    public PageClient signedIn(String user) {
        signInAs(user);
        token = tokenOf(get("/").body());
        return this;
    }

    /** Sends the form of the sign-in page; the answer says where to go. */
    public HttpResponse<String> signInAs(String user) {
        token = tokenOf(get("/sign-in").body());
        return post("/sign-in", Map.of("username", user, "password", "slipway-" + user));
    }

    private static String tokenOf(String page) {
        Matcher found = TOKEN.matcher(page);
        if (!found.find()) {
            throw new IllegalStateException("the page has no token");
        }
        return found.group(1);
    }

    public HttpResponse<String> get(String path) {
        return send(request(path).GET());
    }

    /** A fragment request, as htmx makes it. */
    /** The content of a file. */
    public byte[] bytes(String path) {
        HttpRequest request = HttpRequest.newBuilder(URI.create(base + path)).build();
        try {
            return http.send(request, BodyHandlers.ofByteArray()).body();
        } catch (IOException | InterruptedException failed) {
            throw new IllegalStateException(path, failed);
        }
    }

    public HttpResponse<String> fragment(String path) {
        return send(request(path).header("HX-Request", "true").GET());
    }

    /** Sends a form with the session's token. */
    public HttpResponse<String> post(String path, Map<String, String> fields) {
        return postWithoutToken(
                path + (path.contains("?") ? "&" : "?") + "_csrf=" + encoded(token), fields);
    }

    public HttpResponse<String> postWithoutToken(String path, Map<String, String> fields) {
        String form =
                fields.entrySet().stream()
                        .map(e -> encoded(e.getKey()) + "=" + encoded(e.getValue()))
                        .collect(Collectors.joining("&"));
        return send(
                request(path)
                        .header("Content-Type", "application/x-www-form-urlencoded")
                        .POST(BodyPublishers.ofString(form)));
    }

    public static String encoded(String value) {
        return URLEncoder.encode(value, StandardCharsets.UTF_8);
    }

    private HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create(base + path))
                .header("Accept", "text/html,application/json;q=0.5");
    }

    private HttpResponse<String> send(HttpRequest.Builder request) {
        try {
            return http.send(request.build(), BodyHandlers.ofString());
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        } catch (InterruptedException interrupted) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(interrupted);
        }
    }
}
