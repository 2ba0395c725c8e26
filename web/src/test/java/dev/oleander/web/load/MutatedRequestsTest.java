package dev.oleander.web.load;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.web.WebTest;
import dev.oleander.web.account.PageClient;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.core.MethodParameter;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/**
 * Every route there is, with values, types and methods that were not meant. Whatever comes, the
 * answer is no 500. {@code -Doleander.mutations=100000} makes many more of them.
 */
class MutatedRequestsTest extends WebTest {

    private static final int USUAL = 2_000;

    private static final List<String> VALUES =
            List.of(
                    "",
                    " ",
                    "0",
                    "-1",
                    "1",
                    "2.5",
                    "1e400",
                    "NaN",
                    "2^-999999999",
                    "99999999999999999999",
                    "true",
                    "null",
                    "teasel",
                    "bracken",
                    "mild steel",
                    "c1.1",
                    "c1.1,c2.1",
                    "s1",
                    "A",
                    "shape",
                    "cuts",
                    "../../etc/passwd",
                    "%00",
                    "a\u0000b",
                    "\uD800",
                    "💧",
                    "<script>alert(1)</script>",
                    "' or 1=1 --",
                    "${7*7}",
                    "x".repeat(5_000),
                    "[]",
                    "{}",
                    "2026-02-30");

    private static final List<String> BODIES =
            List.of(
                    "",
                    "{",
                    "{}",
                    "[]",
                    "null",
                    "\"text\"",
                    "12",
                    "{\"name\": null}",
                    "{\"order\": 5, \"recipe\": {}}",
                    "{\"parameters\": [1], \"stops\": {}}",
                    "{\"acceptances\": {\"f1\": null}}",
                    "{\"leadIn\": {\"kind\": 7}}",
                    "{\"tolerance\": -1, \"kinds\": [null]}",
                    "{\"width\": \"1e999\", \"rows\": -5}",
                    "{\"a\":".repeat(2_000),
                    "\u0000\u0001",
                    "--x\r\nContent-Disposition: form-data; name=\"file\"; filename=\"a.dxf\"\r\n\r\n0\nSECTION\r\n--x--",
                    "--x\r\nbroken");

    private static final List<String> TYPES =
            List.of(
                    "application/json",
                    "application/x-www-form-urlencoded",
                    "multipart/form-data; boundary=x",
                    "multipart/form-data",
                    "text/plain",
                    "text/plain; charset=nonsense",
                    "application/xml",
                    "nonsense");

    private static final List<String> METHODS =
            List.of("GET", "POST", "PUT", "PATCH", "DELETE", "HEAD", "OPTIONS");

    @Autowired
    @Qualifier("requestMappingHandlerMapping")
    private RequestMappingHandlerMapping routes;

    private final HttpClient http = HttpClient.newHttpClient();
    private long job;

    private record Route(String path, Set<String> methods, List<String> parameters) {}

    private List<Route> routes() {
        Map<String, Route> found = new TreeMap<>();
        for (Map.Entry<RequestMappingInfo, HandlerMethod> entry :
                routes.getHandlerMethods().entrySet()) {
            List<String> parameters = new ArrayList<>();
            for (MethodParameter parameter : entry.getValue().getMethodParameters()) {
                RequestParam named = parameter.getParameterAnnotation(RequestParam.class);
                if (named != null) {
                    parameter.initParameterNameDiscovery(
                            new org.springframework.core.DefaultParameterNameDiscoverer());
                    parameters.add(
                            named.value().isEmpty()
                                    ? String.valueOf(parameter.getParameterName())
                                    : named.value());
                }
            }
            Set<String> methods = new TreeSet<>();
            entry.getKey().getMethodsCondition().getMethods().forEach(m -> methods.add(m.name()));
            for (String path : entry.getKey().getPatternValues()) {
                found.put(methods + path, new Route(path, methods, parameters));
            }
        }
        return List.copyOf(found.values());
    }

    @Test
    @Timeout(value = 2, unit = TimeUnit.HOURS)
    void noRequestIsAnsweredWithAnError() throws Exception {
        job = makeJobInMillimetres("cleat_backing_plate", "Mutated", 1);
        PageClient anselm = new PageClient(port).signedIn("anselm");
        List<Route> all = routes().stream().filter(r -> !r.path().startsWith("/sign-out")).toList();
        assertThat(all).hasSizeGreaterThan(100);
        int wanted = Integer.getInteger("oleander.mutations", USUAL);
        Random random = new Random(20);
        Map<String, Integer> wrong = new LinkedHashMap<>();
        for (int i = 0; i < wanted; i++) {
            Route route = all.get(i % all.size());
            HttpRequest request = request(route, random, anselm);
            HttpResponse<String> answer = http.send(request, BodyHandlers.ofString());
            if (answer.statusCode() >= 500 && answer.statusCode() != 503) {
                wrong.merge(
                        "%s %s -> %d"
                                .formatted(request.method(), request.uri(), answer.statusCode()),
                        1,
                        Integer::sum);
            }
        }
        assertThat(wrong.keySet()).isEmpty();
    }

    private static <T> T any(List<T> of, Random random) {
        return of.get(random.nextInt(of.size()));
    }

    private static String encoded(String text) {
        StringBuilder encoded = new StringBuilder();
        for (byte b : text.getBytes(StandardCharsets.UTF_8)) {
            encoded.append("%%%02X".formatted(b & 0xff));
        }
        return encoded.toString();
    }

    private HttpRequest request(Route route, Random random, PageClient lead) {
        boolean call = route.path().startsWith("/api/");
        String method =
                route.methods().isEmpty() || random.nextInt(5) == 0
                        ? any(METHODS, random)
                        : any(List.copyOf(route.methods()), random);
        String query = query(route, random);
        HttpRequest.Builder request =
                HttpRequest.newBuilder(
                                URI.create(
                                        "http://127.0.0.1:%d%s%s"
                                                .formatted(port, path(route, random), query)))
                        .timeout(Duration.ofSeconds(60))
                        .header("Prefer", "respond-async");
        if (call) {
            request.header(
                    "Authorization",
                    "Basic "
                            + Base64.getEncoder()
                                    .encodeToString("anselm:slipway-anselm".getBytes()));
        } else {
            request.header(
                            "Cookie",
                            "oleander=%s; oleander-form=%s"
                                    .formatted(
                                            lead.cookie("oleander"), lead.cookie("oleander-form")))
                    .header("X-XSRF-TOKEN", lead.token());
            if (random.nextBoolean()) {
                request.header("HX-Request", "true");
            }
        }
        if (random.nextInt(6) == 0) {
            request.header("If-Match", any(List.of("\"1\"", "1", "W/\"x\"", "*"), random));
        }
        if (method.equals("GET") || method.equals("HEAD")) {
            return request.method(method, BodyPublishers.noBody()).build();
        }
        return request.header("Content-Type", any(TYPES, random))
                .method(method, BodyPublishers.ofString(any(BODIES, random)))
                .build();
    }

    private String path(Route route, Random random) {
        StringBuilder path = new StringBuilder();
        for (String part : route.path().split("(?=\\{)|(?<=\\})")) {
            boolean variable = part.startsWith("{");
            boolean valid = variable && random.nextInt(3) > 0;
            if (valid && part.startsWith("{id")) {
                path.append(job);
            } else if (valid && part.startsWith("{stage")) {
                path.append(any(List.of("shape", "cuts", "sheet", "proof", "release"), random));
            } else if (variable) {
                String value = any(VALUES, random);
                path.append(value.isBlank() || value.length() > 100 ? "x" : encoded(value));
            } else {
                path.append(part.replace("**", "x"));
            }
        }
        return path.toString();
    }

    private String query(Route route, Random random) {
        List<String> pairs = new ArrayList<>();
        for (String parameter : route.parameters()) {
            if (random.nextInt(8) > 0) {
                pairs.add(encoded(parameter) + "=" + encoded(any(VALUES, random)));
            }
        }
        if (random.nextInt(10) == 0) {
            pairs.add(encoded(any(VALUES, random)) + "=" + encoded(any(VALUES, random)));
        }
        return pairs.isEmpty() ? "" : "?" + String.join("&", pairs);
    }
}
