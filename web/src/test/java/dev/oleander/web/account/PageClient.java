package dev.oleander.web.account;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Visits pages as a browser does, with a session and its token, but without running scripts. */
public final class PageClient {

    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");

    private final CookieManager cookies = new CookieManager();
    private final HttpClient http = HttpClient.newBuilder().cookieHandler(cookies).build();
    private final Map<String, String> headers = new HashMap<>();
    private final String base;
    private String token = "";

    public PageClient(int port) {
        this.base = "http://127.0.0.1:" + port;
    }

    /** The same client, signed in as one of the demo accounts. */
    public PageClient signedIn(String user) {
        signInAs(user);
        return this;
    }

    /** The same client, which sends a header with everything, as a proxy does. */
    public PageClient with(String header, String value) {
        headers.put(header, value);
        return this;
    }

    /** The value of a cookie. */
    public String cookie(String name) {
        return cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals(name))
                .findFirst()
                .map(HttpCookie::getValue)
                .orElse("");
    }

    /** Sends the form of the sign-in page; the answer says where to go. */
    public HttpResponse<String> signInAs(String user) {
        return signIn(user, "slipway-" + user);
    }

    public HttpResponse<String> signIn(String user, String password) {
        return signIn(user, password, "");
    }

    /**
     * @param to where to go afterwards
     */
    public HttpResponse<String> signIn(String user, String password, String to) {
        takeToken("/sign-in");
        HttpResponse<String> answer =
                post("/sign-in", Map.of("username", user, "password", password, "to", to));
        if (answer.headers()
                .firstValue("Location")
                .filter(l -> !l.contains("/sign-in"))
                .isPresent()) {
            takeToken("/account");
        }
        return answer;
    }

    /** What forms of the last page send along. */
    public String token() {
        return token;
    }

    /** Takes the token of the forms of a page. */
    public void takeToken(String path) {
        token = tokenOf(get(path).body());
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

    /** The content of a file. */
    public byte[] bytes(String path) {
        HttpRequest request = HttpRequest.newBuilder(URI.create(base + path)).build();
        try {
            return http.send(request, BodyHandlers.ofByteArray()).body();
        } catch (IOException | InterruptedException failed) {
            throw new IllegalStateException(path, failed);
        }
    }

    /** A fragment request, as htmx makes it. */
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
        HttpRequest.Builder request =
                HttpRequest.newBuilder(URI.create(base + path))
                        .header("Accept", "text/html,application/json;q=0.5");
        headers.forEach(request::header);
        return request;
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
