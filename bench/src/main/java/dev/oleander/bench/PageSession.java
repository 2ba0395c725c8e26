package dev.oleander.bench;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Somebody who is signed in and asks for pages. */
final class PageSession {

    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");

    private final ServedApp app;
    private final HttpClient http =
            HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
    private String token = "";

    PageSession(ServedApp app) {
        this.app = app;
    }

    /** Before the clock runs: hashing passwords is not what is measured. */
    void signIn() throws IOException, InterruptedException {
        token = token(send(get("/sign-in")).body());
        send(form("/sign-in", "username=mira&password=slipway-mira"));
        token = token(send(get("/")).body());
    }

    private static String token(String page) {
        Matcher found = TOKEN.matcher(page);
        if (!found.find()) {
            throw new IllegalStateException("the page has no token");
        }
        return found.group(1);
    }

    HttpResponse<String> send(HttpRequest.Builder request)
            throws IOException, InterruptedException {
        return http.send(request.timeout(Duration.ofSeconds(60)).build(), BodyHandlers.ofString());
    }

    HttpRequest.Builder form(String path, String form) {
        return HttpRequest.newBuilder(app.address(path))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(BodyPublishers.ofString(form + "&_csrf=" + encoded(token)));
    }

    HttpRequest.Builder get(String path) {
        return HttpRequest.newBuilder(app.address(path));
    }

    static String encoded(String value) {
        return URLEncoder.encode(value, StandardCharsets.UTF_8);
    }
}
